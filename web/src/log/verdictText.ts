import type { ComparedMeasure, FairComparison } from '../api/log'
import { measured } from './logWords'

/** What may be said of two setups, in a sentence. */
export function verdictText(
  { first, second, compared, verdict, blocks }: FairComparison,
  measure: ComparedMeasure,
): string {
  if (!second)
    return 'Nothing tells which setup was on the machine when: fit one, and write down what it takes.'
  if (!first) return 'One setup alone: there is nothing to compare it with yet.'
  switch (verdict) {
    case 'noValues':
      return `Nothing of ${first.count === 0 ? first.name : second.name} was written down.`
    case 'tooFew':
      return 'Too few to say: each needs two values at least.'
    case 'noSpread':
      return 'No value differs from another: these are means or copies. Write each one down.'
    case 'notShown':
      return blocks && blocks > 0
        ? 'Too few to say: the difference may be none.'
        : 'No difference that matters is to be seen.'
    default: {
      const difference = compared?.difference ?? 0
      const [verb, less, more] = WORDS[measure]
      return `${second.name} ${verb} ${measured(measure, Math.abs(difference))} ${difference < 0 ? less : more} than ${first.name}.`
    }
  }
}

const WORDS: Record<ComparedMeasure, [verb: string, less: string, more: string]> = {
  fuel: ['takes', 'less', 'more'],
  energy: ['takes', 'less', 'more'],
  time: ['takes', 'less', 'more'],
  noise: ['is', 'quieter', 'louder'],
}
