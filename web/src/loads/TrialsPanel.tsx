import { notifications } from '@mantine/notifications'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import type { LoadsColumn, LoopAlternative, LoopSummary } from '../api/client'
import { askFor, useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { useDesignations } from '../api/queries'
import { choicePath } from '../machine/choicePath'
import type { Workbench } from '../machine/useWorkbench'
import { DRIVE_ELEMENT_WORDS } from '../machine/words'
import { ChoiceField } from '../quantities/ChoiceField'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { AlternativeForm } from './AlternativeForm'
import { FIGURES } from './figures'
import type { Loads } from './useLoads'

/** An alternative in the form: one that is stored, by its place, or a new one. */
interface Draft {
  place: number | null
  alternative: LoopAlternative
}

/** As fitted and up to four beside it: trials with the same chain or belt, and chains or belts of another kind. */
export function TrialsPanel({ bench, loads }: { bench: Workbench; loads: Loads }) {
  const units = useUnits()
  const { card } = bench
  const [draft, setDraft] = useState<Draft | null>(null)
  const start = useMutation({
    mutationFn: (driveElement: LoopSummary['driveElement']) =>
      askFor(bench.asFitted, 'startingAlternative', { driveElement }),
    onSuccess: (alternative) => setDraft({ place: null, alternative }),
    onError: (error) => notifications.show({ color: 'red', message: sentenceOf(error) }),
  })
  const most = useDesignations().data?.mostAlternatives ?? 0
  const stored = (card.machine.loads?.alternatives ?? []).filter(
    (a) => a.strength.loopKey === loads.loop.loopKey,
  )
  const beside = draft
    ? draft.place === null
      ? [...stored, draft.alternative]
      : stored.map((a, i) => (i === draft.place ? draft.alternative : a))
    : stored
  const alternatives = useDebouncedDraft(draft ? beside : null)
  const isBeside = beside.length + bench.trials.length > 0
  const answer = useEvaluation(
    bench.asFitted,
    'loadsBeside',
    isBeside ? { source: loads.question.source, strength: loads.question.strength, alternatives } : undefined,
  )
  // What was beside it last is taken away with its question.
  const columns = isBeside && answer.data && answer.data.length > 1 ? answer.data : undefined
  const at = draft?.place ?? stored.length
  /** Nobody has named it yet: then it is what it is. */
  const nameOf = ({ name, alternative }: LoadsColumn) =>
    name || DRIVE_ELEMENT_WORDS[beside[alternative ?? 0]?.driveElement ?? 'chain']
  const begin = (driveElement: LoopSummary['driveElement']) => start.mutate(driveElement)
  return (
    <Panel
      title="Side by side"
      isStale={isBeside && answer.isStale}
      aside={
        <Link to={choicePath(card.machine.id, loads.loop.loopKey)} data-no-print>
          weigh the kinds
        </Link>
      }
    >
      {answer.error ? (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(answer.error)}
        </p>
      ) : null}
      {columns && (
        <div className={table.scroll}>
          <table className={`${table.table} ${table.heads}`}>
            <thead>
              <tr>
                <th scope="col">
                  <span className="visually-hidden">figure</span>
                </th>
                {columns.map((c) => (
                  <th scope="col" key={keyOf(c)}>
                    {c.alternative != null && stored[c.alternative] ? (
                      <button
                        type="button"
                        className={table.pick}
                        onClick={() =>
                          setDraft({
                            place: c.alternative ?? null,
                            alternative: stored[c.alternative ?? 0] as LoopAlternative,
                          })
                        }
                      >
                        {nameOf(c)}
                      </button>
                    ) : (
                      nameOf(c)
                    )}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {FIGURES.map(([name, tell]) => (
                <tr key={name}>
                  <th scope="row">{name}</th>
                  {columns.map((c) => (
                    <td key={keyOf(c)} className="num">
                      {tell(c.figures, units)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {draft ? (
        <AlternativeForm
          bench={bench}
          alternative={draft.alternative}
          stored={draft.place === null ? undefined : stored[draft.place]}
          assumed={columns?.find((c) => c.alternative === at)?.assumed}
          at={`alternatives[${at}]`}
          refusal={answer.error}
          onChange={(alternative) => setDraft({ ...draft, alternative })}
          onDone={() => setDraft(null)}
        />
      ) : (
        beside.length < most && (
          <div data-no-print>
            <ChoiceField
              size="xs"
              mt={6}
              aria-label="Lay another kind beside it"
              placeholder="lay another kind beside it: a belt for a chain, or back"
              words={DRIVE_ELEMENT_WORDS}
              value={null}
              onChange={begin}
            />
          </div>
        )
      )}
    </Panel>
  )
}

const keyOf = ({ setupId, alternative }: LoadsColumn) => `${setupId ?? ''} ${alternative ?? ''}`
