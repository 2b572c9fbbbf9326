import type { AdjusterMove, SetAdvice } from '../api/client'
import { useUnits } from '../quantities/units'
import classes from './TrackingPicture.module.css'
import { turnText } from './words'

const WIDTH = 320
const HEIGHT = 190
const AXLE_Y = 128
/** A skew of a degree can't be seen: the picture leans as far as it must to be understood, and says so in words. */
const LEAN = 7

const HALF_BELT = 6
/** From the middle of the wheel to a belt that touches its flange. */
const ROOM = 17 - HALF_BELT
const PX_PER_GAP_MM = 3.5
const MOST_GAP_MM = 6

/** Seen from above: the axle with both adjusters, the belt, and the gap that is read. */
export function TrackingPicture({ advice, gapMm }: { advice: SetAdvice; gapMm: number | null }) {
  const units = useUnits()
  const { setting } = advice
  const move = (side: 'left' | 'right') => advice.moves.find((m) => m.side === side)
  const holds = setting.adjuster.hasTwoEnds && advice.moves.length > 0
  const isLeft = setting.gapSide !== 'right'
  const belt = (setting.beltSide ?? setting.gapSide) === 'right' ? 202 : 118
  const walks = advice.gapWalksTo
  // The belt lies as far from its flange as the gap says, to a scale of its own.
  const off = gapMm === null || !setting.gapSide ? 0 : Math.min(gapMm, MOST_GAP_MM) * PX_PER_GAP_MM - ROOM
  const run = belt + (isLeft ? off : -off)
  const lean = walks === 'left' ? -LEAN : walks === 'right' ? LEAN : 0
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className={classes.picture}
      role="img"
      aria-label={label(advice, gapMm, units.show)}
    >
      <text x={WIDTH / 2} y={12} textAnchor="middle" data-part="soft">
        front ↑ · seen from above
      </text>
      <rect x={belt - 17} y={22} width={34} height={16} rx={3} data-part="wheel" />
      <rect x={run - HALF_BELT} y={38} width={2 * HALF_BELT} height={AXLE_Y - 38} data-part="belt" />
      <path d={`M40 ${AXLE_Y + lean}L280 ${AXLE_Y - lean}`} data-part="axle" />
      <rect x={belt - 17} y={AXLE_Y - 15} width={34} height={30} rx={3} data-part="wheel" />
      {setting.gapSide && (
        <rect x={isLeft ? belt - 22 : belt + 17} y={AXLE_Y - 19} width={5} height={38} data-part="flange" />
      )}
      <rect x={138} y={AXLE_Y - 22} width={44} height={44} rx={5} data-part="tyre" />
      {gapMm !== null && (
        <text
          x={belt}
          y={AXLE_Y + 44}
          textAnchor="middle"
          data-part="gap"
          data-off={walks !== null || undefined}
        >
          gap {units.show('fine', gapMm)}
        </text>
      )}
      {walks && (
        <text x={belt} y={62} dx={isLeft ? -14 : 14} textAnchor={isLeft ? 'end' : 'start'} data-part="walk">
          {walks === 'left' ? '← walks left' : 'walks right →'}
        </text>
      )}
      <Adjuster x={22} name="left" move={move('left')} holds={holds} />
      <Adjuster x={WIDTH - 22} name="right" move={move('right')} holds={holds} />
    </svg>
  )
}

function Adjuster({
  x,
  name,
  move,
  holds,
}: {
  x: number
  name: 'left' | 'right'
  move: AdjusterMove | undefined
  /** The other end is turned, this one is not. */
  holds: boolean
}) {
  const sign = move?.clockwise == null ? (move?.tightens ? '+' : '−') : move.clockwise ? '↻' : '↺'
  return (
    <g>
      <text x={x} y={AXLE_Y - 34} textAnchor="middle" data-part="strong">
        {name}
      </text>
      <text x={x} y={AXLE_Y - 20} textAnchor="middle" data-part="walk">
        {move ? `${turnText(move.units)} ${sign}` : holds ? 'hold' : ''}
      </text>
      {move && (
        <path
          d={
            move.tightens
              ? `M${x} ${AXLE_Y + 10}v26m-5 -7l5 7l5 -7`
              : `M${x} ${AXLE_Y + 36}v-26m-5 7l5 -7l5 7`
          }
          data-part="arrow"
        />
      )}
    </g>
  )
}

const label = (advice: SetAdvice, gapMm: number | null, show: ReturnType<typeof useUnits>['show']): string =>
  [
    'The axle from above',
    gapMm !== null ? `gap ${show('fine', gapMm)}` : null,
    advice.gapWalksTo ? `the belt should walk ${advice.gapWalksTo}` : null,
  ]
    .filter(Boolean)
    .join(', ')
