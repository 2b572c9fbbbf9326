import { describe, expect, it } from 'vitest'
import { logScale } from './logScale'

describe('the logarithmic axis', () => {
  const scale = logScale(2, 4, 100, 500)

  it('puts equal proportions at equal distances', () => {
    expect(scale.x(2)).toBe(100)
    expect(scale.x(4)).toBe(500)
    expect(scale.x(2 * Math.SQRT2)).toBeCloseTo(300, 9)
    expect(scale.x(2.2) - scale.x(2)).toBeCloseTo(scale.x(3.3) - scale.x(3), 9)
  })

  it('reads a place back as the ratio it stands for', () => {
    for (const ratio of [2.01, 2.5, 2.867, 3.999]) expect(scale.ratio(scale.x(ratio))).toBeCloseTo(ratio, 12)
  })

  it('holds a band inside the axis', () => {
    expect(scale.clamped(1)).toBe(100)
    expect(scale.clamped(9)).toBe(500)
    expect(scale.clamped(3)).toBe(scale.x(3))
  })

  it.each([
    [2.3, 3.9, 700],
    [0.4, 0.7, 700],
    [1.9, 8.6, 700],
    [7.8, 8.6, 300],
    [15, 24, 260],
  ])('from %d to %d on %d px no two labels touch', (low, high, width) => {
    const axis = logScale(low, high, 0, width)
    const labels = axis.ticks.filter((t) => t.isLabelled).map((t) => axis.x(t.value))
    expect(labels.length).toBeGreaterThan(1)
    for (const [i, x] of labels.slice(1).entries()) expect(x - (labels[i] ?? 0)).toBeGreaterThan(18)
  })
})
