import { noteOf, type Station } from '../machine/station'
import { fixed, signed } from '../quantities/format'

export const ratio: Station = {
  key: '2',
  name: 'Ratio',
  path: 'ratio',
  headline: ({ ratio: { state, finalRatio, changePercent, meetsAim } }) => ({
    figure:
      finalRatio == null
        ? 'not to be computed'
        : fixed(finalRatio, 3) + (changePercent == null ? '' : ` ${signed(changePercent, 1)} %`),
    note: noteOf(state, meetsAim === false && 'off the aim'),
    state,
  }),
  load: () => import('./RatioView'),
}
