import type { RatioCandidate } from '../api/client'
import type { Workbench } from '../machine/useWorkbench'
import { figure, fixed, gearName, rpm, signed } from '../quantities/format'
import classes from './CandidateTip.module.css'
import {
  breakText,
  candidatePair,
  meetingText,
  moneyText,
  smallWheelText,
  supplyWord,
  workText,
} from './words'

const WIDTH = 250

/** Everything known about the pair under the pointer. The table and the option's name tell the same. */
export function CandidateTip({
  candidate: c,
  bench,
  x,
  y,
  width,
}: {
  candidate: RatioCandidate
  bench: Workbench
  x: number
  y: number
  width: number
}) {
  const left = Math.max(0, Math.min(width - WIDTH, x - WIDTH / 2))
  const remarks = c.loops
    .flatMap((p) => [...p.breaks.map((b) => breakText(b, p)), smallWheelText(p)])
    .filter(Boolean)
  return (
    <div className={classes.tip} style={{ left, top: y + 18, width: WIDTH }} aria-hidden="true">
      <b className="num">{candidatePair(c, bench)}</b> <span className="num">{fixed(c.finalRatio, 3)}</span>{' '}
      <span>{c.moves === 'nothing' ? 'as fitted' : `${signed(c.changePercent, 1)} % ${c.direction}`}</span>
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
      {remarks.map((r) => (
        <p key={r}>▲ {r}</p>
      ))}
    </div>
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
          <dt>tooth meets link, turns</dt>
          <dd>{meetingText(pick)}</dd>
        </>
      )}
    </>
  )
}
