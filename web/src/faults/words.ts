import type { FaultMeasured, OddsWord, TellsMuch } from '../api/faults'
import { plain } from '../quantities/format'
import type { Units } from '../quantities/units'

export const ODDS_WORDS: Record<OddsWord, string> = {
  likely: 'likely',
  possible: 'possible',
  unlikely: 'unlikely',
}

export const TELLS_WORDS: Record<TellsMuch, string> = { much: 'much', some: 'some', little: 'little' }

/** A tool as a hand knows it. */
export const TOOL_WORDS: Record<string, string> = {
  caliper: 'caliper',
  chalk: 'chalk',
  gauge: 'tension gauge',
  lamp: 'lamp',
  paper: 'white paper',
  phone: 'phone',
  rule: 'rule',
  scale: 'spring scale',
  spanner: 'spanner',
  tachometer: 'tachometer',
  torqueWrench: 'torque wrench',
}

export const toolText = (tool: string | null) => (tool ? (TOOL_WORDS[tool] ?? tool) : 'no tools')

/** “22 to 27 mm”. */
export function measuredText({ values, unit }: FaultMeasured, units: Units): string {
  const texts = values.map((v) =>
    unit === 'mm' ? units.show('fine', v) : `${plain(Number(v.toFixed(1)))} ${unit}`.trim(),
  )
  const [first, last] = [texts[0] ?? '', texts.at(-1) ?? '']
  return values.length < 2 || first === last
    ? first
    : values.length === 2
      ? `${first} to ${last}`
      : texts.join(', ')
}
