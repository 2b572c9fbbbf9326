import { isReopened, type Station } from '../machine/station'
import { fixed, signed } from '../quantities/format'

export const ratio: Station = {
  key: '2',
  name: 'Ratio',
  path: 'ratio',
  useHeadline: (bench) => {
    const figures = bench.comparison.data?.setups.at(-1)
    const change = bench.shown.isFitted || !figures ? '' : ` ${signed(figures.changePercent, 1)} %`
    const figure = figures
      ? fixed(figures.finalRatio, 3) + change
      : bench.comparison.error
        ? 'not to be computed'
        : '…'
    if (isReopened(bench, 'ratio'))
      return {
        figure,
        note: figures?.meetsAim === false ? 'off the aim, look again' : 'look again',
        state: 'again',
      }
    if (figures?.meetsAim === false) return { figure, note: 'off the aim' }
    return { figure, state: figures?.meetsAim ? 'done' : undefined }
  },
  load: () => import('./RatioView'),
}
