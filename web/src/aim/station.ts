import type { Station } from '../machine/station'
import { targetText } from '../machine/targets'
import { useUnits } from '../quantities/units'

export const aim: Station = {
  key: '1',
  name: 'Aim',
  path: 'aim',
  useHeadline: (bench) => {
    const units = useUnits()
    return bench.target
      ? { figure: targetText(bench.target, units, bench.gears), state: 'done' }
      : { figure: 'no aim yet' }
  },
  load: () => import('./AimView'),
}
