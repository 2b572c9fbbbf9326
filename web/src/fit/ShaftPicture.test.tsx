import { cleanup, screen } from '@testing-library/react'
import { afterEach, expect, it } from 'vitest'
import type { FilledShaft, ShaftWidths } from '../api/client'
import { show } from '../testing'
import { ShaftPicture } from './ShaftPicture'

afterEach(cleanup)

const widths: ShaftWidths = {
  driveKey: 'left',
  shaft: 'middle shaft',
  leftMm: 0,
  lengthMm: 60,
  diameterMm: 12,
  sprockets: [],
}

const gap = (...piecesMm: number[]) => ({
  piecesMm,
  wantedMm: 0,
  remainderMm: 0,
  sumMm: piecesMm.reduce((a, b) => a + b, 0),
})
const seat = (loopKey: string, leftFaceMm: number, planeMm: number, errorMm: number) => ({
  loopKey,
  side: 'front' as const,
  leftFaceMm,
  hubWidthMm: 14,
  planeMm,
  errorMm,
  isTurned: false,
})
const way: FilledShaft = {
  gaps: [gap(8, 8), gap(3), gap(10, 3)],
  sprockets: [seat('ahead', 16, 20, 0), seat('behind', 33, 43.5, 0.5)],
  lineErrorMm: 0.5,
  floatMm: 0,
  pieces: 5,
  hasEqualEnds: false,
}

const parts = (part: string) => [...document.querySelectorAll(`[data-part="${part}"]`)]
const number = (element: Element | undefined, name: string) => Number(element?.getAttribute(name))

it('draws every spacer as wide as it is thick, one after the other between the hubs', () => {
  show(<ShaftPicture widths={widths} way={way} />)
  expect(screen.getByRole('img', { name: 'Spacers on the middle shaft, left to right' })).toBeDefined()
  const spacers = parts('spacer')
  expect(spacers).toHaveLength(5)
  const perMm = number(spacers[0], 'width') / 8
  expect(spacers.map((s) => number(s, 'width') / perMm).map(Math.round)).toEqual([8, 8, 3, 10, 3])
  const start = number(parts('shaft')[0], 'x')
  expect(spacers.map((s) => Math.round((number(s, 'x') - start) / perMm))).toEqual([0, 8, 30, 47, 57])
})

it('draws a sprocket beside its row where it stands off it', () => {
  show(<ShaftPicture widths={widths} way={way} />)
  const perMm = number(parts('shaft')[0], 'width') / 60
  const middle = (teeth: Element | undefined) => number(teeth, 'x') + number(teeth, 'width') / 2
  const off = parts('teeth').map((teeth, i) => (middle(teeth) - number(parts('line')[i], 'x1')) / perMm)
  expect(off[0]).toBeCloseTo(0)
  expect(off[1]).toBeCloseTo(0.5)
})
