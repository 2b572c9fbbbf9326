import { useState } from 'react'
import { useEvaluation } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { readingEnds } from '../loop/readings'
import type { Workbench } from '../machine/useWorkbench'
import { fixed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import table from '../shell/table.module.css'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import type { Setting } from './useSetting'

/** The loop of the drive that mirrors this one, and whether both are alike. */
export function SideMatchFigure({ bench, setting }: { bench: Workbench; setting: Setting }) {
  const units = useUnits()
  const [isWorking, setWorking] = useState(false)
  const { data, error, isStale } = useEvaluation(bench.asFitted, 'sideMatch', setting.question)
  const other = setting.jobs.find((j) => j.id === data?.other.jobId && j.loopKey === data.other.loopKey)
  const result = isStale ? undefined : data?.match
  if (!other) return null
  return (
    <>
      <LabelledValue name="the other side, last">{readingEnds(other, units)}</LabelledValue>
      {result && (
        <p className="cap">
          <span className={table.tag} data-tone={result.matches ? 'ok' : 'watch'}>
            {result.matches
              ? 'both alike'
              : result.thisIsLooser
                ? '▲ this side is looser'
                : '▲ this side is tighter'}
          </span>{' '}
          by{' '}
          {result.unit === 'loopMm'
            ? `${units.show('fine', Math.abs(result.difference))} of play`
            : `${fixed(Math.abs(result.difference), 0)} %`}
          ; left and right should match. <WhyButton onClick={() => setWorking(true)} />
        </p>
      )}
      {error ? <p className="cap">{sentenceOf(error)}</p> : null}
      {isWorking && result && (
        <WorkingDialog
          title="Working: both sides"
          workings={result.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </>
  )
}
