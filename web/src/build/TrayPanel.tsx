import { Button, Group, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { JobSheet } from '../api/client'
import { issueFor } from '../api/issues'
import type { PlanToWork, TrayState } from '../api/plan'
import { atEvent, useJobEvents } from '../job/useJobEvents'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import classes from './BuildView.module.css'
import { InStock, Instead, insteadText, Spacers } from './TrayCounts'
import { TRAY_WORDS } from './words'

/** What must lie ready, each looked for. */
export function TrayPanel({ job, work }: { job: JobSheet; work: PlanToWork }) {
  const { tray } = work.plan
  const looked = tray.filter((l) => l.state === 'there' || l.state === 'standIn').length
  return (
    <Panel title="On the tray" note={`${looked} of ${tray.length}`}>
      <ul className={classes.tray}>
        {tray.map((line, i) => (
          <Line key={line.part.key} job={job} line={line} count={work.tray[i]} />
        ))}
      </ul>
    </Panel>
  )
}

const MARKS: Record<TrayState, string> = { notLooked: '○', there: '✓', standIn: '≠', missing: '✕' }

function Line({
  job,
  line,
  count,
}: {
  job: JobSheet
  line: PlanToWork['plan']['tray'][number]
  count: PlanToWork['tray'][number] | undefined
}) {
  const [isAsking, setAsking] = useState(false)
  const [standIn, setStandIn] = useState('')
  const record = useJobEvents(job.id)
  const tick = (state: TrayState, words: string | null = null) =>
    record.happens({ kind: 'trayTicked', part: line.part.key, state, standIn: words }, () => setAsking(false))
  return (
    <li data-state={line.state}>
      <span>
        <span aria-hidden="true">{MARKS[line.state]} </span>
        {line.part.count > 1 && `${line.part.count} × `}
        {count?.what ?? line.part.what}
        <span className="visually-hidden">, {TRAY_WORDS[line.state]}</span>
        {line.standIn && <span className="cap"> in its place: {line.standIn}</span>}
      </span>
      {count && (
        <>
          <InStock count={count} />
          <Instead count={count} />
          <Spacers count={count} machineId={job.machineId} />
        </>
      )}
      {job.state !== 'ended' && (
        <Group gap={4} data-no-print className={classes.ticks}>
          {line.state !== 'there' && (
            <Button
              size="compact-xs"
              variant="default"
              onClick={() => tick('there')}
              aria-label={`${line.part.what} is there`}
            >
              There
            </Button>
          )}
          {line.state !== 'missing' && (
            <Button
              size="compact-xs"
              variant="subtle"
              color="gray"
              onClick={() => tick('missing')}
              aria-label={`${line.part.what} is missing`}
            >
              Missing
            </Button>
          )}
          {line.state !== 'there' &&
            count?.standIns.map((standIn) => (
              <Button
                key={standIn.line}
                size="compact-xs"
                variant="subtle"
                color="gray"
                onClick={() => tick('standIn', insteadText(standIn))}
              >
                Take {standIn.line}
              </Button>
            ))}
          {line.state === 'missing' && !isAsking && (
            <Button
              size="compact-xs"
              variant="subtle"
              color="gray"
              onClick={() => setAsking(true)}
              aria-label={`Something stands in for ${line.part.what}`}
            >
              Something stands in
            </Button>
          )}
        </Group>
      )}
      {isAsking && (
        <form
          className={classes.ask}
          onSubmit={(event) => {
            event.preventDefault()
            tick('standIn', standIn)
          }}
        >
          <TextInput
            size="xs"
            label="What stands in for it"
            value={standIn}
            onChange={(event) => setStandIn(event.currentTarget.value)}
            error={issueFor(record.error, atEvent('standIn'))}
          />
          <Button size="xs" type="submit" variant="default">
            Take that
          </Button>
        </form>
      )}
      <Refused error={record.error} fields={[atEvent('standIn')]} />
    </li>
  )
}
