import { notifications } from '@mantine/notifications'
import { addTrial } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { isSameChoice, type Workbench } from './useWorkbench'

/** Keeps the wheels that were picked as a trial; there is nothing to keep where they are stored already. */
export function useKeepTrial(bench: Workbench): { isPicked: boolean; isPending: boolean; keep: () => void } {
  const { shown, card, trials } = bench
  const add = useChange(() =>
    addTrial(card.machine.id, {
      name: nextName(trials.map((t) => t.name)),
      loops: shown.loops.filter((l) => {
        const before = card.fitted.loops.find((f) => f.loopKey === l.loopKey)
        return before === undefined || !isSameChoice(before, l)
      }),
      roadWheels: null,
      note: null,
      kindsOf: shown.kindsOf ?? null,
    }),
  )
  const isPicked = !shown.isFitted && !shown.setup
  return {
    isPicked,
    isPending: add.isPending,
    keep: () =>
      isPicked &&
      add.mutate(undefined, {
        onSuccess: (trial) => {
          bench.set({ setup: String(trial.id), pick: null })
          notifications.show({ message: `Kept as ${trial.name}.` })
        },
        onError: (error) => notifications.show({ color: 'red', message: sentenceOf(error) }),
      }),
  }
}

/** “Trial A”, “Trial B”, …: the first letter not in use. */
export function nextName(taken: string[]): string {
  for (let i = 0; i < 26; i++) {
    const name = `Trial ${String.fromCharCode(65 + i)}`
    if (!taken.includes(name)) return name
  }
  return `Trial ${taken.length + 1}`
}
