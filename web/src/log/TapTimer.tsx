import { Button } from '@mantine/core'
import { useRef, useState } from 'react'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import fieldRows from '../shell/fields.module.css'
import type { TimedRun } from './timedRun'

const MS_PER_S = 1000

/** Two taps on one large button: as the first speed shows, and as the second one does. */
export function TapTimer({ onTimed }: { onTimed: (run: TimedRun) => void }) {
  const units = useUnits()
  const [from, setFrom] = useState<number>()
  const [to, setTo] = useState<number>()
  const [isRunning, setRunning] = useState(false)
  const begun = useRef(0)
  const isReady = from !== undefined && to !== undefined && from !== to
  const tap = (at: number) => {
    if (!isRunning) begun.current = at
    else if (isReady) onTimed({ seconds: (at - begun.current) / MS_PER_S, fromKmh: from, toKmh: to })
    setRunning(!isRunning)
  }
  return (
    <>
      <div className={fieldRows.fields}>
        <QuantityField size="sm" label="First speed" quantity="speed" value={from} onChange={setFrom} />
        <QuantityField size="sm" label="Second speed" quantity="speed" value={to} onChange={setTo} />
      </div>
      <Button
        fullWidth
        size="xl"
        disabled={!isReady}
        color={isRunning ? 'red' : undefined}
        // Down, not up: a finger rests on a button for a tenth of a second.
        onPointerDown={(event) => event.button === 0 && tap(event.timeStamp)}
        onKeyDown={(event) => {
          if ((event.key === 'Enter' || event.key === ' ') && !event.repeat) tap(event.timeStamp)
        }}
      >
        {!isReady
          ? 'Give two speeds first'
          : isRunning
            ? `It passes ${units.show('speed', to)}: tap`
            : `It passes ${units.show('speed', from)}: tap`}
      </Button>
      <p className="cap">A hand is late, at both ends about alike; a passenger taps.</p>
    </>
  )
}
