import { Button, Group, SegmentedControl } from '@mantine/core'
import classes from './SetView.module.css'
import type { PracticeDecision } from './usePracticeDecision'

/** That a visit is only practised, who says what to do next, and the way out of it. */
export function PracticeBar({
  practice,
  isPracticeOnly,
  onLeave,
}: {
  practice: PracticeDecision
  /** Nothing but practice is to be had here. */
  isPracticeOnly: boolean
  onLeave: () => void
}) {
  return (
    <Group gap="xs" role="note" className={classes.practice} data-no-print>
      <span>Practice: a simulated drive, nothing is stored.</span>
      <SegmentedControl
        size="xs"
        aria-label="Who says what to do next"
        value={practice.isMine ? 'mine' : 'told'}
        onChange={(value) => practice.setMine(value === 'mine')}
        data={[
          { value: 'mine', label: 'I decide' },
          { value: 'told', label: 'tell me' },
        ]}
      />
      <Button size="compact-xs" variant="default" onClick={onLeave}>
        {isPracticeOnly ? 'Another one' : 'Leave it'}
      </Button>
    </Group>
  )
}
