import { notifications } from '@mantine/notifications'
import { noteUseEvent, type UseEvent } from '../api/check'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { today } from '../quantities/days'
import classes from './HappenedButtons.module.css'
import { EVENT_WORDS } from './lookWords'

/** What happened to a machine: one press, and what it asks for is due. */
export function HappenedButtons({ machineId, onNoted }: { machineId: number; onNoted?: () => void }) {
  const note = useChange((event: UseEvent) =>
    noteUseEvent({ machineId, on: today(), happened: { event, words: null } }),
  )
  return (
    <div className={classes.events} data-no-print>
      {(Object.keys(EVENT_WORDS) as UseEvent[]).map((event) => (
        <button
          key={event}
          type="button"
          disabled={note.isPending}
          onClick={() =>
            note.mutate(event, {
              onSuccess: () => {
                notifications.show({ message: `Noted: ${EVENT_WORDS[event]}.` })
                onNoted?.()
              },
              onError: (error) => notifications.show({ color: 'red', message: sentenceOf(error) }),
            })
          }
        >
          {EVENT_WORDS[event]}
        </button>
      ))}
    </div>
  )
}
