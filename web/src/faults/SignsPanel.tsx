import { Button, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { FaultDesk } from '../api/faults'
import { issueFor } from '../api/issues'
import { Panel } from '../shell/Panel'
import { Chips } from './Chips'
import form from './Faults.module.css'
import { type Fault, whyClosed } from './useFault'

/** What it does, as somebody would say it; more of it in free words. */
export function SignsPanel({ fault, desk }: { fault: Fault; desk: FaultDesk }) {
  const [isAll, setAll] = useState(false)
  const said = desk.signs.filter((s) => s.isSaid)
  // Once something is said the rest of the list only stands in the way.
  const shown = isAll ? desk.signs : said.length > 0 ? said : desk.signs.filter((s) => s.isUsual)
  return (
    <Panel title="What does it do?">
      <Chips
        label="What does it do?"
        chips={shown.map((s) => ({ key: s.key, what: s.what, isOn: s.isSaid }))}
        why={whyClosed(desk)}
        onToggle={(key) =>
          fault.describe({
            signs: desk.signs.filter((s) => (s.key === key ? !s.isSaid : s.isSaid)).map((s) => s.key),
          })
        }
      />
      <button type="button" className={form.link} onClick={() => setAll(!isAll)} data-no-print>
        {isAll ? 'fewer' : said.length > 0 ? 'something else, too …' : 'something else …'}
      </button>
      <InWords key={desk.words ?? ''} fault={fault} desk={desk} />
    </Panel>
  )
}

function InWords({ fault, desk }: { fault: Fault; desk: FaultDesk }) {
  const [words, setWords] = useState(desk.words ?? '')
  const isChanged = words.trim() !== (desk.words ?? '')
  return (
    <form
      data-no-print={desk.words === null || undefined}
      onSubmit={(event) => {
        event.preventDefault()
        fault.describe({ words: words.trim() || null })
      }}
    >
      <TextInput
        mt={8}
        size="sm"
        label="In your own words"
        disabled={whyClosed(desk) !== null}
        value={words}
        onChange={(event) => setWords(event.currentTarget.value)}
        error={issueFor(fault.error, 'event.words')}
      />
      {isChanged && (
        <Button type="submit" size="compact-sm" variant="default" mt={6}>
          Keep it
        </Button>
      )}
    </form>
  )
}
