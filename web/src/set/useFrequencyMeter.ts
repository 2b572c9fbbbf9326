import { useMutation } from '@tanstack/react-query'
import { listen, type SetAdvice, type SetReading } from '../api/client'
import { useMicrophone } from './useMicrophone'

/** Measures plucks, live or from a file, and puts the frequency at a position of the wheel. */
export function useFrequencyMeter(
  /** Where the core expects it to sound. */
  range: SetAdvice['expected'],
  position: number,
  onRead: (reading: SetReading) => void,
) {
  const measuring = useMutation({
    mutationFn: (recording: Blob) =>
      listen(recording, range ? { lowHz: range.low, highHz: range.high } : undefined),
    onSuccess: (result) =>
      result.hz !== null && onRead({ method: 'pluck', value: result.hz, position, forceN: null }),
  })
  const microphone = useMicrophone((recording) => measuring.mutate(recording))
  return { measuring, microphone }
}
