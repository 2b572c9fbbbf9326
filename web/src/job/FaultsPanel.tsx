import { Button, Group } from '@mantine/core'
import { Link } from 'react-router'
import type { JobSheet } from '../api/client'
import type { Workbench } from '../machine/useWorkbench'
import { Panel } from '../shell/Panel'
import classes from './JobPage.module.css'
import { faultPath, loopLabel, loopName } from './words'

/** What was searched at a job, and what was found; of a job about something wrong the way to the search. */
export function FaultsPanel({ bench, job, isOpen }: { bench: Workbench; job: JobSheet; isOpen: boolean }) {
  const { summary, machine } = bench.card
  const begun = new Set(job.faults.map((f) => f.loopKey))
  const open = job.reason === 'somethingWrong' ? summary.loops.filter((l) => !begun.has(l.loopKey)) : []
  if (job.faults.length === 0 && (open.length === 0 || !isOpen)) return null
  return (
    <Panel title="What it comes from" isEmpty={job.faults.length === 0}>
      <ul className={classes.notes}>
        {job.faults.map((fault) => (
          <li key={fault.entry}>
            <span>
              <b>{loopName(summary.loops, fault.loopKey)}</b>:{' '}
              {fault.found ? fault.found.what : `${fault.answers.length} answers, nothing found yet`}
              {fault.found?.isGone === true && ', mended and gone'}
              {fault.found?.isGone === false && ', mended and not gone'}
            </span>
            {fault.words && <span className="cap">{fault.words}</span>}
            {isOpen && (
              <Link to={faultPath(machine.id, fault.loopKey)} data-no-print>
                to the search
              </Link>
            )}
          </li>
        ))}
      </ul>
      {isOpen && open.length > 0 && (
        <Group gap="xs" data-no-print>
          {open.map((loop) => (
            <Button
              key={loop.loopKey}
              size="sm"
              variant="default"
              component={Link}
              to={faultPath(machine.id, loop.loopKey)}
            >
              {`Search for its cause: ${loopLabel(summary.loops, loop)}`}
            </Button>
          ))}
        </Group>
      )}
    </Panel>
  )
}
