import { useSetJobs } from '../api/queries'
import { isReopened, type Station } from '../machine/station'
import { useUnits } from '../quantities/units'
import { readingEnds } from './readings'

export const set: Station = {
  key: '6',
  name: 'Set',
  path: 'set',
  useHeadline: (bench) => {
    const units = useUnits()
    const jobs = useSetJobs(bench.card.machine.id).data
    const loop = bench.loops.at(-1)
    const newest = jobs?.find((j) => j.loopKey === loop?.loopKey)
    const isOpen = isReopened(bench, 'set')
    const notes = [newest && newest.closing === null && 'goes on', isOpen && 'look again'].filter(Boolean)
    return {
      figure: !loop ? 'no loop' : !jobs ? '…' : newest ? readingEnds(newest, units) : 'not read yet',
      note: notes.length > 0 ? notes.join(', ') : undefined,
      state: isOpen ? 'again' : newest != null && newest.closing !== null ? 'done' : undefined,
    }
  },
  load: () => import('./SetView'),
}
