import { Button } from '@mantine/core'
import { isToothed } from '../machine/driveElements'
import { useKeepTrial } from '../machine/useKeepTrial'
import type { Workbench } from '../machine/useWorkbench'
import { pairText } from '../machine/words'
import { fixed, signed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { lengthText, shiftText } from './fitWords'
import classes from './PickBar.module.css'
import { layoutOf } from './useFit'

/**
 * What a pick comes to: at the foot of a phone's screen, always in reach of a thumb; everywhere it is read aloud when it
 * changes.
 */
export function PickBar({ bench }: { bench: Workbench }) {
  const units = useUnits()
  const { isPicked, isPending, keep } = useKeepTrial(bench)
  const { ratio, fit } = bench.headlines.data ?? {}
  const loop = bench.loops.at(-1)
  if (!loop) return null
  const pairs = bench.loops.map(({ loopKey, driveElement }) => {
    const choice = bench.shown.loops.find((c) => c.loopKey === loopKey)
    return choice ? pairText(choice.frontSize, choice.rearSize, isToothed(driveElement)) : ''
  })
  const mover = layoutOf(bench, loop)?.moving?.wheel === 'rear' ? 'axle' : 'adjuster'
  const { isFitted } = bench.shown
  return (
    <div className={classes.bar} data-no-print>
      <p role="status" className={classes.text} data-stale={bench.headlines.isStale || undefined}>
        <b className="num">{pairs.join(' · ')}</b>{' '}
        <span className="num">
          {ratio?.finalRatio != null && fixed(ratio.finalRatio, 3)}{' '}
          {isFitted
            ? 'as fitted'
            : ratio?.changePercent != null && `${signed(ratio.changePercent, 1)}\u00a0%`}
        </span>
        {ratio?.meetsAim != null && (
          <span data-tone={ratio.meetsAim ? 'ok' : 'watch'}>
            {ratio.meetsAim ? ' ● meets the aim' : ' ▲ off the aim'}
          </span>
        )}
        {fit?.length && (
          <span className={classes.second}>
            {lengthText(fit.length.value, fit.length.unit)}
            {fit.isOffTheTrack
              ? ', off the slot'
              : fit.movedMm != null && `, ${mover} ${shiftText(fit.movedMm, units)}`}
          </span>
        )}
      </p>
      {isPicked && (
        <Button size="sm" loading={isPending} onClick={keep}>
          Keep
        </Button>
      )}
      {!isFitted && (
        <Button
          size="sm"
          variant="default"
          aria-label="Back to as fitted, from the bar"
          onClick={() => bench.set({ setup: null, pick: null })}
        >
          Back
        </Button>
      )}
    </div>
  )
}
