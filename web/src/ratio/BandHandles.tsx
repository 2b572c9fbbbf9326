import { useRef } from 'react'
import { fixed } from '../quantities/format'
import classes from './BandHandles.module.css'
import type { LogScale } from './logScale'
import type { Band } from './useRatioSearch'

interface Props extends Band {
  scale: LogScale
  top: number
  onDrag: (band: Band) => void
  onDrop: (band: Band) => void
}

const STEP = 0.01

/** The two edges of the band: drag them, or move them with the arrow keys. */
export function BandHandles({ low, high, scale, top, onDrag, onDrop }: Props) {
  const round = (value: number) => Math.round(value * 1000) / 1000
  const edge = (name: 'low' | 'high', value: number, other: number) => {
    const moved = (to: number): Band => {
      const safe = name === 'low' ? Math.min(to, other - STEP) : Math.max(to, other + STEP)
      return name === 'low' ? { low: round(safe), high } : { low, high: round(safe) }
    }
    return (
      <Handle
        key={name}
        label={name === 'low' ? 'Tallest ratio accepted' : 'Shortest ratio accepted'}
        value={value}
        style={{ left: scale.clamped(value), top }}
        toBand={(dx, from) => moved(scale.ratio(scale.x(from) + dx))}
        onStep={(steps) => onDrop(moved(value + steps * STEP))}
        onDrag={onDrag}
        onDrop={onDrop}
      />
    )
  }
  return (
    <>
      {edge('low', low, high)}
      {edge('high', high, low)}
    </>
  )
}

interface HandleProps {
  label: string
  value: number
  style: React.CSSProperties
  toBand: (dx: number, from: number) => Band
  onStep: (steps: number) => void
  onDrag: (band: Band) => void
  onDrop: (band: Band) => void
}

function Handle({ label, value, style, toBand, onStep, onDrag, onDrop }: HandleProps) {
  const start = useRef<{ x: number; value: number; band: Band | null }>(undefined)
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Number(value.toFixed(3))}
      aria-valuetext={fixed(value, 3)}
      aria-orientation="horizontal"
      className={classes.handle}
      style={style}
      data-no-print
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        start.current = { x: event.clientX, value, band: null }
      }}
      onPointerMove={(event) => {
        const from = start.current
        if (!from) return
        from.band = toBand(event.clientX - from.x, from.value)
        onDrag(from.band)
      }}
      onPointerUp={() => {
        const band = start.current?.band
        start.current = undefined
        if (band) onDrop(band)
      }}
      onKeyDown={(event) => {
        const steps = { ArrowLeft: -1, ArrowRight: 1, ArrowDown: -1, ArrowUp: 1, PageDown: -10, PageUp: 10 }[
          event.key
        ]
        if (!steps) return
        event.preventDefault()
        onStep(steps)
      }}
    />
  )
}
