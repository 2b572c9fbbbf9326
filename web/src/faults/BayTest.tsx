import { Button } from '@mantine/core'
import type { FaultDesk, NextTest } from '../api/faults'
import { Bay } from '../shell/Bay'
import classes from '../shell/bay.module.css'
import { CANT_DO, CANT_TELL } from './TestCard'
import type { Fault } from './useFault'

/** The test in hand, big, for a thumb. */
export function BayTest({
  fault,
  desk,
  next,
  onLeave,
}: {
  fault: Fault
  desk: FaultDesk
  next: NextTest
  onLeave: () => void
}) {
  const { test, outcomes } = next
  return (
    <Bay speech={[test.ask, test.how, test.caution].filter(Boolean).join('. ')} onLeave={onLeave}>
      <p className={classes.count}>
        {desk.way.length} answered{test.isStopLook && ' · first, whatever the rest says'}
      </p>
      <p className={classes.instruction} aria-live="polite">
        {test.ask}
      </p>
      <p>{test.how}</p>
      {test.caution && <p className={classes.trap}>▲ {test.caution}</p>}
      <footer style={{ flexWrap: 'wrap' }}>
        {outcomes.map((o) => (
          <Button
            key={o.answer}
            size="xl"
            className={classes.big}
            disabled={fault.isSending}
            onClick={() => fault.answer(test.key, o.answer)}
          >
            {o.what}
          </Button>
        ))}
        <Button
          size="xl"
          className={classes.big}
          variant="default"
          disabled={fault.isSending}
          onClick={() => fault.answer(test.key, CANT_TELL)}
        >
          Can’t tell
        </Button>
        <Button
          size="xl"
          className={classes.big}
          variant="default"
          disabled={fault.isSending}
          onClick={() => fault.answer(test.key, CANT_DO)}
        >
          Can’t do it
        </Button>
      </footer>
    </Bay>
  )
}
