import { Modal, TextInput } from '@mantine/core'
import { type ReactNode, useState } from 'react'
import type { SupplyNote } from '../api/client'
import { issueFor } from '../api/issues'
import { DayField } from '../quantities/DayField'
import { QuantityField } from '../quantities/QuantityField'
import fields from '../shell/fields.module.css'
import classes from './StockView.module.css'
import { supplyText } from './supply'

const UNKNOWN: SupplyNote = { supplier: null, deliveryDays: null, knownOn: null }

/** Who has it and how long it takes, in a few words; a press opens it to be changed, which is stored as it is typed. */
export function SupplyCell({
  name,
  supply,
  error,
  children,
  onChange,
}: {
  /** Of what is got. */
  name: string
  supply: SupplyNote | null | undefined
  error: unknown
  /** What else can be changed there. */
  children?: ReactNode
  onChange: (supply: SupplyNote | null) => void
}) {
  const [isOpen, setOpen] = useState(false)
  const known = supply ?? UNKNOWN
  const change = (part: Partial<SupplyNote>) => {
    const next = { ...known, ...part }
    onChange(Object.values(next).every((v) => v === null) ? null : next)
  }
  return (
    <>
      <button
        type="button"
        className={classes.supply}
        aria-label={`How to get ${name}: ${supplyText(supply)}`}
        onClick={() => setOpen(true)}
      >
        {supplyText(supply)}
      </button>
      <Modal
        opened={isOpen}
        onClose={() => setOpen(false)}
        title={name}
        closeButtonProps={{ 'aria-label': 'Close' }}
      >
        {children}
        <TextInput
          mt="sm"
          label="Supplier"
          value={known.supplier ?? ''}
          onChange={(event) => change({ supplier: event.currentTarget.value || null })}
          error={issueFor(error, 'supply.supplier')}
        />
        <div className={fields.fields} style={{ marginTop: 8 }}>
          <QuantityField
            label="Delivery"
            unit="days"
            isCount
            value={known.deliveryDays ?? undefined}
            onChange={(deliveryDays) => change({ deliveryDays: deliveryDays ?? null })}
            error={issueFor(error, 'supply.deliveryDays')}
          />
          <DayField
            label="Known since"
            value={known.knownOn ?? ''}
            onChange={(day) => change({ knownOn: day || null })}
          />
        </div>
        <p className="cap">Stored as you type; the history (H) has what it was.</p>
      </Modal>
    </>
  )
}
