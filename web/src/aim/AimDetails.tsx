import { Autocomplete, Button, Group, TextInput } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { type Aim, changeAim, removeAim } from '../api/client'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { issueFor, sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { choicePath } from '../machine/choicePath'
import type { Workbench } from '../machine/useWorkbench'
import work from '../machine/work.module.css'
import { ConflictDialog } from '../shell/ConflictDialog'
import { Panel } from '../shell/Panel'
import { useStored } from '../shell/useStored'
import { BandResult } from './BandResult'
import { ConditionFields } from './ConditionFields'
import { DrivePanel } from './DrivePanel'
import { GuessPanel } from './GuessPanel'
import { NearestAims } from './NearestAims'
import { Outcomes } from './Outcomes'
import { TargetForm } from './TargetForm'
import { byVenue } from './venues'
import { WishFields } from './WishFields'

/** One aim, stored as it is typed; the band it means stands beside it. */
export function AimDetails({ bench, stored, list }: { bench: Workbench; stored: Aim; list: ReactNode }) {
  const { draft, setDraft, error, isDirty, conflicting } = useStored(stored, changeAim)
  const remove = useChange(() => removeAim(stored.id, stored.version))
  const target = useDebouncedDraft(draft.target)
  const bands = useEvaluation(bench.asFitted, 'bands', bench.loops.length === 0 ? undefined : { target })
  const state = error ? 'not stored yet' : isDirty ? 'storing …' : 'stored'
  const onRemove = () =>
    // Of the promise, not of the call: what shows it is gone by then.
    remove
      .mutateAsync(undefined)
      .then(() => {
        bench.set({ aim: null })
        notifications.show({ message: `${stored.name} is removed; the history can bring it back.` })
      })
      .catch((e) => notifications.show({ color: 'red', message: sentenceOf(e) }))
  return (
    <div className={work.work}>
      <div className={work.column}>
        {list}
        <Panel
          title="What must the gearing achieve"
          aside={
            <span className="cap" role="status">
              {state}
            </span>
          }
        >
          <Group align="start" grow>
            <TextInput
              label="Name"
              value={draft.name}
              onChange={(event) => setDraft({ ...draft, name: event.currentTarget.value })}
              error={issueFor(error, 'name')}
            />
            <Autocomplete
              label="Venue"
              placeholder="anywhere"
              data={[...new Set(byVenue(bench.aims).map((group) => group.venue))]}
              value={draft.venue ?? ''}
              onChange={(venue) => setDraft({ ...draft, venue: venue || null })}
              error={issueFor(error, 'venue')}
            />
            <TextInput
              label="Note"
              value={draft.note ?? ''}
              onChange={(event) => setDraft({ ...draft, note: event.currentTarget.value || null })}
              error={issueFor(error, 'note')}
            />
          </Group>
          <TargetForm
            bench={bench}
            target={draft.target}
            onChange={(target) => setDraft({ ...draft, target })}
            error={error ?? bands.error}
          />
          <BandResult bench={bench} bands={bands} />
          <ConditionFields
            conditions={draft.conditions}
            onChange={(conditions) => setDraft({ ...draft, conditions })}
          />
          <Group justify="end" mt="sm" data-no-print>
            <Button size="compact-sm" variant="subtle" color="gray" onClick={onRemove}>
              Remove this aim
            </Button>
          </Group>
        </Panel>
        <DrivePanel bench={bench} />
      </div>
      <div className={work.column}>
        <GuessPanel bench={bench} />
        <Outcomes bench={bench} aim={draft} onChange={(outcomes) => setDraft({ ...draft, outcomes })} />
        <NearestAims bench={bench} aim={draft} />
        <Panel title="What it is worth to the owner" note="0 does not matter, 3 matters most">
          <WishFields wishes={draft.wishes} onChange={(wishes) => setDraft({ ...draft, wishes })} />
          {bench.loops.length > 0 && (
            <p data-no-print>
              <Link to={choicePath(bench.card.machine.id, bench.loops.at(-1)?.loopKey)}>
                Weigh other kinds of drive by them
              </Link>
            </p>
          )}
        </Panel>
      </div>
      {conflicting && <ConflictDialog {...conflicting} />}
    </div>
  )
}
