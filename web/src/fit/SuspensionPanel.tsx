import { useElementSize } from '@mantine/hooks'
import { useState } from 'react'
import type { SuspensionPlayResult } from '../api/client'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { issueFor } from '../api/issues'
import type { Fit } from '../loop/useFit'
import { PartWorking } from '../machine/PartWorking'
import type { Workbench } from '../machine/useWorkbench'
import { fixed } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import { WhyButton } from '../shell/WhyButton'
import classes from './SuspensionPanel.module.css'

/** Free play while the suspension moves: the curve, the tightest place, and what to set on the stand. */
export function SuspensionPanel({ bench, fit }: { bench: Workbench; fit: Fit }) {
  const units = useUnits()
  const [least, setLeast] = useState<number>()
  const [set, setSet] = useState<number>()
  const [isWorking, setWorking] = useState(false)
  const [playOnStandMm, leastPlayMm] = useDebouncedDraft([set ?? null, least ?? null] as const)
  const hasArm = fit.layout?.swingArm != null
  const question = {
    travelMm: fit.question?.travelMm ?? null,
    playOnStandMm,
    leastPlayMm,
    layout: fit.question?.layout ?? null,
  }
  const answer = useEvaluation(bench.subject, 'suspension', hasArm ? question : undefined)
  const play = answer.data
  if (!hasArm) return null
  const mm = (value: number) => units.show('fine', value)
  return (
    <Panel
      title="Through suspension travel"
      isStale={answer.isStale}
      aside={<WhyButton onClick={() => setWorking(true)} />}
    >
      {play && <Curve play={play} />}
      <div className={classes.fields} data-no-print>
        <QuantityField
          size="xs"
          label="Wanted where it is tightest"
          placeholder={play ? fixed(units.toShown('fine', play.leastPlayMm), 1) : ''}
          quantity="fine"
          value={least}
          onChange={setLeast}
          error={issueFor(answer.error, 'leastPlayMm')}
        />
        <QuantityField
          size="xs"
          label="Set on the stand"
          placeholder={play ? fixed(units.toShown('fine', play.neededOnStandMm), 1) : ''}
          quantity="fine"
          value={set}
          onChange={setSet}
          error={issueFor(answer.error, 'playOnStandMm')}
        />
      </div>
      <Refused error={answer.error} fields={['leastPlayMm', 'playOnStandMm']} />
      {play && (
        <p style={{ marginTop: 8 }}>
          Set <b className="num">{mm(play.neededOnStandMm)}</b> on the stand so that{' '}
          <b className="num">{mm(play.leastPlayMm)}</b> is left{' '}
          {play.inLine
            ? `where output shaft, pivot and axle line up, ${mm(play.tightest.axleUpMm)} up`
            : play.tightest.axleUpMm > 0
              ? 'at full bump'
              : 'at full droop'}
          .
        </p>
      )}
      {play && play.tightest.excessMm < 0 && (
        <p style={{ color: 'var(--stop)', marginTop: 6 }}>
          ■ With {mm(play.onStand.freePlayMm)} the chain is stretched by {mm(-play.tightest.excessMm)} on the
          way: it takes bearings and seals with it.
        </p>
      )}
      {isWorking && answer.of && (
        <PartWorking
          title="Working: suspension"
          bench={bench}
          part="suspension"
          question={answer.of}
          of={(answer) => answer.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </Panel>
  )
}

const HEIGHT = 130
const PAD = { left: 8, right: 8, top: 18, bottom: 20 }

function Curve({ play }: { play: SuspensionPlayResult }) {
  const { ref, width } = useElementSize()
  const units = useUnits()
  const w = width || 330
  const points = play.curve
  const [first, last] = [points[0]?.axleUpMm ?? 0, points.at(-1)?.axleUpMm ?? 1]
  const most = Math.max(...points.map((p) => p.freePlayMm), 1)
  const x = (up: number) => PAD.left + ((up - first) / (last - first || 1)) * (w - PAD.left - PAD.right)
  const y = (mm: number) => HEIGHT - PAD.bottom - (mm / most) * (HEIGHT - PAD.top - PAD.bottom)
  const { tightest, onStand } = play
  return (
    <div ref={ref}>
      <svg
        width={w}
        height={HEIGHT}
        role="img"
        aria-label="Free play over the height of the axle"
        className={classes.curve}
      >
        <path d={`M${PAD.left} ${PAD.top - 8}V${HEIGHT - PAD.bottom}H${w - PAD.right}`} data-part="axes" />
        <path d={`M${points.map((p) => `${x(p.axleUpMm)} ${y(p.freePlayMm)}`).join('L')}`} data-part="play" />
        <path d={`M${x(0)} ${HEIGHT - PAD.bottom}V${y(onStand.freePlayMm)}`} data-part="stand" />
        <circle cx={x(tightest.axleUpMm)} cy={y(tightest.freePlayMm)} r={4} data-part="tightest" />
        <text x={PAD.left + 5} y={PAD.top - 6}>
          free play
        </text>
        <text x={PAD.left} y={HEIGHT - 6}>
          droop
        </text>
        <text x={x(0)} y={HEIGHT - 6} textAnchor="middle">
          stand
        </text>
        <text x={w - PAD.right} y={HEIGHT - 6} textAnchor="end">
          bump
        </text>
        <text
          x={x(tightest.axleUpMm)}
          y={y(tightest.freePlayMm) - 9}
          textAnchor={labelAnchor(x(tightest.axleUpMm), w)}
          data-part="least"
        >
          {units.show('fine', tightest.freePlayMm)}
        </text>
      </svg>
      <div className="visually-hidden">
        <table>
          <caption>Free play over the height of the axle</caption>
          <thead>
            <tr>
              <th scope="col">axle up</th>
              <th scope="col">free play</th>
            </tr>
          </thead>
          <tbody>
            {points
              .filter((_, i) => i % 10 === 0)
              .map((p) => (
                <tr key={p.axleUpMm}>
                  <th scope="row">{units.show('fine', p.axleUpMm)}</th>
                  <td>{units.show('fine', p.freePlayMm)}</td>
                </tr>
              ))}
          </tbody>
        </table>
      </div>
    </div>
  )
}

/** A figure at either end of the picture is written towards its middle. */
const LABEL = 30
const labelAnchor = (x: number, width: number) => (x < LABEL ? 'start' : x > width - LABEL ? 'end' : 'middle')
