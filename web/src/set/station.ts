import { endsText } from '../loop/readings'
import { noteOf, type Station } from '../machine/station'

export const set: Station = {
  key: '6',
  name: 'Set',
  path: 'set',
  headline: ({ set: { state, without, method, lowest, highest, goesOn } }, _, units) => ({
    figure: without
      ? 'no loop'
      : lowest == null || highest == null
        ? 'not read yet'
        : endsText(method ?? null, lowest, highest, units),
    note: noteOf(state, goesOn && 'goes on'),
    state,
  }),
  load: () => import('./SetView'),
}
