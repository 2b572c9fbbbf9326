import { useEffect, useRef } from 'react'
import { NavLink, useLocation, useNavigate } from 'react-router'
import type { FollowUpTask } from '../api/client'
import { useSetJobs } from '../api/queries'
import { useFit } from '../fit/useFit'
import { lengthText } from '../fit/words'
import { useLoads } from '../loads/useLoads'
import { headline, VERDICT_WORDS } from '../loads/words'
import { fixed, signed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { readingEnds } from '../set/readings'
import { useShortcuts } from '../shell/shortcuts'
import classes from './StationStrip.module.css'
import { targetText } from './targets'
import type { Workbench } from './useWorkbench'

/** The stations that exist, each with its headline figure at all times. */
export function StationStrip({ bench }: { bench: Workbench }) {
  const { pathname, search } = useLocation()
  const navigate = useNavigate()
  const run = useRef<HTMLElement>(null)
  // On a phone the run is wider than the screen: where one is must be in view.
  const station = pathname.split('/').at(-1)
  useEffect(() => {
    const here = run.current?.querySelector(`a[href*="/${station}"]`)
    if (run.current && here instanceof HTMLElement)
      run.current.scrollLeft = here.offsetLeft - run.current.clientWidth / 3
  }, [station])
  const units = useUnits()
  useShortcuts({
    '1': () => navigate({ pathname: 'aim', search }, { relative: 'route' }),
    '2': () => navigate({ pathname: 'ratio', search }, { relative: 'route' }),
    '3': () => navigate({ pathname: 'fit', search }, { relative: 'route' }),
    '4': () => navigate({ pathname: 'loads', search }, { relative: 'route' }),
    '6': () => navigate({ pathname: 'set', search }, { relative: 'route' }),
  })
  const figures = bench.comparison.data?.setups.at(-1)
  const ratio = figures
    ? fixed(figures.finalRatio, 3) + (bench.shown.isFitted ? '' : ` ${signed(figures.changePercent, 1)} %`)
    : bench.comparison.error
      ? 'not to be computed'
      : '…'
  const aim = bench.target ? targetText(bench.target, units, bench.gears) : 'no aim yet'
  const meets = figures?.meetsAim
  const isRatioOpen = isReopened(bench, 'ratio')
  return (
    <nav className={classes.run} aria-label="Stations" ref={run}>
      <NavLink
        to={{ pathname: 'aim', search }}
        className={classes.station}
        data-done={bench.target ? true : undefined}
      >
        <span className={classes.number}>{bench.target ? '✓' : '1'}</span>
        <span>
          <b>Aim</b>
          <span className={`num ${classes.figure}`}>{aim}</span>
        </span>
      </NavLink>
      <NavLink
        to={{ pathname: 'ratio', search }}
        className={classes.station}
        data-done={(meets && !isRatioOpen) || undefined}
        data-again={isRatioOpen || undefined}
      >
        <span className={classes.number}>{isRatioOpen ? '↻' : meets ? '✓' : '2'}</span>
        <span>
          <b>Ratio</b>
          <span className={`num ${classes.figure}`}>
            {ratio}
            {meets === false && <span className={classes.off}> off the aim</span>}
            {isRatioOpen && <span className={classes.off}> look again</span>}
          </span>
        </span>
      </NavLink>
      <FitStation bench={bench} search={search} />
      <LoadsStation bench={bench} search={search} />
      <SetStation bench={bench} search={search} />
    </nav>
  )
}

function LoadsStation({ bench, search }: { bench: Workbench; search: string }) {
  const loads = useLoads(bench)
  const answer = loads?.answer.data
  const isKnown = answer !== undefined && !loads?.answer.error
  const verdict = isKnown && answer.isJudged ? answer.verdict : undefined
  const figure = !loads
    ? 'no loop'
    : !loads.loop.isPullKnown
      ? 'no torque yet'
      : loads.answer.error
        ? 'can’t be computed'
        : answer
          ? headline(answer)
          : '…'
  return (
    <NavLink
      to={{ pathname: 'loads', search }}
      className={classes.station}
      data-done={verdict === 'fine' || undefined}
    >
      <span className={classes.number}>{verdict === 'fine' ? '✓' : '4'}</span>
      <span>
        <b>Loads</b>
        <span className={`num ${classes.figure}`}>
          {figure}
          {(verdict === 'watch' || verdict === 'stop') && (
            <span className={verdict === 'stop' ? classes.stop : classes.off}> {VERDICT_WORDS[verdict]}</span>
          )}
        </span>
      </span>
    </NavLink>
  )
}

function SetStation({ bench, search }: { bench: Workbench; search: string }) {
  const units = useUnits()
  const jobs = useSetJobs(bench.card.machine.id).data
  const loop = bench.loops.at(-1)
  const newest = jobs?.find((j) => j.loopKey === loop?.loopKey)
  const isOpen = isReopened(bench, 'set')
  const isDone = newest != null && newest.closing !== null && !isOpen
  const figure = !loop ? 'no loop' : !jobs ? '…' : newest ? readingEnds(newest, units) : 'not read yet'
  return (
    <NavLink
      to={{ pathname: 'set', search }}
      className={classes.station}
      data-done={isDone || undefined}
      data-again={isOpen || undefined}
    >
      <span className={classes.number}>{isOpen ? '↻' : isDone ? '✓' : '6'}</span>
      <span>
        <b>Set</b>
        <span className={`num ${classes.figure}`}>
          {figure}
          {newest && newest.closing === null && <span className={classes.off}> goes on</span>}
          {isOpen && <span className={classes.off}> look again</span>}
        </span>
      </span>
    </NavLink>
  )
}

/** A change of parts reopened it, and nobody has said yet that it was looked at again. */
const isReopened = (bench: Workbench, station: FollowUpTask['station']) =>
  bench.shown.isFitted && (bench.card.fitted.redo ?? []).some((i) => i.station === station)

function FitStation({ bench, search }: { bench: Workbench; search: string }) {
  const fit = useFit(bench)
  const answer = fit?.answer.data
  const isOff = answer?.findings.some((f) => f.kind === 'offTheTrack')
  const isOpen = isReopened(bench, 'fit')
  const isFine = answer !== undefined && answer.chosenLength !== null && !isOff && !fit?.answer.error
  const figure = !fit
    ? 'no loop'
    : !fit.layout
      ? 'not laid out'
      : fit.answer.error
        ? 'can’t be laid'
        : !answer
          ? '…'
          : answer.chosenLength === null
            ? 'no length yet'
            : lengthText(answer.chosenLength, answer.lengthUnit)
  return (
    <NavLink
      to={{ pathname: 'fit', search }}
      className={classes.station}
      data-done={(isFine && !isOpen) || undefined}
      data-again={isOpen || undefined}
    >
      <span className={classes.number}>{isOpen ? '↻' : isFine ? '✓' : '3'}</span>
      <span>
        <b>Fit</b>
        <span className={`num ${classes.figure}`}>
          {figure}
          {isOff && <span className={classes.off}> off the slot</span>}
          {isOpen && <span className={classes.off}> look again</span>}
        </span>
      </span>
    </NavLink>
  )
}
