import type { Station } from '../machine/station'
import { targetText } from '../machine/targets'

export const aim: Station = {
  key: '1',
  name: 'Aim',
  path: 'aim',
  headline: ({ aim: { state, target } }, bench, units) => ({
    figure: target ? targetText(target, units, bench.gears) : 'no aim yet',
    state,
  }),
  load: () => import('./AimView'),
}
