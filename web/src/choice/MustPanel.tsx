import { Checkbox } from '@mantine/core'
import type { LoopWeighing } from '../api/choice'
import { choicesOf } from '../quantities/choices'
import { Panel } from '../shell/Panel'
import classes from './Choice.module.css'
import type { Weighing } from './useWeighing'
import { MUST_WORDS } from './words'

/** What must be so: what does not meet it is out, whatever else speaks for it. */
export function MustPanel({
  weighing,
  now,
  isKind,
}: {
  weighing: Weighing
  now: LoopWeighing
  /** Of parts only what can be had is asked. */
  isKind: boolean
}) {
  return (
    <Panel title="Must be so">
      <div className={classes.musts}>
        {choicesOf(MUST_WORDS)
          .filter(({ value }) => isKind || value === 'toBeHad')
          .map(({ value: must, label }) => (
            <Checkbox
              key={must}
              size="xs"
              label={label}
              checked={now.musts.includes(must)}
              onChange={(event) => {
                const isSet = event.currentTarget.checked
                weighing.change(({ musts }) => ({
                  musts: isSet ? [...musts, must] : musts.filter((m) => m !== must),
                }))
              }}
            />
          ))}
      </div>
    </Panel>
  )
}
