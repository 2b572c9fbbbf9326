import { Button, Menu, Select, TextInput } from '@mantine/core'
import type { LoopChoice, Stage } from '../api/client'
import { issueFor } from '../api/issues'
import { choicesOf } from '../quantities/choices'
import { ReasonedButton } from '../shell/ReasonedButton'
import { GearboxFields } from './GearboxFields'
import { HubGearFields } from './HubGearFields'
import { LoopFields } from './LoopFields'
import classes from './MachineEditor.module.css'
import { STAGE_WORDS } from './newParts'
import { PairFields, PlanetaryFields } from './PairFields'

export interface StageFormProps {
  stage: Stage
  /** Shafts that are driven already: one of them drives this stage. */
  shafts: string[]
  at: string
  choice: LoopChoice | undefined
  choiceAt: string
  error: unknown
  onChange: (stage: Stage) => void
  onChoice: (choice: LoopChoice) => void
  onRemove: () => void
  /** Puts a new stage before this one. */
  onInsert: (kind: Stage['kind']) => void
  /** Changing places with a neighbour, or why it can't. */
  moves: { label: string; why: string | null; onMove: () => void }[]
}

/** One stage: between which shafts, and the fields of its kind. */
export function StageForm(props: StageFormProps) {
  const { stage, shafts, at, error, onChange, onRemove, onInsert, moves } = props
  const issue = (field: string) => issueFor(error, `${at}.${field}`)
  return (
    <fieldset className={classes.part}>
      <legend>{STAGE_WORDS[stage.kind]}</legend>
      <div className={classes.row}>
        <TextInput
          label="Name"
          value={stage.name}
          onChange={(event) => onChange({ ...stage, name: event.currentTarget.value })}
          error={issue('name') ?? issue('key')}
        />
        <Select
          label="Driven from"
          data={[...new Set([...shafts, stage.drivingShaft])]}
          value={stage.drivingShaft}
          onChange={(shaft) => onChange({ ...stage, drivingShaft: shaft ?? stage.drivingShaft })}
          error={issue('drivingShaft')}
        />
        <TextInput
          label="Drives the shaft"
          value={stage.drivenShaft}
          onChange={(event) => onChange({ ...stage, drivenShaft: event.currentTarget.value })}
          error={issue('drivenShaft')}
        />
        <KindFields {...props} />
      </div>
      <div className={classes.bar}>
        <Menu>
          <Menu.Target>
            <Button size="compact-xs" variant="subtle" color="gray">
              Insert before {stage.name}
            </Button>
          </Menu.Target>
          <Menu.Dropdown>
            {choicesOf(STAGE_WORDS).map(({ value, label }) => (
              <Menu.Item key={value} onClick={() => onInsert(value)}>
                {label}
              </Menu.Item>
            ))}
          </Menu.Dropdown>
        </Menu>
        {moves.map(({ label, why, onMove }) => (
          <ReasonedButton
            key={label}
            size="compact-xs"
            variant="subtle"
            color="gray"
            aria-label={`${label}: ${stage.name}`}
            why={why}
            onClick={onMove}
          >
            {label}
          </ReasonedButton>
        ))}
        <Button size="compact-xs" variant="subtle" color="gray" onClick={onRemove}>
          Remove {stage.name}
        </Button>
      </div>
    </fieldset>
  )
}

function KindFields({ stage, at, choice, choiceAt, error, onChange, onChoice }: StageFormProps) {
  switch (stage.kind) {
    case 'fixedPair':
      return <PairFields stage={stage} at={at} error={error} onChange={onChange} />
    case 'planetary':
      return <PlanetaryFields stage={stage} at={at} error={error} onChange={onChange} />
    case 'gearbox':
      return <GearboxFields stage={stage} at={at} error={error} onChange={onChange} />
    case 'hubGear':
      return <HubGearFields stage={stage} at={at} error={error} onChange={onChange} />
    case 'loop':
      return (
        choice && (
          <LoopFields
            stage={stage}
            at={at}
            choice={choice}
            choiceAt={choiceAt}
            error={error}
            onChange={onChange}
            onChoice={onChoice}
          />
        )
      )
  }
}
