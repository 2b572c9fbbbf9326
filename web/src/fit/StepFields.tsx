import { Select } from '@mantine/core'
import type { ReactNode } from 'react'
import type { AdjusterStep } from '../api/client'
import editor from '../machine/MachineEditor.module.css'
import { QuantityField } from '../quantities/QuantityField'
import { STEP_WORDS } from './words'

const NOT_COUNTED = 'none'

/** What the adjuster is set by, so that what is left of it can be told in turns, clicks or shims. */
export function StepFields({
  step,
  issue,
  onChange,
}: {
  step: AdjusterStep | null
  issue: (field: string) => ReactNode
  onChange: (step: AdjusterStep | null) => void
}) {
  return (
    <div className={editor.row}>
      <Select
        label="Set by"
        data={[
          { value: NOT_COUNTED, label: 'sliding it freely' },
          ...Object.entries(STEP_WORDS).map(([value, [, many]]) => ({ value, label: many })),
        ]}
        value={step?.kind ?? NOT_COUNTED}
        onChange={(kind) =>
          onChange(
            kind && kind in STEP_WORDS
              ? { kind: kind as AdjusterStep['kind'], travelMm: step?.travelMm ?? 1 }
              : null,
          )
        }
      />
      {step && (
        <QuantityField
          label={`Way of one ${STEP_WORDS[step.kind][0]}`}
          quantity="fine"
          required
          withAsterisk={false}
          value={step.travelMm}
          onChange={(travelMm) => travelMm !== undefined && onChange({ ...step, travelMm })}
          error={issue('travelMm')}
        />
      )}
    </div>
  )
}
