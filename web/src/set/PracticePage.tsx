import { SegmentedControl } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Outlet } from 'react-router'
import { listPracticeMachines, type MachineCard } from '../api/client'
import { sentenceOf } from '../api/issues'
import { BenchContext, useWorkbench } from '../machine/useWorkbench'
import { EmptyState } from '../shell/EmptyState'
import { PageTitle } from '../shell/PageTitle'
import { UnitSwitch } from '../shell/UnitSwitch'

/** A place to learn setting at, with no vehicle: drives that ship with the program and are never stored. */
export default function PracticePage() {
  const machines = useQuery({
    queryKey: ['practice-machines'],
    queryFn: listPracticeMachines,
    staleTime: Number.POSITIVE_INFINITY,
  })
  const [chosen, setChosen] = useState(0)
  const card = machines.data?.[chosen]
  if (machines.error)
    return <EmptyState title="Practice can’t be opened.">{sentenceOf(machines.error)}</EmptyState>
  if (!machines.data || !card) return <EmptyState title="Opening …" />
  return (
    <>
      <PageTitle title="Practice" note="a simulated drive to learn on; nothing is stored">
        <SegmentedControl
          size="xs"
          aria-label="Drive to practise on"
          value={String(chosen)}
          onChange={(value) => setChosen(Number(value))}
          data={machines.data.map((m, i) => ({ value: String(i), label: m.machine.name }))}
        />
        <UnitSwitch />
      </PageTitle>
      <Practised key={chosen} card={card} />
    </>
  )
}

function Practised({ card }: { card: MachineCard }) {
  return (
    <BenchContext value={useWorkbench(card, [card.fitted], [])}>
      <Outlet />
    </BenchContext>
  )
}
