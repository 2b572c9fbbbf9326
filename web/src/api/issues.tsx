import type { ReactNode } from 'react'
import { boundsText } from '../quantities/bounds'
import { useUnits } from '../quantities/units'
import { type InputIssue, InvalidInputError } from './client'

/** The sentence of the first issue with a field, or of one inside it when `inside` is set. */
export function issueFor(error: unknown, field: string, inside = false): ReactNode {
  if (!(error instanceof InvalidInputError)) return undefined
  const issue = error.issues.find((i) => i.field === field || (inside && i.field.startsWith(`${field}.`)))
  return issue && <IssueText issue={issue} />
}

/** A refusal as a part of what was sent sees it: fields of the part by their own names. */
export const within = <E,>(error: E, part: string): E | InvalidInputError =>
  error instanceof InvalidInputError
    ? new InvalidInputError(
        error.issues.map((i) =>
          i.field.startsWith(`${part}.`) ? { ...i, field: i.field.slice(part.length + 1) } : i,
        ),
      )
    : error

/** What to tell about a failed call that has no field of its own to stand at. */
export const sentenceOf = (error: unknown): ReactNode =>
  error instanceof TypeError
    ? 'The program does not answer. Start it again with ./run; what you typed stays here.'
    : error instanceof InvalidInputError
      ? error.issues.map((issue) => <IssueText key={issue.field + issue.code} issue={issue} />)
      : error instanceof Error
        ? error.message
        : String(error)

/** What would be accepted, in the unit that is shown. */
function IssueText({ issue: { message, bounds } }: { issue: InputIssue }) {
  const units = useUnits()
  return <>{(bounds && boundsText(bounds, units)) ?? message} </>
}
