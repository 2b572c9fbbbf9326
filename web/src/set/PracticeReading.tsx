import { Button } from '@mantine/core'
import { useMutation } from '@tanstack/react-query'
import { pluckSound, readPractice, type SetReading, type SetRound } from '../api/client'
import { sentenceOf } from '../api/issues'
import type { Setting } from './useSetting'

/** Reads the simulated drive all round, and lets it be heard. */
export function PracticeReading({
  setting,
  round,
  onPractice,
}: {
  setting: Setting
  round: SetRound
  onPractice: (readings: SetReading[], gapMm: number | null) => void
}) {
  const read = useMutation({
    mutationFn: async () => {
      const { job, input } = setting
      const made = (job?.rounds ?? []).map((r) => ({ ...r, readings: [] }))
      return readPractice({
        seed: Math.abs(job?.id ?? 1),
        loop: { ...input, rounds: [...made, { ...round, readings: [] }] },
        lock: round.lock,
      })
    },
    onSuccess: (answer) => {
      onPractice(answer.readings, answer.gapMm)
      const first = answer.readings[0]
      if (first?.method === 'pluck') void sound(first.value)
    },
  })
  return (
    <div style={{ marginTop: 6 }} data-no-print>
      <p className="cap">
        A simulated drive with its own hidden stiffness, run-out, skew and nut. Turn what is told, then read
        it.
      </p>
      <Button size="sm" mt={6} loading={read.isPending} onClick={() => read.mutate()}>
        Roll it and read all round
      </Button>
      {read.error ? (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(read.error)}
        </p>
      ) : null}
    </div>
  )
}

async function sound(hz: number) {
  try {
    const context = new AudioContext()
    const source = context.createBufferSource()
    source.buffer = await context.decodeAudioData(await pluckSound(hz))
    source.connect(context.destination)
    source.onended = () => void context.close()
    source.start()
  } catch {
    // Without a loudspeaker the practice drive is read all the same.
  }
}
