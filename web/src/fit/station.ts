import { lengthText } from '../loop/fitWords'
import { noteOf, type Station, WITHOUT_WORDS } from '../machine/station'

export const fit: Station = {
  key: '3',
  name: 'Fit',
  path: 'fit',
  headline: ({ fit: { state, without, length, isOffTheTrack } }) => ({
    figure:
      without === 'refused'
        ? 'can’t be laid'
        : without
          ? WITHOUT_WORDS[without]
          : length == null
            ? 'no length yet'
            : lengthText(length.value, length.unit),
    note: noteOf(state, isOffTheTrack && 'off the slot'),
    state,
  }),
  load: () => import('./FitView'),
}
