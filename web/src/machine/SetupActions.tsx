import { Button, Group } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { fitSetup } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { useShortcuts } from '../shell/shortcuts'
import { useFitAgain } from './useFitAgain'
import { useKeepTrial } from './useKeepTrial'
import type { Workbench } from './useWorkbench'

/** What can be done with the wheels in view: keep, fit, go back, compare. */
export function SetupActions({ bench, onSideBySide }: { bench: Workbench; onSideBySide?: () => void }) {
  const { shown, trials } = bench
  const fit = useChange(fitSetup.bind(null, shown.setup?.id ?? 0))
  const again = useFitAgain()
  const failed = (error: unknown) => notifications.show({ color: 'red', message: sentenceOf(error) })
  const { isPicked, isPending, keep } = useKeepTrial(bench)
  useShortcuts({ t: keep })
  return (
    <Group mt="sm" gap="xs" data-no-print>
      {isPicked && (
        <Button size="sm" onClick={keep} loading={isPending}>
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
