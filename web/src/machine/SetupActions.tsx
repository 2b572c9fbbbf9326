import { Button, Group } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { addTrial, fitSetup } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { useShortcuts } from '../shell/shortcuts'
import { useFitAgain } from './useFitAgain'
import { isSameChoice, type Workbench } from './useWorkbench'

/** What can be done with the wheels in view: keep, fit, go back, compare. */
export function SetupActions({ bench, onSideBySide }: { bench: Workbench; onSideBySide?: () => void }) {
  const { shown, card, trials } = bench
  const keep = useChange(() =>
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
  const fit = useChange(fitSetup.bind(null, shown.setup?.id ?? 0))
  const again = useFitAgain()
  const failed = (error: unknown) => notifications.show({ color: 'red', message: sentenceOf(error) })
  const isPicked = !shown.isFitted && !shown.setup
  const onKeep = () =>
    isPicked &&
    keep.mutate(undefined, {
      onSuccess: (trial) => {
        bench.set({ setup: String(trial.id), pick: null })
        notifications.show({ message: `Kept as ${trial.name}.` })
      },
      onError: failed,
    })
  useShortcuts({ t: onKeep })
  return (
    <Group mt="sm" gap="xs" data-no-print>
      {isPicked && (
        <Button size="sm" onClick={onKeep} loading={keep.isPending}>
          Keep as a trial
        </Button>
      )}
      {shown.setup?.status === 'former' && (
        <Button
          size="sm"
          loading={again.isPending}
          onClick={() => shown.setup && again.fitAgain(shown.setup)}
        >
          Fit {shown.name} again
        </Button>
      )}
      {shown.setup && !shown.isFitted && shown.setup.status !== 'former' && (
        <Button
          size="sm"
          loading={fit.isPending}
          onClick={() =>
            fit.mutate(shown.setup?.version ?? 0, {
              onSuccess: () => {
                notifications.show({
                  message: `${shown.name} is as fitted now; the old setup is kept as former. What must be done again is listed here.`,
                })
                bench.set({ setup: null })
              },
              onError: failed,
            })
          }
        >
          Fit {shown.name}
        </Button>
      )}
      {!shown.isFitted && (
        <Button size="sm" variant="default" onClick={() => bench.set({ setup: null, pick: null })}>
          Back to as fitted
        </Button>
      )}
      {onSideBySide && trials.length > 0 && (
        <Button size="sm" variant="default" onClick={onSideBySide}>
          Side by side
        </Button>
      )}
    </Group>
  )
}

/** “Trial A”, “Trial B”, …: the first letter not in use. */
export function nextName(taken: string[]): string {
  for (let i = 0; i < 26; i++) {
    const name = `Trial ${String.fromCharCode(65 + i)}`
    if (!taken.includes(name)) return name
  }
  return `Trial ${taken.length + 1}`
}
