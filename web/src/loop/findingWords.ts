import type { FindingGrade, LookVerdict } from '../api/check'

/** How a grade is worded, drawn and coloured: never by its colour alone. */
export const GRADE_WORDS: Record<FindingGrade, string> = { fine: 'fine', watch: 'watch', stop: 'stop' }
export const GRADE_MARKS: Record<FindingGrade, string> = { fine: '●', watch: '▲', stop: '■' }
export const GRADE_COLOURS: Record<FindingGrade, string> = {
  fine: 'var(--ok)',
  watch: 'var(--watch)',
  stop: 'var(--stop)',
}

export const VERDICT_WORDS: Record<LookVerdict, string> = {
  notLooked: 'Not looked at yet.',
  fine: 'Fine, as far as it was looked at.',
  watch: 'It goes on, and is watched.',
  stop: 'It does not go out like that.',
  notJudged: 'What was seen is kept. No verdict here: licensed people and their rules decide.',
}
