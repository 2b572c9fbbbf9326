import { Button, Group } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { Link, useNavigate } from 'react-router'
import { type JobSheet, removeJob } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { choicePath } from '../machine/choicePath'
import { STATION_WORDS } from '../machine/followUpWords'
import type { Workbench } from '../machine/useWorkbench'
import { dayText, minutesText } from '../quantities/days'
import { plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { useUndoNotice } from '../shell/useUndoNotice'
import classes from './JobPage.module.css'
import { Worker } from './Worker'
import { loopName, REASON_WORDS, STATE_WORDS, sinceText } from './words'

/** Why it came in, what was said then, who worked on it, and where it goes on. */
export function HeadPanel({ bench, job }: { bench: Workbench; job: JobSheet }) {
  const units = useUnits()
  const navigate = useNavigate()
  const remove = useChange(removeJob)
  const tell = useUndoNotice()
  const failed = (error: unknown) => notifications.show({ color: 'red', message: sentenceOf(error) })
  const onRemove = async () => {
    try {
      await remove.mutateAsync(job)
    } catch (error) {
      return failed(error)
    }
    navigate(`/machines/${job.machineId}/jobs`)
    await tell('The job is removed with all that happened at it', job.machineId)
  }
  return (
    <Panel
      title={`${bench.card.machine.name}: ${REASON_WORDS[job.reason]}`}
      note={sinceText(job)}
      aside={
        <span className={table.tag} data-tone={job.state === 'waits' ? 'watch' : 'ok'}>
          {STATE_WORDS[job.state]}
        </span>
      }
    >
      {job.about && <p className={classes.about}>{job.about}</p>}
      <LabelledValue name="came in">{dayText(job.openedOn)}</LabelledValue>
      {job.odometerKm !== null && (
        <LabelledValue name="odometer then">{units.show('distance', job.odometerKm)}</LabelledValue>
      )}
      {job.hours !== null && <LabelledValue name="hours run then">{plain(job.hours)} h</LabelledValue>}
      {job.people.length > 0 && (
        <LabelledValue name="worked on it">
          {job.people.map((p) => (p.minutes > 0 ? `${p.name} ${minutesText(p.minutes)}` : p.name)).join(', ')}
        </LabelledValue>
      )}
      {job.minutes > 0 && <LabelledValue name="working time">{minutesText(job.minutes)}</LabelledValue>}
      <Work bench={bench} job={job} />
      {job.state !== 'ended' && (
        <div style={{ marginTop: 12 }} data-no-print>
          <Worker jobId={job.id} />
        </div>
      )}
      <Group gap="xs" mt="sm" data-no-print align="end">
        <Button size="compact-sm" variant="default" onClick={() => window.print()}>
          Print it
        </Button>
        <Button size="compact-sm" variant="default" component={Link} to="../jobs">
          All jobs of this machine
        </Button>
        <Button size="compact-sm" variant="subtle" color="gray" loading={remove.isPending} onClick={onRemove}>
          Remove
        </Button>
      </Group>
    </Panel>
  )
}

/** What was set at it, and where it goes on. */
function Work({ bench, job }: { bench: Workbench; job: JobSheet }) {
  return (
    <>
      {job.loops.map((loop) => (
        <LabelledValue key={loop.loopKey} name={`Set, ${loopName(bench.card.summary.loops, loop.loopKey)}`}>
          <Link to={`../set/${job.id}/${encodeURIComponent(loop.loopKey)}`}>
            {loop.isClosed ? 'closed' : 'goes on'}, {loop.rounds === 1 ? '1 round' : `${loop.rounds} rounds`}
          </Link>
        </LabelledValue>
      ))}
      {job.state !== 'ended' && (
        <Group gap="xs" mt="sm" data-no-print>
          <span className="cap">goes on at</span>
          {job.stations.map((station) => (
            <Button key={station} size="compact-sm" variant="default" component={Link} to={`../${station}`}>
              {STATION_WORDS[station]}
            </Button>
          ))}
          {job.reason === 'partNotToBeHad' && (
            <>
              <Button size="compact-sm" variant="default" component={Link} to="/stock">
                Stock
              </Button>
              <Button
                size="compact-sm"
                variant="default"
                component={Link}
                to={choicePath(job.machineId, bench.card.summary.loops.at(-1)?.loopKey)}
              >
                Choice: another kind
              </Button>
            </>
          )}
        </Group>
      )}
    </>
  )
}
