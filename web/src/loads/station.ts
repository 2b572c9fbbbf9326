import { type Station, WITHOUT_WORDS } from '../machine/station'
import { headline, VERDICT_WORDS } from './words'

export const loads: Station = {
  key: '4',
  name: 'Loads',
  path: 'loads',
  headline: ({ loads: of }) => ({
    figure:
      of.without === 'refused' ? 'can’t be computed' : of.without ? WITHOUT_WORDS[of.without] : headline(of),
    note: of.worst && of.verdict ? VERDICT_WORDS[of.verdict] : undefined,
    tone: of.verdict === 'stop' ? 'stop' : 'watch',
    state: of.state,
  }),
  load: () => import('./LoadsView'),
}
