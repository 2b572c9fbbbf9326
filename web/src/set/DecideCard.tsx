import { Button, Group, SegmentedControl } from '@mantine/core'
import { type ReactNode, useState } from 'react'
import type { SetAdvice, SetRound } from '../api/client'
import { useUnits } from '../quantities/units'
import classes from './NextCard.module.css'
import { TurnedFields } from './TurnedFields'
import type { Decision } from './usePracticeDecision'
import { capital, decisionText, firstText, nextText, rollText, windowLine } from './words'

/** In the place of what to do next: what would you do? The advisor speaks after that. */
export function DecideCard({
  advice,
  round,
  positions,
  inHand,
  decision,
  cautions,
  onDecide,
}: {
  advice: SetAdvice
  /** Number of the round that comes; 0 is as found. */
  round: number
  positions: number
  inHand: SetRound | null
  decision: Decision | null
  /** What must be confirmed first; null once it was. */
  cautions: ReactNode
  onDecide: (decision: Decision) => void
}) {
  const units = useUnits()
  const first =
    inHand && inHand.readings.length > 0 ? firstText(advice, inHand, positions, round === 0) : null
  return (
    <section className={classes.next} aria-label="You decide" aria-live="polite">
      <header>
        <span className="cap">You decide{round > 0 ? ` · round ${round}` : ' · as found'}</span>
      </header>
      {first ? (
        <p className={classes.big}>{first}</p>
      ) : round === 0 ? (
        <p className={classes.big}>{nextText(advice)}</p>
      ) : decision ? (
        <>
          <p className={classes.big}>You: {decisionText(decision, decision.advised)}</p>
          <p>The advisor: {nextText(decision.advised)}</p>
          <p className={classes.big}>
            {rollText({ ...decision.advised, next: 'tightenAndRead' }, positions)}
          </p>
        </>
      ) : (
        <>
          {cautions}
          <p className={classes.big}>What would you do now?</p>
          <Choose key={round} advice={advice} onDecide={onDecide} />
        </>
      )}
      <p className="cap">{windowLine(advice, units)}</p>
    </section>
  )
}

function Choose({ advice, onDecide }: { advice: SetAdvice; onDecide: (decision: Decision) => void }) {
  const [what, setWhat] = useState<Decision['what']>('turn')
  const [turned, setTurned] = useState({ leftUnits: 0, rightUnits: 0 })
  const { adjuster } = advice.setting
  const isTurn = what === 'turn'
  const isNothing = isTurn && turned.leftUnits === 0 && turned.rightUnits === 0
  return (
    <>
      <SegmentedControl
        fullWidth
        size="sm"
        aria-label="What you would do"
        value={what}
        onChange={(value) => setWhat(value as Decision['what'])}
        data={[
          { value: 'turn', label: 'turn' },
          { value: 'tighten', label: `${advice.manual.lock} tight` },
          { value: 'right', label: 'it is right' },
          { value: 'stop', label: 'stop' },
        ]}
      />
      {isTurn && (
        <TurnedFields
          how={adjuster}
          shims={advice.setting.shims ?? null}
          round={{
            now: { ...turned, assumed: [] },
            say: (_, part) => setTurned((was) => ({ ...was, ...part })),
          }}
          refusal={null}
          at="round"
        />
      )}
      <p className="cap" style={{ marginTop: 8 }}>
        {isTurn
          ? `Which one, which way, how far? Above 0 is tighter${adjuster.hasTwoEnds ? '' : `: ${advice.manual.handles}`}.`
          : what === 'tighten'
            ? `${capital(advice.manual.lock)} to torque, nothing turned; then it is read once more.`
            : what === 'right'
              ? 'You leave it so. What was hidden is shown.'
              : 'You turn no further: something is wrong. What was hidden is shown.'}
      </p>
      <Group gap="sm" mt="xs">
        <Button
          data-disabled={isNothing || undefined}
          aria-disabled={isNothing}
          onClick={() =>
            !isNothing &&
            onDecide({ what, ...(isTurn ? turned : { leftUnits: 0, rightUnits: 0 }), advised: advice })
          }
        >
          That is what I do
        </Button>
        {isNothing && <span className="cap">Nothing is turned yet.</span>}
      </Group>
    </>
  )
}
