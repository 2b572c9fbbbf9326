import { Checkbox, Select, TextInput } from '@mantine/core'
import type { LoopChoice } from '../api/client'
import { issueFor } from '../api/issues'
import { useDesignations } from '../api/queries'
import { ChoiceField } from '../quantities/ChoiceField'
import { QuantityField } from '../quantities/QuantityField'
import { hasLoopField, isToothed, sizeUnit } from './driveElements'
import type { FieldsProps } from './PairFields'
import { DRIVE_ELEMENT_WORDS } from './words'

interface Props extends FieldsProps<'loop'> {
  choice: LoopChoice
  choiceAt: string
  onChoice: (choice: LoopChoice) => void
}

/** A loop: what runs on it, the wheels as fitted, what fits it. */
export function LoopFields({ stage, at, choice, choiceAt, error, onChange, onChoice }: Props) {
  const known = useDesignations().data
  const toothed = isToothed(stage.driveElement)
  const unit = sizeUnit(stage.driveElement)
  const standards = {
    chain: known?.chains,
    toothedBelt: known?.toothedBelts,
    vBelt: known?.vBelts,
    flatBelt: undefined,
    roundBelt: undefined,
  }[stage.driveElement]
  return (
    <>
      <ChoiceField
        label="Runs on it"
        words={DRIVE_ELEMENT_WORDS}
        // What another kind begins with comes from the core: until it is there nothing can begin anew.
        disabled={!known}
        value={stage.driveElement}
        onChange={(driveElement) => {
          const start = known?.startingLoops.find((w) => w.driveElement === driveElement)
          if (!start || driveElement === stage.driveElement) return
          // Teeth are no diameters, and a sprocket no pulley: the loop begins anew.
          const { standard, slipFraction, arrangement, frontSize, rearSize } = start
          onChange({ ...stage, driveElement, standard, slipFraction, arrangement })
          onChoice({ ...choice, frontSize, rearSize, links: null, lengthMm: null })
        }}
      />
      {standards ? (
        <Select
          label="Standard"
          searchable
          description={
            known?.doublePitchChains.includes(stage.standard) &&
            'Double pitch: count the gaps at half its pitch. A wheel cut for every link has half as many teeth as it counts.'
          }
          data={[...new Set([...standards, stage.standard])]}
          value={stage.standard}
          onChange={(standard) => onChange({ ...stage, standard: standard ?? stage.standard })}
          error={issueFor(error, `${at}.standard`)}
        />
      ) : (
        <TextInput
          label="Standard"
          value={stage.standard}
          onChange={(event) => onChange({ ...stage, standard: event.currentTarget.value })}
          error={issueFor(error, `${at}.standard`)}
        />
      )}
      <QuantityField
        label="Front, fitted"
        unit={unit}
        value={choice.frontSize}
        onChange={(v) => onChoice({ ...choice, frontSize: v ?? 0 })}
        error={issueFor(error, `${choiceAt}.frontSize`)}
      />
      <QuantityField
        label="Rear, fitted"
        unit={unit}
        value={choice.rearSize}
        onChange={(v) => onChoice({ ...choice, rearSize: v ?? 0 })}
        error={issueFor(error, `${choiceAt}.rearSize`)}
      />
      {toothed && (
        <QuantityField
          label={stage.driveElement === 'chain' ? 'Links' : 'Belt teeth'}
          isCount
          value={choice.links ?? undefined}
          onChange={(v) => onChoice({ ...choice, links: v ?? null })}
          error={issueFor(error, `${choiceAt}.links`)}
        />
      )}
      <TextInput
        label="Front mounting"
        value={stage.frontMounting ?? ''}
        onChange={(event) => onChange({ ...stage, frontMounting: event.currentTarget.value || null })}
      />
      <TextInput
        label="Rear mounting"
        value={stage.rearMounting ?? ''}
        onChange={(event) => onChange({ ...stage, rearMounting: event.currentTarget.value || null })}
      />
      <QuantityField
        label="Smallest front"
        unit={unit}
        value={stage.smallestFront ?? undefined}
        onChange={(v) => onChange({ ...stage, smallestFront: v ?? null })}
        error={issueFor(error, `${at}.smallestFront`)}
      />
      <QuantityField
        label="Largest rear that clears"
        unit={unit}
        value={stage.largestRear ?? undefined}
        onChange={(v) => onChange({ ...stage, largestRear: v ?? null })}
        error={issueFor(error, `${at}.largestRear`)}
      />
      {hasLoopField(stage.driveElement, 'slipFraction') && (
        <QuantityField
          label="Slip"
          unit="of 1"
          step={0.005}
          value={stage.slipFraction}
          onChange={(v) => onChange({ ...stage, slipFraction: v ?? 0 })}
          error={issueFor(error, `${at}.slipFraction`)}
        />
      )}
      {hasLoopField(stage.driveElement, 'arrangement') && (
        <ChoiceField
          label="Arrangement"
          words={{ open: 'open', crossed: 'crossed, turns round' }}
          value={stage.arrangement}
          onChange={(arrangement) => onChange({ ...stage, arrangement })}
          error={issueFor(error, `${at}.arrangement`)}
        />
      )}
      <Checkbox
        mt={26}
        label="Rear wheel is split"
        checked={stage.rearIsSplit}
        onChange={(event) => onChange({ ...stage, rearIsSplit: event.currentTarget.checked })}
      />
    </>
  )
}
