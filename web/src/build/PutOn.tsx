import { Button, type ButtonProps } from '@mantine/core'
import { putPlanOn } from '../api/plan'
import { useChange } from '../api/queries'
import { Refused } from '../shell/Refused'
import { untoldText } from './words'

/** Once the parts of a plan are on, the machine is told: Set reads and judges by what is on it. */
export function PutOn({ jobId, untold, ...button }: { jobId: number; untold: Untold } & ButtonProps) {
  const tell = useChange(() => putPlanOn(jobId))
  return (
    <div>
      <p>{untoldText(untold)}</p>
      <Button
        size="sm"
        mt="xs"
        {...button}
        loading={tell.isPending}
        onClick={() => tell.mutate()}
        data-no-print
      >
        It is on
      </Button>
      <Refused error={tell.error} />
    </div>
  )
}
export type Untold = Parameters<typeof untoldText>[0]
