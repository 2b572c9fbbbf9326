import { readFileSync } from 'node:fs'
import { addMachine, untilIdle } from './bench'
import { refuse, shownOn } from './refusing'
import { expect, type Page, test } from './server'

type Step = (page: Page) => Promise<unknown>

interface Form {
  name: string
  path: string
  /** What brings its fields into view, one part after the other. */
  open?: Step[]
  /** What sends them, where they are not sent as they are typed. */
  send?: Step
}

const press =
  (name: string | RegExp): Step =>
  (page) =>
    page
      .getByRole('button', { name, exact: typeof name === 'string' })
      .last()
      .click()
const choose =
  (label: string, option: string | RegExp): Step =>
  async (page) => {
    // An answer that comes meanwhile draws the field anew, and its list closes.
    await expect(async () => {
      await page.getByRole('combobox', { name: label }).last().click()
      await page
        .getByRole('option', { name: option, exact: typeof option === 'string' })
        .last()
        .click({ timeout: 3_000 })
    }).toPass()
  }
const say =
  (text: string): Step =>
  (page) =>
    page.locator('main').getByText(text, { exact: true }).last().click()
const dialog: Step = (page) => page.getByRole('dialog').getByRole('textbox').first().waitFor()
/** A field that comes with an answer of the server. */
const comes =
  (label: string): Step =>
  (page) =>
    page.getByLabel(label).last().waitFor()
const all =
  (...steps: Step[]): Step =>
  async (page) => {
    for (const step of steps) await step(page)
  }
const fill =
  (label: string, text: string): Step =>
  (page) =>
    page.getByRole('textbox', { name: label }).last().fill(text)
const shims: Step = all(
  say('between its halves: one in opens it'),
  fill('Angle between its faces', '28'),
  fill('A shim thick', '1'),
  fill('Belt above the rim', '4'),
  fill('Shims at each bolt', '3'),
  fill('Spare for each bolt', '2'),
  fill('Belt runs at a radius of', '60'),
  fill('Between the shafts', '270'),
  fill('Belt long, where it bends', '850'),
)
/** A belt between sheaves that open and close: no machine of the yard has one. */
const variable: Step = async (page) => {
  const { machine, fitted } = await (await page.request.get('/api/machines/starting/winch')).json()
  const sheave = { loopKey: fitted[0].loopKey, adjuster: { kind: 'sheaveShims' }, shims: {} }
  const added = await page.request.post('/api/machines', {
    data: {
      machine: { ...machine, name: 'Sheaves', kind: 'moped', layouts: null, settings: [sheave] },
      fitted,
      fittedVersion: 0,
    },
  })
  await page.goto(`/machines/${(await added.json()).machine.id}/set`)
  await begun(page)
  await comes('Shims in at each bolt')(page)
}
const stay: Step = async () => {}
const storing = { send: press('Store') }
const stood = all(press('Where things stand'), dialog)
const edited = all(press('Edit machine and drive'), dialog)
const begun = press('Begin as found')

/** Every form that sends numbers, with machines whose kinds have all its fields between them. */
const FORMS: Form[] = [
  {
    name: 'loads of a motorcycle',
    path: '/machines/1/loads',
    open: [
      choose('Lay another kind beside it', 'round belt'),
      choose('A drive you trust', 'figures typed in'),
      choose('Joint', 'spline'),
      choose('Joint', 'bolt circle'),
      choose('Joint', 'shaft, twisted'),
    ],
  },
  { name: 'loads of a moped', path: '/machines/2/loads' },
  { name: 'loads of a bicycle', path: '/machines/3/loads' },
  { name: 'loads of a winch', path: '/machines/4/loads' },
  // Its share of the torque is asked for once an answer says that the drive forks.
  { name: 'loads of a robot', path: '/machines/5/loads', open: [comes('Share of the torque')] },
  ...['charge', 'noise', 'upkeep', 'part paid for', 'how it is liked', 'timed run'].map((kind) => ({
    name: `${kind} in the log`,
    path: '/machines/2/check?view=brought',
    open: [all(choose('What', kind), press('Who, load, route, weather …'))],
    send: press('Write it down'),
  })),
  {
    name: 'a film',
    path: '/machines/1/check?view=brought',
    open: [say('a film')],
  },
  { name: 'fit of a chain', path: '/machines/1/fit', open: [stay, say('sprocket')] },
  {
    name: 'fit of a V-belt',
    path: '/machines/4/fit',
    open: [say('groove'), say('cut to length'), choose('Kind', /link/), all(say('shims'), shims)],
  },
  {
    name: 'something without a marking',
    path: '/stock',
    open: [all(say('by measure'), fill('Over ten pitches', '127'))],
  },
  { name: 'fit at fixed centres', path: '/machines/5/fit' },
  { name: 'widths', path: '/machines/5/fit', open: [all(press('Widths'), dialog)], ...storing },
  {
    name: 'where things stand',
    path: '/machines/7/fit',
    open: [all(stood, press('Add an idler or a tensioner'), press('Add an edge to clear'))],
    ...storing,
  },
  {
    name: 'an eccentric',
    path: '/machines/1/fit',
    open: [all(stood, choose('Tensioned by', /eccentric/), comes('Starts at'))],
    ...storing,
  },
  { name: 'a chain is set', path: '/machines/1/set', open: [begun] },
  {
    name: 'an eccentric is set',
    path: '/machines/1/set',
    open: [all(choose('Set by', 'an eccentric'), comes('From its loosest, as found'))],
  },
  {
    name: 'a belt is set',
    path: '/machines/2/set',
    open: [
      all(begun, choose('Maker’s window', /push/), say('push & rule')),
      all(say('straight-edge'), say('Two readings of this belt make the curve its own')),
    ],
  },
  { name: 'a sheave is set by its shims', path: '/machines/4/set', open: [variable] },
  {
    name: 'a sprung arm is set',
    path: '/machines/7/set',
    // Its fields come with an answer.
    open: [(page) => page.getByRole('region', { name: 'Sprung arm' }).waitFor()],
  },
  { name: 'a robot is set', path: '/machines/5/set', open: [say('line')] },
  {
    name: 'aims',
    path: '/machines/1/aim',
    open: [
      stay,
      ...['top speed at the limit', 'speed of the output', 'overall ratio'].map((kind) =>
        choose('Aim at', kind),
      ),
    ],
  },
  { name: 'aim at a cadence', path: '/machines/3/aim' },
  { name: 'ratio of two loops', path: '/machines/7/ratio?loops=first!final' },
  { name: 'stock', path: '/stock', send: press('Add a spacer') },
  { name: 'a wheel is added', path: '/stock', open: [all(press('Add a wheel'), dialog)], send: press('Add') },
  {
    name: 'parts of stock',
    path: '/stock?list=parts',
    open: [stay, all(press(/How to get chain 96 links/), dialog)],
  },
  {
    name: 'spacers of stock',
    path: '/stock?list=parts',
    open: [all(press(/How to get 1.00.mm spacer for 12.0.mm/), dialog)],
  },
  {
    name: 'a part is added',
    path: '/stock?list=parts',
    open: [all(press('Add a part'), dialog)],
    send: press('Add'),
  },
  {
    name: 'a part is used',
    path: '/machines/6/jobs/21',
    open: [say('from elsewhere')],
    send: press('Use it'),
  },
  { name: 'a motorcycle is edited', path: '/machines/1/aim', open: [edited], ...storing },
  { name: 'a bicycle is edited', path: '/machines/3/aim', open: [edited], ...storing },
  { name: 'a winch is edited', path: '/machines/4/aim', open: [edited], ...storing },
  {
    name: 'a job is begun',
    path: '/machines/2/jobs?begin=visit',
    open: [dialog],
    send: (page) => page.getByRole('dialog').getByRole('button', { name: 'Begin' }).click(),
  },
  { name: 'a job', path: '/machines/6/jobs/21', send: press('Add the time') },
  {
    name: 'a torque by arm and pull',
    path: '/machines/1/build',
    open: [press(/New tab washer/), say('arm and pull: an estimate')],
  },
  {
    name: 'a step in the words of a machine',
    path: '/machines/3/build',
    open: [all(choose('Change', 'both wheels'), press(/New front ring on its four bolts/))],
    send: press('Keep it for this machine'),
  },
  {
    name: 'what is measured for the way round of a part',
    path: '/machines/3/build',
    open: [all(choose('Change', 'both wheels'), press(/New front ring on its four bolts/))],
    send: press(/^Keep it$/),
  },
  {
    name: 'a step that only a machine has',
    path: '/machines/3/build',
    open: [press('Add a step after this one')],
    send: press('Add it'),
  },
  {
    name: 'a look',
    path: '/machines/6/check?loops=left-belt',
    open: [all(press(/^Front pulley/), press('More of it …'))],
    send: press(/^▲ watch/),
  },
  {
    name: 'a chain is measured',
    path: '/machines/5/check',
    open: [
      all(
        press('Begin a look'),
        comes('Pitches measured at once'),
        say('Pulled with another load than that'),
      ),
    ],
    send: press('Write it down'),
  },
  { name: 'a look is begun', path: '/machines/3/check', send: press('Begin a look') },
  { name: 'a choice of kinds', path: '/machines/1/choice' },
  {
    name: 'where wheels stand is measured',
    path: '/machines/1/fit',
    open: [
      async (page) => {
        const id = await addMachine(page, 'Not laid out')
        await page.goto(`/machines/${id}/fit`)
        await page.getByLabel('Middle of shaft to middle of shaft').waitFor()
      },
    ],
    send: press(/^(Lay it out|Begin with what the length asks for)$/),
  },
  { name: 'a machine is added', path: '/', open: [all(press('Add a machine'), dialog)], send: press('Add') },
]

/** Puts a number into every field in view that this test has not filled yet, as if typed; nothing is drawn in between. */
const fillAll = (page: Page) =>
  page.evaluate(async () => {
    const scope = document.querySelector('[role=dialog]') ?? document.querySelector('main')
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set
    const fields = scope?.querySelectorAll<HTMLInputElement>(
      'input[inputmode=decimal], input[inputmode=numeric]',
    )
    for (const field of fields ?? []) {
      if (field.dataset.filled || field.readOnly || field.disabled || !field.checkVisibility()) continue
      const was = field.value.replaceAll(/\s/g, '')
      field.dataset.filled = 'yes'
      set?.call(field, was === '' ? '12' : `${was}1`)
      field.dispatchEvent(new Event('input', { bubbles: true }))
      await Promise.resolve() // the form takes it in before the next one
    }
  })

/** Waits until no more of what was refused comes into view, and tells what is. */
async function settled(page: Page) {
  let shown = await shownOn(page)
  for (let calm = 0; calm < 2; ) {
    await untilIdle(page)
    const now = await shownOn(page)
    calm = now.length === shown.length ? calm + 1 : 0
    shown = now
  }
  return shown
}

/** Numbers with bounds that nobody types into a field of their own, and why. */
const NOT_TYPED: Record<string, string[]> = {
  'a call of its own for people who program; the page sends what is stored': [
    'BoredSpacers.boreMm',
    'BoredSpacers.count',
    'BoredSpacers.thicknessMm',
    'SpacerCount.count',
    'SpacerCount.thicknessMm',
    'SpacerStacksInput.floatLeastMm',
    'SpacerStacksInput.toleranceMm',
    'LoopFitInput.wearLimitPercent',
    'LoopStrength.pressureAngleDeg',
    'FixedCentreInput.frontMin',
    'FixedCentreInput.rearMin',
    'RunningInInput.mostN',
    'RunningInInput.mostShaftLoadN',
    'RunningInInput.nowN',
    'RunningInInput.wantedN',
    'ThermalTensionInput.beltExpansionPerK',
    'ThermalTensionInput.beltLengthMm',
    'ThermalTensionInput.cosRun',
    'SetClosing.torqueNm',
  ],
  'chosen or stepped, with the sentence beside it': [
    'JobEventFaultDescribed.people',
    'LoopSetting.bias',
    'LoopChoice.lengthMm',
    'LoopSearch.links',
    'Reading.position',
    'StockSpacer.count',
    'JobEventJobSigned.score',
    'AimOutcome.score',
    'Wishes.carryingLoads',
    'WishWeight.weight',
    'Wishes.littleUpkeep',
    'Wishes.lowCost',
    'Wishes.quiet',
    'Wishes.range',
    'Wishes.response',
  ],
  'asked as NewJob, which has the same bounds': ['JobEventJobOpened.hours', 'JobEventJobOpened.odometerKm'],
  'too narrow for a sentence: red, with the sentence under the row': [
    'LoopSearch.frontMax',
    'LoopSearch.frontMin',
    'LoopSearch.rearMax',
    'LoopSearch.rearMin',
  ],
  'with a reading that is being put down, the sentence under the instrument': ['Reading.forceN'],
  'where a gauge or a hand is tied, which another test does': [
    'CalibrationPair.knownForceN',
    'CalibrationPair.knownValue',
    'CalibrationPair.ownValue',
  ],
  'at a step of a plan, where another test tightens': ['FasteningDone.of', 'FasteningDone.torqueNm'],
  'in a file of another workshop': ['SharedContentSharedProcedure.basedOn', 'SharedFile.version'],
  'in a plan that a file tells': ['ProcedureStep.minutes', 'StepFastener.cureHours', 'StepFastener.torqueNm'],
  'in the second round of a visit, which another test turns': ['SetRound.leftUnits', 'SetRound.rightUnits'],
}

const found = new Set<string>()
for (const form of FORMS)
  test(`what is refused is said at its field: ${form.name}`, async ({ page }) => {
    await page.goto(form.path)
    await page.waitForLoadState('networkidle')
    const here = new Set<string>()
    const [first, ...others] = form.open ?? [stay]
    await first?.(page)
    const refused = await refuse(page)
    for (const open of [stay, ...others]) {
      await open(page)
      await fillAll(page)
      await form.send?.(page)
      const atFields = await settled(page)
      for (const sent of refused.values())
        for (const { path, name } of sent) if (atFields.includes(path)) here.add(name)
    }
    for (const name of here) found.add(name)
    expect([...here]).not.toEqual([])
  })

test('every number that has bounds has a field that says so', () => {
  const bounded = readFileSync('../src/Wendrak.Web/bounds.csv', 'utf8')
    .trim()
    .split('\n')
    .map((row) => row.split(',')[0] ?? '')
  const own = (name: string) => name.split('.')[1] ?? ''
  // A question of the page has the bounds of the call that a program makes.
  const ofQuestions = new Set([...found].filter((n) => /(Question|Change)\./.test(n)).map(own))
  const missing = bounded.filter(
    (name) => !found.has(name) && !(/(Input|LoopSearch)\./.test(name) && ofQuestions.has(own(name))),
  )
  expect(missing).toEqual(Object.values(NOT_TYPED).flat().sort())
})
