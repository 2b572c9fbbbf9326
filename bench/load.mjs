// Fifty users at a hand's pace on one call, and what they waited.
import { readFileSync } from 'node:fs'
import { Agent, request } from 'node:http'

/** The surroundings in which ./run starts it. */
export const AS_RUN = {
  ...process.env,
  DOTNET_GCgen0size: '0x800000',
  MALLOC_ARENA_MAX: '2',
  MALLOC_TRIM_THRESHOLD_: '65536',
}

export const CLIENTS = 50
const CALLS_EACH = 15
const ROUNDS = 5
export const PAUSE_MS = 200 // a hand dragging a tooth count asks about five times a second
const agent = new Agent({ keepAlive: true, maxSockets: CLIENTS })
export const sleep = (ms) => new Promise((done) => setTimeout(done, ms))
export const at = (values, part) => [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * part))]
export const median = (values) => at(values, 0.5)

/** Calls a server at this port. A body makes it a POST. */
export const caller = (port) => (path, body) =>
  new Promise((done, failed) => {
    const start = performance.now()
    const headers = body ? { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) } : {}
    const r = request({ host: '127.0.0.1', port, path, method: body ? 'POST' : 'GET', headers, agent }, (answer) => {
      const parts = []
      answer.on('data', (part) => parts.push(part))
      answer.on('end', () =>
        answer.statusCode === 200
          ? done({ ms: performance.now() - start, parts })
          : failed(new Error(`${path}: ${answer.statusCode}`)),
      )
    })
    r.on('error', failed)
    r.end(body)
  })

// Hands are not in step: with equal pauses the clients soon are, and what is measured is how they queue up.
let seed = 1
const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647

async function round(pause, ask) {
  const times = []
  await Promise.all(
    Array.from({ length: CLIENTS }, async (_, c) => {
      await sleep((c / CLIENTS) * pause)
      for (let i = 0; i < CALLS_EACH; i++) {
        times.push((await ask(i + c)).ms)
        await sleep(pause * (0.5 + random()))
      }
    }),
  )
  return times
}

const processorTimes = () => readFileSync('/proc/stat', 'utf8').split('\n')[0].split(/\s+/).slice(1, 9).map(Number)

/** Median of the rounds, so that a moment in which a neighbour has the processors is not taken for the program's. */
export async function load(ask, pause = PAUSE_MS) {
  const before = processorTimes()
  const rounds = []
  for (let i = 0; i < ROUNDS; i++) rounds.push(await round(pause, ask))
  const spent = processorTimes().map((t, i) => t - before[i])
  const taken = spent[7] / (spent.reduce((sum, t) => sum + t) - spent[3])
  const tails = rounds.map((times) => at(times, 0.95))
  return (
    `median ${median(rounds.map(median)).toFixed(1)} ms, 95th percentile ${median(tails).toFixed(1)} ms ` +
    `(${ROUNDS} rounds: ${Math.min(...tails).toFixed(1)} to ${Math.max(...tails).toFixed(1)}; a neighbour took ${(taken * 100).toFixed(0)} %)`
  )
}
