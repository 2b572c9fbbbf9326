import { Link, useLocation } from 'react-router'
import { GUESS_WORDS } from '../machine/guessWords'
import type { Workbench } from '../machine/useWorkbench'
import { Guessed } from '../shell/Guessed'
import classes from './RestsOn.module.css'

/** What the figures of the station in view rest on, where nobody measured or typed it. */
export function RestsOn({ bench }: { bench: Workbench }) {
  const { pathname, search } = useLocation()
  const station = pathname.split('/').at(-1)
  const kinds = bench.headlines.data?.restsOn.find((r) => r.station === station)?.kinds ?? []
  if (kinds.length === 0) return null
  return (
    <p className={classes.note}>
      <Guessed>{kinds.map((k) => k && GUESS_WORDS[k]).join(', ')}</Guessed>{' '}
      <Link to={{ pathname: `/machines/${bench.card.machine.id}/aim`, search }} data-no-print>
        measure it, or say that it is so
      </Link>
    </p>
  )
}
