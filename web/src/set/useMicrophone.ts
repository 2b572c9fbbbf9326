import { useEffect, useRef, useState } from 'react'
import { wavOf } from './wav'

const KEPT_S = 3
const RINGS_S = 1.3
const QUIET_S = 0.3
/** Peak over the quiet before it that begins a pluck, and the least peak that can be one. */
const RISE = 5
const LEAST = 0.003

export interface Microphone {
  state: 'off' | 'asking' | 'on' | 'refused' | 'absent'
  /** Peak of the last moment, 0 to 1. */
  level: number
  start: () => void
  stop: () => void
}

/**
 * Listens for plucks: raw samples, no filter of the browser between. Each pluck is handed on as a recording, with the quiet before
 * it so that hum can be told from it.
 */
export function useMicrophone(onPluck: (recording: Blob) => void): Microphone {
  const [state, setState] = useState<Microphone['state']>('off')
  const [level, setLevel] = useState(0)
  const close = useRef<() => void>(() => {})
  const hand = useRef(onPluck)
  hand.current = onPluck
  useEffect(() => () => close.current(), [])

  const start = async () => {
    if (!navigator.mediaDevices?.getUserMedia) return setState('absent')
    setState('asking')
    try {
      const stream = await navigator.mediaDevices.getUserMedia({
        audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
      })
      const context = new AudioContext()
      await context.audioWorklet.addModule('/recorder.js')
      const recorder = new AudioWorkletNode(context, 'recorder')
      context.createMediaStreamSource(stream).connect(recorder)
      const ear = listenFor(context.sampleRate, (samples) => hand.current(wavOf(samples, context.sampleRate)))
      let shown = 0
      recorder.port.onmessage = ({ data }: MessageEvent<Float32Array>) => {
        const peak = ear(data)
        if (performance.now() - shown > 60) {
          shown = performance.now()
          setLevel(peak)
        }
      }
      close.current = () => {
        for (const track of stream.getTracks()) track.stop()
        void context.close()
        close.current = () => {}
      }
      setState('on')
    } catch (error) {
      setState(error instanceof DOMException && error.name === 'NotFoundError' ? 'absent' : 'refused')
    }
  }
  const stop = () => {
    close.current()
    setState('off')
    setLevel(0)
  }
  return { state, level, start: () => void start(), stop }
}

/** Cuts plucks out of a stream of blocks; tells the peak of each block. */
export function listenFor(rate: number, onPluck: (samples: Float32Array) => void) {
  const kept = new Float32Array(KEPT_S * rate)
  let filled = 0
  let quiet = 0
  let ringing = 0
  return (block: Float32Array): number => {
    const over = Math.max(0, filled + block.length - kept.length)
    if (over > 0) {
      kept.copyWithin(0, over, filled)
      filled -= over
    }
    kept.set(block, filled)
    filled += block.length
    let peak = 0
    for (const sample of block) peak = Math.max(peak, Math.abs(sample))
    if (ringing > 0) {
      ringing -= block.length
      if (ringing <= 0) {
        const length = Math.min(filled, Math.round((RINGS_S + QUIET_S) * rate))
        onPluck(kept.slice(filled - length, filled))
        quiet = peak
      }
    } else if (filled > QUIET_S * rate && peak > LEAST && peak > RISE * quiet) ringing = RINGS_S * rate
    else quiet += (peak - quiet) * 0.1
    return peak
  }
}
