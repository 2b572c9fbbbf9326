import { Button } from '@mantine/core'
import { useNavigate } from 'react-router'
import { addAim } from '../api/client'
import { askFor, type Question } from '../api/evaluation'
import { useChange } from '../api/queries'
import { choicePath } from '../machine/choicePath'
import type { Workbench } from '../machine/useWorkbench'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import classes from './BetterPanel.module.css'

type Better = Question<'betterAim'>['better']

const WAYS: [Better, string, string][] = [
  ['calmerCruise', 'Calmer cruise', 'fewer turns at the speed it mostly runs'],
  ['harderPull', 'Harder pull', 'quicker away'],
  ['climb', 'Climb', 'hills, or a load'],
  ['quieter', 'Quieter', 'another kind of drive, weighed'],
  ['lastsLonger', 'Last longer', 'less to look after, weighed'],
]

/** A first aim from what is wanted, before anybody thinks of ratios; it can be changed in every figure afterwards. */
export function BetterPanel({ bench }: { bench: Workbench }) {
  const navigate = useNavigate()
  const { machine } = bench.card
  const loop = bench.loops.at(-1)
  const begin = useChange(async ({ better, name }: { better: Better; name: string }) => {
    const { target, wishes } = await askFor(bench.asFitted, 'betterAim', { better })
    return addAim({
      id: 0,
      version: 0,
      machineId: machine.id,
      name,
      driveKey: bench.drive.key,
      target,
      conditions: { surface: null, weather: null, load: null },
      wishes,
      note: null,
      outcomes: [],
      venue: null,
    })
  })
  return (
    <Panel title="What should it do better?">
      <div className={classes.ways}>
        {WAYS.map(([better, name, what]) => (
          <Button
            key={better}
            variant="default"
            className={classes.way}
            loading={begin.isPending && begin.variables?.better === better}
            onClick={() =>
              begin
                .mutateAsync({ better, name })
                .then((aim) =>
                  navigate(
                    better === 'quieter' || better === 'lastsLonger'
                      ? choicePath(machine.id, loop?.loopKey)
                      : `/machines/${machine.id}/ratio?aim=${aim.id}`,
                  ),
                )
                .catch(() => {})
            }
          >
            <span>
              <b>{name}</b>
              <span className={classes.what}>{what}</span>
            </span>
          </Button>
        ))}
        <Button
          variant="default"
          className={classes.way}
          onClick={() =>
            navigate(loop ? `/faults/${machine.id}/${encodeURIComponent(loop.loopKey)}` : '/faults')
          }
        >
          <span>
            <b>Something is wrong</b>
            <span className={classes.what}>from what it does to its cause</span>
          </span>
        </Button>
      </div>
      <Refused error={begin.error} />
    </Panel>
  )
}
