import type { Station } from '../machine/station'
import { useLoads } from './useLoads'
import { headline, VERDICT_WORDS } from './words'

export const loads: Station = {
  key: '4',
  name: 'Loads',
  path: 'loads',
  useHeadline: (bench) => {
    const asked = useLoads(bench)
    if (!asked) return { figure: 'no loop' }
    if (!asked.loop.isPullKnown) return { figure: 'no torque yet' }
    if (asked.answer.error) return { figure: 'can’t be computed' }
    const answer = asked.answer.data
    if (!answer) return { figure: '…' }
    const verdict = answer.isJudged ? answer.verdict : undefined
    return {
      figure: headline(answer),
      note: verdict === 'watch' || verdict === 'stop' ? VERDICT_WORDS[verdict] : undefined,
      tone: verdict === 'stop' ? 'stop' : 'watch',
      state: verdict === 'fine' ? 'done' : undefined,
    }
  },
  load: () => import('./LoadsView'),
}
