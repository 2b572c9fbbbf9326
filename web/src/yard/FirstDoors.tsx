import { Button } from '@mantine/core'
import { Link } from 'react-router'
import { useChange } from '../api/queries'
import { addDemo } from '../api/yard'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import classes from './FirstDoors.module.css'

/** Nothing stands in the yard: three ways to begin. */
export function FirstDoors({ onAdd }: { onAdd: () => void }) {
  const demo = useChange(() => addDemo())
  return (
    <div className={classes.doors}>
      <Panel title="Your own machine">
        <p>
          Its kind, its tyre and its tooth counts: the rest is assumed, marked, and measured when you come to
          it.
        </p>
        <Button onClick={onAdd}>Add a machine</Button>
      </Panel>
      <Panel title="A workshop to look around in">
        <p>Seven invented machines with two years of jobs, readings and fills: nothing of them is real.</p>
        <Button variant="default" loading={demo.isPending} onClick={() => demo.mutate(undefined)}>
          Put the demo into the yard
        </Button>
        <Refused error={demo.error} />
      </Panel>
      <Panel title="A drive to practise on">
        <p>Turn its adjuster, read it, and see how it answers. Nothing is stored, nothing can break.</p>
        <Button variant="default" component={Link} to="/practice">
          Practise
        </Button>
      </Panel>
    </div>
  )
}
