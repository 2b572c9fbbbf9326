import { Button, Group, SegmentedControl, Select } from '@mantine/core'
import type { SetRound } from '../api/client'
import { issueFor } from '../api/issues'
import { QuantityField } from '../quantities/QuantityField'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import classes from './RoundInHand.module.css'
import { TurnDial } from './TurnDial'
import type { RoundDraft } from './useRound'
import type { Setting } from './useSetting'
import { DEGREES_IN_A_TURN, LOCK_WORDS, RUN_WORDS, turnedText } from './words'

/** Circumstances of the round in hand, and keeping it. */
export function RoundInHand({
  setting,
  round,
  isFirst,
  isPending,
  refusal,
  onKeep,
}: {
  setting: Setting
  round: RoundDraft
  isFirst: boolean
  isPending: boolean
  refusal: unknown
  onKeep: () => void
}) {
  const inHand = round.round
  const answer = setting.advice.data
  const at = `rounds[${setting.job?.rounds.length ?? 0}]`
  const isChain = setting.loop.medium === 'chain'
  const hasTwoEnds = answer?.setting.hasTwoEnds ?? true
  const kind = answer?.setting.kind
  const unit = { cam: 'clicks', shims: 'shims', eccentric: '°' }[kind as string] ?? 'turns'
  const factor = kind === 'eccentric' ? DEGREES_IN_A_TURN : 1
  const dial = (key: 'leftUnits' | 'rightUnits', clockwiseTightens: boolean, side: string) =>
    answer?.setting.turns &&
    inHand && (
      <span className={classes.dial}>
        <TurnDial
          units={inHand[key]}
          step={answer.setting.step}
          clockwiseTightens={clockwiseTightens}
          name={side}
          text={turnedText(inHand[key], answer.setting.kind)}
          onTurn={(units) => round.change({ [key]: units })}
        />
        {side}
      </span>
    )
  return (
    <Panel
      title={isFirst ? 'As found' : `Round ${setting.job?.rounds.length}`}
      note={inHand ? 'being read' : 'not read yet'}
    >
      <SegmentedControl
        size="xs"
        aria-label="Nut"
        value={round.now.lock}
        onChange={(lock) => round.change({ lock: lock as 'loose' | 'nipped' | 'torqued' })}
        data={Object.entries(LOCK_WORDS).map(([value, label]) => ({ value, label }))}
        data-no-print
      />
      {!isFirst && inHand && answer && (
        <Group gap="lg" mt={8} justify="center">
          {dial('leftUnits', answer.setting.leftClockwiseTightens, hasTwoEnds ? 'left' : 'adjuster')}
          {hasTwoEnds && dial('rightUnits', answer.setting.rightClockwiseTightens, 'right')}
        </Group>
      )}
      <div className={fields.fields} style={{ marginTop: 8 }}>
        {!isFirst && inHand && (
          <>
            <QuantityField
              size="xs"
              label={hasTwoEnds ? 'Left, turned' : 'Turned'}
              unit={unit}
              value={Number((inHand.leftUnits * factor).toPrecision(6))}
              onChange={(value) => round.change({ leftUnits: (value ?? 0) / factor })}
              error={issueFor(refusal, `${at}.leftUnits`)}
            />
            {hasTwoEnds && (
              <QuantityField
                size="xs"
                label="Right, turned"
                unit={unit}
                value={inHand.rightUnits}
                onChange={(value) => round.change({ rightUnits: value ?? 0 })}
                error={issueFor(refusal, `${at}.rightUnits`)}
              />
            )}
          </>
        )}
        {answer?.setting.gapSide && (
          <QuantityField
            size="xs"
            label={`Gap, ${answer.setting.gapSide}`}
            quantity="fine"
            value={inHand?.gapMm ?? undefined}
            onChange={(value) => round.change({ gapMm: value ?? null })}
            error={issueFor(refusal, `${at}.gapMm`)}
          />
        )}
        <QuantityField
          size="xs"
          label="Temperature"
          unit="°C"
          value={inHand?.temperatureC ?? undefined}
          onChange={(value) => round.change({ temperatureC: value ?? null })}
          error={issueFor(refusal, `${at}.temperatureC`)}
        />
        <QuantityField
          size="xs"
          label="Rolled before"
          unit="turns"
          value={inHand?.turnsRolled ?? undefined}
          onChange={(value) => round.change({ turnsRolled: value ?? null })}
          error={issueFor(refusal, `${at}.turnsRolled`)}
        />
        <Select
          size="xs"
          label="Run that is read"
          data={[
            { value: '', label: isChain ? 'as usual: slack run' : 'as usual: longest' },
            ...Object.entries(RUN_WORDS).map(([value, label]) => ({ value, label })),
          ]}
          allowDeselect={false}
          value={round.now.run ?? ''}
          onChange={(value) => round.change({ run: (value || null) as SetRound['run'] })}
        />
        <QuantityField
          size="xs"
          label="Load on it"
          quantity="mass"
          value={inHand?.loadKg ?? undefined}
          onChange={(value) => round.change({ loadKg: value ?? null })}
          error={issueFor(refusal, `${at}.loadKg`)}
        />
        <QuantityField
          size="xs"
          label="Left on adjuster"
          quantity="fine"
          value={inHand?.wayLeftMm ?? undefined}
          onChange={(value) => round.change({ wayLeftMm: value ?? null })}
          error={issueFor(refusal, `${at}.wayLeftMm`)}
        />
        <Select
          size="xs"
          label="It stands"
          data={[
            { value: 'stand', label: 'on its stand' },
            { value: 'wheels', label: 'on its wheels' },
          ]}
          allowDeselect={false}
          value={inHand?.onStand === false ? 'wheels' : 'stand'}
          onChange={(value) => round.change({ onStand: value === 'stand' })}
        />
      </div>
      <Group gap="xs" data-no-print>
        <Button size="sm" disabled={!inHand || Boolean(refusal)} loading={isPending} onClick={onKeep}>
          {isFirst ? 'Keep as found' : 'Keep this round'}
        </Button>
        {inHand && (
          <Button size="sm" variant="default" onClick={round.clear}>
            Read it anew
          </Button>
        )}
      </Group>
      {isFirst && <p className="cap">As found is never edited once it is kept.</p>}
    </Panel>
  )
}
