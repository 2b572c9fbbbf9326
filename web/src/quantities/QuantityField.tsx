import { NumberInput, type NumberInputProps } from '@mantine/core'
import { useEffect, useState } from 'react'
import classes from './QuantityField.module.css'
import { type Quantity, useUnits } from './units'

interface Props extends Omit<NumberInputProps, 'value' | 'onChange'> {
  value: number | undefined
  onChange: (value: number | undefined) => void
  /** Converts between the stored and the shown unit; without it the number is shown as it is stored. */
  quantity?: Quantity
  unit?: string
}

/** A number with its unit. An empty or unfinished field is `undefined`, never 0. */
export function QuantityField({ value, onChange, quantity, unit, ...rest }: Props) {
  const units = useUnits()
  const shown = value === undefined ? '' : quantity ? units.toShown(quantity, value) : value
  const [text, setText] = useState<number | string>(shown)
  // While typing “2.” the field shows what was typed; otherwise it follows the value, also when the units change.
  useEffect(() => setText((typed) => (typed !== '' && Number(typed) === shown ? typed : shown)), [shown])
  const suffix = quantity ? units.unitOf(quantity) : unit
  return (
    <NumberInput
      size="sm"
      hideControls
      rightSection={
        suffix ? (
          <span className={classes.unit} aria-hidden="true">
            {suffix}
          </span>
        ) : undefined
      }
      rightSectionWidth={suffix ? Math.max(26, suffix.length * 7 + 12) : undefined}
      {...rest}
      value={text}
      onChange={(next) => {
        setText(next)
        const number = typeof next === 'number' ? next : next.trim() === '' ? undefined : Number(next)
        if (number === undefined || Number.isNaN(number)) onChange(undefined)
        else onChange(quantity ? units.toStored(quantity, number) : number)
      }}
    />
  )
}
