import { Button, Group } from '@mantine/core'
import type { Adjuster, LoopSetting } from '../api/client'
import { issueFor } from '../api/issues'
import { QuantityField } from '../quantities/QuantityField'
import fields from '../shell/fields.module.css'
import classes from './RoundInHand.module.css'
import { TurnDial } from './TurnDial'
import type { RoundDraft } from './useRound'
import { DEGREES_IN_A_TURN, turnedText } from './words'

const UNITS: Partial<Record<Adjuster['kind'], string>> = {
  cam: 'clicks',
  shims: 'shims',
  sheaveShims: 'shims',
  eccentric: '°',
}

/** What was really turned before the reading: as it was told until somebody says so, or says otherwise. */
export function TurnedFields({
  how,
  shims,
  round,
  refusal,
  at,
}: {
  how: Adjuster
  /** Of a sheave; null elsewhere. */
  shims: LoopSetting['shims']
  round: Pick<RoundDraft, 'say'> & { now: Pick<RoundDraft['now'], 'leftUnits' | 'rightUnits' | 'assumed'> }
  refusal: unknown
  /** Where the round stands in what is asked. */
  at: string
}) {
  if (how.setsItself || how.isFixed) return null
  const { now } = round
  const isAssumed = now.assumed?.includes('turned')
  // Shims are counted as they are put in; whether that lets the belt rise is the core's to say.
  const factor = how.isEccentric ? DEGREES_IN_A_TURN : shims?.raisesByPuttingIn === false ? -1 : 1
  const sides = how.hasTwoEnds
    ? ([
        ['leftUnits', 'left', 'Left, turned', how.leftClockwiseTightens],
        ['rightUnits', 'right', 'Right, turned', how.rightClockwiseTightens],
      ] as const)
    : ([
        [
          'leftUnits',
          'adjuster',
          how.isOfSheave ? 'Put in at each bolt, − out' : 'Turned',
          how.leftClockwiseTightens,
        ],
      ] as const)
  return (
    <>
      {how.turns && (
        <Group gap="lg" justify="center">
          {sides.map(([key, side, , clockwiseTightens]) => (
            <span key={key} className={classes.dial}>
              <TurnDial
                units={now[key]}
                step={how.step}
                clockwiseTightens={clockwiseTightens}
                name={side}
                text={turnedText(now[key], how.kind)}
                onTurn={(units) => round.say('turned', { [key]: units })}
              />
              {side}
            </span>
          ))}
        </Group>
      )}
      <div className={fields.fields} style={{ marginTop: 8 }}>
        {sides.map(([key, , label]) => (
          <QuantityField
            key={key}
            size="xs"
            label={label}
            unit={UNITS[how.kind] ?? 'turns'}
            value={Number((now[key] * factor).toPrecision(6))}
            onChange={(value) => round.say('turned', { [key]: (value ?? 0) / factor })}
            error={issueFor(refusal, `${at}.${key}`)}
          />
        ))}
      </div>
      {isAssumed && (
        <p className="cap">
          As advised; say what was really turned.{' '}
          <Button size="compact-xs" variant="default" onClick={() => round.say('turned', {})} data-no-print>
            Just that
          </Button>
        </p>
      )}
    </>
  )
}
