import { describe, expect, it } from 'vitest'
import { breakText } from '../machine/supplyWords'
import { candidateOf, pickOf } from './candidates.testing'
import { isAtHand, meetingText, moneyText, reasonText, smallWheelText, supplyWord, workText } from './words'

const supply = (
  availability: ReturnType<typeof pickOf>['front']['availability'],
  price: number | null = 0,
) => ({ availability, price })

describe('what is said of a pair', () => {
  it.each([
    ['fitted', 'onShelf', 'on shelf', true],
    ['onShelf', 'toBuy', 'order', false],
    ['toBuy', 'notListed', 'ask supplier', false],
    ['onShelf', 'mountingNotSaid', 'if its mounting fits', false],
    ['onShelf', 'otherMounting', 'not in your mounting', false],
    ['otherMounting', 'notObtainable', 'not obtainable', false],
    ['fitted', 'fitted', 'fitted', true],
  ] as const)('%s in front and %s behind is %s', (front, rear, text, atHand) => {
    const candidate = candidateOf(15, 43, {}, { front: supply(front), rear: supply(rear) })
    expect(supplyWord(candidate).text).toBe(text)
    expect(isAtHand(candidate)).toBe(atHand)
  })

  it('tells which wheel changes and how long it takes', () => {
    expect(workText(candidateOf(16, 45, { changedSprockets: 'frontOnly', workMinutes: 25 }))).toBe(
      'front · 25 min',
    )
    expect(workText(candidateOf(15, 45, { changedSprockets: 'nothing', workMinutes: 0 }))).toBe('as it is')
  })

  it('says when a price is not known, and nothing when nothing is to pay', () => {
    expect(moneyText(candidateOf(15, 43, { money: null }))).toBe('ask')
    expect(moneyText(candidateOf(15, 43, { money: 0 }))).toBe('–')
    expect(moneyText(candidateOf(15, 43, { money: 47.5 }))).toBe('47.50')
  })

  it.each([
    [true, true, 'even · 15'],
    [true, false, 'partly · 15'],
    [false, true, 'partly · 15'],
    [false, false, 'repeats · 15'],
  ])('wear with front hunting %s and rear hunting %s is %s', (frontHunts, rearHunts, text) => {
    const hunting = {
      frontLoopTurns: 15,
      rearLoopTurns: 43,
      allLoopTurns: 645,
      linksMetByFrontTooth: 112,
      linksMetByRearTooth: 112,
      frontHunts,
      rearHunts,
    }
    expect(meetingText(pickOf(15, 43, { hunting }))).toBe(text)
  })

  it('has no word for the wear of a belt without teeth', () => expect(meetingText(pickOf(90, 355))).toBe('–'))

  it('names each limit with the wheel that breaks it', () => {
    expect(breakText('rearTooLarge', pickOf(15, 49))).toContain('49')
    expect(breakText('frontTooSmall', pickOf(12, 45))).toContain('12')
    expect(breakText('hubPrimaryTooLow', pickOf(40, 26))).toContain('hub')
    expect(breakText('loopRatioTooLarge', pickOf(10, 60))).toContain('limit')
  })

  it('warns of small wheels only where it matters', () => {
    expect(smallWheelText(pickOf(8, 40, { smallWheel: 'belowAdvised' }))).toContain('not recommended')
    expect(smallWheelText(pickOf(17, 40))).toBe('')
  })

  it('gives the reason of a place, and none outside the list', () => {
    expect(reasonText(candidateOf(15, 43, { decidedBy: 'minutes' }))).toBe('minutes')
    expect(reasonText(candidateOf(15, 43))).toBe('')
  })
})
