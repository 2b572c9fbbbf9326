import { Button } from '@mantine/core'
import { useState } from 'react'
import { issueFor } from '../api/issues'
import { useFilmTime } from '../api/log'
import due from '../job/due.module.css'
import { fixed } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import fieldRows from '../shell/fields.module.css'
import { LabelledValue } from '../shell/LabelledValue'
import { WorkingDialog } from '../shell/WorkingDialog'
import type { TimedRun } from './timedRun'

/** A film of the clock, frame by frame: its rate, and the numbers of two frames. */
export function FilmTimer({ onTimed }: { onTimed: (run: TimedRun) => void }) {
  const [from, setFrom] = useState<number>()
  const [to, setTo] = useState<number>()
  const [rate, setRate] = useState<number>()
  const [first, setFirst] = useState<number>()
  const [last, setLast] = useState<number>()
  const [isWorking, setWorking] = useState(false)
  const film = useFilmTime(
    rate === undefined || first === undefined || last === undefined
      ? undefined
      : { framesASecond: rate, firstFrame: first, lastFrame: last },
  )
  const isTimed = film.data !== undefined && !film.isStale
  return (
    <>
      <div className={fieldRows.fields}>
        <QuantityField size="sm" label="First speed" quantity="speed" value={from} onChange={setFrom} />
        <QuantityField size="sm" label="Second speed" quantity="speed" value={to} onChange={setTo} />
        <QuantityField
          size="sm"
          label="Frames a second"
          value={rate}
          onChange={setRate}
          error={issueFor(film.error, 'framesASecond')}
        />
        <QuantityField
          size="sm"
          label="Frame of the first speed"
          isCount
          value={first}
          onChange={setFirst}
          error={issueFor(film.error, 'firstFrame')}
        />
        <QuantityField
          size="sm"
          label="Frame of the second speed"
          isCount
          value={last}
          onChange={setLast}
          error={issueFor(film.error, 'lastFrame')}
        />
      </div>
      {film.data && (
        <div style={film.isStale ? { opacity: 0.5 } : undefined}>
          <LabelledValue name="between the two">
            {fixed(film.data.seconds, 2)} s, ± {fixed(film.data.errorS, 2)} s
          </LabelledValue>
          <button type="button" className={due.link} onClick={() => setWorking(true)}>
            working
          </button>
        </div>
      )}
      <Button
        mt="xs"
        variant="default"
        disabled={!isTimed || from === undefined || to === undefined || from === to}
        onClick={() =>
          film.data &&
          from !== undefined &&
          to !== undefined &&
          onTimed({ seconds: film.data.seconds, fromKmh: from, toKmh: to })
        }
      >
        Keep this run
      </Button>
      {isWorking && film.data && (
        <WorkingDialog
          title="Working: film"
          workings={[film.data.working]}
          onClose={() => setWorking(false)}
        />
      )}
    </>
  )
}
