import type { Working } from '../api/client'
import { type AnswerTo, type PartName, type Question, useEvaluation } from '../api/evaluation'
import { WorkingDialog } from '../shell/WorkingDialog'
import type { Workbench } from './useWorkbench'

/** Parts whose workings are told when somebody asks for them. */
type Explained = {
  [P in PartName]: Question<P> extends { workings?: boolean } ? P : never
}[PartName]

/** How the figures of one part came about: asked for when it is opened. */
export function PartWorking<P extends Explained>({
  title,
  bench,
  part,
  question,
  of,
  onClose,
}: {
  title: string
  bench: Workbench
  part: P
  question: Question<P>
  of: (answer: AnswerTo<P>) => Working[]
  onClose: () => void
}) {
  const { data, error } = useEvaluation(bench.subject, part, { ...question, workings: true })
  return <WorkingDialog title={title} workings={data && of(data)} error={error} onClose={onClose} />
}
