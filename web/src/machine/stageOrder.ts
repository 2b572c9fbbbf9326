import type { Drive, Stage } from '../api/client'

/** What sat on a shaft stays on it when the shaft gets another name. */
export function renamedShaft(drive: Drive, before: string, after: string): Drive {
  return {
    ...drive,
    stages: drive.stages.map((s) => (s.drivingShaft === before ? { ...s, drivingShaft: after } : s)),
    outputs: drive.outputs.map((o) => (o.shaft === before ? { ...o, shaft: after } : o)),
  }
}

/** A new stage before another one: it takes over the shaft that drove it, and drives it in turn. */
export function insertedBefore(drive: Drive, index: number, stage: Stage): Drive {
  const next = drive.stages[index]
  if (!next) return { ...drive, stages: [...drive.stages, stage] }
  const added = { ...stage, drivingShaft: next.drivingShaft }
  return {
    ...drive,
    stages: drive.stages.flatMap((s, i) =>
      i === index ? [added, { ...s, drivingShaft: added.drivenShaft }] : [s],
    ),
  }
}

/** Why a stage can't change places with the one after it; null where it can. */
export function whyNotSwapped(drive: Drive, index: number): string | null {
  const [first, second] = [drive.stages[index], drive.stages[index + 1]]
  if (!first || !second) return 'There is no stage after it.'
  if (second.drivingShaft !== first.drivenShaft) return `${second.name} is not driven by ${first.name}.`
  const others = drive.stages.filter((s) => s !== second && s.drivingShaft === first.drivenShaft)
  const hangs = others[0]?.name ?? drive.outputs.find((o) => o.shaft === first.drivenShaft)?.name
  return hangs === undefined ? null : `${hangs} hangs on “${first.drivenShaft}” between them.`
}

/** Two stages in a row change places; the shafts stay where they are, so that nothing else is driven otherwise. */
export function swapped(drive: Drive, index: number): Drive {
  const [first, second] = [drive.stages[index], drive.stages[index + 1]]
  if (!first || !second || whyNotSwapped(drive, index) !== null) return drive
  const stages = [...drive.stages]
  stages[index] = { ...second, drivingShaft: first.drivingShaft, drivenShaft: first.drivenShaft }
  stages[index + 1] = { ...first, drivingShaft: second.drivingShaft, drivenShaft: second.drivenShaft }
  return { ...drive, stages }
}

/** A stage taken out: what it drove is driven from before it. */
export function without(drive: Drive, index: number): Drive {
  const gone = drive.stages[index]
  if (!gone) return drive
  const rest = { ...drive, stages: drive.stages.filter((_, i) => i !== index) }
  return renamedShaft(rest, gone.drivenShaft, gone.drivingShaft)
}
