import { Select } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import {
  type AlternativeStart,
  type LoadsInput,
  type LoopAlternative,
  type LoopSummary,
  loadLoop,
  startAlternative,
} from '../api/client'
import { sentenceOf } from '../api/issues'
import { useComputed } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import { MEDIUM_WORDS } from '../machine/words'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { AlternativeForm } from './AlternativeForm'
import { FIGURES } from './figures'
import { type Loads, loadsInput } from './useLoads'

const MOST_BESIDE = 4

const loadAll = (inputs: LoadsInput[], s: { signal: AbortSignal }) =>
  Promise.all(inputs.map((i) => loadLoop(i, s)))

/** An alternative in the form: one that is stored, by its place, or a new one. */
interface Draft {
  place: number | null
  alternative: LoopAlternative
}

/** As fitted and up to four beside it: trials with the same chain or belt, and chains or belts of another kind. */
export function TrialsPanel({ bench, loads }: { bench: Workbench; loads: Loads }) {
  const units = useUnits()
  const { card, drive } = bench
  const [draft, setDraft] = useState<Draft | null>(null)
  const start = useMutation({
    mutationFn: (asked: AlternativeStart) => startAlternative(asked),
    onSuccess: (alternative) => setDraft({ place: null, alternative }),
    onError: (error) => notifications.show({ color: 'red', message: sentenceOf(error) }),
  })
  const stored = (card.machine.loads?.alternatives ?? []).filter(
    (a) => a.strength.loopKey === loads.loop.loopKey,
  )
  const beside = draft
    ? draft.place === null
      ? [...stored, draft.alternative]
      : stored.map((a, i) => (i === draft.place ? draft.alternative : a))
    : stored
  const trials = bench.trials.slice(0, Math.max(0, MOST_BESIDE - beside.length))
  const asFitted = loadsInput(card, drive, card.fitted, loads.parts)
  const columns = [
    { key: 'fitted', name: 'as fitted', input: asFitted, place: null },
    ...trials.map((s) => ({
      key: `trial ${s.id}`,
      name: s.name,
      input: loadsInput(card, drive, s, loads.parts),
      place: null,
    })),
    ...beside.map((alternative, place) => ({
      key: `other ${place}`,
      name: alternative.name || MEDIUM_WORDS[alternative.medium],
      input: { ...asFitted, alternative },
      place,
    })),
  ]
  const answer = useComputed(
    'trial-loads',
    columns.length > 1 ? columns.map((c) => c.input) : undefined,
    loadAll,
  )
  // Answers of an earlier list of columns do not belong to this one's heads.
  const results = answer.data?.length === columns.length ? answer.data : undefined
  const begin = (medium: LoopSummary['medium']) => {
    const choice = card.fitted.loops.find((c) => c.loopKey === loads.loop.loopKey)
    if (choice) start.mutate({ drive, choice, medium })
  }
  return (
    <Panel title="Side by side" isStale={answer.isStale}>
      {answer.error ? (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(answer.error)}
        </p>
      ) : null}
      {results && (
        <div className={table.scroll}>
          <table className={`${table.table} ${table.heads}`}>
            <thead>
              <tr>
                <th scope="col">
                  <span className="visually-hidden">figure</span>
                </th>
                {columns.map((c) => (
                  <th scope="col" key={c.key}>
                    {c.place !== null && stored[c.place] ? (
                      <button
                        type="button"
                        className={table.pick}
                        onClick={() =>
                          setDraft({ place: c.place, alternative: stored[c.place ?? 0] as LoopAlternative })
                        }
                      >
                        {c.name}
                      </button>
                    ) : (
                      c.name
                    )}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {FIGURES.map(([name, tell]) => (
                <tr key={name}>
                  <th scope="row">{name}</th>
                  {results.map((r, i) => (
                    <td key={columns[i]?.key} className="num">
                      {tell(r, units)}
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
          answer={results?.at(draft.place === null ? -1 : draft.place - stored.length)}
          refusal={answer.error}
          onChange={(alternative) => setDraft({ ...draft, alternative })}
          onDone={() => setDraft(null)}
        />
      ) : (
        beside.length < MOST_BESIDE - 1 && (
          <div data-no-print>
            <Select
              size="xs"
              mt={6}
              aria-label="Lay another kind beside it"
              placeholder="lay another kind beside it: a belt for a chain, or back"
              data={Object.entries(MEDIUM_WORDS).map(([value, label]) => ({ value, label }))}
              value={null}
              onChange={(value) => value && begin(value as LoopSummary['medium'])}
            />
          </div>
        )
      )}
    </Panel>
  )
}
