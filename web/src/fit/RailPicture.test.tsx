import { cleanup } from '@testing-library/react'
import { afterEach, expect, it } from 'vitest'
import type { RailResult } from '../api/client'
import { show } from '../testing'
import { RailPicture } from './RailPicture'

afterEach(cleanup)

const wheel = (name: string, xMm: number) => ({
  name,
  centre: { xMm, yMm: 0 },
  outline: { runRadiusMm: 25, arcRadiusMm: 25, outsideRadiusMm: 28 },
  side: 'inside' as const,
  wrapDeg: 180,
  turnsWithLoop: true,
  teethEngaged: 8,
  arcStart: { xMm, yMm: 25 },
  arcEnd: { xMm, yMm: -25 },
})
const shaft = (name: string, xMm: number) => ({
  widths: { driveKey: 'left', shaft: name, leftMm: 0, lengthMm: 60, diameterMm: 12, sprockets: [] },
  centre: { xMm, yMm: 0 },
  stacks: null,
})
const rail = (
  frontPlaneMm: number | null,
  rearPlaneMm: number | null,
  offsetMm: number | null,
): RailResult => ({
  shafts: [shaft('middle', 0), shaft('front', 200)],
  loops: [
    {
      loopKey: 'ahead',
      path: { wheels: [wheel('front', 0), wheel('rear', 200)], spans: [], lengthMm: 557 },
      frontPlaneMm,
      rearPlaneMm,
      offsetMm,
      allowedMm: 1,
      isInRow: offsetMm === null ? null : Math.abs(offsetMm) <= 1,
    },
  ],
})
const rows = () => [...document.querySelectorAll('[data-part="row"]')]

it('draws a row where both of its planes are known, and marks one that is off', () => {
  show(<RailPicture rail={rail(20, 23, 3)} />)
  expect(rows()).toHaveLength(1)
  expect(rows()[0]?.hasAttribute('data-off')).toBe(true)
})

it('draws no row while a shaft is not filled, but the shafts and wheels', () => {
  show(<RailPicture rail={rail(20, null, null)} />)
  expect(rows()).toHaveLength(0)
  expect(document.querySelectorAll('[data-part="shaft"]')).toHaveLength(2)
  expect(document.querySelectorAll('[data-part="wheel"]')).toHaveLength(2)
})

it('draws nothing without a loop in its place', () => {
  show(<RailPicture rail={{ shafts: [], loops: [] }} />)
  expect(document.querySelector('svg')).toBeNull()
})
