import { noteOf, type Station } from '../machine/station'
import { minutesText } from '../quantities/days'

export const build: Station = {
  key: '5',
  name: 'Build',
  path: 'build',
  headline: ({ build: { state, without, of, done, minutesLeft } }) => ({
    figure: without
      ? 'no loop'
      : of === 0
        ? 'not planned'
        : state === 'done'
          ? `${of} of ${of}`
          : `${done} of ${of} · ${minutesText(minutesLeft)} left`,
    note: noteOf(state),
    state,
  }),
  load: () => import('./BuildView'),
}
