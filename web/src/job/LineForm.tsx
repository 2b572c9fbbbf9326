import { Button, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { JobEvent } from '../api/client'
import { issueFor } from '../api/issues'
import { Refused } from '../shell/Refused'
import classes from './LineForm.module.css'
import { atEvent, useJobEvents } from './useJobEvents'

type Words<K extends string> = Record<K, string>

/** A line or two of words that are written down as one event. */
export function LineForm<K extends string>({
  jobId,
  labels,
  action,
  event,
}: {
  jobId: number
  /** What is asked, by its name in the event. */
  labels: Words<K>
  action: string
  event: (words: Words<K>) => JobEvent
}) {
  const keys = Object.keys(labels) as K[]
  const empty = Object.fromEntries(keys.map((k) => [k, ''])) as Words<K>
  const [words, setWords] = useState(empty)
  const record = useJobEvents(jobId)
  return (
    <form
      className={classes.form}
      data-no-print
      onSubmit={(submitted) => {
        submitted.preventDefault()
        record.happens(event(words), () => setWords(empty))
      }}
    >
      {keys.map((key) => (
        <TextInput
          key={key}
          size="sm"
          label={labels[key]}
          value={words[key]}
          onChange={(typed) => setWords({ ...words, [key]: typed.currentTarget.value })}
          error={issueFor(record.error, atEvent(key))}
        />
      ))}
      <Button type="submit" size="sm" variant="default" loading={record.isPending}>
        {action}
      </Button>
      <Refused error={record.error} fields={keys.map(atEvent)} />
    </form>
  )
}
