import { Button } from '@mantine/core'
import { addTrial, fitSetup, type LoopChoice } from '../api/client'
import type { PlanToWork } from '../api/plan'
import { useChange } from '../api/queries'
import { changeText } from '../job/planWords'
import { nextName } from '../machine/SetupActions'
import { isSameChoice, type Workbench } from '../machine/useWorkbench'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'

/** Once the parts of a plan are on, the machine is told: Set reads and judges by what is on it. */
export function PutOn({ bench, toFit }: { bench: Workbench; toFit: NonNullable<PlanToWork['toFit']> }) {
  const { card, trials } = bench
  const fit = useChange(async (choice: LoopChoice) => {
    const after = card.fitted.loops.map((l) => (l.loopKey === choice.loopKey ? choice : l))
    const isAfter = (loops: LoopChoice[]) =>
      after.every((a) => loops.some((l) => l.loopKey === a.loopKey && isSameChoice(a, l)))
    const trial =
      trials.find((t) => isAfter(t.loops)) ??
      (await addTrial(card.machine.id, {
        name: nextName(trials.map((t) => t.name)),
        loops: [choice],
        roadWheels: null,
        note: null,
      }))
    return fitSetup(trial.id, trial.version)
  })
  const on = card.fitted.loops.find((l) => l.loopKey === toFit.loopKey)
  return (
    <Panel title="On the machine" note="Set judges by what is on it">
      <p>
        {card.machine.name} does not know yet what went on{on && `: ${changeText(on, toFit)}`}.
      </p>
      <Button size="sm" mt="xs" loading={fit.isPending} onClick={() => fit.mutate(toFit)} data-no-print>
        It is on
      </Button>
      <Refused error={fit.error} />
    </Panel>
  )
}
