import type { ChainLimitBy, MeasuredOver, OpenInterval, Replacing } from '../api/check'
import type { Units } from '../quantities/units'

export const OVER_WORDS: Record<MeasuredOver, string> = {
  pins: 'pin to pin, by a scale or a gauge',
  outerRollers: 'outside of two rollers, by a caliper',
  innerRollers: 'inside of two rollers, by a caliper',
}

/** “17 200 km to 19 800 km”; where the record can’t say how late, “17 200 km or later”. */
export const rangeText = ({ low, high }: Pick<OpenInterval, 'low' | 'high'>, units: Units) =>
  high === null
    ? `${units.show('distance', Math.max(0, low))} or later, it can’t say how late`
    : `${units.show('distance', Math.max(0, low))} to ${units.show('distance', high)}`

/** Whose limit it is. */
export const LIMIT_WORDS: Record<ChainLimitBy, string> = {
  trade: 'common practice; a maker’s wins, typed at Loads',
  maker: 'its maker’s',
  largestWheel: 'of the largest wheel: a longer pitch jumps on it',
}

export const REPLACING_WORDS: Record<Replacing, string> = {
  lookAtTeeth: 'When it is due, the set or the chain alone?',
  set: 'When it is due, the set.',
  chainMayDo: 'When it is due, the chain alone may do.',
}
