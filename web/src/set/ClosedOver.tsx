import { type MantineSize, TextInput } from '@mantine/core'
import { OutsideReadings } from '../loop/OutsideReadings'
import type { useClosing } from './useClosing'
import { DESPITE_WORDS } from './words'

/** What a visit would be closed over, and why all the same; nothing where there is none. */
export function ClosedOver({
  size,
  closing: { despite, outside, reason, setReason },
}: {
  size: MantineSize
  closing: ReturnType<typeof useClosing>
}) {
  return (
    despite.length > 0 && (
      <div role="alert">
        <p style={{ color: 'var(--watch)' }}>▲ It would be closed over:</p>
        <ul>
          {despite.map((d) => (
            <li key={d}>{DESPITE_WORDS[d]}</li>
          ))}
          <OutsideReadings readings={outside} />
        </ul>
        <TextInput
          size={size}
          label="Why it is closed all the same"
          value={reason}
          onChange={(event) => setReason(event.currentTarget.value)}
        />
      </div>
    )
  )
}
