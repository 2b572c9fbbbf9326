// Start-up, memory, a compute call under load, page weight and first paint of the built program (run ./run once first).
// Usage: node bench/service.mjs
import { execSync, spawn } from 'node:child_process'
import { existsSync, mkdtempSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { cpus, tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chromium } from '../web/node_modules/@playwright/test/index.mjs'
import { AS_RUN, at, CLIENTS, caller, load, median, PAUSE_MS, sleep } from './load.mjs'

const PORT = 5388
const home = join(dirname(fileURLToPath(import.meta.url)), '..')
const built = join(home, 'build/app')
const data = mkdtempSync(join(tmpdir(), 'wendrak-bench-'))
const call = caller(PORT)

async function start() {
  const began = performance.now()
  const server = spawn('dotnet', [join(built, 'Wendrak.Web.dll'), '--data', data, '--port', String(PORT)], {
    stdio: 'ignore',
    env: AS_RUN,
  })
  for (;;) {
    try {
      await call('/health')
      return { server, ms: performance.now() - began }
    } catch {
      await sleep(10)
    }
  }
}
const stop = (server) => new Promise((done) => server.once('exit', done) && server.kill())

const first = await start() // fills the demo data
await stop(first.server)
const starts = []
for (let i = 0; i < 5; i++) {
  const run = await start()
  starts.push(run.ms)
  if (i < 4) await stop(run.server)
  else var server = run.server
}
console.log(`machine: ${cpus().length} × ${cpus()[0].model}, node ${process.version}`)
console.log(`start-up, second start on: median ${median(starts).toFixed(0)} ms of ${starts.length} (budget 1500)`)

const machines = JSON.parse(Buffer.concat((await call('/api/machines')).parts))
const [curlew] = machines
const stock = JSON.parse(Buffer.concat((await call('/api/stock')).parts)).map((s) => s.wheel)
const question = (front) =>
  JSON.stringify({
    drive: curlew.machine.drives[0],
    fitted: curlew.fitted.loops,
    roadWheels: [],
    search: [{ ...curlew.summary.loops[0].search, frontMax: front }],
    aim: { kind: 'cruiseSpeed', speedKmh: 90, gearIndex: 5, shaftSpeedLowRpm: 5020, shaftSpeedHighRpm: 5330 },
    gears: [],
    ranking: 'leastWork',
    stock,
  })
// Made once: the load is to be the server's work, not this script's.
const questions = [15, 16, 17, 18].map(question)
for (let i = 0; i < 400; i++) await call('/api/ratio/search', questions[i % 4]) // warm

const search = (i) => call('/api/ratio/search', questions[i % 4])
// What this machine and this script take by themselves: the same load on a call that does nothing.
console.log(`floor: ${CLIENTS} users on /health at the same pace: ${await load(() => call('/health'))}`)
console.log(`search, ${CLIENTS} users dragging (a call every ${PAUSE_MS} ms each): ${await load(search)} (budget 95th under 10)`)
console.log(`search, ${CLIENTS} clients without a pause: ${await load(search, 0)}`)

// What the Fit page asks, as it asks it.
const fitOf = ({ machine, fitted }) => ({
  drive: machine.drives[0],
  choice: fitted.loops[0],
  fitted: fitted.loops[0],
  layout: machine.layouts[0],
  travelMm: null,
  halfLinks: false,
  wearLimitPercent: null,
})
const named = (name) => machines.find((m) => m.machine.name === name)
const { choice, travelMm, halfLinks, wearLimitPercent, ...belt } = fitOf(named('Godwit'))
const pipit = named('Pipit')
const asBuilt = { drives: curlew.machine.drives, loops: curlew.fitted.loops, roadWheels: [], layouts: curlew.machine.layouts }
const fitCalls = {
  loop: fitOf(curlew),
  neighbours: fitOf(curlew),
  combinations: { ...belt, fronts: [], rears: [], lengths: [], stock },
  rail: {
    drive: pipit.machine.drives[0],
    loops: pipit.fitted.loops.filter((l) => pipit.machine.drives[0].stages.some((s) => s.key === l.loopKey)),
    layouts: pipit.machine.layouts.filter((l) => pipit.machine.drives[0].stages.some((s) => s.key === l.loopKey)),
    shafts: pipit.machine.shafts.filter((s) => s.driveKey === pipit.machine.drives[0].key),
    spacers: JSON.parse(Buffer.concat((await call('/api/spacers')).parts)),
  },
}
// A visit of two rounds, as the Set page asks it.
const setOf = ({ machine, fitted, summary }) => {
  const isChain = summary.loops[0].driveElement === 'chain'
  const read = (values, units) => ({
    leftUnits: units,
    rightUnits: units,
    lock: 'nipped',
    onStand: true,
    readings: values.map((value, position) => ({ method: isChain ? 'freePlay' : 'pluck', value, position })),
  })
  return {
    drive: machine.drives[0],
    kind: machine.kind,
    loops: fitted.loops,
    roadWheels: [],
    layout: machine.layouts[0],
    source: machine.loads.sources[0],
    strength: machine.loads.strengths[0],
    setting: machine.settings[0],
    goal: 'both',
    rounds: isChain
      ? [read([71, 68, 65, 69], 0), read([63, 60, 56, 61], 0.25)]
      : [read([104, 107, 110, 108], 0), read([112, 115, 118, 116], 0.125)],
  }
}
for (const [name, body] of [
  ...Object.entries(fitCalls).map(([name, input]) => [`/api/fit/${name}`, input]),
  ...['loop', 'mends'].map((name) => [
    `/api/loads/${name}`,
    {
      drive: curlew.machine.drives[0],
      kind: curlew.machine.kind,
      loops: curlew.fitted.loops,
      roadWheels: [],
      layout: curlew.machine.layouts[0],
      source: curlew.machine.loads.sources[0],
      strength: curlew.machine.loads.strengths[0],
    },
  ]),
  ...['Curlew', 'Dunlin'].map((name) => ['/api/set/advice', setOf(named(name))]),
  ['/api/follow-ups', { before: asBuilt, after: { ...asBuilt, loops: [{ ...curlew.fitted.loops[0], rearSize: 43 }] } }],
]) {
  const question = JSON.stringify(body)
  for (let i = 0; i < 400; i++) await call(name, question) // warm
  console.log(`${name}, ${CLIENTS} users at the same pace: ${await load(() => call(name, question))} (budget 95th under 10)`)
}
const browser = await chromium.launch({
  executablePath: execSync('command -v chromium', { encoding: 'utf8', shell: '/bin/bash' }).trim(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
})

// What the pages themselves ask: every question of a station as it is opened and a tooth is picked on it, in letters never read before,
// so that each is worked out.
const asked = async (paths) => {
  const questions = new Set()
  const page = await browser.newPage()
  page.on('request', (r) => r.url().endsWith('/api/evaluation') && questions.add(r.postData()))
  for (const path of paths) await page.goto(`http://127.0.0.1:${PORT}/machines/${path}`, { waitUntil: 'networkidle' })
  await page.close()
  return [...questions]
}
let unseen = 0
const unread = (question) => `${question.slice(0, -1)},"n":${unseen++}}`
const [loop] = curlew.summary.loops
const picks = [0, 1, 2, 3].map((more) => `pick=${loop.loopKey}~${loop.frontSize}~${loop.rearSize + more}`)
for (const station of ['ratio', 'fit', 'loads', 'build', 'set']) {
  const questions = await asked([...picks.map((pick) => `${curlew.machine.id}/${station}?${pick}`), `${named('Dunlin').machine.id}/${station}`])
  const ask = (i) => call('/api/evaluation', unread(questions[i % questions.length]))
  for (let i = 0; i < 400; i++) await ask(i) // warm
  console.log(`${station}, its ${questions.length} questions, ${CLIENTS} users at the same pace: ${await load(ask)} (budget 95th under 10)`)
}
// The judgement calls: a weighing while somebody types a price, as it opens, and a search for a fault.
const weighing = curlew.machine.weighings.find((w) => w.loopKey === 'final' && !w.matter)
const typing = () => {
  const price = 60 + (unseen++ % 4000) / 50
  const figures = weighing.figures.map((f, n) => (n === 0 ? { ...f, price } : f))
  return JSON.stringify({ weighing: { ...weighing, figures } })
}
for (const [name, path, body] of [
  ['a price being typed', `/api/machines/${curlew.machine.id}/choice/final`, typing],
  ['a weighing as it opens', `/api/machines/${named('Dunlin').machine.id}/choice/final`, () => '{}'],
  ['the next test for a fault', `/api/machines/${named('Plover').machine.id}/faults/left-belt`],
  ['what is due', '/api/due'],
  ['searches that go on', '/api/faults'],
]) {
  const ask = () => call(path, body?.())
  for (let i = 0; i < 400; i++) await ask() // warm
  console.log(`${name}, ${CLIENTS} users at the same pace: ${await load(ask)} (budget 95th under 10)`)
}
const rss = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))[1]) / 1024
console.log(`memory after that: ${rss.toFixed(0)} MB (its budget is after an hour of one user: hour.mjs)`)

const assets = join(built, 'front-end/assets')
// As it is sent: packed by the build, or as it is.
const sizes = Object.fromEntries(readdirSync(assets).map((f) => [f, statSync(join(assets, existsSync(join(assets, `${f}.br`)) ? `${f}.br` : f)).size]))
for (const [name, path, ready, most] of [
  ['yard', '/', 'article', 200],
  ['ratio', `/machines/${curlew.machine.id}/ratio`, '[role=option]', 250],
  ['build', `/machines/${curlew.machine.id}/build`, '[aria-label="Step in hand"], [aria-label="The order"]', 250],
  ...['aim', 'fit', 'loads', 'set', 'check', 'choice', 'jobs'].map((at) => [at, `/machines/${curlew.machine.id}/${at}`, 'main h2', 250]),
  ['set, of a belt', '/machines/6/set?loops=left-belt', 'main h2', 250],
  ['faults', '/faults/6/left-belt', 'main h2', 250],
  ['stock', '/stock', 'main h2', 250],
  ['practice', '/practice', 'main h2', 250],
]) {
  const paints = []
  const loaded = new Set()
  for (let i = 0; i < 5; i++) {
    const context = await browser.newContext()
    const page = await context.newPage()
    page.on('request', (r) => loaded.add(r.url().split('/').pop()))
    await page.goto(`http://127.0.0.1:${PORT}${path}`)
    await page.locator(ready).first().waitFor()
    await page.waitForLoadState('networkidle')
    paints.push(await page.evaluate(() => performance.getEntriesByName('first-contentful-paint')[0].startTime))
    await context.close()
  }
  const weight = (ending) => [...loaded].filter((f) => f.endsWith(ending)).reduce((sum, f) => sum + (sizes[f] ?? 0), 0) / 1000
  console.log(
    `${name}: first paint median ${median(paints).toFixed(0)} ms of ${paints.length} with an empty cache (budget 1000); ` +
      `${weight('.js').toFixed(0)} kB script (budget ${most}), ${weight('.css').toFixed(0)} kB style, as sent`,
  )
}
const page = await browser.newPage()
await page.goto(`http://127.0.0.1:${PORT}/machines/${curlew.machine.id}/ratio`)
await page.getByRole('listbox').first().focus()
const redraws = []
for (let i = 0; i < 20; i++)
  redraws.push(
    await page.evaluate(
      (key) =>
        new Promise((done) => {
          const began = performance.now()
          const before = document.body.innerText
          const watch = new MutationObserver(() => {
            if (document.body.innerText !== before && /against as fitted|As fitted/.test(document.body.innerText))
              requestAnimationFrame(() => setTimeout(() => (watch.disconnect(), done(performance.now() - began))))
          })
          watch.observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true })
          document.activeElement.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
        }),
      i % 2 ? 'ArrowRight' : 'ArrowLeft',
    ),
  )
console.log(`a changed tooth until the page has redrawn: median ${median(redraws).toFixed(0)} ms of ${redraws.length} (budget 100)`)

// The axle dragged along its slot and back: gaps between frames, and how often the figures under the picture changed.
await page.goto(`http://127.0.0.1:${PORT}/machines/${curlew.machine.id}/fit`)
const axle = page.getByRole('slider', { name: 'Travel of rear' })
await axle.waitFor()
const box = await axle.boundingBox()
const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
await page.evaluate(() => {
  window.frames_ = []
  window.figures_ = new Set()
  let last = performance.now()
  const tick = (now) => {
    window.frames_.push(now - last)
    window.figures_.add(document.querySelector('[role=slider]').getAttribute('aria-valuetext'))
    last = now
    requestAnimationFrame(tick)
  }
  requestAnimationFrame(tick)
})
await page.mouse.move(x, y)
await page.mouse.down()
for (let i = 0; i < 120; i++) {
  await page.mouse.move(x + 14 * Math.sin(i / 10), y)
  await sleep(16)
}
await page.mouse.up()
const drag = await page.evaluate(() => ({ frames: window.frames_.slice(1), figures: window.figures_.size }))
console.log(
  `dragging the axle: frames median ${median(drag.frames).toFixed(1)} ms, 95th percentile ${at(drag.frames, 0.95).toFixed(1)} ms, ` +
    `longest ${Math.max(...drag.frames).toFixed(0)} ms of ${drag.frames.length}; ${drag.figures} different figures drawn`,
)
await browser.close()
await stop(server)
