import { SegmentedControl } from '@mantine/core'
import type { ChoiceDesk, DriveWish, LoopWeighing } from '../api/choice'
import { choicesOf } from '../quantities/choices'
import { today } from '../quantities/days'
import { Panel } from '../shell/Panel'
import classes from './Choice.module.css'
import type { Weighing } from './useWeighing'
import { WISH_WORDS } from './words'

/** What it is worth to the owner; asked again once something else went on. */
export function WishPanel({
  weighing,
  desk,
  now,
}: {
  weighing: Weighing
  desk: ChoiceDesk
  now: LoopWeighing
}) {
  const weightOf = (wish: DriveWish) => now.wishes.find((w) => w.wish === wish)?.weight ?? 0
  const isWeighed = (wish: DriveWish) => weightOf(wish) === 0 || desk.outcome.weighed.includes(wish)
  return (
    <Panel title="What it is worth">
      {choicesOf(WISH_WORDS).map(({ value: wish, label }) => (
        <div key={wish} className={classes.wish}>
          <span id={`choice-${wish}`}>
            {label}
            {!isWeighed(wish) && (
              <span className="cap" title="Not every one that is left has a sure figure for it.">
                {' '}
                not weighed
              </span>
            )}
          </span>
          <SegmentedControl
            size="xs"
            aria-labelledby={`choice-${wish}`}
            value={String(weightOf(wish))}
            onChange={(weight) =>
              weighing.change(({ wishes }) => ({
                wishes: [...wishes.filter((w) => w.wish !== wish), { wish, weight: Number(weight) }],
                wishesOn: today(),
              }))
            }
            data={['0', '1', '2', '3']}
          />
        </div>
      ))}
      <p className="cap">
        0 does not matter, 3 matters most.{' '}
        {desk.askWishesAgain ? (
          <b className={classes.again}>Something else went on since: is it still worth the same?</b>
        ) : desk.wishesFrom ? (
          `Begun with the wishes of “${desk.wishesFrom}”.`
        ) : (
          'Asked again after a trial.'
        )}
      </p>
    </Panel>
  )
}
