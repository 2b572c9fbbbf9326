import type { AddedStep, SharedAim, SharedDifferences, SharedState, StepWording } from '../api/sharing'
import { rangeText, targetText } from '../machine/targets'
import { WISH_WORDS } from '../machine/words'
import { choicesOf } from '../quantities/choices'
import { minutesText } from '../quantities/days'
import { plain } from '../quantities/format'
import { type Units, useUnits } from '../quantities/units'
import table from '../shell/table.module.css'
import classes from './SharedTable.module.css'

const WORDS: Record<SharedState, string> = {
  new: 'is added',
  other: 'is changed',
  onlyHere: 'stays',
  same: 'the same',
  cannotBe: 'left out',
}

interface Row {
  key: string
  what: string
  here: string[]
  there: string[]
  becomes: string
}

/** What is here beside what the file says, row by row. */
export function SharedTable({ differs, gears }: { differs: SharedDifferences; gears: string[] }) {
  const units = useUnits()
  const rows = rowsOf(differs, units, gears)
  return (
    <div className={table.scroll}>
      <table className={table.table}>
        <thead>
          <tr>
            <th scope="col">what</th>
            <th scope="col" className={table.words}>
              here
            </th>
            <th scope="col" className={table.words}>
              in the file
            </th>
          </tr>
        </thead>
        <tbody className={classes.rows}>
          {rows.map((row) => (
            <tr key={row.key} className={classes.row}>
              <th scope="row" className={table.words}>
                {row.what}
                <div className={classes.becomes}>{row.becomes}</div>
              </th>
              <td className={table.words}>
                <Lines lines={row.here} />
              </td>
              <td className={table.words}>
                <Lines lines={row.there} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

function Lines({ lines }: { lines: string[] }) {
  if (lines.length === 0) return <span className="cap">–</span>
  return lines.map((line) => <div key={line}>{line}</div>)
}

const rowsOf = (differs: SharedDifferences, units: Units, gears: string[]): Row[] => [
  ...differs.wordings.map((w) => ({
    key: `step ${w.step}`,
    what: w.usual,
    here: wordingLines(w.here, units),
    there: wordingLines(w.there, units),
    becomes: WORDS[w.state],
  })),
  ...differs.addedSteps.map((a) => ({
    key: `added ${a.key}`,
    what: (a.there ?? a.here)?.do ?? a.key,
    here: addedLines(a.here, a.afterHere),
    there: addedLines(a.there, a.afterThere),
    becomes: WORDS[a.state],
  })),
  ...differs.gears.map((g) => ({
    key: `gear ${g.gear}`,
    what: `gear ${g.gear}`,
    here: reductionLines(g.here),
    there: reductionLines(g.there),
    becomes: g.there === null ? 'goes' : WORDS[g.state],
  })),
  ...differs.set.map((s) => ({
    key: s.what,
    what: s.what,
    here: [s.here],
    there: [s.there],
    becomes: WORDS.other,
  })),
  ...differs.aims.map((a) => ({
    key: `aim ${a.name}`,
    what: a.name,
    here: aimLines(a.here, units, gears),
    there: aimLines(a.there, units, gears),
    becomes: a.why === null ? WORDS[a.state] : `${WORDS[a.state]}: ${a.why}`,
  })),
]

const wordingLines = (own: StepWording | null, units: Units): string[] =>
  own === null
    ? []
    : [
        ...(own.do === null ? [] : [own.do]),
        ...(own.minutes === null ? [] : [minutesText(own.minutes)]),
        ...(own.torqueNm === null ? [] : [units.show('torque', own.torqueNm)]),
      ]

const addedLines = (step: AddedStep | null, after: string | null): string[] =>
  step === null
    ? []
    : [
        step.do,
        ...(step.why ? [step.why] : []),
        `${minutesText(step.minutes)}${step.isMust ? ', a must' : ''}`,
        ...(after === null ? [] : [`after: ${after}`]),
      ]

const reductionLines = (reduction: number | null): string[] =>
  reduction === null ? [] : [reduction === 0 ? 'nobody knows' : plain(reduction)]

function aimLines(aim: SharedAim | null, units: Units, gears: string[]): string[] {
  if (aim === null) return []
  const { surface, weather, load } = aim.conditions
  const worded = [surface, weather, load].filter((w) => w !== null)
  const wishes = choicesOf(WISH_WORDS).filter(({ value }) => aim.wishes[value] > 0)
  return [
    [targetText(aim.target, units, withMore(gears, aim)), rangeText(aim.target)].filter(Boolean).join(', '),
    ...(worded.length > 0 ? [worded.join(', ')] : []),
    ...(wishes.length > 0
      ? [`wishes: ${wishes.map(({ value, label }) => `${label} ${aim.wishes[value]}`).join(', ')}`]
      : []),
    ...(aim.note ? [aim.note] : []),
  ]
}

/** Gears that only the file speaks of are called by their numbers. */
const withMore = (gears: string[], { target }: SharedAim) =>
  'gearIndex' in target && target.gearIndex !== null && target.gearIndex >= gears.length
    ? Array.from({ length: target.gearIndex + 1 }, (_, gear) => gears[gear] || `${gear + 1}`)
    : gears
