import { useMutation } from '@tanstack/react-query'
import { listen, type SetAdvice, type SetReading } from '../api/client'
import { useMicrophone } from './useMicrophone'

/** Hears plucks, live or from a file, and puts what it heard at a position of the wheel. */
export function useEar(
  /** Where the core expects it to sound. */
  range: SetAdvice['expected'],
  position: number,
  onRead: (reading: SetReading) => void,
) {
  const hear = useMutation({
    mutationFn: (recording: Blob) =>
      listen(recording, range ? { lowHz: range.low, highHz: range.high } : undefined),
    onSuccess: (heard) =>
      heard.hz !== null && onRead({ method: 'pluck', value: heard.hz, position, forceN: null }),
  })
  const microphone = useMicrophone((recording) => hear.mutate(recording))
  return { hear, microphone }
}
