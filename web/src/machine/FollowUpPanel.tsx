import { Checkbox } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { changeSetup, type FollowUpTask } from '../api/client'
import { useEvaluation } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { Panel } from '../shell/Panel'
import classes from './FollowUpPanel.module.css'
import { becauseText, commonCause, followUpKey, STATION_WORDS, taskText } from './followUpWords'
import type { Workbench } from './useWorkbench'

/** What a change of parts asks for: open items of what is fitted, to tick off, or what the wheels in view would ask for. */
export default function FollowUpPanel({ bench }: { bench: Workbench }) {
  const { shown, card } = bench
  const preview = useEvaluation(bench.subject, 'followUps', shown.isFitted ? undefined : {})
  const tick = useChange(changeSetup)
  const open = card.fitted.followUps ?? []
  const items = shown.isFitted ? open : (preview.data ?? [])
  if (items.length === 0) return null
  const onDone = (item: FollowUpTask) =>
    tick.mutate(
      { ...card.fitted, followUps: open.filter((o) => followUpKey(o) !== followUpKey(item)) },
      { onError: (error) => notifications.show({ color: 'red', message: sentenceOf(error) }) },
    )
  const cause = commonCause(items)
  const stations = [...new Set(items.map((i) => i.station))]
  return (
    <Panel
      title={shown.isFitted ? 'To be done again' : 'Fitting this asks for'}
      note={cause}
      isStale={!shown.isFitted && preview.isStale}
    >
      {stations.map((station) => (
        <div key={station} className={classes.station}>
          <h3>{STATION_WORDS[station]}</h3>
          <ul>
            {items
              .filter((i) => i.station === station)
              .map((item) => (
                <li key={followUpKey(item)}>
                  {shown.isFitted ? (
                    <Checkbox
                      size="sm"
                      label={taskText(item, card.summary.loops)}
                      description={cause === undefined && becauseText(item)}
                      checked={false}
                      disabled={tick.isPending}
                      onChange={() => onDone(item)}
                    />
                  ) : (
                    <>
                      {taskText(item, card.summary.loops)}{' '}
                      {cause === undefined && <span className="cap">{becauseText(item)}</span>}
                    </>
                  )}
                </li>
              ))}
          </ul>
        </div>
      ))}
      <p className="cap">
        {shown.isFitted ? 'Tick off what is done.' : 'Kept as a list once it is on.'} By geometry and common
        practice; the maker’s service instructions win.
      </p>
    </Panel>
  )
}
