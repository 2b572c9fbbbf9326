import { Button } from '@mantine/core'
import classes from './BayMode.module.css'
import type { RoundDraft } from './useRound'
import { LOCK_CHOICES } from './words'

/** How what holds the place stands while it is read. */
export function BayLock({
  lock,
  locksAreMany,
  round,
  onSaid,
}: {
  /** “axle nut”, “motor bolts”. */
  lock: string
  locksAreMany: boolean
  round: RoundDraft
  onSaid: () => void
}) {
  const isSaid = round.round !== null && !round.now.assumed?.includes('lock')
  return (
    <>
      <p className={classes.instruction}>
        How {locksAreMany ? 'do' : 'does'} the {lock} stand while it is read?
      </p>
      <div className={classes.middle}>
        {LOCK_CHOICES.map(({ value, label }) => {
          const isThis = isSaid && round.now.lock === value
          return (
            <Button
              key={value}
              size="xl"
              fullWidth
              className={classes.big}
              variant={isThis ? 'filled' : 'default'}
              aria-pressed={isThis}
              onClick={() => {
                round.say('lock', { lock: value })
                onSaid()
              }}
            >
              {label}
            </Button>
          )
        })}
      </div>
    </>
  )
}
