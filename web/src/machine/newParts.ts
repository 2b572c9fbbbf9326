import type { Drive, Stage } from '../api/client'

/** Starting values of a part that a person adds; each is corrected in the form. */

export const STAGE_WORDS: Record<Stage['kind'], string> = {
  fixedPair: 'fixed pair (primary, reduction gears)',
  gearbox: 'gearbox',
  hubGear: 'hub gear',
  planetary: 'planetary',
  loop: 'chain or belt loop',
}

function freshName(taken: string[], base: string): string {
  if (!taken.includes(base)) return base
  for (let i = 2; ; i++) if (!taken.includes(`${base} ${i}`)) return `${base} ${i}`
}

export function newStage(kind: Stage['kind'], drive: Drive, keys: string[]): Stage {
  const drivingShaft = drive.stages.at(-1)?.drivenShaft ?? drive.input.shaft
  const shafts = [drive.input.shaft, ...drive.stages.map((s) => s.drivenShaft)]
  const base = {
    key: freshName(keys, kind === 'loop' ? 'loop' : kind),
    name: kind === 'fixedPair' ? 'reduction' : kind === 'hubGear' ? 'hub gear' : kind,
    drivingShaft,
    drivenShaft: freshName(shafts, 'shaft'),
  }
  switch (kind) {
    case 'fixedPair':
      return { kind, ...base, driverTeeth: 20, drivenTeeth: 40, meshing: 'externalGears' }
    case 'gearbox':
      return {
        kind,
        ...base,
        set: {
          id: 0,
          version: 0,
          name: 'New gearbox set',
          reductions: [2.5, 1.5, 1],
          turnsRound: true,
          note: null,
        },
      }
    case 'hubGear':
      return {
        kind,
        ...base,
        hubName: 'hub gear',
        speedFactors: [0.75, 1, 1.333],
        smallestPrimaryRatio: null,
      }
    case 'planetary':
      return { kind, ...base, sunTeeth: 18, ringTeeth: 72, held: 'ring', input: 'sun' }
    case 'loop':
      return {
        kind,
        ...base,
        medium: 'chain',
        standard: '520',
        course: 'open',
        slipFraction: 0,
        frontMounting: null,
        rearMounting: null,
        largestRear: null,
        smallestFront: null,
        rearIsSplit: false,
      }
  }
}

export function newDrive(drives: Drive[]): Drive {
  const key = freshName(
    drives.map((d) => d.key),
    'drive',
  )
  return {
    key,
    name: key,
    mirrors: null,
    input: { shaft: 'motor', kind: 'motor', lowSpeedRpm: 300, limitSpeedRpm: 3000, crankLengthMm: null },
    stages: [],
    outputs: [{ name: `${key} wheel`, shaft: 'motor', onRoad: true, roadWheel: null }],
    gearsInterchangeable: true,
    speedPickup: 'none',
    speedometerErrorPercent: 0,
  }
}
