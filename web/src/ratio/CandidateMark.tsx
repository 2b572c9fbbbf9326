import type { RatioCandidate } from '../api/client'
import { fixed, signed } from '../quantities/format'
import classes from './CandidateMark.module.css'
import { isAtHand, remarksOf, supplyWord, workText } from './words'

interface Props {
  id: string
  x: number
  y: number
  text: string
  name: string
  candidate: RatioCandidate
  isPicked: boolean
  isSmall: boolean
  isTight: boolean
  isHit: boolean
  onPick: () => void
  onHover: (mark: DOMRect) => void
}

/** One pair on the scale. Square: as fitted; filled: picked; ring: in the band; plain number: outside. */
export function CandidateMark(props: Props) {
  const { id, x, y, text, candidate, name, isPicked, isSmall, isTight, isHit, onPick, onHover } = props
  const isFitted = candidate.changedSprockets === 'nothing'
  const isBroken = candidate.loops.some((l) => l.breaks.length > 0)
  const radius = isTight ? 5 : 10
  return (
    <g
      id={id}
      role="option"
      aria-selected={isPicked}
      aria-label={spoken(candidate, name)}
      className={classes.mark}
      data-picked={isPicked || undefined}
      data-fitted={isFitted || undefined}
      data-hit={isHit || undefined}
      data-broken={isBroken || undefined}
      data-at-hand={isAtHand(candidate) || undefined}
      onClick={onPick}
      onMouseEnter={(event) => onHover(event.currentTarget.getBoundingClientRect())}
    >
      {/* A finger needs more than the ring shows. */}
      <rect x={x - (isSmall ? 4 : 12)} y={y - 14} width={isSmall ? 8 : 24} height={28} fill="transparent" />
      {isFitted && !isPicked ? (
        <rect
          className={classes.body}
          x={x - radius - 2}
          y={y - radius - 1}
          width={2 * radius + 4}
          height={2 * radius + 2}
          rx={3}
        />
      ) : isSmall && !isPicked ? (
        <circle className={classes.body} cx={x} cy={y} r={2.5} />
      ) : (
        <circle className={classes.body} cx={x} cy={y} r={isPicked ? radius + 2 : radius} />
      )}
      {text !== '' && !isTight && (!isSmall || isPicked || isFitted) && (
        <text x={x} y={y + 4} className={classes.text}>
          {text}
        </text>
      )}
      {isBroken && !isSmall && <path className={classes.strike} d={`M${x - 9} ${y + 5}L${x + 9} ${y - 5}`} />}
    </g>
  )
}

const spoken = (c: RatioCandidate, name: string) =>
  [
    name,
    `ratio ${fixed(c.finalRatio, 3)}`,
    `${signed(c.changePercent, 1)} percent`,
    c.changedSprockets === 'nothing' ? 'as fitted' : workText(c),
    supplyWord(c).text,
    c.rank === null ? 'outside the aim' : 'meets the aim',
    ...remarksOf(c),
  ].join(', ')
