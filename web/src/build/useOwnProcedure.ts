import type { OwnProcedure, ProcedureFamily } from '../api/plan'
import { useMachineSave } from '../machine/useMachineSave'
import type { Workbench } from '../machine/useWorkbench'

type Wording = OwnProcedure['reworded'][number]

/** What a machine has of its own beside a procedure, stored with the machine. */
export function useOwnProcedure(bench: Workbench, family: ProcedureFamily, onStored: () => void = () => {}) {
  const { machine, fitted } = bench.card
  const all = machine.procedures ?? []
  const own: OwnProcedure = all.find((p) => p.family === family) ?? { family, reworded: [], added: [] }
  const isStored = all.includes(own)
  const save = useMachineSave(bench.card, onStored)
  const at = `procedures[${isStored ? all.indexOf(own) : all.length}]`

  const store = (next: OwnProcedure) => {
    const isEmpty = next.reworded.length === 0 && next.added.length === 0
    const kept = isEmpty ? [] : [next]
    const procedures = isStored ? all.flatMap((p) => (p === own ? kept : [p])) : [...all, ...kept]
    save.store({
      machine: { ...machine, procedures: procedures.length === 0 ? null : procedures },
      fitted: fitted.loops,
      fittedVersion: fitted.version,
    })
  }
  const wordingOf = (step: string) => own.reworded.find((w) => w.step === step)
  /** Where a refusal of the wording of a step stands. */
  const atWording = (step: string) => {
    const index = own.reworded.findIndex((w) => w.step === step)
    return `${at}.reworded[${index < 0 ? own.reworded.length : index}]`
  }
  const reword = (step: string, change: Partial<Wording>) => {
    const was: Wording = wordingOf(step) ?? { step, do: null, minutes: null, torqueNm: null }
    const next = { ...was, ...change }
    const says = [next.do, next.minutes, next.torqueNm, next.wayMm].some((v) => v !== null && v !== undefined)
    const others = own.reworded.filter((w) => w.step !== step)
    const index = own.reworded.indexOf(was)
    store({
      ...own,
      reworded: !says ? others : index < 0 ? [...others, next] : own.reworded.with(index, next),
    })
  }
  return { own, isStored, at, save, store, wordingOf, atWording, reword }
}
