import { describe, expect, it } from 'vitest'
import { listenFor } from './useMicrophone'
import { wavOf } from './wav'

const RATE = 8_000
const BLOCK = 128

/** Blocks of a sound given by its loudness over time. */
function recorded(loudness: (seconds: number) => number, seconds: number): Float32Array[] {
  const plucks: Float32Array[] = []
  const ear = listenFor(RATE, (samples) => plucks.push(samples))
  for (let at = 0; at < seconds * RATE; at += BLOCK)
    ear(
      Float32Array.from({ length: BLOCK }, (_, i) => {
        const t = (at + i) / RATE
        return loudness(t) * Math.sin(2 * Math.PI * 60 * t)
      }),
    )
  return plucks
}

const pluck = (begins: number) => (t: number) => (t < begins ? 0 : Math.exp(-(t - begins) * 3))

describe('cutting plucks out of what the microphone hears', () => {
  it('hands on one pluck with the quiet before it', () => {
    const [only, ...more] = recorded((t) => 0.5 * pluck(1)(t), 4)
    expect(more).toHaveLength(0)
    expect(only?.length).toBe(1.6 * RATE)
    const begins = only?.findIndex((s) => Math.abs(s) > 0.05) ?? -1
    expect(begins / RATE).toBeGreaterThan(0.2)
    expect(begins / RATE).toBeLessThan(0.35)
  })

  it('hears each of two plucks', () =>
    expect(recorded((t) => 0.5 * (pluck(1)(t) + pluck(4)(t)), 7)).toHaveLength(2))

  it('takes no steady hum and no whisper for a pluck', () => {
    expect(recorded(() => 0.2, 3).length).toBeLessThanOrEqual(1) // its beginning may be one, and the core refuses it
    expect(recorded((t) => 0.001 * pluck(1)(t), 3)).toHaveLength(0)
  })
})

describe('a recording', () => {
  it('is a WAV file of 32 bit float', async () => {
    const file = wavOf(Float32Array.of(0, 0.5, -1), 44_100)
    const read = await new Promise<ArrayBuffer>((done) => {
      const reader = new FileReader()
      reader.onload = () => done(reader.result as ArrayBuffer)
      reader.readAsArrayBuffer(file)
    })
    const bytes = new DataView(read)
    expect(bytes.byteLength).toBe(44 + 12)
    expect(bytes.getUint16(20, true)).toBe(3)
    expect(bytes.getUint32(24, true)).toBe(44_100)
    expect(bytes.getFloat32(48, true)).toBe(0.5)
  })
})
