import { Button, SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import type { RunningInInput, SetQuestion } from '../api/client'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { issueFor } from '../api/issues'
import type { Workbench } from '../machine/useWorkbench'
import { dayAfter, dayText } from '../quantities/days'
import { fixed, plain } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { LabelledValue } from '../shell/LabelledValue'
import { ToolPanel } from '../shell/ToolPanel'
import classes from './Instruments.module.css'

const WIDTH = 300
const HEIGHT = 80
const HOURS_A_DAY = 24

/** How a new belt loses tension, and what to set today for the day it is needed. */
export function RunningInPanel({
  bench,
  question,
  fittedOn,
  onLookAgain,
}: {
  bench: Workbench
  question: SetQuestion
  /** Day the belt went on; null where nobody noted it. */
  fittedOn: string | null
  /** Puts the day into the closing list; undefined outside a visit. */
  onLookAgain: ((day: string) => void) | undefined
}) {
  const units = useUnits()
  const [cord, setCord] = useState<RunningInInput['cord']>('rubber')
  const [values, setValues] = useState<{ days?: number; until?: number }>(
    fittedOn === null ? {} : { days: daysSince(fittedOn) },
  )
  const { days, until } = values
  const [own, setOwn] = useState<Partial<OwnReadings>>({})
  const isOwn = OWN_FIELDS.every(([key]) => own[key] !== undefined)
  const input = useDebouncedDraft(
    days === undefined
      ? undefined
      : {
          cord,
          hours: days * HOURS_A_DAY,
          untilHours: until === undefined ? null : until * HOURS_A_DAY,
          set: question,
          own: isOwn ? ({ inHz: true, ...own } as OwnReadings) : null,
        },
  )
  const answer = useEvaluation(bench.asFitted, 'runningIn', input)
  const result = input && answer.data
  const end = result?.curve.at(-1)?.hours ?? 1
  return (
    <ToolPanel
      title="Running in"
      note="a new belt loses tension"
      above={
        <SegmentedControl
          size="xs"
          aria-label="Cords"
          value={cord}
          onChange={setCord}
          data={[
            { value: 'rubber', label: 'rubber' },
            { value: 'stiffCord', label: 'aramid or carbon' },
          ]}
          data-no-print
        />
      }
      fields={[
        { key: 'days', label: 'Fitted since', unit: 'days', at: 'hours' },
        {
          key: 'until',
          label: 'Must be right in',
          unit: 'days',
          placeholder: result ? plain(result.untilHours / HOURS_A_DAY) : '',
          at: 'untilHours',
        },
      ]}
      values={values}
      onChange={setValues}
      below={
        <details className={classes.own} data-no-print>
          <summary>Two readings of this belt make the curve its own</summary>
          <div className={fields.fields} style={{ marginTop: 8 }}>
            {OWN_FIELDS.map(([key, label, unit, factor]) => (
              <QuantityField
                key={key}
                size="xs"
                label={label}
                unit={unit}
                value={own[key] === undefined ? undefined : own[key] / factor}
                onChange={(value) =>
                  setOwn({ ...own, [key]: value === undefined ? undefined : value * factor })
                }
                error={issueFor(answer.error, `own.${key}`)}
              />
            ))}
          </div>
        </details>
      }
      answer={{ ...answer, data: result }}
      working="running in"
    >
      {(result) => (
        <>
          <svg
            viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
            className={classes.wave}
            role="img"
            aria-label={`Tension left, from all of it to ${fixed((result.curve.at(-1)?.fraction ?? 0) * 100, 0)} % after ${fixed(end / HOURS_A_DAY, 0)} days`}
          >
            <path
              d={`M${result.curve.map((p) => `${(p.hours / end) * WIDTH} ${HEIGHT - 14 - p.fraction * (HEIGHT - 20)}`).join('L')}`}
            />
            <text x={0} y={HEIGHT - 2}>
              fitted
            </text>
            <text x={WIDTH} y={HEIGHT - 2} textAnchor="end">
              {fixed(end / HOURS_A_DAY, 0)} days
            </text>
          </svg>
          {result.expectedN !== null && (
            <LabelledValue name="left as read, on the day">
              {units.show('force', result.expectedN)}
            </LabelledValue>
          )}
          <LabelledValue name="set the loosest now to">
            {result.setNowN !== null && `${units.show('force', result.setNowN)}, `}
            {fixed(result.overPercent, 0)} % over
          </LabelledValue>
          {result.expectedN === null && (
            <LabelledValue name="left on the day of what is there now">
              {fixed(result.leftPercent, 0)} %
            </LabelledValue>
          )}
          {(result.isAboveWindow || result.isAboveBearing) && (
            <div role="alert">
              <p style={{ color: 'var(--watch)' }}>
                ▲ That is{' '}
                {[
                  result.isAboveWindow && 'tighter than its window allows',
                  result.isAboveBearing && 'more than its shaft may carry',
                ]
                  .filter(Boolean)
                  .join(' and ')}
                {result.mostNowN !== null && `: ${units.show('force', result.mostNowN)} at most`}.
              </p>
              <LabelledValue name="fit later">
                {result.fitWithinHours === null
                  ? 'no way: the window lies below what is wanted'
                  : `a new one ${hoursText(result.fitWithinHours)} before the day at most`}
              </LabelledValue>
              <LabelledValue name="or set again">
                {result.setAgainAfterHours === null
                  ? 'no way: there is no room above what is wanted'
                  : `set to the most now, and again after ${hoursText(result.setAgainAfterHours)}`}
              </LabelledValue>
            </div>
          )}
          <LabelledValue name="look again after">
            {result.checkAfterHours === null ? 'the usual interval' : hoursText(result.checkAfterHours)}
          </LabelledValue>
          <LabelledValue name="level from">{hoursText(result.levelFromHours)} after fitting</LabelledValue>
          {onLookAgain && result.checkAfterHours !== null && (
            <Button
              size="compact-sm"
              variant="default"
              my={6}
              onClick={() => onLookAgain(dayAfter(result.checkAfterHours ?? 0))}
              data-no-print
            >
              Look again on {dayText(dayAfter(result.checkAfterHours ?? 0))}
            </Button>
          )}
          <p className="cap">
            Common practice: a new belt loses most in its first hours and days. Fitted early enough to be
            level on the day it need not be set high; too late for that, it is better fitted after the day.
          </p>
        </>
      )}
    </ToolPanel>
  )
}

type OwnReadings = NonNullable<RunningInInput['own']>

/** Frequencies of one span, in the order they are read; times are typed in days. */
const OWN_FIELDS: [key: Exclude<keyof OwnReadings, 'inHz'>, label: string, unit: string, factor: number][] = [
  ['asSet', 'As it was set', 'Hz', 1],
  ['firstHours', 'First, after', 'days', HOURS_A_DAY],
  ['first', 'First reading', 'Hz', 1],
  ['secondHours', 'Second, after', 'days', HOURS_A_DAY],
  ['second', 'Second reading', 'Hz', 1],
]

const daysSince = (day: string) =>
  Math.max(0, Math.floor((Date.now() - new Date(day).getTime()) / (HOURS_A_DAY * 3_600_000)))

const hoursText = (hours: number) =>
  hours < 48 ? `${fixed(hours, hours < 10 ? 1 : 0)} h` : `${fixed(hours / HOURS_A_DAY, 0)} days`
