import { execFileSync, execSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { panel } from './bench'
import { chromium, expect, type Page, test } from './server'

const executablePath = execSync('command -v chromium', { encoding: 'utf8', shell: '/bin/bash' }).trim()
const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--autoplay-policy=no-user-gesture-required',
]

async function listening(page: Page, baseURL: string) {
  await page.goto(`${baseURL}/machines/6/set`)
  await page
    .getByRole('button', { name: 'Begin as found' })
    .or(page.getByRole('button', { name: 'Listen' }))
    .first()
    .click()
  const reading = panel(page, 'Reading')
  const listen = reading.getByRole('button', { name: 'Listen', exact: true })
  await listen.click()
  return reading
}

test('a pluck is heard through the microphone of the browser', async ({ baseURL }) => {
  const file = join(mkdtempSync(join(tmpdir(), 'wendrak-microphone-')), 'pluck.wav')
  execFileSync('sox', [
    '-R',
    '-n',
    '-r',
    '48000',
    '-b',
    '16',
    '-c',
    '1',
    file,
    'synth',
    '3',
    'pluck',
    '65',
    'gain',
    '-6',
    'pad',
    '1',
    '2',
  ])
  const browser = await chromium.launch({
    executablePath,
    args: [
      ...ARGS,
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-audio-capture=${file}`,
    ],
  })
  try {
    const context = await browser.newContext({ permissions: ['microphone'] })
    const page = await context.newPage()
    const reading = await listening(page, baseURL ?? '')
    await expect(reading).toContainText('clear pluck', { timeout: 20_000 })
    const name = await page
      .getByRole('group', { name: 'Readings round the wheel' })
      .getByRole('button', { name: /Hz/ })
      .first()
      .getAttribute('aria-label')
    const heard = Number(/([\d.]+) Hz/.exec((name ?? '').replaceAll(/\s/g, ' '))?.[1])
    expect(Math.abs(heard - 65)).toBeLessThan(0.65)
    await reading.getByRole('button', { name: 'Stop listening' }).click()
    await expect(reading.getByRole('button', { name: 'Listen', exact: true })).toBeVisible()
  } finally {
    await browser.close()
  }
})

test('without a microphone a sentence says so, and the other methods remain', async ({ baseURL }) => {
  const browser = await chromium.launch({ executablePath, args: ARGS })
  try {
    const page = await (await browser.newContext()).newPage()
    const reading = await listening(page, baseURL ?? '')
    await expect(reading.getByRole('alert')).toContainText(/microphone/)
    await reading.getByLabel('Frequency').fill('61')
    await reading.getByRole('button', { name: 'Put it there' }).click()
    await expect(
      page.getByRole('group', { name: 'Readings round the wheel' }).getByRole('button', { name: /61\.0 Hz/ }),
    ).toBeVisible()
  } finally {
    await browser.close()
  }
})
