import { Button, Group } from '@mantine/core'
import { useMutation } from '@tanstack/react-query'
import { pluckSound, type SetReading, type SetRound } from '../api/client'
import { askFor } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { useBench } from '../machine/useWorkbench'
import type { Setting } from './useSetting'

/** Reads the simulated drive, at one place or all round, and lets it sound. */
export default function PracticeReading({
  setting,
  round,
  position,
  onReadings,
  onRead,
}: {
  setting: Setting
  round: SetRound
  /** Chosen on the ring. */
  position: number
  onReadings: (readings: SetReading[], gapMm: number | null) => void
  onRead: (reading: SetReading) => void
}) {
  const bench = useBench()
  const read = useMutation({
    mutationFn: async (_all: boolean) => {
      const { job, question } = setting
      return askFor(bench.asFitted, 'practice', {
        seed: Math.abs(job?.id ?? 1),
        set: { ...question, round },
        lock: round.lock,
      })
    },
    onSuccess: (answer, all) => {
      const here = answer.readings.find((r) => r.position === position)
      if (all) onReadings(answer.readings, answer.gapMm)
      else if (here) onRead(here)
      const result = all ? answer.readings[0] : here
      if (result?.method === 'pluck') void sound(result.value)
    },
  })
  return (
    <div style={{ marginTop: 6 }} data-no-print>
      <p className="cap">
        A simulated drive with its own hidden stiffness, run-out, skew and nut. Turn what is advised, then
        read it.
      </p>
      <Group gap="xs" mt={6}>
        <Button size="sm" loading={read.isPending} onClick={() => read.mutate(true)}>
          Roll it and read all round
        </Button>
        <Button size="sm" variant="default" disabled={read.isPending} onClick={() => read.mutate(false)}>
          {setting.loop.driveElement === 'chain' ? 'Read here only' : 'Pluck here only'}
        </Button>
      </Group>
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
