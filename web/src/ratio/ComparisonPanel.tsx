import { useState } from 'react'
import type { SetupFigures } from '../api/client'
import { useEvaluation } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { isToothed } from '../machine/driveElements'
import { PartWorking } from '../machine/PartWorking'
import { SetupActions } from '../machine/SetupActions'
import type { Workbench } from '../machine/useWorkbench'
import { pairText } from '../machine/words'
import { figure, fixed, gearName, rpm, signed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import { Term } from '../shell/Term'
import table from '../shell/table.module.css'
import { WhyButton } from '../shell/WhyButton'
import { Feel } from './Feel'
import { SpeedLadder } from './SpeedLadder'
import { SpeedometerPanel } from './SpeedometerPanel'

/** The setup in view against as fitted: ladder, figures, feel, and what to do with it. */
export function ComparisonPanel({
  bench,
  remarks,
  onSideBySide,
}: {
  bench: Workbench
  /** Why the pair in view is refused or not advised here. */
  remarks: string[]
  onSideBySide: () => void
}) {
  const [isWorking, setWorking] = useState(false)
  const { shown } = bench
  const comparison = useEvaluation(bench.subject, 'comparison', {})
  const setups = comparison.data?.setups
  const fitted = setups?.[0]
  const view = shown.isFitted ? undefined : setups?.[1]
  return (
    <Panel
      title={
        shown.isFitted
          ? 'As fitted'
          : `${shown.name === 'picked' ? pickedName(bench) : shown.name} against as fitted`
      }
      isStale={comparison.isStale}
      aside={<WhyButton onClick={() => setWorking(true)} />}
    >
      {comparison.error ? (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(comparison.error)}
        </p>
      ) : null}
      {comparison.data?.idleShaft && (
        <p role="note">
          “{comparison.data.idleShaft}” drives nothing: what is shown is the ratio of this stage alone. Put an
          output on it under “Edit machine and drive”.
        </p>
      )}
      {fitted && (
        <>
          <SpeedLadder bench={bench} setups={view ? [fitted, view] : [fitted]} />
          <Figures bench={bench} fitted={fitted} view={view} aimGear={comparison.data?.aimGearLabel ?? ''} />
          {view && <Feel view={view} />}
          <SpeedometerPanel bench={bench} fitted={fitted} view={view} />
        </>
      )}
      {remarks.map((r) => (
        <p role="alert" key={r} style={{ color: 'var(--watch)' }}>
          ▲ {r}
        </p>
      ))}
      {shown.isFitted && <p className="cap">Click a pair on the scale to see what it would change.</p>}
      <SetupActions bench={bench} onSideBySide={onSideBySide} />
      {isWorking && setups && (
        <PartWorking
          title={`Working: ${shown.name}`}
          bench={bench}
          part="comparison"
          question={{}}
          of={(answer) => answer.setups.at(-1)?.workings ?? []}
          onClose={() => setWorking(false)}
        />
      )}
    </Panel>
  )
}

/** Rows that begin with a word of the glossary. */
const EXPLAINED = ['final ratio', 'overall', 'development', 'gear inches', 'gain ratio']

function Named({ label }: { label: string }) {
  const word = EXPLAINED.find((w) => label.startsWith(w))
  if (!word) return label
  return (
    <>
      <Term word={word} />
      {label.slice(word.length)}
    </>
  )
}

const pickedName = (bench: Workbench) =>
  bench.loops
    .map((l) => {
      const choice = bench.shown.loops.find((c) => c.loopKey === l.loopKey)
      return choice ? pairText(choice.frontSize, choice.rearSize, isToothed(l.driveElement)) : ''
    })
    .join(' · ')

function Figures({
  bench,
  fitted,
  view,
  aimGear,
}: {
  bench: Workbench
  fitted: SetupFigures
  view?: SetupFigures
  aimGear: string
}) {
  const units = useUnits()
  const gearAt = (s: SetupFigures) => s.gears.find((g) => g.label === aimGear) ?? s.gears.at(-1)
  const inGear = bench.gears.length > 1 ? ` in ${gearName(aimGear)}` : ''
  const speed =
    bench.target && 'speedKmh' in bench.target ? units.show('speed', bench.target.speedKmh) : 'the aim'
  const rows: [string, (s: SetupFigures) => string | null][] = [
    ['final ratio', (s) => fixed(s.finalRatio, 3)],
    [`overall${inGear}`, (s) => figure(gearAt(s)?.overallRatio ?? 0, 4)],
    [
      `${bench.drive.input.kind === 'rider' ? 'turns/min' : 'rpm'} at ${speed}`,
      (s) => (s.aimShaftSpeedRpm === null ? null : rpm(s.aimShaftSpeedRpm)),
    ],
    [
      `speed at the limit${inGear}`,
      (s) => {
        const kmh = gearAt(s)?.speedHighKmh
        return kmh === null || kmh === undefined ? null : units.show('speed', kmh)
      },
    ],
    [
      `output at the limit${inGear}`,
      (s) => (bench.drive.input.kind === 'motor' ? `${rpm(gearAt(s)?.outputHighRpm ?? 0)} rpm` : null),
    ],
    [
      `development${inGear}`,
      (s) => (gearAt(s)?.bicycle ? units.show('longLength', gearAt(s)?.bicycle?.developmentM ?? 0, 2) : null),
    ],
    [
      `gear inches${inGear}`,
      (s) => (gearAt(s)?.bicycle ? fixed(gearAt(s)?.bicycle?.gearInches ?? 0, 1) : null),
    ],
    [
      `gain ratio${inGear}`,
      (s) => {
        const gain = gearAt(s)?.bicycle?.gainRatio
        return gain ? fixed(gain, 2) : null
      },
    ],
    ['front over rear', (s) => (bench.drive.input.kind === 'rider' ? fixed(s.frontOverRear, 3) : null)],
    [
      'distance per wheel turn',
      (s) => (s.circumferenceMm === null ? null : units.show('length', s.circumferenceMm)),
    ],
  ]
  return (
    <table className={table.table}>
      <thead>
        <tr>
          <th scope="col">
            <span className="visually-hidden">figure</span>
          </th>
          <th scope="col">as fitted</th>
          {view && <th scope="col">{view.name}</th>}
        </tr>
      </thead>
      <tbody>
        {rows
          .filter(([, text]) => text(fitted) !== null)
          .map(([label, text]) => (
            <tr key={label}>
              <th scope="row">
                <Named label={label} />
              </th>
              <td className="num">{text(fitted)}</td>
              {view && <td className="num">{text(view)}</td>}
            </tr>
          ))}
        {view && (
          <tr>
            <th scope="row">change</th>
            <td />
            <td className="num">
              {signed(view.changePercent, 1)} % {view.direction === 'same' ? '' : view.direction}
            </td>
          </tr>
        )}
      </tbody>
    </table>
  )
}
