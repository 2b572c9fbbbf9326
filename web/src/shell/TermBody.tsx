import { useQuery } from '@tanstack/react-query'
import { listGlossary } from '../api/client'
import { sentenceOf } from '../api/issues'
import { TermDrawing } from './TermDrawing'

/** What a word means, with what shows it. */
export default function TermBody({ word }: { word: string }) {
  const glossary = useQuery({
    queryKey: ['glossary'],
    queryFn: listGlossary,
    staleTime: Number.POSITIVE_INFINITY,
  })
  const found = glossary.data?.find((w) => w.word === word)
  if (glossary.error) return <p role="alert">{sentenceOf(glossary.error)}</p>
  if (!glossary.data) return <p>Looking it up …</p>
  return (
    <div role="note">
      {found?.drawing && <TermDrawing of={found.drawing} />}
      <p>
        <b>{word}</b>: {found?.says ?? 'no words for it yet.'}
      </p>
      {found && <p className="cap">{found.source}</p>}
    </div>
  )
}
