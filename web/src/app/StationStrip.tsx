import { useEffect, useRef } from 'react'
import { NavLink, useLocation, useNavigate } from 'react-router'
import type { Headline, Station } from '../machine/station'
import type { Workbench } from '../machine/useWorkbench'
import { useUnits } from '../quantities/units'
import { useShortcuts } from '../shell/shortcuts'
import classes from './StationStrip.module.css'
import { STATIONS } from './stations'

/** The stations that exist, each with its headline figure at all times. */
export function StationStrip({ bench }: { bench: Workbench }) {
  const { pathname, search } = useLocation()
  const navigate = useNavigate()
  const strip = useRef<HTMLElement>(null)
  // On a phone the strip is wider than the screen: where one is must be in view, also once the figures have come.
  const station = pathname.split('/').at(-1)
  useEffect(() => {
    const element = strip.current
    if (!element) return
    const show = () => {
      const here = element.querySelector<HTMLElement>(`a[href*="/${station}"]`)
      if (here) element.scrollLeft = here.offsetLeft - element.clientWidth / 3
    }
    const figures = new ResizeObserver(show)
    for (const link of element.children) figures.observe(link)
    return () => figures.disconnect()
  }, [station])
  useShortcuts(
    Object.fromEntries(
      STATIONS.map((s) => [
        s.key,
        // As the address has it now: what was picked a moment ago may not be drawn yet.
        () => navigate({ pathname: s.path, search: window.location.search }, { relative: 'route' }),
      ]),
    ),
  )
  return (
    <nav className={classes.strip} aria-label="Stations" ref={strip}>
      {STATIONS.map((s) => (
        <StationLink key={s.key} station={s} bench={bench} search={search} />
      ))}
    </nav>
  )
}

function StationLink({ station, bench, search }: { station: Station; bench: Workbench; search: string }) {
  const units = useUnits()
  const { data, error } = bench.headlines
  const { figure, note, tone, state }: Headline = data
    ? station.headline(data, bench, units)
    : { figure: error ? 'not to be computed' : '…', state: 'open' }
  const isGuessed = data?.restsOn.some((r) => r.station === station.path) ?? false
  return (
    <NavLink
      to={{ pathname: station.path, search }}
      className={classes.station}
      data-done={state === 'done' || undefined}
      data-again={state === 'lookAgain' || undefined}
      data-guess={state === 'onGuess' || undefined}
      title={isGuessed ? 'rests on what is assumed of this machine' : undefined}
    >
      <span className={classes.number}>
        {state === 'lookAgain' ? '↻' : state === 'done' ? '✓' : state === 'onGuess' ? '≈' : station.key}
      </span>
      <span>
        <b>{station.name}</b>
        <span className={`num ${classes.figure}`}>
          {isGuessed && <span className={classes.about}>≈ </span>}
          {figure}
          {note && <span className={tone === 'stop' ? classes.stop : classes.off}> {note}</span>}
        </span>
      </span>
    </NavLink>
  )
}
