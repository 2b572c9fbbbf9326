import type {
  Drive,
  LoadSource,
  LoopLoadsResult,
  LoopStrength,
  LoopSummary,
  MachineCard,
} from '../api/client'
import { type Question, useEvaluation } from '../api/evaluation'
import type { Computed } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'

type StoredLoads = NonNullable<MachineCard['machine']['loads']>

/** What is put in about a drive and one of its loops; what is null has a default, or is not judged. */
export interface LoadParts {
  source: LoadSource
  strength: LoopStrength
}

export interface Loads {
  loop: LoopSummary
  parts: LoadParts
  question: Question<'loads'>
  /** False where nobody has said how hard it is pulled: then there is nothing to ask for. */
  isAsked: boolean
  answer: Computed<LoopLoadsResult, Question<'loads'>>
}

/**
 * The loads of the loop in view.
 * @param draft What is being tried and not stored yet, in place of the stored parts.
 */
export function useLoads(bench: Workbench, draft: LoadParts | null): Loads | undefined {
  const loop = bench.loops.at(-1)
  const question = { source: draft?.source ?? null, strength: draft?.strength ?? null }
  const isAsked = draft !== null || loop?.isPullKnown === true
  const answer = useEvaluation(bench.subject, 'loads', isAsked ? question : undefined)
  return loop && { loop, parts: draft ?? partsOf(bench.card, bench.drive, loop), question, isAsked, answer }
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
function partsOf({ machine }: MachineCard, drive: Drive, loop: LoopSummary): LoadParts {
  return {
    source: machine.loads?.sources.find((s) => s.driveKey === drive.key) ?? { driveKey: drive.key },
    strength: machine.loads?.strengths.find((s) => s.loopKey === loop.loopKey) ?? {
      loopKey: loop.loopKey,
      strands: 1,
      extraHalfTurns: 0,
    },
  }
}
