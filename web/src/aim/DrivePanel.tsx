import { Button, Select } from '@mantine/core'
import { lazy, Suspense, useState } from 'react'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { findingText } from '../machine/findings'
import { PartWorking } from '../machine/PartWorking'
import type { Workbench } from '../machine/useWorkbench'
import { gearName, rpm } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { Panel } from '../shell/Panel'
import { WhyButton } from '../shell/WhyButton'
import classes from './DrivePanel.module.css'
import { DriveTree } from './DriveTree'

const MachineEditor = lazy(() => import('../machine/MachineEditor'))

/** The drive with the wheels in view: every shaft with its speed and sense, in one gear. */
export function DrivePanel({ bench }: { bench: Workbench }) {
  const { drive, card, shown, gears } = bench
  const [speed, setSpeed] = useState<number | undefined>(drive.input.limitSpeedRpm)
  const [gearIndex, setGearIndex] = useState(gears.length - 1)
  const [isEditing, setEditing] = useState(false)
  const [isWorking, setWorking] = useState(false)
  const inputSpeedRpm = useDebouncedDraft(speed)
  const state = useEvaluation(
    bench.subject,
    'drives',
    inputSpeedRpm === undefined ? undefined : { inputSpeedRpm },
  )
  const gear = Math.min(gearIndex, gears.length - 1)
  return (
    <Panel
      title="This drive"
      note={`${shown.name} · ${drive.input.shaft} at ${rpm(speed ?? 0)} rpm`}
      isStale={state.isStale}
      aside={
        <Button size="compact-sm" variant="default" onClick={() => setEditing(true)} data-no-print>
          Edit machine and drive
        </Button>
      }
    >
      <div className={classes.controls} data-no-print>
        <QuantityField
          size="xs"
          w={130}
          label={`Speed of the ${drive.input.shaft}`}
          unit="rpm"
          value={speed}
          onChange={setSpeed}
          error={state.error ? sentenceOf(state.error) : undefined}
        />
        {gears.length > 1 && (
          <Select
            size="xs"
            w={90}
            label="Gear"
            data={gears.map((label, i) => ({ value: String(i), label: gearName(label) }))}
            value={String(gear)}
            onChange={(value) => setGearIndex(Number(value))}
          />
        )}
        {state.data && <WhyButton onClick={() => setWorking(true)} />}
      </div>
      {state.data?.drives.map((d, _, drives) => {
        const own = card.machine.drives.find((o) => o.key === d.driveKey)
        const gearState = d.gears[Math.min(gear, d.gears.length - 1)]
        return own && gearState ? (
          <DriveTree
            key={d.driveKey}
            drive={own}
            gear={gearState}
            loops={shown.loops}
            titled={drives.length > 1}
          />
        ) : null
      })}
      {state.data?.findings.map((finding) => (
        <p key={finding.kind + finding.things.join()} className={classes.finding}>
          ▲ {findingText(finding)}
        </p>
      ))}
      {isWorking && state.of && (
        <PartWorking
          title="Overall ratio"
          bench={bench}
          part="drives"
          question={state.of}
          of={(answer) => answer.workings}
          onClose={() => setWorking(false)}
        />
      )}
      <Suspense>{isEditing && <MachineEditor card={card} onClose={() => setEditing(false)} />}</Suspense>
    </Panel>
  )
}
