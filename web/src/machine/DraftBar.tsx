import { Button, Group } from '@mantine/core'
import type { ReactNode } from 'react'
import type { MachineCard, MachineSave } from '../api/client'
import { sentenceOf } from '../api/issues'
import { ReasonedButton } from '../shell/ReasonedButton'
import { useMachineSave } from './useMachineSave'

/** Something of a machine is tried and not stored yet: stores it, or puts it back. */
export function DraftBar({
  card,
  machine,
  isPossible,
  onBack,
  children,
  more,
}: {
  card: MachineCard
  /** The machine as it would be stored. */
  machine: MachineSave['machine']
  isPossible: boolean
  onBack: () => void
  /** What is told of the draft. */
  children: ReactNode
  /** What else can be done with it. */
  more?: ReactNode
}) {
  const { store, error, isPending, dialog } = useMachineSave(card, onBack)
  return (
    <Group gap="xs" my={6} data-no-print>
      <span role="status">{children}</span>
      <ReasonedButton
        size="compact-sm"
        loading={isPending}
        why={isPossible ? null : 'It is refused as it stands: correct the field that is marked.'}
        onClick={() => store({ machine, fitted: card.fitted.loops, fittedVersion: card.fitted.version })}
      >
        Store
      </ReasonedButton>
      <Button size="compact-sm" variant="default" onClick={onBack}>
        Put back
      </Button>
      {more}
      {error && !dialog ? (
        <span role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(error)}
        </span>
      ) : null}
      {dialog}
    </Group>
  )
}
