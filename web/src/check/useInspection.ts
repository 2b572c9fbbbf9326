import type { InspectionKind, MakerGrades } from '../api/check'
import type { LoopSummary } from '../api/client'
import { useMachineSave } from '../machine/useMachineSave'
import type { Workbench } from '../machine/useWorkbench'

/** How the loop in view is looked at on this machine, and how that is stored. */
export function useInspection(bench: Workbench, loop: LoopSummary | undefined, onDone: () => void) {
  const { machine, fitted } = bench.card
  const save = useMachineSave(bench.card, onDone)
  const all = machine.inspections ?? []
  const others = all.filter((i) => i.loopKey !== loop?.loopKey)
  const own = all.find((i) => i.loopKey === loop?.loopKey)
  const store = (part: { kind?: InspectionKind; grades?: MakerGrades[] }) => {
    if (!loop) return
    const next = { loopKey: loop.loopKey, kind: own?.kind ?? null, grades: own?.grades ?? [], ...part }
    const isEmpty = next.kind === null && next.grades.length === 0
    save.store({
      machine: { ...machine, inspections: isEmpty ? others : [...others, next] },
      fitted: fitted.loops,
      fittedVersion: fitted.version,
    })
  }
  return { ...save, store, grades: own?.grades ?? [], at: `inspections[${others.length}]` }
}
