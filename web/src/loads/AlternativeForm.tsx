import { Button, Select, TextInput } from '@mantine/core'
import type { AssumedLoads, LoopAlternative } from '../api/client'
import { issueFor } from '../api/issues'
import { useDesignations } from '../api/queries'
import { DraftBar } from '../machine/DraftBar'
import { isToothed } from '../machine/driveElements'
import { useMachineSave } from '../machine/useMachineSave'
import type { Workbench } from '../machine/useWorkbench'
import { DRIVE_ELEMENT_WORDS } from '../machine/words'
import { QuantityField } from '../quantities/QuantityField'
import fields from '../shell/fields.module.css'
import { StrengthFields } from './StrengthFields'
import { loadsWith } from './useLoads'

/** A chain or belt of another kind in the place of the loop in view: tried while it is typed, stored when wanted. */
export function AlternativeForm({
  bench,
  alternative,
  stored,
  assumed,
  refusal,
  at,
  onChange,
  onDone,
}: {
  bench: Workbench
  alternative: LoopAlternative
  /** What it was opened from; undefined for a new one. */
  stored: LoopAlternative | undefined
  assumed: AssumedLoads | undefined
  refusal: unknown
  /** Where it stands in what was asked. */
  at: string
  onChange: (alternative: LoopAlternative) => void
  onDone: () => void
}) {
  const { machine, fitted } = bench.card
  const known = useDesignations().data
  const remove = useMachineSave(bench.card, onDone)
  const standards = {
    chain: known?.chains,
    toothedBelt: known?.toothedBelts,
    vBelt: known?.vBelts,
    flatBelt: undefined,
    roundBelt: undefined,
  }[alternative.driveElement]
  const set = (part: Partial<LoopAlternative>) => onChange({ ...alternative, ...part })
  const all = machine.loads?.alternatives ?? []
  const others = all.filter((a) => a !== stored)
  const withAlternatives = (alternatives: LoopAlternative[]) => ({
    ...machine,
    loads: loadsWith(machine.loads, { alternatives }),
  })
  const size = (label: string, key: 'frontSize' | 'rearSize') => (
    <QuantityField
      size="xs"
      label={label}
      quantity={isToothed(alternative.driveElement) ? undefined : 'fine'}
      unit="teeth"
      value={alternative[key]}
      onChange={(value) => value !== undefined && set({ [key]: value })}
      error={issueFor(refusal, `${at}.${key}`)}
    />
  )
  return (
    <div style={{ marginTop: 8 }}>
      <h3>{DRIVE_ELEMENT_WORDS[alternative.driveElement]} in its place</h3>
      <div className={fields.fields} data-no-print>
        <TextInput
          size="xs"
          label="Name"
          value={alternative.name}
          onChange={(event) => set({ name: event.currentTarget.value })}
          error={issueFor(refusal, `${at}.name`)}
        />
        {standards && (
          <Select
            size="xs"
            label="Standard"
            searchable
            data={standards}
            value={alternative.standard}
            onChange={(standard) => standard && set({ standard })}
            error={issueFor(refusal, `${at}.standard`)}
          />
        )}
        {size('Front', 'frontSize')}
        {size('Rear', 'rearSize')}
      </div>
      <StrengthFields
        driveElement={alternative.driveElement}
        strength={alternative.strength}
        assumed={assumed}
        refusal={refusal}
        at={`${at}.strength`}
        onChange={(part) => set({ strength: { ...alternative.strength, ...part } })}
      />
      <DraftBar
        card={bench.card}
        machine={withAlternatives([...others, alternative])}
        isPossible={!refusal && alternative !== stored}
        onBack={onDone}
        more={
          stored && (
            <Button
              size="compact-sm"
              variant="default"
              loading={remove.isPending}
              onClick={() =>
                remove.store({
                  machine: withAlternatives(others),
                  fitted: fitted.loops,
                  fittedVersion: fitted.version,
                })
              }
              data-no-print
            >
              Take it away
            </Button>
          )
        }
      >
        {alternative === stored ? 'as stored' : 'tried, not stored'}
      </DraftBar>
      {remove.dialog}
    </div>
  )
}
