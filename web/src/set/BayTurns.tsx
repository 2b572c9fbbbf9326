import { Button } from '@mantine/core'
import { useHeld } from '../shell/useHeld'
import classes from './BayMode.module.css'
import { TurnDial } from './TurnDial'
import type { RoundDraft } from './useRound'
import type { Setting } from './useSetting'
import { shimsText, turnedText } from './words'

/** What was turned before this reading, by steps of a hand on a clock's face. */
export function BayTurns({ setting, round }: { setting: Setting; round: RoundDraft }) {
  const set = setting.advice.data?.setting
  const how = set?.adjuster
  if (!how) return null
  // Shims are counted as they are put in; whether that lets the belt rise is the core's to say.
  const putsIn = set.shims?.raisesByPuttingIn === false ? -1 : 1
  const sides = how.hasTwoEnds
    ? ([
        ['left', 'leftUnits', how.leftClockwiseTightens],
        ['right', 'rightUnits', how.rightClockwiseTightens],
      ] as const)
    : ([[how.isOfSheave ? 'shims' : 'turned', 'leftUnits', how.leftClockwiseTightens]] as const)
  return (
    <div className={classes.pair}>
      {sides.map(([name, key, clockwiseTightens]) => {
        const units = round.now[key]
        const text = how.isOfSheave ? shimsText(units * putsIn) : turnedText(units, how.kind)
        const [less, more] = how.isOfSheave ? ['one out', 'one in'] : ['looser', 'tighter']
        const step = (way: number) =>
          round.say('turned', {
            [key]: Math.round(units / how.step + way * (how.isOfSheave ? putsIn : 1)) * how.step,
          })
        return (
          // biome-ignore lint/a11y/useSemanticElements: a fieldset can't be laid out as a row
          <div key={name} className={classes.turned} role="group" aria-label={`Turned, ${name}`}>
            <Turn name={`${name}: ${less}`} sign="−" onStep={(steps) => step(-steps)} />
            <span className={classes.amount}>
              {name}
              {how.turns && (
                <TurnDial
                  units={units}
                  step={how.step}
                  clockwiseTightens={clockwiseTightens}
                  name={name}
                  text={text}
                  onTurn={(turned) => round.say('turned', { [key]: turned })}
                />
              )}
              <b>{text}</b>
            </span>
            <Turn name={`${name}: ${more}`} sign="+" onStep={step} />
          </div>
        )
      })}
    </div>
  )
}

/** One step of a hand, or as many as it is held for. */
function Turn({ name, sign, onStep }: { name: string; sign: string; onStep: (steps: number) => void }) {
  return (
    <Button variant="default" className={classes.step} aria-label={name} {...useHeld(onStep)}>
      {sign}
    </Button>
  )
}
