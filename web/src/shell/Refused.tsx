import { InvalidInputError } from '../api/client'
import { sentenceOf } from '../api/issues'

/** The sentence of a refusal that stands at none of the fields beside it. */
export function Refused({ error, fields = [] }: { error: unknown; fields?: string[] }) {
  if (!error) return null
  if (error instanceof InvalidInputError && error.issues.every((i) => fields.includes(i.field))) return null
  return (
    <p role="alert" style={{ color: 'var(--stop)' }}>
      {sentenceOf(error)}
    </p>
  )
}
