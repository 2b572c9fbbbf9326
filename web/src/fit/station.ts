import { isReopened, type Station } from '../machine/station'
import { type Fit, useFit } from './useFit'
import { lengthText } from './words'

export const fit: Station = {
  key: '3',
  name: 'Fit',
  path: 'fit',
  useHeadline: (bench) => {
    const asked = useFit(bench)
    const answer = asked?.answer.data
    const isOff = answer?.findings.some((f) => f.kind === 'offTheTrack')
    const isOpen = isReopened(bench, 'fit')
    const isFine = answer !== undefined && answer.chosenLength !== null && !isOff && !asked?.answer.error
    const notes = [isOff && 'off the slot', isOpen && 'look again'].filter(Boolean)
    return {
      figure: figureOf(asked),
      note: notes.length > 0 ? notes.join(', ') : undefined,
      state: isOpen ? 'again' : isFine ? 'done' : undefined,
    }
  },
  load: () => import('./FitView'),
}

function figureOf(fit: Fit | undefined): string {
  const answer = fit?.answer.data
  if (!fit) return 'no loop'
  if (!fit.layout) return 'not laid out'
  if (fit.answer.error) return 'can’t be laid'
  if (!answer) return '…'
  return answer.chosenLength === null ? 'no length yet' : lengthText(answer.chosenLength, answer.lengthUnit)
}
