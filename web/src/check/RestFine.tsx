import type { JobSheet } from '../api/client'
import { partsText } from '../job/lookWords'
import { useJobEvents } from '../job/useJobEvents'
import { ReasonedButton } from '../shell/ReasonedButton'
import { Refused } from '../shell/Refused'
import type { Look } from './useLook'

/** All that was not graded by itself, in one press: and what “all” is stands beside it. */
export function RestFine({ look, job }: { look: Look; job: JobSheet }) {
  const record = useJobEvents(job.id)
  const { left, loop } = look
  const names = left.map((p) => p.part)
  return (
    <div data-no-print style={{ marginTop: 10 }}>
      <ReasonedButton
        variant="default"
        loading={record.isPending}
        why={left.length === 0 ? 'All of it is graded.' : null}
        onClick={() => loop && record.happens({ kind: 'restFine', loopKey: loop.loopKey, parts: names })}
      >
        {left.length === look.parts.length ? 'All of it is fine' : 'All else is fine'}
      </ReasonedButton>
      {left.length > 0 && <span className="cap"> that is: {partsText(names)}</span>}
      <Refused error={record.error} />
    </div>
  )
}
