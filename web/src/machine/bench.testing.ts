import type { Drive, LoopSummary, Machine, MachineCard, Setup } from '../api/client'
import type { Subject } from '../api/evaluation'
import type { Workbench } from './useWorkbench'

export const SUBJECT: Subject = { machineId: 7, practiceMachine: null, scope: { loopKeys: ['final'] } }

/** A motorcycle's workbench as the page hands it to its views, for tests of what they do with it. */

const chain: Extract<Drive['stages'][number], { kind: 'loop' }> = {
  kind: 'loop',
  key: 'final',
  name: 'final drive',
  drivingShaft: 'out',
  drivenShaft: 'axle',
  driveElement: 'chain',
  standard: '520',
  arrangement: 'open',
  slipFraction: 0,
  frontMounting: null,
  rearMounting: null,
  largestRear: null,
  smallestFront: null,
  rearIsSplit: false,
}

export const driveOf = (part: Partial<Drive> = {}): Drive => ({
  key: 'drive',
  name: 'Drive',
  mirrors: null,
  input: { shaft: 'crankshaft', kind: 'engine', lowSpeedRpm: 3000, limitSpeedRpm: 9000, crankLengthMm: null },
  stages: [chain],
  outputs: [{ name: 'rear wheel', shaft: 'axle', onRoad: true, roadWheel: { size: null, rollOutMm: 1895 } }],
  gearsInterchangeable: false,
  speedPickup: 'gearboxOutput',
  speedometerErrorPercent: 0,
  ...part,
})

export const loopOf = (part: Partial<LoopSummary> = {}): LoopSummary => ({
  loopKey: 'final',
  name: 'final drive',
  driveElement: 'chain',
  standard: '520',
  frontSize: 15,
  rearSize: 45,
  ratio: 3,
  frontOverRear: 1 / 3,
  links: 112,
  driveKey: 'drive',
  loopsBefore: [],
  search: {
    loopKey: 'final',
    frontMin: 13,
    frontMax: 17,
    rearMin: 40,
    rearMax: 50,
    onShelfOnly: false,
    standardSizesOnly: false,
    largestRatio: null,
    links: 112,
    work: null,
    typed: [],
  },
  wearLimitPercent: 1,
  isPullKnown: true,
  setting: { loopKey: 'final' } as LoopSummary['setting'],
  ...part,
})

export const setupOf = (part: Partial<Setup> = {}): Setup => ({
  id: 1,
  version: 1,
  machineId: 7,
  name: 'as fitted',
  status: 'asFitted',
  loops: [{ loopKey: 'final', frontSize: 15, rearSize: 45, links: 112 }],
  roadWheels: [],
  madeOn: '2026-05-01',
  fittedOn: '2026-05-01',
  fittedAtKm: null,
  note: null,
  ...part,
})

export function cardOf(machine: Partial<Machine> = {}, loops: LoopSummary[] = [loopOf()]): MachineCard {
  return {
    machine: {
      id: 7,
      version: 1,
      name: 'Test machine',
      kind: 'motorcycle',
      note: null,
      odometerKm: 21400,
      retiredOn: null,
      drives: [driveOf()],
      work: null,
      ...machine,
    },
    fitted: setupOf(),
    summary: {
      loops,
      gearCount: 1,
      tallestOverall: 3,
      drives: [
        {
          driveKey: 'drive',
          gearLabels: [''],
          aimKinds: ['cruiseSpeed', 'topSpeed', 'outputSpeed', 'overallRatio', 'finalRatio'],
          matchTolerancePercent: 2,
        },
      ],
      findings: [],
      openReadings: [],
      hasHistory: true,
      stops: [],
    },
  }
}

export function benchOf(part: Partial<Workbench> = {}): Workbench {
  const card = part.card ?? cardOf()
  return {
    card,
    setups: [card.fitted],
    trials: [],
    aims: [],
    drive: card.machine.drives[0] as Drive,
    gears: [''],
    loops: card.summary.loops,
    aim: undefined,
    target: undefined,
    isDragged: false,
    shown: {
      name: 'as fitted',
      loops: card.fitted.loops,
      roadWheels: [],
      setup: card.fitted,
      isFitted: true,
    },
    subject: SUBJECT,
    asFitted: SUBJECT,
    headlines: { data: undefined, of: undefined, error: null, isStale: false },
    set: () => {},
    pick: () => {},
    ...part,
  }
}

const added = { key: 'added', name: 'added', drivingShaft: 'crankshaft', drivenShaft: 'out' }

/** A pair of gears. */
export const PAIR: Drive['stages'][number] = {
  ...added,
  kind: 'fixedPair',
  driverTeeth: 20,
  drivenTeeth: 40,
  meshing: 'externalGears',
}

export const GEARBOX: Drive['stages'][number] = {
  ...added,
  kind: 'gearbox',
  set: { id: 0, version: 0, name: 'New set', reductions: [2.5, 1.5, 1], turnsRound: true, note: null },
}

export const PLANETARY: Drive['stages'][number] = {
  ...added,
  kind: 'planetary',
  sunTeeth: 18,
  ringTeeth: 72,
  held: 'ring',
  input: 'sun',
}
