import { Button, Group } from '@mantine/core'
import { Link } from 'react-router'
import { addJobEvents } from '../api/client'
import type { FaultDesk } from '../api/faults'
import { AGAIN_WHEN_BACK, useChange } from '../api/queries'
import { dayText } from '../quantities/days'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import classes from './Faults.module.css'

type Before = FaultDesk['before'][number]

/** What was found of this loop before; of what was mended and nobody tried since, whether it is gone. */
export function BeforeThat({ desk, machineId }: { desk: FaultDesk; machineId: number }) {
  const judge = useChange(
    ({ jobId, isGone }: { jobId: number; isGone: boolean }) =>
      addJobEvents({
        id: jobId,
        events: [
          { key: crypto.randomUUID(), event: { kind: 'cureJudged' as const, loopKey: desk.loopKey, isGone } },
        ],
      }),
    AGAIN_WHEN_BACK,
  )
  if (desk.before.length === 0) return null
  return (
    <Panel title="Found before on this loop">
      {desk.before.map((found) => (
        <div key={`${found.jobId} ${found.what}`}>
          <div className={classes.row}>
            <span>{found.what}</span>
            <b>{goneText(found)}</b>
            <span className="cap">
              <Link to={`/machines/${machineId}/jobs/${found.jobId}`}>{dayText(found.on)}</Link>
            </span>
          </div>
          {found.asksIfGone && (
            <Group className={classes.answers} data-no-print>
              <Button
                size="xs"
                disabled={judge.isPending}
                onClick={() => judge.mutate({ jobId: found.jobId, isGone: true })}
              >
                It is gone
              </Button>
              <Button
                size="xs"
                variant="default"
                disabled={judge.isPending}
                onClick={() => judge.mutate({ jobId: found.jobId, isGone: false })}
              >
                It still did it
              </Button>
            </Group>
          )}
        </div>
      ))}
      <Refused error={judge.error} />
    </Panel>
  )
}

const goneText = ({ isGone, asksIfGone }: Before) =>
  isGone === null ? (asksIfGone ? 'mended: is it gone?' : '') : isGone ? 'gone then' : 'not gone'
