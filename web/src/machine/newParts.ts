import type { Drive, Stage } from '../api/client'

/** Names and places of a part that a person adds; what it begins with is the core's to say. */

export const STAGE_WORDS: Record<Stage['kind'], string> = {
  fixedPair: 'fixed pair (primary, reduction gears)',
  gearbox: 'gearbox',
  hubGear: 'hub gear',
  planetary: 'planetary',
  loop: 'chain or belt loop',
}

export function freshName(taken: string[], base: string): string {
  if (!taken.includes(base)) return base
  for (let i = 2; ; i++) if (!taken.includes(`${base} ${i}`)) return `${base} ${i}`
}

/** @param start What such a stage begins with. */
export function newStage(start: Stage, drive: Drive, keys: string[]): Stage {
  const shafts = [drive.input.shaft, ...drive.stages.map((s) => s.drivenShaft)]
  return {
    ...start,
    key: freshName(keys, start.kind),
    drivingShaft: drive.stages.at(-1)?.drivenShaft ?? drive.input.shaft,
    drivenShaft: freshName(shafts, 'shaft'),
  }
}

/** @param start What a drive begins with. */
export function newDrive(start: Drive, drives: Drive[]): Drive {
  const key = freshName(
    drives.map((d) => d.key),
    start.name,
  )
  return { ...start, key, name: key, outputs: start.outputs.map((o) => ({ ...o, name: `${key} ${o.name}` })) }
}
