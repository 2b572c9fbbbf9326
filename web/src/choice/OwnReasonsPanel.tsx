import { Button, SegmentedControl, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { ChoiceDesk, LoopWeighing, OwnReason } from '../api/choice'
import { ChoiceField } from '../quantities/ChoiceField'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { ReasonedButton } from '../shell/ReasonedButton'
import classes from './Choice.module.css'
import { SaidBySign } from './SaidBySign'
import type { Weighing } from './useWeighing'
import { SAID_WORDS, WISH_WORDS } from './words'

/** Reasons that somebody brings up here, each with who says it. */
export function OwnReasonsPanel({
  weighing,
  desk,
  now,
}: {
  weighing: Weighing
  desk: ChoiceDesk
  now: LoopWeighing
}) {
  const first = desk.columns[0]?.key ?? ''
  const [draft, setDraft] = useState<OwnReason>(blank(first))
  const option = desk.offered.some((o) => o.key === draft.option) ? draft.option : first
  const text = draft.text.trim()
  const set = (part: Partial<OwnReason>) => setDraft({ ...draft, ...part })
  return (
    <Panel title="Reasons of your own" isEmpty={now.reasons.length === 0}>
      {now.reasons.length > 0 && (
        <ul className={classes.own}>
          {now.reasons.map((r, i) => (
            <li key={`${r.option} ${r.text}`}>
              <span>
                {desk.offered.find((o) => o.key === r.option)?.name}: {r.side === 'for' ? 'for' : 'against'},{' '}
                {r.text} <SaidBySign saidBy={r.saidBy} who={r.who} />{' '}
                {r.who && <span className="cap">{r.who}</span>}
              </span>
              <Button
                size="compact-xs"
                variant="default"
                aria-label={`Take away: ${r.text}`}
                onClick={() =>
                  weighing.change(({ reasons }) => ({ reasons: reasons.filter((_, at) => at !== i) }))
                }
                data-no-print
              >
                Take away
              </Button>
            </li>
          ))}
        </ul>
      )}
      <form
        data-no-print
        onSubmit={(event) => {
          event.preventDefault()
          if (!text) return
          weighing.change(({ reasons }) => ({ reasons: [...reasons, { ...draft, option, text }] }))
          setDraft(blank(option))
        }}
      >
        <div className={fields.fields}>
          <ChoiceField
            size="xs"
            label="About"
            words={Object.fromEntries(desk.columns.map((c) => [c.key, c.name]))}
            value={option}
            onChange={(key) => set({ option: key })}
          />
          <SegmentedControl
            size="xs"
            aria-label="For or against"
            value={draft.side}
            onChange={(side) => set({ side: side as OwnReason['side'] })}
            data={['for', 'against']}
          />
          <TextInput
            size="xs"
            label="Reason"
            maxLength={300}
            value={draft.text}
            onChange={(event) => set({ text: event.currentTarget.value })}
          />
          <ChoiceField
            size="xs"
            label="Said by"
            words={SAID_WORDS}
            value={draft.saidBy}
            onChange={(saidBy) => set({ saidBy })}
          />
          <TextInput
            size="xs"
            label="Who (may be left out)"
            maxLength={80}
            value={draft.who ?? ''}
            onChange={(event) => set({ who: event.currentTarget.value || null })}
          />
          <ChoiceField
            size="xs"
            label="Bears on"
            none="no wish"
            words={WISH_WORDS}
            value={draft.wish}
            onChange={(wish) => set({ wish })}
          />
        </div>
        <ReasonedButton
          type="submit"
          size="compact-sm"
          why={text ? null : 'Write the reason in a few words.'}
        >
          Add the reason
        </ReasonedButton>
      </form>
    </Panel>
  )
}

const blank = (option: string): OwnReason => ({
  option,
  side: 'for',
  text: '',
  saidBy: 'onePersonsWord',
  who: null,
  wish: null,
})
