import { Button, Group, SegmentedControl } from '@mantine/core'
import type { SetJob } from '../api/client'
import { ReasonedButton } from '../shell/ReasonedButton'
import { useUndoNotice } from '../shell/useUndoNotice'
import type { Setting } from './useSetting'

/** What the visit is for, and how else it goes on. */
export function VisitBar({
  machineId,
  setting,
  job,
  noBay,
  onBay,
}: {
  machineId: number
  setting: Setting
  job: SetJob
  /** Why there is none; null where there is. */
  noBay: string | null
  onBay: () => void
}) {
  const tellUndo = useUndoNotice()
  return (
    <Group gap="xs" data-no-print>
      <SegmentedControl
        size="xs"
        aria-label="What the rounds are for"
        value={job.goal}
        onChange={setting.choose}
        data={[
          { value: 'both', label: 'both' },
          { value: 'tensionOnly', label: 'tension only' },
          { value: 'trackingOnly', label: 'tracking only' },
        ]}
      />
      <ReasonedButton size="compact-sm" variant="default" why={noBay} onClick={onBay}>
        Bay mode
      </ReasonedButton>
      {!setting.isPractice && job.rounds.length === 0 && (
        <Button
          size="compact-sm"
          variant="default"
          onClick={() => setting.cancel(() => tellUndo('The visit is cancelled', machineId))}
        >
          Begun by mistake
        </Button>
      )}
    </Group>
  )
}
