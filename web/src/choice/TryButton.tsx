import { Button } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { Link, useNavigate } from 'react-router'
import type { ChoiceColumn, ChoiceDesk } from '../api/choice'
import { tryKind } from '../api/choice'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { ReasonedButton } from '../shell/ReasonedButton'
import { outText } from './words'

/** Keeps a kind as a trial, with its wheels, length, layout and loads begun; what is on stays as it is. */
export function TryButton({
  column,
  desk,
  machineId,
}: {
  column: ChoiceColumn
  desk: ChoiceDesk
  machineId: number
}) {
  const navigate = useNavigate()
  const keep = useChange(tryKind)
  const address = (setup: number) =>
    `/machines/${machineId}/fit?loops=${desk.weighing.loopKey}&setup=${setup}`
  if (column.isFitted) return <span className="cap">what is on</span>
  if (column.trialId)
    return (
      <Button size="compact-sm" variant="default" component={Link} to={address(column.trialId)}>
        Look at the trial
      </Button>
    )
  const stop = column.out.find((o) => o.because === 'answer')
  const why = !column.canBeTried
    ? 'It asks for another frame or case, or nothing of the tables comes near: no trial of it can be kept here.'
    : stop
      ? `It is out: ${outText(stop)}.`
      : null
  return (
    <ReasonedButton
      size="compact-sm"
      variant={column.key === desk.outcome.first ? 'filled' : 'default'}
      why={why}
      loading={keep.isPending}
      onClick={() =>
        keep
          .mutateAsync({ machineId, loopKey: desk.weighing.loopKey, kind: column.key })
          .then((setup) => {
            notifications.show({ message: `Kept as the trial “${setup.name}”. What is on stays as it is.` })
            navigate(address(setup.id))
          })
          .catch((error) => notifications.show({ color: 'red', message: sentenceOf(error) }))
      }
    >
      Make it a trial
    </ReasonedButton>
  )
}
