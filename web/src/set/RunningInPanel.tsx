import { SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import { type RunningInInput, runIn, type SetAdvice } from '../api/client'
import { issueFor } from '../api/issues'
import { useComputed } from '../api/queries'
import { fixed } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Figure } from '../shell/Figure'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import classes from './Instruments.module.css'

const WIDTH = 300
const HEIGHT = 80
const HOURS_A_DAY = 24

/** How a new belt loses tension, and what to set today for the day it is needed. */
export function RunningInPanel({ advice }: { advice: SetAdvice }) {
  const units = useUnits()
  const [cord, setCord] = useState<RunningInInput['cord']>('rubber')
  const [days, setDays] = useState<number | undefined>(0)
  const [until, setUntil] = useState<number | undefined>(7)
  const [isWorking, setWorking] = useState(false)
  const wanted = advice.window?.low
  const input: RunningInInput | undefined =
    days === undefined || until === undefined || !wanted
      ? undefined
      : {
          cord,
          hours: days * HOURS_A_DAY,
          untilHours: until * HOURS_A_DAY,
          wantedN: wanted,
          first: null,
          second: null,
        }
  const answer = useComputed('running-in', input, runIn)
  const told = input && answer.data
  const end = told?.curve.at(-1)?.hours ?? 1
  return (
    <Panel
      title="Running in"
      note="a new belt loses tension"
      isStale={answer.isStale}
      aside={told && <WhyButton onClick={() => setWorking(true)} />}
    >
      <SegmentedControl
        size="xs"
        aria-label="Cords"
        value={cord}
        onChange={(value) => setCord(value as RunningInInput['cord'])}
        data={[
          { value: 'rubber', label: 'rubber' },
          { value: 'stiffCord', label: 'aramid or carbon' },
        ]}
        data-no-print
      />
      <div className={fields.fields} style={{ marginTop: 8 }}>
        <QuantityField
          size="xs"
          label="Fitted since"
          unit="days"
          value={days}
          onChange={setDays}
          error={issueFor(answer.error, 'hours')}
        />
        <QuantityField
          size="xs"
          label="Must be right in"
          unit="days"
          value={until}
          onChange={setUntil}
          error={issueFor(answer.error, 'untilHours')}
        />
      </div>
      <Refused error={answer.error} />
      {told && (
        <>
          <svg
            viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
            className={classes.wave}
            role="img"
            aria-label={`Tension left, from all of it to ${fixed((told.curve.at(-1)?.fraction ?? 0) * 100, 0)} % after ${fixed(end / HOURS_A_DAY, 0)} days`}
          >
            <path
              d={`M${told.curve.map((p) => `${(p.hours / end) * WIDTH} ${HEIGHT - 14 - p.fraction * (HEIGHT - 20)}`).join('L')}`}
            />
            <text x={0} y={HEIGHT - 2}>
              fitted
            </text>
            <text x={WIDTH} y={HEIGHT - 2} textAnchor="end">
              {fixed(end / HOURS_A_DAY, 0)} days
            </text>
          </svg>
          <Figure name="set the loosest now to">
            {units.show('force', told.setNowN)}, {fixed(told.overPercent, 0)} % over
          </Figure>
          <Figure name="look again after">
            {told.checkAfterHours === null ? 'the usual interval' : hoursText(told.checkAfterHours)}
          </Figure>
          <Figure name="level from">{hoursText(told.levelFromHours)} after fitting</Figure>
          <p className="cap">
            Common practice of rubber belts: a fifth lost in the first hours, half in a week. Fitting it
            earlier spares the bearings what setting it high costs them.
          </p>
        </>
      )}
      {isWorking && told && (
        <WorkingDialog
          title="Working: running in"
          workings={told.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </Panel>
  )
}

const hoursText = (hours: number) =>
  hours < 48 ? `${fixed(hours, hours < 10 ? 1 : 0)} h` : `${fixed(hours / HOURS_A_DAY, 0)} days`
