import { Portal } from '@mantine/core'
import { useMediaQuery } from '@mantine/hooks'
import { useState } from 'react'
import type { RatioCandidate } from '../api/client'
import type { Workbench } from '../machine/useWorkbench'
import { figure, fixed, gearName, rpm, signed } from '../quantities/format'
import classes from './CandidateTip.module.css'
import { candidatePair, meetingText, moneyText, remarksOf, supplyWord, workText } from './words'

const WIDTH = 250
const GAP = 6

/** Everything known about the pair under the pointer. The table and the option's name tell the same. */
export function CandidateTip({
  candidate: c,
  bench,
  mark,
}: {
  candidate: RatioCandidate
  bench: Workbench
  /** Where its mark is on the screen. */
  mark: DOMRect
}) {
  const [height, setHeight] = useState(0)
  const left = Math.max(GAP, Math.min(window.innerWidth - WIDTH - GAP, mark.x + mark.width / 2 - WIDTH / 2))
  // Below its mark, or above it where the screen ends: never cut off by the panel.
  const below = mark.bottom + GAP
  // A finger lies on the mark and below it: one line above says what was hit, the bar at the foot says the rest.
  const isTouched = useMediaQuery('(pointer: coarse)', false, { getInitialValueInEffect: false })
  const isAbove = isTouched || below + height > window.innerHeight
  const top = isAbove ? Math.max(GAP, mark.top - GAP - height) : below
  const remarks = remarksOf(c)
  return (
    <Portal>
      <div
        ref={(node) => setHeight(node?.offsetHeight ?? 0)}
        className={classes.tip}
        style={{ left, top, width: WIDTH }}
        aria-hidden="true"
      >
        <b className="num">{candidatePair(c, bench)}</b> <span className="num">{fixed(c.finalRatio, 3)}</span>{' '}
        <span>
          {c.changedSprockets === 'nothing' ? 'as fitted' : `${signed(c.changePercent, 1)} % ${c.direction}`}
        </span>
        {!isTouched && (
          <dl>
            {c.aimShaftSpeedRpm !== null && (
              <>
                <dt>at the aim</dt>
                <dd>{rpm(c.aimShaftSpeedRpm)} rpm</dd>
              </>
            )}
            <dt>overall</dt>
            <dd>{figure(c.overallRatio)}</dd>
            {c.bandGears.some((g) => g !== '') && (
              <>
                <dt>meets the aim in</dt>
                <dd>{c.bandGears.map(gearName).join(', ')}</dd>
              </>
            )}
            <dt>work</dt>
            <dd>{workText(c)}</dd>
            <dt>parts and work cost</dt>
            <dd>{moneyText(c)}</dd>
            <dt>stock</dt>
            <dd>{supplyWord(c).text}</dd>
            {c.loops.map((p) => (
              <Wear key={p.loopKey} pick={p} />
            ))}
          </dl>
        )}
        {remarks.map((r) => (
          <p key={r}>▲ {r}</p>
        ))}
      </div>
    </Portal>
  )
}

function Wear({ pick }: { pick: RatioCandidate['loops'][number] }) {
  return (
    <>
      {pick.ripplePercent !== null && (
        <>
          <dt>speed ripple</dt>
          <dd>{fixed(pick.ripplePercent, 1)} %</dd>
        </>
      )}
      {pick.hunting && (
        <>
          <dt>hunting tooth, turns</dt>
          <dd>{meetingText(pick)}</dd>
        </>
      )}
    </>
  )
}
