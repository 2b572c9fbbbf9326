import { Button, Checkbox, Group, TextInput } from '@mantine/core'
import { useState } from 'react'
import { ConflictError, type GearboxSet } from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { addGearboxSet, changeGearboxSet, removeGearboxSet } from '../api/stock'
import { parseReductions, reductionsText } from '../machine/reductions'
import { Dialog } from '../shell/Dialog'
import { ReasonedButton } from '../shell/ReasonedButton'

/** A gearbox set: its ratios are typed as they stand in the manual, first gear first. */
export function GearboxSetDialog({ set, onClose }: { set: GearboxSet; onClose: () => void }) {
  const [draft, setDraft] = useState(set)
  const [text, setText] = useState(reductionsText(set.reductions))
  const store = useChange((value: GearboxSet) =>
    value.id === 0 ? addGearboxSet(value) : changeGearboxSet(value),
  )
  const remove = useChange(() => removeGearboxSet(set.id, set.version))
  const error = store.error ?? remove.error
  const parsed = parseReductions(text, true)
  const conflict = error instanceof ConflictError ? error : null
  const current = conflict?.current as GearboxSet | null | undefined
  return (
    <Dialog onClose={onClose} title={set.id === 0 ? 'New gearbox set' : `Edit ${set.name}`}>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          if (parsed.reductions)
            store.mutate({ ...draft, reductions: parsed.reductions }, { onSuccess: onClose })
        }}
      >
        <TextInput
          data-autofocus
          label="Name"
          value={draft.name}
          onChange={(event) => setDraft({ ...draft, name: event.currentTarget.value })}
          error={issueFor(error, 'name')}
        />
        <TextInput
          mt="sm"
          label="Ratios, first gear first"
          description="Numbers like 2.643 or tooth counts like 37/14, with spaces between; a dash for a gear nobody knows."
          value={text}
          onChange={(event) => setText(event.currentTarget.value)}
          error={
            parsed.issue ??
            issueFor(error, 'reductions') ??
            reductionIssue(error, parsed.reductions?.length ?? 0)
          }
        />
        <Checkbox
          mt="sm"
          label="The output turns against the input (two-shaft box)"
          checked={draft.turnsRound}
          onChange={(event) => setDraft({ ...draft, turnsRound: event.currentTarget.checked })}
        />
        <TextInput
          mt="sm"
          label="Note"
          value={draft.note ?? ''}
          onChange={(event) => setDraft({ ...draft, note: event.currentTarget.value || null })}
          error={issueFor(error, 'note')}
        />
        {conflict && (
          <p role="alert" style={{ color: 'var(--stop)' }}>
            {sentenceOf(conflict)}
            {current && ` It is now “${current.name}”: ${reductionsText(current.reductions)}.`}
          </p>
        )}
        <Group justify="space-between" mt="md">
          {set.id !== 0 ? (
            <Button
              variant="subtle"
              color="gray"
              loading={remove.isPending}
              onClick={() => remove.mutate(undefined, { onSuccess: onClose })}
            >
              Remove
            </Button>
          ) : (
            <span />
          )}
          {current ? (
            <Button
              onClick={() =>
                store.mutate(
                  { ...draft, reductions: parsed.reductions ?? [], version: current.version },
                  { onSuccess: onClose },
                )
              }
            >
              Store mine over it
            </Button>
          ) : (
            <ReasonedButton type="submit" loading={store.isPending} why={parsed.issue ?? null}>
              Store
            </ReasonedButton>
          )}
        </Group>
      </form>
    </Dialog>
  )
}

function reductionIssue(error: unknown, count: number): string | undefined {
  for (let i = 0; i < count; i++) {
    const issue = issueFor(error, `reductions[${i}]`)
    if (issue) return `Ratio ${i + 1}: ${issue}`
  }
  return undefined
}
