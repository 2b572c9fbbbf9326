// 500 photos of some 4 MB: what sending ten at once weighs, and whether the Yard is as quick with them as without.
// Usage: node bench/photos.mjs [PHOTOS] (run ./run once first, and stop it)
import { spawn } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chromium } from '../web/node_modules/@playwright/test/index.mjs'
import { AS_RUN } from './load.mjs'

const PORT = 5389
const URL = `http://127.0.0.1:${PORT}`
const photos = Number(process.argv[2] ?? 500)
const home = join(dirname(fileURLToPath(import.meta.url)), '..')
const data = mkdtempSync(join(tmpdir(), 'wendrak-photos-'))
const sleep = (ms) => new Promise((done) => setTimeout(done, ms))
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]
const megabytes = (kB) => Math.round(kB / 1024)

const server = spawn('dotnet', [join(home, 'build/app/Wendrak.Web.dll'), '--data', data, '--port', String(PORT)], {
  stdio: 'ignore',
  env: AS_RUN,
})
while (!(await fetch(`${URL}/health/live`).then((r) => r.ok, () => false))) await sleep(50)

const residentOf = (pid) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0)
/** Of the server, and of what it started, kB. */
function weigh() {
  let children = 0
  for (const pid of readdirSync('/proc').filter((p) => /^\d+$/.test(p)))
    try {
      const parent = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ')[1]
      if (Number(parent) === server.pid) children += residentOf(pid)
    } catch {} // it has ended meanwhile
  return { own: residentOf(server.pid), all: residentOf(server.pid) + children }
}
const heaviest = { own: 0, all: 0 }
const watch = setInterval(() => {
  const now = weigh()
  heaviest.own = Math.max(heaviest.own, now.own)
  heaviest.all = Math.max(heaviest.all, now.all)
}, 20)

async function yard(times = 40) {
  const taken = []
  for (let i = 0; i < times; i++) {
    const began = performance.now()
    for (const path of ['/api/machines', '/api/jobs']) await (await fetch(URL + path)).arrayBuffer()
    taken.push(performance.now() - began)
  }
  return median(taken)
}

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox'] })
const page = await browser.newPage()
/** Noise under a patch, as a JPEG of twelve megapixels. */
const draw = async (seed) =>
  Buffer.from(
    await page.evaluate(async (s) => {
      const canvas = new OffscreenCanvas(4000, 3000)
      const context = canvas.getContext('2d')
      const tile = new ImageData(500, 500)
      let x = 12345
      for (let i = 0; i < tile.data.length; i++) {
        x = (x * 1103515245 + 12345) & 0x7fffffff
        tile.data[i] = i % 4 === 3 ? 255 : 90 + (x >> 16) % 60
      }
      for (let i = 0; i < 48; i++) context.putImageData(tile, (i % 8) * 500, Math.floor(i / 8) * 500)
      context.fillStyle = `hsl(${(s * 37) % 360} 70% 50%)`
      context.fillRect((s * 61) % 3000, (s * 83) % 2000, 700 + s, 500)
      const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 })
      const bytes = new Uint8Array(await blob.arrayBuffer())
      let text = ''
      for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000))
      return btoa(text)
    }, seed),
    'base64',
  )

const open = async (machine) =>
  (
    await (
      await fetch(`${URL}/api/machines/${machine}/jobs`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ openedOn: '2026-11-29', reason: 'visit' }),
      })
    ).json()
  ).id
const send = async (job, picture) => {
  const answer = await fetch(`${URL}/api/jobs/${job}/photos?key=${crypto.randomUUID()}`, {
    method: 'POST',
    headers: { 'content-type': 'image/jpeg' },
    body: picture,
  })
  if (answer.status !== 201) throw new Error(`${answer.status} ${await answer.text()}`)
}

await yard()
const before = await yard()
const ten = []
for (let i = 0; i < 10; i++) ten.push(await draw(i))
console.log(`a photo: ${(ten[0].length / 1e6).toFixed(1)} MB; the Yard before: ${before.toFixed(1)} ms`)
console.log(`at rest: ${megabytes(weigh().own)} MB`)
heaviest.own = heaviest.all = 0
const began = performance.now()
const first = await open(2)
await Promise.all(ten.map((picture) => send(first, picture)))
console.log(
  `ten at once: ${((performance.now() - began) / 1000).toFixed(1)} s; at most ${megabytes(heaviest.own)} MB, with the process that opens them ${megabytes(heaviest.all)} MB`,
)
const taken = []
let job = first
for (let sent = 10; sent < photos; sent++) {
  if (sent % 50 === 0) job = await open(1 + (sent / 50) % 7)
  const picture = await draw(sent)
  const start = performance.now()
  await send(job, picture)
  taken.push(performance.now() - start)
}
clearInterval(watch)
const after = await yard()
console.log(`${photos} photos: each ${Math.round(median(taken))} ms; the Yard after: ${after.toFixed(1)} ms`)
console.log(`then: ${megabytes(weigh().own)} MB`)
await browser.close()
const ended = new Promise((done) => server.once('exit', done))
server.kill()
await ended
rmSync(data, { recursive: true })
