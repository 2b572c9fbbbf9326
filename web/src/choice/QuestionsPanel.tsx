import { SegmentedControl } from '@mantine/core'
import type { ChoiceDesk, LoopWeighing } from '../api/choice'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import classes from './Choice.module.css'
import type { Weighing } from './useWeighing'

/** Questions that a change of kind hangs on: an answer puts a kind out, or under watch. */
export function QuestionsPanel({
  weighing,
  desk,
  now,
}: {
  weighing: Weighing
  desk: ChoiceDesk
  now: LoopWeighing
}) {
  if (desk.questions.length === 0) return null
  const nameOf = (key: string) => desk.offered.find((o) => o.key === key)?.name ?? key
  return (
    <Panel title="Before it can be">
      {desk.questions.map((q) => {
        const answer = now.answers.find((a) => a.question === q.key)?.isYes
        const isHarm = desk.columns.some(
          (c) => c.watched.includes(q.because) || c.out.some((o) => o.text === q.because),
        )
        return (
          <div key={q.key} className={classes.question}>
            <p id={`ask-${q.key}`}>
              {q.text} <span className="cap">{q.of.map(nameOf).join(', ')}</span>
            </p>
            <SegmentedControl
              size="xs"
              aria-labelledby={`ask-${q.key}`}
              value={answer === undefined ? 'open' : answer ? 'yes' : 'no'}
              onChange={(said) =>
                weighing.change(({ answers }) => ({
                  answers: [
                    ...answers.filter((a) => a.question !== q.key),
                    ...(said === 'open' ? [] : [{ question: q.key, isYes: said === 'yes' }]),
                  ],
                }))
              }
              data={[
                { value: 'yes', label: 'yes' },
                { value: 'no', label: 'no' },
                { value: 'open', label: 'not known' },
              ]}
            />
            {isHarm && (
              <p>
                <span className={table.tag} data-tone={q.isStop ? 'stop' : 'watch'}>
                  {q.isStop ? 'stop' : 'watch'}
                </span>{' '}
                <span className="cap">{q.because}</span>
              </p>
            )}
          </div>
        )
      })}
    </Panel>
  )
}
