import { notifications } from '@mantine/notifications'
import { useNavigate } from 'react-router'
import { fitSetupAgain, type Setup } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'

/** Puts a former setup back as it was, and goes to the job that does it. */
export function useFitAgain() {
  const navigate = useNavigate()
  const change = useChange(({ id, version }: Pick<Setup, 'id' | 'version'>) => fitSetupAgain(id, version))
  return {
    isPending: change.isPending,
    fitAgain: async (setup: Setup) => {
      try {
        const job = await change.mutateAsync(setup)
        navigate(`/machines/${setup.machineId}/jobs/${job.id}`)
        notifications.show({
          message: `${setup.name} is as fitted again; what was on the machine is kept as former.`,
        })
      } catch (error) {
        notifications.show({ color: 'red', message: sentenceOf(error) })
      }
    },
  }
}
