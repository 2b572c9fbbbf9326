import { Button } from '@mantine/core'
import type { Aim } from '../api/client'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { isToothed } from '../machine/driveElements'
import type { Workbench } from '../machine/useWorkbench'
import { pairText } from '../machine/words'
import { signed } from '../quantities/format'
import { Panel } from '../shell/Panel'
import classes from './Outcomes.module.css'

const MOST_SHOWN = 2

/** The remembered aims most like this one, with the best that was tried against them. */
export function NearestAims({ bench, aim }: { bench: Workbench; aim: Aim }) {
  const remembered = bench.aims.filter((a) => a.id !== aim.id && a.driveKey === aim.driveKey)
  const loop = bench.loops.at(-1)
  const { target, conditions, wishes } = useDebouncedDraft(aim)
  const nearest = useEvaluation(
    bench.asFitted,
    'nearestAims',
    remembered.length === 0 || !loop ? undefined : { target, conditions, wishes },
  )
  const matches = nearest.data?.matches.slice(0, MOST_SHOWN)
  if (!loop || !matches || matches.length === 0) return null
  return (
    <Panel title="Nearest remembered">
      {matches.map((match) => {
        const wheels = match.best?.loops.find((l) => l.loopKey === loop.loopKey)
        return (
          <div key={match.id} className={classes.outcome}>
            <p>
              <b>{match.name}</b>{' '}
              <span className="cap">
                ratio {signed(match.ratioApartPercent, 1)} %
                {match.conditionsApart > 0 && ` · ${match.conditionsApart} of surface, weather, load differ`}
              </span>
            </p>
            {match.best && wheels ? (
              <p className={classes.line}>
                <span>
                  best: {match.best.setupName}, <Score score={match.best.score} />
                  {match.best.note && <span className="cap"> “{match.best.note}”</span>}
                </span>
                <Button
                  size="compact-sm"
                  variant="default"
                  onClick={() => bench.pick([wheels])}
                  data-no-print
                >
                  Pick {pairText(wheels.frontSize, wheels.rearSize, isToothed(loop.driveElement))}
                </Button>
              </p>
            ) : (
              <p className="cap">Nothing was tried against it.</p>
            )}
          </div>
        )
      })}
    </Panel>
  )
}

export const Score = ({ score }: { score: number }) => <b className="num">{score} of 5</b>
