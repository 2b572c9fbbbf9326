/** Places ratios on a logarithmic axis: equal steps are equal proportions, as they are felt. */

export interface LogScale {
  x: (ratio: number) => number
  /** As `x`, held inside the axis. */
  clamped: (ratio: number) => number
  ratio: (x: number) => number
  ticks: { value: number; isLabelled: boolean }[]
}

export function logScale(low: number, high: number, left: number, right: number): LogScale {
  const from = Math.log(low)
  const span = Math.log(high) - from || 1
  const x = (ratio: number) => left + ((Math.log(ratio) - from) / span) * (right - left)
  return {
    x,
    clamped: (ratio) => Math.min(right, Math.max(left, x(ratio))),
    ratio: (x) => Math.exp(from + ((x - left) / (right - left)) * span),
    ticks: ticks(low, high, right - left),
  }
}

const STEPS = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50]
const LABEL_WIDTH = 44

/** Round values, spaced so that their labels do not touch; a half step between them where there is room. */
function ticks(low: number, high: number, width: number): LogScale['ticks'] {
  const step = STEPS.find((s) => width / ((high - low) / s) >= LABEL_WIDTH) ?? 100
  const found: LogScale['ticks'] = []
  for (let i = Math.ceil(low / (step / 2)); i <= Math.floor(high / (step / 2) + 1e-9); i++)
    found.push({ value: (i * step) / 2, isLabelled: i % 2 === 0 })
  return found
}
