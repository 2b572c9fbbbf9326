import { TextInput, type TextInputProps } from '@mantine/core'
import { useCallbackRef } from '@mantine/hooks'
import { type ChangeEvent, type FocusEvent, memo, useEffect, useMemo, useRef, useState } from 'react'
import classes from './QuantityField.module.css'
import { type TypedNumber, typedNumber } from './typedNumber'
import { type Quantity, useUnits } from './units'

interface Props extends Omit<TextInputProps, 'value' | 'onChange'> {
  value: number | undefined
  onChange: (value: number | undefined) => void
  /** Converts between the stored and the shown unit; without it the number is shown as it is stored. */
  quantity?: Quantity
  unit?: string
  /** Whole numbers only: teeth, links, strands. */
  isCount?: boolean
}

/**
 * The number field of the whole page. An empty field is `undefined`, never 0. What is no number is refused where it stands and
 * changes nothing: the text stays, the last good value too, and no form is stored with it.
 */
export function QuantityField({ value, onChange, quantity, unit, isCount, error, onBlur, ...rest }: Props) {
  const units = useUnits()
  const input = useRef<HTMLInputElement>(null)
  const known = value === undefined || Number.isNaN(value) ? undefined : value
  const shown = known === undefined ? '' : String(quantity ? units.toShown(quantity, known) : known)
  const [text, setText] = useState(shown)
  const [isLeft, setLeft] = useState(false)
  const suffix = quantity ? units.unitOf(quantity) : unit
  const read = (written: string) =>
    typedNumber(written, {
      quantity,
      unit: suffix,
      toStored: (number) => (quantity ? units.toStored(quantity, number) : number),
    })
  const means = (written: string) => {
    const said = read(written)
    return said.kind === 'number' ? said.value : undefined
  }
  // Follows a value from outside: another machine, another unit, a step by key. What is typed here and means it already stays.
  // biome-ignore lint/correctness/useExhaustiveDependencies: typing changes text and value together, only a value from outside counts
  useEffect(() => {
    if (means(text) !== known) setText(shown)
  }, [shown])
  const typed = read(text)
  const refusal = refusalOf(text.trim(), typed, isCount === true, isLeft)
  // A form is not stored while a field of it is refused.
  useEffect(() => input.current?.setCustomValidity(refusal ?? ''), [refusal])
  const rightSection = useMemo(
    () =>
      suffix ? (
        <span className={classes.unit} aria-hidden="true">
          {suffix}
        </span>
      ) : undefined,
    [suffix],
  )
  const leave = useCallbackRef((event: FocusEvent<HTMLInputElement>) => {
    setLeft(true)
    // A unit of its own was written: now the number stands in the field's.
    if (typed.kind === 'number' && typed.hasUnit) setText(shown)
    onBlur?.(event)
  })
  const write = useCallbackRef((event: ChangeEvent<HTMLInputElement>) => {
    const next = event.currentTarget.value
    setText(next)
    setLeft(false)
    const now = read(next)
    if (now.kind === 'empty') onChange(undefined)
    if (now.kind === 'number' && !(isCount && !Number.isInteger(now.value))) onChange(now.value)
  })
  return (
    <Drawn
      size="sm"
      inputMode={isCount ? 'numeric' : 'decimal'}
      autoComplete="off"
      rightSection={rightSection}
      rightSectionWidth={suffix ? Math.max(26, suffix.length * 7 + 12) : undefined}
      {...rest}
      ref={input}
      error={refusal ?? error}
      value={text}
      onBlur={leave}
      onChange={write}
    />
  )
}

/** A page has dozens of them and is drawn with every answer: only one that shows something else is drawn with it. */
const Drawn = memo(TextInput)

function refusalOf(text: string, typed: TypedNumber, isCount: boolean, isLeft: boolean): string | undefined {
  if (typed.kind === 'refused') return typed.message
  if (typed.kind === 'unfinished' && isLeft)
    return `“${text}” is the beginning of a number: finish it, or take it out.`
  if (isCount && typed.kind === 'number' && !Number.isInteger(typed.value))
    return `“${text}” is no whole number: give one without a fraction.`
  return undefined
}
