// Takes the pictures of docs/screenshots anew, from the demo data. Build once with ./run, then: node tools/screenshots.mjs [name …]
import { execSync, spawn } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chromium } from '../web/node_modules/@playwright/test/index.mjs'

const PORT = 5389
const home = join(dirname(fileURLToPath(import.meta.url)), '..')
const site = `http://127.0.0.1:${PORT}`
const DESK = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }

const button = (page, name) => page.getByRole('button', { name, exact: true }).first()
const send = (method, path, body) =>
  fetch(site + path, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })

/** A visit to Dunlin that goes on: as found and one round. */
async function beginVisit() {
  const round = (left, right, lock, values, gapMm, part) => ({
    leftUnits: left,
    rightUnits: right,
    lock,
    onStand: true,
    readings: values.map((value, position) => ({ method: 'pluck', value, position })),
    gapMm,
    at: '2026-11-26T09:12:00Z',
    who: 'Tarn',
    temperatureC: 17,
    turnsRolled: 4,
    ...part,
  })
  await send('POST', '/api/machines/2/set-jobs', {
    id: 0,
    version: 0,
    machineId: 2,
    loopKey: 'final',
    openedOn: '2026-11-26',
    who: 'Tarn',
    goal: 'both',
    gauge: [],
    closing: null,
    cautions: { who: 'Tarn', at: '2026-11-26T09:02:00Z' },
    rounds: [
      round(0, 0, 'torqued', [104.8, 107.1, 110.2, 108], 2.6, { wayLeftMm: 9 }),
      round(0.0625, 0.125, 'nipped', [108.9, 111.2, 114, 112.1], 2.6),
    ],
  })
}

/** Those that change what is stored stand last. */
const SHOTS = [
  { name: 'yard', path: '/' },
  { name: 'stock', path: '/stock' },
  { name: 'check', path: '/machines/6/check?loops=left-belt' },
  { name: 'brought', path: '/machines/1/check?view=brought' },
  { name: 'aim', path: '/machines/1/aim' },
  { name: 'ratio', path: '/machines/1/ratio' },
  { name: 'ratio-bicycle-dark', path: '/machines/3/ratio', dark: true },
  {
    name: 'choice',
    path: '/machines/1/choice',
    act: async (p) => {
      const known = p.getByRole('region', { name: 'What is known of each' })
      for (const [kind, price, least, most, minutes, every] of [
        ['chain, sealed rings', '180', '15000', '24000', '12', '700'],
        ['toothed belt', '520', '60000', '90000', '8', '4000'],
        ['chain, plain', '70', '8000', '11000', '15', '400'],
      ]) {
        await known.getByText(kind, { exact: true }).click()
        for (const [label, value] of [
          ['Parts cost', price],
          ['They last at least', least],
          ['At most', most],
          ['Upkeep each time', minutes],
          ['Looked after every', every],
        ])
          await known.getByLabel(label, { exact: true }).fill(value)
        await known.getByRole('combobox', { name: 'Who says how long' }).click()
        await p.getByRole('option', { name: 'maker or standard' }).click()
      }
      await known.getByLabel('An hour of work is worth').fill('22')
      await p.getByRole('radiogroup', { name: /^cheap to run/ }).getByText('2', { exact: true }).click()
      await p.getByRole('region', { name: 'Outcome' }).scrollIntoViewIfNeeded()
      await p.evaluate(() => scrollTo(0, 0))
    },
  },
  { name: 'fit', path: '/machines/1/fit' },
  { name: 'fit-tensioner-dark', path: '/machines/7/fit?loops=final', dark: true },
  {
    name: 'fit-rail',
    path: '/machines/5/fit',
    act: async (p) => {
      await p.getByText('from the side', { exact: true }).scrollIntoViewIfNeeded()
      await p
        .getByText('from the side', { exact: true })
        .evaluate((e) => e.scrollIntoView({ block: 'start' }))
    },
  },
  { name: 'loads', path: '/machines/1/loads' },
  { name: 'build', path: '/machines/1/build' },
  {
    name: 'practice-dark',
    path: '/practice',
    dark: true,
    act: async (p) => {
      await p.getByText('Belt, eccentric', { exact: true }).click()
      await button(p, 'Begin with one as it was found').click()
      await button(p, 'Roll it and read all round').click()
      await button(p, 'Keep as found').click()
      await p.getByText('What would you do now?').waitFor()
      await p.waitForTimeout(900)
      await p.evaluate(() => scrollTo(0, 0))
    },
  },
  {
    name: 'set-record',
    path: '/machines/2/set',
    act: (p) => p.getByRole('link', { name: 'record' }).click(),
  },
  { name: 'set', path: '/machines/2/set', before: beginVisit },
  {
    name: 'set-bay-phone',
    path: '/machines/1/set',
    size: PHONE,
    act: async (p) => {
      await button(p, 'Begin as found').click()
      await p.getByText('Read it as found').waitFor()
      await p.keyboard.press('b')
      await p.getByRole('dialog').getByRole('button', { name: 'All of it is so' }).click()
      for (const [i, way] of ['More play', 'Less play', 'More play', 'Less play'].entries()) {
        if (i > 0) await button(p, 'Next place').click()
        await button(p, way).click()
      }
      await p.getByRole('dialog').getByRole('button', { name: 'Keep as found' }).click()
    },
  },
  { name: 'job', path: '/machines/6/jobs/21' },
  {
    name: 'faults',
    path: '/faults/7/final',
    act: async (p) => {
      for (const name of [
        'something else …',
        'knocks once in a while, evenly',
        'fewer',
        'came at once',
        'rain or deep water',
        'stood for weeks',
        'Nothing of that',
        'None moves',
      ]) {
        await button(p, name).click()
        await p.waitForTimeout(700)
      }
      await p.mouse.move(0, 700)
      await p.evaluate(() => scrollTo(0, 0))
    },
  },
]

const data = mkdtempSync(join(tmpdir(), 'wendrak-shots-'))
const server = spawn(
  'dotnet',
  [join(home, 'build/app/Wendrak.Web.dll'), '--data', data, '--port', String(PORT)],
  {
    stdio: 'ignore',
  },
)
const isUp = () =>
  fetch(`${site}/health`).then(
    (r) => r.ok,
    () => false,
  )
while (!(await isUp())) await new Promise((done) => setTimeout(done, 100))
const browser = await chromium.launch({
  executablePath: execSync('command -v chromium', { encoding: 'utf8' }).trim(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update'],
})
try {
  const wanted = process.argv.slice(2)
  for (const shot of SHOTS) {
    if (wanted.length > 0 && !wanted.includes(shot.name)) continue
    await shot.before?.()
    const context = await browser.newContext({
      viewport: shot.size ?? DESK,
      colorScheme: shot.dark ? 'dark' : 'light',
    })
    const page = await context.newPage()
    await page.goto(site + shot.path, { waitUntil: 'networkidle' })
    await shot.act?.(page)
    // A slow machine still opens it, or still asks for the strip.
    for (let calm = 0; calm < 2; ) {
      await page.waitForTimeout(900)
      const isBusy = await page.evaluate(() => {
        const text = document.querySelector('main')?.innerText ?? ''
        return text.length < 40 || /Opening …|Computing …|Reading the|^\u2026$/m.test(text)
      })
      calm = isBusy ? 0 : calm + 1
    }
    await page.screenshot({ path: join(home, 'docs/screenshots', `${shot.name}.png`) })
    console.log(shot.name)
    await context.close()
  }
} finally {
  await browser.close()
  server.kill()
}
