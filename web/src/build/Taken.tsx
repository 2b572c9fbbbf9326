import { Button } from '@mantine/core'
import type { PlanToWork } from '../api/plan'
import { useMachineSave } from '../machine/useMachineSave'
import type { Workbench } from '../machine/useWorkbench'
import { minutesText } from '../quantities/days'
import { Refused } from '../shell/Refused'

/** What a finished change of wheels really took, beside what Ratio counts for the next one. */
export function Taken({ bench, taken }: { bench: Workbench; taken: NonNullable<PlanToWork['taken']> }) {
  const { machine, fitted } = bench.card
  const save = useMachineSave(bench.card, () => undefined)
  if (taken.minutes === taken.countedMinutes)
    return <p className="cap">Ratio counts the {minutesText(taken.minutes)} that it took.</p>
  return (
    <div data-no-print>
      <p>
        It took {minutesText(taken.minutes)}; Ratio counts {minutesText(taken.countedMinutes)} for such a
        change of this machine.
      </p>
      <Button
        size="compact-sm"
        variant="default"
        mt="xs"
        loading={save.isPending}
        onClick={() =>
          save.store({
            machine: { ...machine, work: taken.work },
            fitted: fitted.loops,
            fittedVersion: fitted.version,
          })
        }
      >
        Let Ratio count {minutesText(taken.minutes)}
      </Button>
      <Refused error={save.error} />
      {save.dialog}
    </div>
  )
}
