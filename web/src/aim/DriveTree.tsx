import type { Drive, LoopChoice, MachineDrivesResult, Stage } from '../api/client'
import { isToothed } from '../machine/driveElements'
import { DRIVE_ELEMENT_WORDS, pairText } from '../machine/words'
import { rpm } from '../quantities/format'
import { useUnits } from '../quantities/units'
import classes from './DriveTree.module.css'

type GearState = MachineDrivesResult['drives'][number]['gears'][number]
interface Props {
  drive: Drive
  gear: GearState
  loops: LoopChoice[]
  titled: boolean
}

/** The drive as a tree of shafts: a shaft that feeds several stages branches. */
export function DriveTree({ drive, gear, loops, titled }: Props) {
  return (
    <div className={classes.tree}>
      {titled && <h3>{drive.name}</h3>}
      <ShaftNode shaft={drive.input.shaft} drive={drive} gear={gear} loops={loops} />
    </div>
  )
}

function ShaftNode({ shaft, drive, gear, loops }: Omit<Props, 'titled'> & { shaft: string }) {
  const units = useUnits()
  const state = gear.shafts.find((s) => s.shaft === shaft)
  const stages = drive.stages.filter((s) => s.drivingShaft === shaft)
  const outputs = gear.outputs.filter((o) =>
    drive.outputs.some((d) => d.name === o.name && d.shaft === shaft),
  )
  return (
    <div className={classes.node}>
      <div className={classes.shaft}>
        <b>{shaft}</b>
        {state && (
          <span className="num">
            {rpm(state.speedRpm)} rpm <Sense against={state.againstInput} />
          </span>
        )}
        {outputs.map((output) => (
          <span key={output.name} className={classes.output}>
            {output.name}
            {output.speedKmh !== null && <b className="num"> {units.show('speed', output.speedKmh)}</b>}
          </span>
        ))}
      </div>
      {stages.length > 0 && (
        <ul className={classes.branches}>
          {stages.map((stage) => (
            <li key={stage.key}>
              <span className={classes.stage}>
                {stage.name} <span className="num">{stageText(stage, loops)}</span>
              </span>
              <ShaftNode shaft={stage.drivenShaft} drive={drive} gear={gear} loops={loops} />
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

function Sense({ against }: { against: boolean }) {
  return (
    <span
      role="img"
      aria-label={against ? 'against the input' : 'with the input'}
      title={against ? 'against the input' : 'with the input'}
    >
      {against ? '↺' : '↻'}
    </span>
  )
}

function stageText(stage: Stage, loops: LoopChoice[]): string {
  switch (stage.kind) {
    case 'fixedPair':
      return `${stage.driverTeeth} / ${stage.drivenTeeth}`
    case 'gearbox':
      return stage.set.name
    case 'hubGear':
      return stage.hubName
    case 'planetary':
      return `sun ${stage.sunTeeth}, ring ${stage.ringTeeth}, ${stage.held} held`
    case 'loop': {
      const choice = loops.find((l) => l.loopKey === stage.key)
      const what = `${stage.arrangement === 'crossed' ? 'crossed ' : ''}${DRIVE_ELEMENT_WORDS[stage.driveElement]} ${stage.standard}`
      return choice
        ? `${pairText(choice.frontSize, choice.rearSize, isToothed(stage.driveElement))} · ${what}`
        : what
    }
  }
}
