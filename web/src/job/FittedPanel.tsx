import { Button } from '@mantine/core'
import type { JobSheet, LoopSummary, Setup } from '../api/client'
import { reachText } from '../loop/readings'
import { useFitAgain } from '../machine/useFitAgain'
import type { Workbench } from '../machine/useWorkbench'
import { dayText, momentText } from '../quantities/days'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import classes from './JobPage.module.css'
import { loopName } from './words'

type Fitted = JobSheet['fitted'][number]

/** Setups that went onto the machine at a job; one that worked can go on again from here. */
export function FittedPanel({ bench, job }: { bench: Workbench; job: JobSheet }) {
  const { isPending, fitAgain } = useFitAgain()
  return (
    <Panel title="Fitted">
      <ul className={classes.notes}>
        {job.fitted.map((fitted) => {
          const former = bench.setups.find((s) => s.id === fitted.setupId && s.status === 'former')
          return (
            <li key={fitted.entry}>
              <span>
                {fitted.name}
                {fitted.again && ', again as it was'}
              </span>
              <span className="cap">{[fitted.who, momentText(fitted.at)].filter(Boolean).join(' · ')}</span>
              {former && <AgainButton setup={former} isPending={isPending} onPress={fitAgain} />}
              {fitted.again && <PutBack again={fitted.again} loops={bench.card.summary.loops} />}
            </li>
          )
        })}
      </ul>
    </Panel>
  )
}

function AgainButton({
  setup,
  isPending,
  onPress,
}: {
  setup: Setup
  isPending: boolean
  onPress: (setup: Setup) => void
}) {
  return (
    <Button
      size="compact-sm"
      variant="default"
      data-no-print
      loading={isPending}
      aria-label={`Fit ${setup.name} again`}
      onClick={() => onPress(setup)}
    >
      Fit it again
    </Button>
  )
}

/** What was put back with it, and what its loops are to reach. */
function PutBack({ again, loops }: { again: NonNullable<Fitted['again']>; loops: LoopSummary[] }) {
  const units = useUnits()
  return (
    <div style={{ flexBasis: '100%' }}>
      <p className="cap">
        {again.isPlaceKnown
          ? 'Places, shims and settings are as they were then.'
          : 'Nobody kept where things stood then: places, shims and settings are as they were before.'}
        {again.aimName && ` It did best by the aim “${again.aimName}”.`}
      </p>
      {again.toReach.length === 0 && <p className="cap">No reading was closed with it: nothing to reach.</p>}
      {again.toReach.map((reach) => (
        <LabelledValue
          key={reach.loopKey}
          name={`to reach, ${loopName(loops, reach.loopKey)}, as left on ${dayText(reach.on)}`}
        >
          {reachText(reach, units)}
        </LabelledValue>
      ))}
    </div>
  )
}
