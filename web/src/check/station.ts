import { DUE_SHORT, dueWhen } from '../job/lookWords'
import { noteOf, type Station } from '../machine/station'

export const check: Station = {
  key: '7',
  name: 'Check',
  path: 'check',
  headline: ({ check: { state, without, verdict, next } }, _, units) => ({
    figure: without
      ? 'no loop'
      : next
        ? `${DUE_SHORT[next.kind]}${dueWhen(next, units)}`
        : verdict === 'notLooked'
          ? 'not looked at yet'
          : 'nothing due',
    note: noteOf(state, verdict === 'stop' && next?.kind !== 'stop' && 'stop'),
    ...(verdict === 'stop' && { tone: 'stop' as const }),
    state,
  }),
  load: () => import('./CheckView'),
}
