import { Button, Checkbox, FileButton, Progress } from '@mantine/core'
import { useDebouncedValue } from '@mantine/hooks'
import { useMutation } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { issueFor } from '../api/issues'
import { type FoundRun, readTrace, type SpeedTrace, type TraceQuestion } from '../api/log'
import { fixed } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import fieldRows from '../shell/fields.module.css'
import { Refused } from '../shell/Refused'
import table from '../shell/table.module.css'
import { TraceChart } from './TraceChart'
import { TraceColumnsFields } from './TraceColumnsFields'
import type { TimedRun } from './timedRun'

const NOTHING = { fromKmh: null, toKmh: null, firstS: null, lastS: null, columns: null }
/** Speeds that nobody said are rounded to so many of the shown unit. */
const ROUND = 5
const TYPING_MS = 300
const FIELDS = ['fromKmh', 'toKmh']

/** Runs between two speeds, found in a trace; the part of it that counts is dragged over. */
export function TraceTimer({
  machineId,
  chosen,
  onChoose,
}: {
  machineId: number
  chosen: TimedRun[]
  onChoose: (runs: TimedRun[]) => void
}) {
  const units = useUnits()
  const [file, setFile] = useState<File>()
  const [question, setQuestion] = useState<TraceQuestion>({
    ...NOTHING,
    roundKmh: units.toStored('speed', ROUND),
  })
  const [sent, setSent] = useState(0)
  const [last, setLast] = useState<SpeedTrace>()
  const newest = useRef<TraceQuestion>(undefined)
  const { mutate, ...read } = useMutation({
    mutationFn: ({ from, asked }: { from: File; asked: TraceQuestion }) =>
      readTrace(machineId, from, asked, setSent),
    onSuccess: (trace, { asked }) => {
      // An answer that was overtaken is to another question.
      if (asked !== newest.current) return
      setLast(trace)
      onChoose([])
    },
  })
  const ask = (change: Partial<TraceQuestion>) => setQuestion({ ...question, ...change })
  // A long trace is not sent anew at every figure of a number.
  const [asked] = useDebouncedValue(question, TYPING_MS)
  useEffect(() => {
    newest.current = asked
    if (file) mutate({ from: file, asked })
  }, [file, asked, mutate])
  const runOf = (run: FoundRun, trace: SpeedTrace): TimedRun => ({
    seconds: run.seconds,
    fromKmh: trace.fromKmh,
    toKmh: trace.toKmh,
    gear: run.gear,
    ...(trace.on !== null && { on: trace.on }),
    words: `${file?.name ?? 'trace'}, at ${fixed(run.fromS, 1)} s`,
  })
  return (
    <>
      <FileButton
        accept=".gpx,.csv,.tsv,.txt"
        onChange={(f) => {
          if (!f) return
          setFile(f)
          setLast(undefined)
          ask(NOTHING)
        }}
      >
        {(props) => (
          <Button variant="default" size="sm" {...props}>
            {file ? `Another trace than ${file.name}` : 'Choose a trace (.gpx, .csv)'}
          </Button>
        )}
      </FileButton>
      {read.isPending && <Progress mt="xs" value={sent * 100} aria-label="Trace sent" />}
      {read.error && !last && <Refused error={read.error} />}
      {last && (
        <>
          <Told trace={last} />
          <TraceChart
            trace={last}
            firstS={question.firstS}
            lastS={question.lastS}
            onPart={(firstS, lastS) => ask({ firstS, lastS })}
          />
          <div className={fieldRows.fields}>
            <QuantityField
              size="sm"
              label="First speed"
              quantity="speed"
              value={question.fromKmh ?? last.fromKmh}
              onChange={(fromKmh) => fromKmh !== undefined && ask({ fromKmh })}
              error={issueFor(read.error, 'fromKmh')}
            />
            <QuantityField
              size="sm"
              label="Second speed"
              quantity="speed"
              value={question.toKmh ?? last.toKmh}
              onChange={(toKmh) => toKmh !== undefined && ask({ toKmh })}
              error={issueFor(read.error, 'toKmh')}
            />
          </div>
          {last.columns && (
            <TraceColumnsFields
              columns={last.columns}
              choices={last.choices}
              onChange={(columns) => ask({ columns })}
            />
          )}
          <Refused error={read.error} fields={FIELDS} />
          {last.runs.length === 0 && (
            <p className="cap">
              No run from {units.show('speed', last.fromKmh)} to {units.show('speed', last.toKmh)} in that
              part.
            </p>
          )}
          {last.runs.length > 0 && (
            <div className={table.scroll}>
              <table className={table.table}>
                <thead>
                  <tr>
                    <th scope="col">at</th>
                    <th scope="col">takes</th>
                    <th scope="col">gear</th>
                    <th scope="col">keep</th>
                  </tr>
                </thead>
                <tbody>
                  {last.runs.map((run) => {
                    const line = runOf(run, last)
                    const isKept = chosen.some((c) => c.words === line.words)
                    return (
                      <tr key={run.fromS}>
                        <th scope="row" className="num">
                          {fixed(run.fromS, 1)} s
                        </th>
                        <td className="num">
                          {fixed(run.seconds, 2)} s{run.errorS !== null && ` ± ${fixed(run.errorS, 2)}`}
                        </td>
                        <td>{gearText(run)}</td>
                        <td>
                          <Checkbox
                            size="sm"
                            aria-label={`Keep the run at ${fixed(run.fromS, 1)} s`}
                            checked={isKept}
                            onChange={(e) =>
                              onChoose(
                                e.currentTarget.checked
                                  ? [...chosen, line]
                                  : chosen.filter((c) => c.words !== line.words),
                              )
                            }
                          />
                        </td>
                      </tr>
                    )
                  })}
                </tbody>
              </table>
            </div>
          )}
        </>
      )}
    </>
  )
}

const gearText = ({ gear, possibleGears }: FoundRun) =>
  gear !== null
    ? String(gear)
    : possibleGears.length === 0
      ? 'not known'
      : possibleGears.length === 1
        ? `${possibleGears[0]}, by its speed`
        : `${possibleGears[0]} to ${possibleGears.at(-1)}`

/** How good the trace is, and what of it was not taken. */
function Told({ trace }: { trace: SpeedTrace }) {
  const units = useUnits()
  const { faults } = trace
  const left = [
    faults.withoutTime > 0 && `${faults.withoutTime} without a time`,
    faults.doubled > 0 && `${faults.doubled} doubled`,
    faults.outOfOrder > 0 && `${faults.outOfOrder} that go back in time`,
    faults.unreadable > 0 && `${faults.unreadable} that can’t be read`,
  ].filter(Boolean)
  return (
    <p className="cap" role="status">
      {trace.points} points over {fixed(trace.durationS, 1)} s.{' '}
      {trace.areFromPlaces
        ? 'Speeds are worked out from places, over a second to either side.'
        : 'Speeds are the device’s own.'}{' '}
      {trace.noiseKmh !== null && `One of them wanders by ±${units.show('speed', trace.noiseKmh, 2)}. `}
      {trace.movesFromKmh !== null && `From rest: timed from ${units.show('speed', trace.movesFromKmh)} on. `}
      {left.length > 0 && `Left out: ${left.join(', ')}. `}
      {faults.isCut && 'The file is cut off: what stands before that is read.'}
    </p>
  )
}
