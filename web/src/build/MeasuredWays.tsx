import { Button } from '@mantine/core'
import { useState } from 'react'
import { issueFor } from '../api/issues'
import type { ProcedureFamily, ProcedureStep, WayAtStep } from '../api/plan'
import type { Workbench } from '../machine/useWorkbench'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Refused } from '../shell/Refused'
import classes from './BuildView.module.css'
import { useOwnProcedure } from './useOwnProcedure'

const WIDTH = 150
const HEIGHT = 84
const HOME = WIDTH / 4
const ROW = 6
const BAR = 18

/** Both ways round of a part by what is measured for it once on this machine, and the field to measure it. */
export function MeasuredWays({
  bench,
  family,
  step,
  at,
}: {
  bench: Workbench
  family: ProcedureFamily
  step: ProcedureStep
  at: WayAtStep
}) {
  const units = useUnits()
  const own = useOwnProcedure(bench, family)
  const [mm, setMm] = useState<number | undefined>(at.measuredMm ?? undefined)
  const field = `${own.atWording(step.key)}.wayMm`
  const { way } = step
  if (!way) return null
  return (
    <div>
      {at.movesMm === null ? (
        <p className="cap">Measured once on this machine, both ways stand here to scale.</p>
      ) : (
        <>
          <p className="cap">
            To scale: the wrong way round it stands off by {units.show('fine', at.movesMm)}.
          </p>
          <div className={classes.hubs}>
            <Stands movesMm={at.movesMm} offMm={0} label={way.right} />
            <Stands
              movesMm={at.movesMm}
              offMm={at.movesMm}
              label={way.wrong[0]?.way ?? 'the other way round'}
            />
          </div>
        </>
      )}
      <form
        className={classes.measure}
        data-no-print
        onSubmit={(event) => {
          event.preventDefault()
          own.reword(step.key, { wayMm: mm ?? null })
        }}
      >
        <QuantityField
          size="xs"
          label={`Measured here: ${at.what}`}
          quantity="fine"
          value={mm}
          onChange={setMm}
          error={issueFor(own.save.error, field)}
        />
        <Button
          size="xs"
          type="submit"
          variant="default"
          disabled={(mm ?? null) === at.measuredMm}
          loading={own.save.isPending}
        >
          Keep it
        </Button>
      </form>
      <Refused error={own.save.error} fields={[field]} />
      {own.save.dialog}
    </div>
  )
}

/** Where it belongs as a dashed line, where it stands as a block, and a bar to read it by. */
function Stands({ movesMm, offMm, label }: { movesMm: number; offMm: number; label: string }) {
  const units = useUnits()
  const scale = WIDTH / 2 / movesMm
  const barMm = 10 ** Math.floor(Math.log10(movesMm))
  const row = HOME + offMm * scale
  const middle = (HEIGHT - BAR) / 2
  const low = HEIGHT - BAR
  return (
    <figure className={classes.hub}>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={label}>
        <rect className={classes.shaft} x={0} y={middle - ROW} width={WIDTH} height={2 * ROW} />
        <line className={classes.plane} x1={HOME} x2={HOME} y1={0} y2={low - ROW} />
        <rect className={classes.row} x={row - ROW / 2} y={ROW} width={ROW} height={2 * (middle - ROW)} />
        <path className={classes.runs} d={`M ${HOME} ${low} v 4 h ${barMm * scale} v -4`} />
        <text className={classes.bar} x={HOME + (barMm * scale) / 2} y={HEIGHT - 2}>
          {units.show('fine', barMm)}
        </text>
      </svg>
      <figcaption>{label}</figcaption>
    </figure>
  )
}
