import { useState } from 'react'
import { matchSides, type SetJob, type SideMatchInput } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useComputed } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import { fixed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import table from '../shell/table.module.css'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import { readingEnds } from './readings'
import { type Setting, setInput } from './useSetting'

/** The loop of the drive that mirrors this one, and whether both are alike. */
export function SideMatchFigure({
  bench,
  setting,
  other,
}: {
  bench: Workbench
  setting: Setting
  other: SetJob
}) {
  const units = useUnits()
  const [isWorking, setWorking] = useState(false)
  const isRead = (rounds: { readings: unknown[] }[]) => rounds.some((r) => r.readings.length > 0)
  const drive = bench.card.machine.drives.find((d) => d.stages.some((s) => s.key === other.loopKey))
  const input: SideMatchInput | undefined =
    drive && isRead(setting.input.rounds) && isRead(other.rounds)
      ? {
          this: setting.input,
          other: setInput({ card: bench.card, drive }, other, null, other.rounds, other),
        }
      : undefined
  const { data, error } = useComputed('side-match', input, matchSides)
  const result = input && !error ? data : undefined
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
      {input && error ? <p className="cap">{sentenceOf(error)}</p> : null}
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
