import {
  type Drive,
  type LoadSource,
  type LoadsInput,
  type LoopLoadsResult,
  type LoopStrength,
  type LoopSummary,
  loadLoop,
  type MachineCard,
} from '../api/client'
import { type Computed, useComputed } from '../api/queries'
import type { Shown, Workbench } from '../machine/useWorkbench'

type StoredLoads = NonNullable<MachineCard['machine']['loads']>

/** What is put in about a drive and one of its loops; what is null has a default, or is not judged. */
export interface LoadParts {
  source: LoadSource
  strength: LoopStrength
}

export interface Loads {
  loop: LoopSummary
  parts: LoadParts
  input: LoadsInput
  answer: Computed<LoopLoadsResult>
}

/**
 * The loads of the loop in view.
 * @param draft What is being tried and not stored yet, in place of the stored parts.
 */
export function useLoads(bench: Workbench, draft: LoadParts | null = null): Loads | undefined {
  const loop = bench.loops.at(-1)
  const parts = loop && (draft ?? partsOf(bench.card, bench.drive, loop))
  const input = loop && parts && loadsInput(bench.card, bench.drive, bench.shown, parts)
  // Nobody has said how hard it is pulled: then there is nothing to ask for.
  const isKnown = draft !== null || loop?.isPullKnown === true
  const answer = useComputed('loads', isKnown ? input : undefined, loadLoop)
  return loop && parts && input && { loop, parts, input, answer }
}

/** What is stored of a machine's loads, with some of it changed. */
export const loadsWith = (
  loads: StoredLoads | null | undefined,
  part: Partial<StoredLoads>,
): StoredLoads => ({
  sources: loads?.sources ?? [],
  strengths: loads?.strengths ?? [],
  alternatives: loads?.alternatives ?? null,
  joints: loads?.joints ?? null,
  ...part,
})

/** As stored, or nothing known. */
export function partsOf({ machine }: MachineCard, drive: Drive, loop: LoopSummary): LoadParts {
  return {
    source: machine.loads?.sources.find((s) => s.driveKey === drive.key) ?? {
      driveKey: drive.key,
      liftsOrFlies: false,
    },
    strength: machine.loads?.strengths.find((s) => s.loopKey === loop.loopKey) ?? {
      loopKey: loop.loopKey,
      strands: 1,
      extraHalfTurns: 0,
    },
  }
}

export function loadsInput(
  { machine }: MachineCard,
  drive: Drive,
  shown: Pick<Shown, 'loops' | 'roadWheels'>,
  { source, strength }: LoadParts,
): LoadsInput {
  return {
    drive,
    kind: machine.kind,
    loops: shown.loops.filter((c) => drive.stages.some((s) => s.key === c.loopKey)),
    roadWheels: shown.roadWheels,
    layout: machine.layouts?.find((l) => l.loopKey === strength.loopKey) ?? null,
    source,
    strength,
  }
}
