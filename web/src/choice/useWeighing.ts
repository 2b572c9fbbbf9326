import { useState } from 'react'
import { type LoopWeighing, type OptionFigures, useChoice } from '../api/choice'
import { useDebouncedDraft } from '../api/evaluation'
import { useAddress } from '../machine/useAddress'
import type { Workbench } from '../machine/useWorkbench'

/** A weighing of the loop in view: as stored, or as it is being changed. */
export function useWeighing(bench: Workbench, loopKey: string) {
  const [params, set] = useAddress()
  const matter = params.get('matter')
  const [draft, setDraft] = useState<LoopWeighing | null>(null)
  const isHere = draft?.loopKey === loopKey && (draft.matter ?? null) === matter
  const typed = isHere ? draft : null
  const weighing = useDebouncedDraft(typed)
  const { machine } = bench.card
  const answer = useChoice({
    machineId: machine.id,
    version: machine.version,
    loopKey,
    matter,
    weighing,
  })
  const desk = answer.data
  const now = typed ?? desk?.weighing
  /** Quick changes follow each other before anything is drawn: each is made on what the one before left. */
  const change = (edit: (weighing: LoopWeighing) => Partial<LoopWeighing>) =>
    setDraft((last) => {
      const from = last?.loopKey === loopKey && (last.matter ?? null) === matter ? last : desk?.weighing
      return from ? { ...from, ...edit(from) } : last
    })
  return {
    desk,
    answer,
    matter,
    now,
    isDraft: typed !== null,
    change,
    /** What is known of one option, with some of it changed. */
    changeFigures: (option: string, part: Partial<OptionFigures>) =>
      change(({ figures }) => ({
        figures: [
          ...figures.filter((f) => f.option !== option),
          { ...(figures.find((f) => f.option === option) ?? { option }), ...part } as OptionFigures,
        ],
      })),
    putBack: () => setDraft(null),
    weigh: (other: string | null) => set({ matter: other }),
    /** The machine with the weighing stored. */
    machine: {
      ...machine,
      weighings: [
        ...(machine.weighings ?? []).filter((w) => w.loopKey !== loopKey || (w.matter ?? null) !== matter),
        ...(now ? [now] : []),
      ],
    },
  }
}

export type Weighing = ReturnType<typeof useWeighing>
