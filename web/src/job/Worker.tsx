import { Autocomplete, Button, Group } from '@mantine/core'
import { useState } from 'react'
import { setWho, whoAmI } from '../api/client'
import { usePeople } from '../api/queries'

const MOST_BUTTONS = 4
const keyOf = (jobId: number) => `wendrak.who.${jobId}`

/** Who works at this job on this page: chosen once, then it stands beside what is written down from here. */
export function Worker({ jobId }: { jobId: number }) {
  const people = usePeople().data ?? []
  const [chosen, setChosen] = useState(() => recall(jobId))
  const [name, setName] = useState(whoAmI)
  const choose = (who: string) => {
    sessionStorage.setItem(keyOf(jobId), who)
    setWho(who)
    setChosen(who)
    setName(who)
  }
  if (chosen !== null)
    return (
      <Group gap="xs">
        <span>
          Working here: <b>{chosen || 'workshop'}</b>
        </span>
        <Button size="compact-sm" variant="subtle" color="gray" onClick={() => setChosen(null)}>
          Somebody else
        </Button>
      </Group>
    )
  return (
    <form
      aria-label="Who works here"
      onSubmit={(event) => {
        event.preventDefault()
        choose(name.trim())
      }}
    >
      <Group gap="xs" align="end">
        <Autocomplete
          size="sm"
          w={170}
          label="Who works here?"
          placeholder="workshop"
          data={people}
          maxLength={60}
          openOnFocus={false}
          value={name}
          onChange={setName}
          onOptionSubmit={choose}
        />
        <Button type="submit" size="sm" variant="default">
          That’s me
        </Button>
        {people.slice(0, MOST_BUTTONS).map((person) => (
          <Button key={person} size="compact-sm" variant="default" onClick={() => choose(person)}>
            {person}
          </Button>
        ))}
      </Group>
    </form>
  )
}

/** Null where nobody said yet who works at the job on this page. */
function recall(jobId: number) {
  const who = sessionStorage.getItem(keyOf(jobId))
  if (who !== null) setWho(who)
  return who
}
