import { SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import type { JobSheet } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useJobs, usePlan } from '../api/queries'
import { CHANGE_WORDS } from '../job/planWords'
import { useBench } from '../machine/useWorkbench'
import { dayText } from '../quantities/days'
import { EmptyState } from '../shell/EmptyState'
import { ChoosePlan } from './ChoosePlan'
import { PlanAtWork } from './PlanAtWork'

/** Station 5: in which order, with what, which way round, and what may not be forgotten. */
export default function BuildView() {
  const bench = useBench()
  const jobs = useJobs(bench.card.machine.id)
  const [chosen, setChosen] = useState<number>()
  if (bench.card.summary.loops.length === 0)
    return (
      <EmptyState title="This machine has no loop.">
        A direct drive has no chain or belt to be changed.
      </EmptyState>
    )
  if (jobs.error && !jobs.data)
    return <EmptyState title="The jobs can’t be read.">{sentenceOf(jobs.error)}</EmptyState>
  if (!jobs.data) return <EmptyState title="Opening the plan …" />
  const open = jobs.data.filter((j) => j.state !== 'ended')
  const planned = open.filter((j) => j.plan)
  const job = planned.find((j) => j.id === chosen) ?? planned[0]
  if (!job) return <ChoosePlan bench={bench} jobs={open} />
  return (
    <>
      {planned.length > 1 && (
        <SegmentedControl
          size="xs"
          m="12px 20px 0"
          aria-label="Plan of the job"
          data-no-print
          value={String(job.id)}
          onChange={(id) => setChosen(Number(id))}
          data={planned.map((j) => ({ value: String(j.id), label: nameOf(j) }))}
        />
      )}
      <OpenPlan key={job.id} job={job} />
    </>
  )
}

const nameOf = ({ plan, openedOn }: JobSheet) =>
  `${plan ? CHANGE_WORDS[plan.change] : ''}, ${dayText(openedOn)}`

function OpenPlan({ job }: { job: JobSheet }) {
  const bench = useBench()
  const plan = usePlan(job.id)
  if (plan.error && !plan.data)
    return <EmptyState title="The plan can’t be read.">{sentenceOf(plan.error)}</EmptyState>
  if (!plan.data) return <EmptyState title="Opening the plan …" />
  return <PlanAtWork bench={bench} job={job} work={plan.data} />
}
