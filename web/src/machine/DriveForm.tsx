import { Button, Checkbox, Menu, Select, TextInput } from '@mantine/core'
import type { Drive, LoopChoice, Stage } from '../api/client'
import { issueFor } from '../api/issues'
import { useDesignations } from '../api/queries'
import { choicesOf } from '../quantities/choices'
import { QuantityField } from '../quantities/QuantityField'
import classes from './MachineEditor.module.css'
import { newStage, STAGE_WORDS } from './newParts'
import { OutputForm } from './OutputForm'
import { StageForm } from './StageForm'
import { insertedBefore, renamedShaft, swapped, whyNotSwapped, without } from './stageOrder'

interface Props {
  drive: Drive
  others: Drive[]
  /** Path of this drive in a refusal, e.g. “drives[0]”. */
  at: string
  fitted: LoopChoice[]
  fittedAt: (loopKey: string) => string
  error: unknown
  onChange: (drive: Drive) => void
  onFitted: (choice: LoopChoice) => void
  onRemove?: () => void
}

const PICKUPS: { value: Drive['speedPickup']; label: string }[] = [
  { value: 'none', label: 'no speedometer' },
  { value: 'gearboxOutput', label: 'before the final drive' },
  { value: 'drivenWheel', label: 'on the driven wheel' },
  { value: 'otherWheel', label: 'on another wheel' },
]

/** One drive: its input, its stages in order, its outputs. */
export function DriveForm({
  drive,
  others,
  at,
  fitted,
  fittedAt,
  error,
  onChange,
  onFitted,
  onRemove,
}: Props) {
  const { input } = drive
  const issue = (field: string) => issueFor(error, `${at}.${field}`)
  const setInput = (part: Partial<Drive['input']>) => onChange({ ...drive, input: { ...input, ...part } })
  const setStage = (i: number, stage: Stage) =>
    onChange({ ...drive, stages: drive.stages.map((s, k) => (k === i ? stage : s)) })
  const shafts = [input.shaft, ...drive.stages.map((s) => s.drivenShaft)]
  const keys = [drive, ...others].flatMap((d) => d.stages.map((s) => s.key))
  const starts = useDesignations().data?.startingStages
  const added = (kind: Stage['kind'], add: (stage: Stage) => void) => {
    const start = starts?.find((s) => s.kind === kind)
    if (start) add(newStage(start, drive, keys))
  }
  const geared = drive.stages.some((s) => s.kind === 'gearbox' || s.kind === 'hubGear')
  return (
    <fieldset className={classes.drive}>
      <legend>Drive: {drive.name}</legend>
      <div className={classes.row}>
        <TextInput
          label="Name of the drive"
          value={drive.name}
          onChange={(event) => onChange({ ...drive, name: event.currentTarget.value })}
          error={issue('name')}
        />
        <TextInput
          label="Input shaft"
          value={input.shaft}
          onChange={(event) => {
            const shaft = event.currentTarget.value
            onChange(renamedShaft({ ...drive, input: { ...input, shaft } }, input.shaft, shaft))
          }}
          error={issue('input.shaft')}
        />
        <Select
          label="Turned by"
          data={['engine', 'motor', 'rider']}
          value={input.kind}
          onChange={(kind) => kind && setInput({ kind })}
        />
        <QuantityField
          label="Lowest speed"
          unit="rpm"
          value={input.lowSpeedRpm ?? undefined}
          onChange={(v) => setInput({ lowSpeedRpm: v ?? Number.NaN })}
          error={issue('input.lowSpeedRpm')}
        />
        <QuantityField
          label="Limit speed"
          unit="rpm"
          value={input.limitSpeedRpm ?? undefined}
          onChange={(v) => setInput({ limitSpeedRpm: v ?? Number.NaN })}
          error={issue('input.limitSpeedRpm')}
        />
        {input.kind === 'rider' && (
          <QuantityField
            label="Crank"
            quantity="length"
            value={input.crankLengthMm ?? undefined}
            onChange={(v) => setInput({ crankLengthMm: v ?? null })}
            error={issue('input.crankLengthMm')}
          />
        )}
        <Select
          label="Speedometer pickup"
          data={PICKUPS}
          value={drive.speedPickup}
          onChange={(speedPickup) => speedPickup && onChange({ ...drive, speedPickup })}
        />
        {drive.speedPickup !== 'none' && (
          <QuantityField
            label="It shows too much"
            unit="%"
            value={drive.speedometerErrorPercent}
            onChange={(v) => onChange({ ...drive, speedometerErrorPercent: v ?? 0 })}
            error={issue('speedometerErrorPercent')}
          />
        )}
        {others.length > 0 && (
          <Select
            label="Must match"
            data={[
              { value: '', label: 'stands alone' },
              ...others.map((d) => ({ value: d.key, label: d.name })),
            ]}
            value={drive.mirrors ?? ''}
            onChange={(value) => onChange({ ...drive, mirrors: value || null })}
            error={issue('mirrors')}
          />
        )}
      </div>
      {geared && (
        <Checkbox
          mt="sm"
          label="The same overall ratio in another gear is as good (no power or fuel map by gear)"
          checked={drive.gearsInterchangeable}
          onChange={(event) => onChange({ ...drive, gearsInterchangeable: event.currentTarget.checked })}
        />
      )}
      {issue('stages') && <p className={classes.error}>{issue('stages')}</p>}
      {drive.stages.map((stage, i) => (
        <StageForm
          key={stage.key}
          stage={stage}
          shafts={[input.shaft, ...drive.stages.slice(0, i).map((s) => s.drivenShaft)]}
          at={`${at}.stages[${i}]`}
          choice={fitted.find((c) => c.loopKey === stage.key)}
          choiceAt={fittedAt(stage.key)}
          error={error}
          onChange={(next) =>
            next.drivenShaft === stage.drivenShaft
              ? setStage(i, next)
              : onChange(
                  renamedShaft(
                    { ...drive, stages: drive.stages.map((s, k) => (k === i ? next : s)) },
                    stage.drivenShaft,
                    next.drivenShaft,
                  ),
                )
          }
          onChoice={onFitted}
          onRemove={() => onChange(without(drive, i))}
          onInsert={(kind) => added(kind, (stage) => onChange(insertedBefore(drive, i, stage)))}
          moves={[
            { label: 'Earlier', why: i === 0 ? 'It is the first.' : whyNotSwapped(drive, i - 1), at: i - 1 },
            { label: 'Later', why: whyNotSwapped(drive, i), at: i },
          ].map(({ label, why, at }) => ({ label, why, onMove: () => onChange(swapped(drive, at)) }))}
        />
      ))}
      {drive.outputs.map((output, i) => (
        <OutputForm
          // biome-ignore lint/suspicious/noArrayIndexKey: outputs are in order; their names are typed by hand
          key={i}
          output={output}
          shafts={shafts}
          at={`${at}.outputs[${i}]`}
          error={error}
          onChange={(next) =>
            onChange({ ...drive, outputs: drive.outputs.map((o, k) => (k === i ? next : o)) })
          }
          onRemove={
            drive.outputs.length > 1
              ? () => onChange({ ...drive, outputs: drive.outputs.filter((_, k) => k !== i) })
              : undefined
          }
        />
      ))}
      <div className={classes.bar}>
        <Menu>
          <Menu.Target>
            <Button size="compact-sm" variant="default">
              Add a stage
            </Button>
          </Menu.Target>
          <Menu.Dropdown>
            {choicesOf(STAGE_WORDS).map(({ value, label }) => (
              <Menu.Item
                key={value}
                onClick={() =>
                  added(value, (stage) => onChange({ ...drive, stages: [...drive.stages, stage] }))
                }
              >
                {label}
              </Menu.Item>
            ))}
          </Menu.Dropdown>
        </Menu>
        <Button
          size="compact-sm"
          variant="default"
          onClick={() =>
            onChange({
              ...drive,
              outputs: [
                ...drive.outputs,
                {
                  name: `output ${drive.outputs.length + 1}`,
                  shaft: shafts.at(-1) ?? input.shaft,
                  onRoad: false,
                  roadWheel: null,
                },
              ],
            })
          }
        >
          Add an output
        </Button>
        {onRemove && (
          <Button size="compact-sm" variant="subtle" color="gray" onClick={onRemove}>
            Remove this drive
          </Button>
        )}
      </div>
    </fieldset>
  )
}
