import { Button, Group, SegmentedControl, Select } from '@mantine/core'
import { issueFor } from '../api/issues'
import { ChoiceField } from '../quantities/ChoiceField'
import { QuantityField } from '../quantities/QuantityField'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { ReasonedButton } from '../shell/ReasonedButton'
import { Term } from '../shell/Term'
import { TurnedFields } from './TurnedFields'
import type { RoundDraft } from './useRound'
import type { Setting } from './useSetting'
import { capital, LOCK_CHOICES, RUN_WORDS } from './words'

/** Circumstances of the round in hand, and keeping it. */
export function RoundInHand({
  setting,
  round,
  isFirst,
  isDecided,
  position,
  isPending,
  refusal,
  onKeep,
}: {
  setting: Setting
  round: RoundDraft
  isFirst: boolean
  /** What was done before it stands, and is not said again. */
  isDecided: boolean
  /** Place that is chosen. */
  position: number
  isPending: boolean
  refusal: unknown
  onKeep: () => void
}) {
  const inHand = round.round
  const { now } = round
  const answer = setting.advice.data
  const how = answer?.setting ?? setting.loop.setting
  const at = 'round'
  const isChain = setting.loop.driveElement === 'chain'
  const lock = answer?.manual.lock ?? 'nut or clamp'
  const isRead = now.readings.length > 0 || now.gapMm != null
  const stands = now.onStand === null ? '' : now.onStand ? 'stand' : 'wheels'
  const asUsual = isChain ? 'as usual: slack run' : 'as usual: longest'
  return (
    <Panel
      title={isFirst ? 'As found' : `Round ${setting.job?.rounds.length}`}
      note={inHand ? (now.learnAnew ? 'being read · learns anew' : 'being read') : 'not read yet'}
    >
      {!isFirst && !isDecided && (
        <TurnedFields how={how.adjuster} shims={how.shims ?? null} round={round} refusal={refusal} at={at} />
      )}
      <Group gap="xs" mt={8} data-no-print>
        <span className="cap">
          {capital(lock)} {now.assumed?.includes('lock') ? '(assumed)' : ''}
        </span>
        <SegmentedControl
          size="xs"
          aria-label={capital(lock)}
          value={now.lock}
          onChange={(lock) => round.say('lock', { lock })}
          data={LOCK_CHOICES}
        />
        {now.assumed?.includes('lock') && (
          <Button size="compact-xs" variant="default" onClick={() => round.say('lock', {})}>
            It is so
          </Button>
        )}
        <span className="cap">
          <Term word="nipped">what is nipped?</Term>
        </span>
      </Group>
      <div className={fields.fields} style={{ marginTop: 8 }}>
        {how.gapSide && (
          <QuantityField
            size="xs"
            label={`Gap, ${how.gapSide}`}
            quantity="fine"
            value={now.gapMm ?? undefined}
            onChange={(value) => round.change({ gapMm: value ?? null })}
            error={issueFor(refusal, `${at}.gapMm`)}
          />
        )}
        <QuantityField
          size="xs"
          label="Temperature"
          unit="°C"
          value={now.temperatureC ?? undefined}
          onChange={(value) => round.change({ temperatureC: value ?? null })}
          error={issueFor(refusal, `${at}.temperatureC`)}
        />
        <QuantityField
          size="xs"
          label="Rolled before"
          unit="turns"
          placeholder={isFirst || !answer ? '' : String(answer.turnsToRoll)}
          value={now.turnsRolled ?? undefined}
          onChange={(value) => round.change({ turnsRolled: value ?? null })}
          error={issueFor(refusal, `${at}.turnsRolled`)}
        />
        {how.adjuster.isOfSheave ? (
          <>
            <QuantityField
              size="xs"
              label="Shims in at each bolt"
              value={now.shimsIn ?? undefined}
              onChange={(value) => round.change({ shimsIn: value ?? null })}
              error={issueFor(refusal, `${at}.shimsIn`)}
            />
            <ChoiceField
              size="xs"
              label="At idle the driving sheave"
              words={{ yes: 'turns free', no: 'takes the belt along' }}
              none="not looked"
              value={now.freeAtIdle == null ? null : now.freeAtIdle ? 'yes' : 'no'}
              onChange={(free) => round.change({ freeAtIdle: free === null ? null : free === 'yes' })}
            />
          </>
        ) : (
          <ChoiceField
            size="xs"
            label="Run that is read"
            words={RUN_WORDS}
            none={asUsual}
            value={now.run}
            onChange={(run) => round.change({ run })}
          />
        )}
        <QuantityField
          size="xs"
          label="Load on it"
          quantity="mass"
          value={now.loadKg ?? undefined}
          onChange={(value) => round.change({ loadKg: value ?? null })}
          error={issueFor(refusal, `${at}.loadKg`)}
        />
        {!how.adjuster.isFixed && !how.adjuster.isOfSheave && (
          <QuantityField
            size="xs"
            label="Left on adjuster"
            quantity="fine"
            value={now.wayLeftMm ?? undefined}
            onChange={(value) => round.change({ wayLeftMm: value ?? null })}
            error={issueFor(refusal, `${at}.wayLeftMm`)}
          />
        )}
        <Select
          size="xs"
          label="It stands"
          data={[
            { value: '', label: 'not said' },
            { value: 'stand', label: 'on its stand' },
            { value: 'wheels', label: 'on its wheels' },
          ]}
          allowDeselect={false}
          value={stands}
          onChange={(value) => round.change({ onStand: value ? value === 'stand' : null })}
        />
      </div>
      <Group gap="xs" mt={8} data-no-print>
        <ReasonedButton
          size="sm"
          why={!isRead ? 'Nothing is read yet.' : refusal ? 'It was refused: read it anew.' : null}
          loading={isPending}
          onClick={onKeep}
        >
          {isFirst ? 'Keep as found' : 'Keep this round'}
        </ReasonedButton>
        {inHand?.readings.some((r) => r.position === position) && (
          <Button size="sm" variant="default" onClick={() => round.discard(position)}>
            Discard this reading
          </Button>
        )}
        {inHand && (
          <Button size="sm" variant="default" onClick={round.clear}>
            Read it anew
          </Button>
        )}
        {!isRead && <span className="cap">Nothing is read yet.</span>}
        {inHand && refusal ? <span className="cap">What is refused can be read anew.</span> : null}
      </Group>
      {isFirst && <p className="cap">As found is never edited once it is kept.</p>}
    </Panel>
  )
}
