import { Button } from '@mantine/core'
import { useState } from 'react'
import type { FaultDesk, NextTest } from '../api/faults'
import { minutesText } from '../quantities/days'
import { plain } from '../quantities/format'
import { WhyButton } from '../shell/WhyButton'
import classes from './Faults.module.css'
import { MeasuredForm } from './MeasuredForm'
import type { Fault } from './useFault'
import { toolText } from './words'

export const CANT_TELL = 'cantTell'
export const CANT_DO = 'cantDo'

/** The test in hand: what is asked, how it is done, and what came of it. What stops a machine comes before all others. */
export function TestCard({
  fault,
  desk,
  next,
  onWorking,
  onBay,
}: {
  fault: Fault
  desk: FaultDesk
  next: NextTest
  onWorking: () => void
  onBay: () => void
}) {
  const { test, outcomes } = next
  const [inWords, setInWords] = useState(false)
  const measure = inWords ? null : desk.measure
  return (
    <section
      className={classes.card}
      data-tone={test.isStopLook ? 'stop' : undefined}
      aria-label="The test in hand"
    >
      <p className="cap">
        {test.isStopLook ? (
          <span className={classes.first}>First, whatever the rest says: </span>
        ) : (
          `${fault.wanted === test.key ? 'The test you chose' : 'The test that tells most for its minutes'} · `
        )}
        {[minutesText(test.minutes), toolText(test.tool), test.people > 1 && `${test.people} people`]
          .filter(Boolean)
          .join(' · ')}
      </p>
      <h2 className={classes.ask}>{test.ask}</h2>
      <p>{test.how}</p>
      {test.caution && <p className={classes.caution}>▲ {test.caution}</p>}
      {measure ? (
        <MeasuredForm key={test.key} fault={fault} measure={measure} onInWords={() => setInWords(true)} />
      ) : (
        <div className={classes.answers} data-no-print>
          {outcomes.map((o, i) => (
            <Button
              key={o.answer}
              variant={i === 0 && !test.isStopLook ? 'filled' : 'default'}
              disabled={fault.isSending}
              onClick={() => fault.answer(test.key, o.answer)}
            >
              {o.what}
            </Button>
          ))}
        </div>
      )}
      <CantAnswer fault={fault} test={test.key} />
      <p className="cap" data-no-print>
        {test.isStopLook
          ? 'With that it does not go out, whatever else it may be. '
          : `It takes away ${plain(Number(test.gainBits.toFixed(2)))} of the ${plain(Number(desk.result.openBits.toFixed(2)))} bits that are open. `}
        <WhyButton onClick={onWorking} /> ·{' '}
        <button type="button" className={classes.link} onClick={onBay}>
          big, for the bay (B)
        </button>
      </p>
    </section>
  )
}

/** Also where it is measured: what can’t be told or done is said, and it is not asked again. */
function CantAnswer({ fault, test }: { fault: Fault; test: string }) {
  return (
    <div className={classes.cant} data-no-print>
      <Button
        size="sm"
        variant="default"
        disabled={fault.isSending}
        onClick={() => fault.answer(test, CANT_TELL)}
      >
        Can’t tell
      </Button>
      <Button
        size="sm"
        variant="subtle"
        color="gray"
        disabled={fault.isSending}
        onClick={() => fault.answer(test, CANT_DO)}
      >
        can’t do this one
      </Button>
    </div>
  )
}
