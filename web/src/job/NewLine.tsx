import { Button, Group, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { JobPhoto } from '../api/client'
import { issueFor } from '../api/issues'
import { QuantityField } from '../quantities/QuantityField'
import { Refused } from '../shell/Refused'
import type { Ends } from './PhotoLines'
import { atEvent, useJobEvents } from './useJobEvents'

/** What is said of a line that was just drawn: how long it is, or that it is to be measured. */
export function NewLine({
  jobId,
  photo,
  ends,
  onDone,
}: {
  jobId: number
  photo: JobPhoto
  ends: Ends
  onDone: () => void
}) {
  const [about, setAbout] = useState('')
  const [lengthMm, setLength] = useState<number | undefined>()
  const record = useJobEvents(jobId)
  const draw = (known: number | null) =>
    record.happens(
      { kind: 'photoLineDrawn', hash: photo.hash, line: ends, lengthMm: known, about: about.trim() || null },
      onDone,
    )
  return (
    <form
      onSubmit={(submitted) => {
        submitted.preventDefault()
        draw(lengthMm ?? null)
      }}
    >
      <Group mt="md" gap="sm" align="end">
        <TextInput
          size="sm"
          label="What the line goes along"
          value={about}
          onChange={(typed) => setAbout(typed.currentTarget.value)}
          error={issueFor(record.error, atEvent('about'))}
        />
        <QuantityField
          size="sm"
          label="Its length, where it is known"
          quantity="fine"
          value={lengthMm}
          onChange={setLength}
          error={issueFor(record.error, atEvent('lengthMm'))}
        />
        <Button type="submit" size="sm" loading={record.isPending}>
          {lengthMm === undefined ? 'Measure it' : 'It sets the scale'}
        </Button>
        <Button size="sm" variant="default" onClick={onDone}>
          Leave it
        </Button>
      </Group>
      <p className="cap">
        Put its ends where they belong, by finger, mouse or arrow keys. A known line and a measured one lie in
        one plane, and the camera looks square at it.
      </p>
      <Refused error={record.error} fields={[atEvent('about'), atEvent('lengthMm')]} />
    </form>
  )
}
