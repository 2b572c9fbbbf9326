import { Button } from '@mantine/core'
import { useState } from 'react'
import { changeMachine } from '../api/client'
import { askFor, useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { issueFor, sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import type { Fit } from '../loop/useFit'
import type { Workbench } from '../machine/useWorkbench'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import classes from './NoLayout.module.css'

const FIELDS = {
  centreMm: 'Middle of shaft to middle of shaft',
  slotMm: 'Whole way of the slot',
  fromSlackMm: 'It stands from the slack end',
} as const
type Measured = Partial<Record<keyof typeof FIELDS, number>>

/** Nobody has said where the wheels stand: begin from what a rule tells; what is not measured is as the fitted length has it. */
export function NoLayout({ bench, fit }: { bench: Workbench; fit: Fit }) {
  const { machine, fitted } = bench.card
  const [measured, setMeasured] = useState<Measured>({})
  const isMeasured = measured.centreMm !== undefined
  const typed = useDebouncedDraft(measured)
  const { data: begun } = useEvaluation(
    bench.subject,
    'startingLayout',
    typed.centreMm === undefined
      ? undefined
      : { measured: { centreMm: typed.centreMm, slotMm: null, fromSlackMm: null } },
  )
  const units = useUnits()
  const start = useChange(async () => {
    const { centreMm = null, slotMm = null, fromSlackMm = null } = measured
    const { layout, setting } = await askFor(bench.subject, 'startingLayout', {
      measured: { centreMm, slotMm, fromSlackMm },
    })
    const others = (machine.settings ?? []).filter((s) => s.loopKey !== layout.loopKey)
    return changeMachine({
      machine: {
        ...machine,
        layouts: [...(machine.layouts ?? []), layout],
        settings: setting ? [...others, setting] : machine.settings,
        // A centre that was measured is none of the program's, even where it is the same.
        said: isMeasured ? [...(machine.said ?? []).filter((k) => k !== 'centre'), 'centre'] : machine.said,
      },
      fitted: fitted.loops,
      fittedVersion: fitted.version,
      kindsOf: bench.card.kindsOf ?? null,
    })
  })
  const known = Object.keys(FIELDS).some((key) => issueFor(start.error, `measured.${key}`))
  return (
    <Panel title={`Where do the wheels of “${fit.loop.name}” stand?`}>
      <form
        className={classes.measured}
        onSubmit={(event) => {
          event.preventDefault()
          start.mutate(undefined)
        }}
      >
        {(Object.entries(FIELDS) as [keyof Measured, string][]).map(([key, label]) => (
          <QuantityField
            key={key}
            label={label}
            quantity="fine"
            placeholder={key === 'centreMm' ? 'measure it' : 'as usual'}
            value={measured[key]}
            onChange={(value) => setMeasured({ ...measured, [key]: value })}
            error={issueFor(start.error, `measured.${key}`)}
          />
        ))}
        <Button type="submit" loading={start.isPending}>
          {isMeasured ? 'Lay it out' : 'Begin with what the length asks for'}
        </Button>
      </form>
      {isMeasured && begun?.centreByLengthMm != null && (
        <p role="status" style={begun.isFarFromLength ? { color: 'var(--watch)' } : undefined}>
          {begun.isFarFromLength
            ? `▲ The length that is on asks for ${units.show('fine', begun.centreByLengthMm)}: count it again, or measure again. One of both is off.`
            : `The length that is on asks for ${units.show('fine', begun.centreByLengthMm)}: both go together.`}
        </p>
      )}
      <p className="cap">
        {isMeasured
          ? 'What is left empty is taken as usual: 20 mm of slot to either side.'
          : 'Without a centre the wheels stand where the fitted length puts them: that is assumed, and says so until somebody measures.'}{' '}
        Everything else, idlers and what it could rub on, is put in after that.
      </p>
      {start.error && !known && (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(start.error)}
        </p>
      )}
    </Panel>
  )
}
