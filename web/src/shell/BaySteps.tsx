import { Button } from '@mantine/core'
import type { ReactNode } from 'react'
import { plain } from '../quantities/format'
import { type Quantity, type UnitSystem, useUnits } from '../quantities/units'
import classes from './BaySteps.module.css'
import { useHeld } from './useHeld'

/** What one press is where it is not 1 of the unit that is shown. */
const STEP: Partial<Record<UnitSystem, Partial<Record<Quantity, number>>>> = {
  inch: { fine: 0.05, force: 0.5 },
}
/** A gap is read to a tenth of what a play is. */
const FINER = 0.1
const MANY = 10
/** More than any step has, fewer than a tenth can't have. */
const FIGURES = 9

/** A value put in by steps, without the keyboard. */
export function BaySteps({
  of,
  quantity,
  isFine = false,
  isFew = false,
  isSigned = false,
  from,
  onStep,
}: {
  /** What there is more or less of, as a word. */
  of: string
  quantity?: Quantity | undefined
  isFine?: boolean
  /** There are so few that tens make no sense. */
  isFew?: boolean
  /** It can be below nothing. */
  isSigned?: boolean
  /** What is stepped from, stored. */
  from: number
  onStep: (stored: number) => void
}) {
  const units = useUnits()
  const shown = ((quantity && STEP[units.system]?.[quantity]) ?? 1) * (isFine ? FINER : 1)
  const step = quantity ? units.toStored(quantity, shown) : shown
  const by = (steps: number) =>
    onStep(
      Math.max(
        isSigned ? Number.NEGATIVE_INFINITY : 0,
        Number((Math.round(from / step + steps) * step).toPrecision(FIGURES)),
      ),
    )
  const button = (steps: number, name: string) => (
    <Step name={name} onStep={(times) => by(steps * times)}>
      {steps < 0 ? '−' : '+'}
      {plain(Math.abs(steps) * shown)}
    </Step>
  )
  return (
    <div className={classes.steps}>
      {!isFew && button(-MANY, `Step −${MANY}, ${of}`)}
      {button(-1, `Less ${of}`)}
      {button(1, `More ${of}`)}
      {!isFew && button(MANY, `Step +${MANY}, ${of}`)}
    </div>
  )
}

function Step({
  name,
  onStep,
  children,
}: {
  name: string
  onStep: (times: number) => void
  children: ReactNode
}) {
  return (
    <Button size="xl" className={classes.step} variant="default" aria-label={name} {...useHeld(onStep)}>
      {children}
    </Button>
  )
}
