import { describe, expect, it } from 'vitest'
import type { Adjuster, AdjusterMove, SetAdvice, SetRound } from '../api/client'
import { readingEnds, readingText } from '../loop/readings'
import { unitsOf } from '../quantities/units'
import {
  moveText,
  nextText,
  positionWord,
  readOnText,
  rollText,
  shimsText,
  stepText,
  turnedText,
  turnText,
} from './words'

const units = unitsOf('metric', () => {})
const plainly = (text: string | null) => text?.replaceAll(/\s/g, ' ')
const move = (part: Partial<AdjusterMove>): AdjusterMove => ({
  side: 'right',
  units: 1 / 16,
  tightens: true,
  clockwise: true,
  mm: 0.1,
  flats: 0.4,
  clockHours: 0.75,
  degrees: null,
  ...part,
})
const advice = (part: object) =>
  ({
    next: 'turn',
    moves: [move({})],
    turnsToRoll: 4,
    rounds: [],
    isPartial: false,
    setting: { adjuster: { kind: 'twoEnds', hasTwoEnds: true } },
    manual: { lock: 'axle nut', locksAreMany: false, handles: 'adjuster', loosen: 'Loosen the axle nut' },
    ...part,
  }) as unknown as SetAdvice

describe('turns', () => {
  it.each([
    [1 / 16, '1/16'],
    [0.125, '1/8'],
    [3 / 16, '3/16'],
    [0.25, '1/4'],
    [0.5, '1/2'],
    [1, '1'],
    [1.1875, '1 3/16'],
    [0.3, '0.30'],
  ])('%s is written %s', (turns, text) => expect(turnText(turns)).toBe(text))
})

describe('what comes next', () => {
  it('counts shims as they are put in or taken out', () => {
    expect([3, -2, 0].map(shimsText)).toEqual(['3 in', '2 out', 'none moved'])
    expect(
      moveText(move({ side: null, units: 2, clockwise: null, putsIn: false }), 'sheaveShims', 'shims'),
    ).toBe('Take 2 shims out at each bolt')
  })

  it('names the adjuster, the part of a turn and the sense, and leaves the other alone', () => {
    expect(nextText(advice({}))).toBe('Right adjuster 1/16 turn clockwise, left untouched.')
    expect(rollText(advice({}))).toBe('Roll the wheel four turns by hand, then read.')
  })

  it('speaks of both in one sentence', () => {
    const both = [move({ side: 'left', clockwise: false, units: 0.125 }), move({})]
    expect(nextText(advice({ moves: both }))).toBe(
      'Left adjuster 1/8 turn anticlockwise, right adjuster 1/16 turn clockwise.',
    )
  })

  it('speaks of an eccentric in degrees and of other single adjusters by their name', () => {
    const eccentric = move({ side: null, units: 1 / 60, degrees: 6, flats: null })
    expect(moveText(eccentric, 'eccentric', 'eccentric')).toBe('Eccentric 6.0° clockwise')
    expect(moveText(move({ side: null, clockwise: false }), 'sprungArm', 'screw of the spring')).toBe(
      'Screw of the spring 1/16 turn anticlockwise',
    )
    expect(moveText(move({ side: null }), 'slidingMotor', 'screw of the slide')).toBe(
      'Screw of the slide 1/16 turn clockwise',
    )
    expect(stepText({ kind: 'eccentric', step: 1 / 180 } as Adjuster)).toBe('2.0°')
    expect(stepText({ kind: 'twoEnds', step: 1 / 16 } as Adjuster)).toBe('1/16 turn')
  })

  it('says why it stops outside the window', () => {
    const stopped = (isInside: boolean) =>
      nextText(
        advice({
          next: 'asNearAsAHand',
          rounds: [{ isInside }],
          setting: { adjuster: { kind: 'shims', step: 1, hasTwoEnds: false } },
        }),
      )
    expect(stopped(true)).toContain('As near as a hand can get')
    expect(stopped(false)).toContain('1 shim more may go past the window')
  })

  it('writes what was turned before a round', () => {
    expect(turnedText(0, 'twoEnds')).toBe('hold')
    expect(turnedText(-3 / 16, 'twoEnds')).toBe('−3/16')
    expect(turnedText(1 / 36, 'eccentric')).toBe('+10°')
  })

  it('names the place to set at once all were read', () => {
    const read = { rounds: [{ setAt: 2 }], isPartial: false }
    expect(rollText(advice(read))).toBe('Roll the wheel four turns by hand, then read, at half-way first.')
    expect(rollText(advice(read), 6)).toContain('at place 3 of 6 first')
    expect(rollText(advice({ ...read, isPartial: true }))).toBe(
      'Roll the wheel four turns by hand, then read.',
    )
  })

  it('says which place is read next while a round is being read', () => {
    const read = (...positions: number[]) =>
      ({ readings: positions.map((position) => ({ position })) }) as unknown as SetRound
    expect(readOnText(null, 4)).toBeNull()
    expect(readOnText(read(), 4)).toBeNull()
    expect(readOnText(read(0, 2), 4)).toBe('Read on: a quarter on.')
    expect(readOnText(read(0, 1, 2, 3), 4)).toBeNull()
    expect(readOnText(read(0, 1, 2, 3), 6)).toBe('Read on: place 5 of 6.')
  })

  it('counts clicks and shims, which have no sense of turning', () => {
    expect(moveText(move({ side: null, units: 1, clockwise: null }), 'cam', 'cam')).toBe(
      'Cam 1 click tighter',
    )
    expect(
      moveText(move({ side: null, units: 2, clockwise: null, tightens: false }), 'shims', 'stack of shims'),
    ).toBe('Stack of shims 2 shims looser')
  })

  it('asks for nothing to be rolled when nothing is to be turned', () =>
    expect(rollText(advice({ next: 'looseOrBent', moves: [] }))).toBeNull())
})

describe('places of the wheel', () => {
  it('are quarters only where four are read', () => {
    expect(positionWord(1)).toBe('a quarter on')
    expect(positionWord(1, 6)).toBe('place 2 of 6')
    expect(positionWord(0, 8)).toBe('valve up')
  })
})

describe('readings', () => {
  it('are told in the unit of their method', () => {
    expect(plainly(readingText('pluck', 58.23, units))).toBe('58.2 Hz')
    expect(plainly(readingText('freePlay', 31, units))).toBe('31 mm')
    expect(readingText('feel', 2, units)).toBe('about right')
  })

  it('of a visit are those of its last round that was read', () => {
    const round = (...values: number[]) => ({
      leftUnits: 0,
      rightUnits: 0,
      lock: 'nipped' as const,
      onStand: true,
      learnAnew: false,
      readings: values.map((value, position) => ({
        method: 'pluck' as const,
        value,
        position,
        forceN: null,
      })),
    })
    expect(plainly(readingEnds({ rounds: [round(51, 59), round(66, 58), round()] }, units))).toBe(
      '58.0 to 66.0 Hz',
    )
    expect(plainly(readingEnds({ rounds: [round(58)] }, units))).toBe('58.0 Hz')
    expect(readingEnds({ rounds: [] }, units)).toBe('not read yet')
  })
})
