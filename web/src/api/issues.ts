import { InvalidInputError } from './client'

/** The sentence of the first issue with a field, or of one inside it when `inside` is set. */
export function issueFor(error: unknown, field: string, inside = false): string | undefined {
  if (!(error instanceof InvalidInputError)) return undefined
  const issue = error.issues.find((i) => i.field === field || (inside && i.field.startsWith(`${field}.`)))
  return issue?.message
}

/** What to tell about a failed call that has no field of its own to stand at. */
export const sentenceOf = (error: unknown): string =>
  error instanceof TypeError
    ? 'The program does not answer. Start it again with ./run; what you typed stays here.'
    : error instanceof Error
      ? error.message
      : String(error)
