import { Button } from '@mantine/core'
import { useState } from 'react'
import { type ChoiceDesk, type OptionFigures, type RecordedFigures, useRecordedFigures } from '../api/choice'
import { fixed, plain } from '../quantities/format'
import { type Units, useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import classes from './Choice.module.css'
import type { Weighing } from './useWeighing'
import { rangeText } from './words'

/** What was measured of what is on: it goes into the weighing at a press, never by itself. */
export function RecordPanel({
  weighing,
  desk,
  machineId,
}: {
  weighing: Weighing
  desk: ChoiceDesk
  machineId: number
}) {
  const units = useUnits()
  const [isWorking, setWorking] = useState(false)
  const { data } = useRecordedFigures(machineId, desk.weighing.loopKey)
  const rows = data?.option && weighing.matter === null ? rowsOf(data, units) : []
  if (!data?.option || rows.length === 0) return null
  const name = desk.offered.find((o) => o.key === data.option)?.name ?? data.option
  return (
    <Panel title="What this machine’s record says" note={name}>
      {rows.map(({ text, part }) => (
        <p key={text} className={classes.recorded}>
          <span>{text}</span>
          {part && (
            <Button
              size="compact-sm"
              variant="default"
              aria-label={`Put it in: ${text}`}
              onClick={() => data.option && weighing.changeFigures(data.option, part)}
              data-no-print
            >
              Put it in
            </Button>
          )}
        </p>
      ))}
      {data.workings.length > 0 && <WhyButton onClick={() => setWorking(true)}>working</WhyButton>}
      {isWorking && (
        <WorkingDialog
          title="What the record says"
          workings={data.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </Panel>
  )
}

/** What is told, and what of it can be put in. */
function rowsOf(data: RecordedFigures, units: Units): { text: string; part?: Partial<OptionFigures> }[] {
  const { life, upkeep, use, score } = data
  const km = (value: number) => units.show('distance', Math.round(value))
  return [
    life && {
      text: `lasts ${rangeText(life.low, life.high, km)}, by ${life.readings} readings of how it grows`,
      part: {
        lifeLow: Math.round(life.low),
        lifeHigh: Math.round(life.high),
        lifeBy: 'measuredHere' as const,
      },
    },
    upkeep && {
      text: `looked after every ${km(upkeep.everyKm)}, ${fixed(upkeep.minutes, 0)} min each, ${upkeep.times} times`,
      part: {
        upkeepMinutes: Math.round(upkeep.minutes),
        upkeepEvery: Math.round(upkeep.everyKm),
        upkeepBy: 'measuredHere' as const,
      },
    },
    use && {
      text: `uses ${plain(Number(use.per100.toFixed(2)))} ${use.isCharged ? 'kWh' : 'L'} in ${km(100)}, ${use.stretches} times from full to full`,
      part: { fuelPer100: Number(use.per100.toFixed(2)) },
    },
    score && { text: `its people gave it ${fixed(score.mean, 1)} of 5, ${score.times} times` },
  ].filter((row) => row !== null)
}
