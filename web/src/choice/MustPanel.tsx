import { Checkbox } from '@mantine/core'
import type { ChoiceDesk, LoopWeighing } from '../api/choice'
import { Panel } from '../shell/Panel'
import classes from './Choice.module.css'
import type { Weighing } from './useWeighing'
import { MUST_WORDS } from './words'

/** What must be so: what does not meet it is out, whatever else speaks for it. */
export function MustPanel({
  weighing,
  desk,
  now,
}: {
  weighing: Weighing
  desk: ChoiceDesk
  now: LoopWeighing
}) {
  return (
    <Panel title="Must be so">
      <div className={classes.musts}>
        {desk.musts.map((must) => (
          <Checkbox
            key={must}
            size="xs"
            label={MUST_WORDS[must]}
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
