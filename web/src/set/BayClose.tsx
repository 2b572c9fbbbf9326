import { Button } from '@mantine/core'
import { useState } from 'react'
import { DayField } from '../quantities/DayField'
import { useUnits } from '../quantities/units'
import { BaySteps } from '../shell/BaySteps'
import { ReasonedButton } from '../shell/ReasonedButton'
import classes from './BayMode.module.css'
import { ClosedOver } from './ClosedOver'
import { MissingTool } from './MissingTool'
import { type ClosingAsked, useClosing } from './useClosing'
import { capital } from './words'

/** The end of a visit, one step of its list after the other, then the last reading, the torque, and when to look again. */
export function BayClose({ onReadTight, ...asked }: ClosingAsked & { onReadTight: () => void }) {
  const units = useUnits()
  const { manual, job, lastReading, isReading } = asked
  const closing = useClosing(asked)
  const [isTorqueSaid, setTorqueSaid] = useState(false)
  const step = manual.closing[closing.done]
  const back = (
    <ReasonedButton
      size="xl"
      className={classes.big}
      variant="default"
      why={closing.done === 0 ? 'Nothing of the list is done yet.' : null}
      onClick={() => closing.tick(closing.done - 1)}
    >
      Not yet: back
    </ReasonedButton>
  )
  if (job.rounds.length === 0 || isReading)
    return (
      <p className={classes.instruction}>
        {isReading ? closing.missing : 'It is closed after it was read. Nothing is kept yet.'}
      </p>
    )
  if (step)
    return (
      <>
        <p className={classes.instruction} aria-live="polite">
          {step.sentence}
        </p>
        <p className={classes.basis}>
          {closing.done + 1} of {manual.closing.length} of the closing list
        </p>
        <MissingTool manual={manual} tools={step.tools} />
        <footer className={classes.last}>
          {back}
          <Button size="xl" className={classes.big} onClick={() => closing.tick(closing.done + 1)}>
            Done
          </Button>
        </footer>
      </>
    )
  if (lastReading === null)
    return (
      <>
        <p className={classes.instruction}>Now the last reading, with everything tight.</p>
        <footer className={classes.last}>
          {back}
          <Button size="xl" className={classes.big} onClick={onReadTight}>
            Read it
          </Button>
        </footer>
      </>
    )
  if (!isTorqueSaid)
    return (
      <>
        <p className={classes.instruction}>
          With which torque {manual.locksAreMany ? 'were' : 'was'} the {manual.lock} tightened?
        </p>
        <p className={classes.reading}>
          {closing.torque === undefined ? '–' : units.show('torque', closing.torque)}
        </p>
        <BaySteps
          of="torque"
          quantity="torque"
          from={closing.torque ?? 0}
          onStep={(nm) => closing.setTorque(nm > 0 ? nm : undefined)}
        />
        <footer>
          <Button
            size="xl"
            className={classes.big}
            variant="default"
            onClick={() => {
              closing.setTorque(undefined)
              setTorqueSaid(true)
            }}
          >
            Not measured
          </Button>
          <ReasonedButton
            size="xl"
            className={classes.big}
            why={closing.torque === undefined ? 'No torque is said.' : null}
            onClick={() => setTorqueSaid(true)}
          >
            So much
          </ReasonedButton>
        </footer>
      </>
    )
  return (
    <>
      <p className={classes.instruction}>Last reading, with everything tight: {lastReading}.</p>
      <p className={classes.basis}>
        {capital(manual.lock)}:{' '}
        {closing.torque === undefined ? 'torque not measured' : units.show('torque', closing.torque)}
      </p>
      <DayField size="lg" label="Look again on" value={asked.nextCheckOn} onChange={asked.onNextCheck} />
      <ClosedOver size="lg" closing={closing} />
      {closing.missing && <p className="cap">{closing.missing}</p>}
      <footer className={classes.last}>
        <Button size="xl" className={classes.big} variant="default" onClick={() => setTorqueSaid(false)}>
          Another torque
        </Button>
        <ReasonedButton
          size="xl"
          className={classes.big}
          loading={asked.isPending}
          why={closing.missing}
          onClick={closing.close}
        >
          Close the visit
        </ReasonedButton>
      </footer>
    </>
  )
}
