import { Link } from 'react-router'
import type { JobSheet, LoopSummary, MachineCard } from '../api/client'
import { jobPath, REASON_WORDS } from '../job/words'
import { METHOD_WORDS, findingText as readingFindingText } from '../loop/readings'
import { Stops } from '../loop/Stops'
import { isToothed } from '../machine/driveElements'
import { findingText } from '../machine/findings'
import { MachineMenu } from '../machine/MachineMenu'
import { driveText, KIND_WORDS, pairText } from '../machine/words'
import { dayText } from '../quantities/days'
import { figure, plain } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LoopGlyph } from './LoopGlyph'
import classes from './MachineCardView.module.css'

const isAlike = (a: LoopSummary, b: LoopSummary) =>
  a.frontSize === b.frontSize && a.rearSize === b.rearSize && a.standard === b.standard

export function MachineCardView({ card, jobs }: { card: MachineCard; jobs: JobSheet[] }) {
  const { machine, summary } = card
  const units = useUnits()
  // Mirrored loops repeat: the card tells each pair of wheels once.
  const loops = summary.loops.filter((l, i, all) => all.findIndex((o) => isAlike(o, l)) === i)
  return (
    <article className={classes.card} data-retired={machine.retiredOn !== null || undefined}>
      <header>
        <h2>
          <Link to={`/machines/${machine.id}/ratio`}>{machine.name}</Link>
        </h2>
        <MachineMenu card={card} />
      </header>
      <p className="cap">
        {KIND_WORDS[machine.kind]} · {driveText(summary.loops)}
        {machine.odometerKm !== null && ` · ${units.show('distance', machine.odometerKm)}`}
        {machine.retiredOn !== null && ` · retired ${dayText(machine.retiredOn)}`}
      </p>
      {loops.map((loop) => (
        <div key={loop.loopKey} className={classes.loop}>
          <LoopGlyph front={loop.frontSize} rear={loop.rearSize} />
          <span>
            <b className="num">{pairText(loop.frontSize, loop.rearSize, isToothed(loop.driveElement))}</b>
            <span className="cap">
              {loop.name}
              {summary.loops.filter((o) => isAlike(o, loop)).length > 1 &&
                ` and ${summary.loops.filter((o) => isAlike(o, loop)).length - 1} alike`}
              {loop.links !== null &&
                ` · ${plain(loop.links)} ${loop.driveElement === 'chain' ? 'links' : 'belt teeth'}`}
            </span>
          </span>
          <span className={classes.ratio}>
            <b className="num">{figure(loop.ratio)}</b>
            <span className="cap">ratio</span>
            {machine.drives[0]?.input.kind === 'rider' && (
              <span className="cap">front over rear {figure(loop.frontOverRear)}</span>
            )}
          </span>
        </div>
      ))}
      {loops.length === 0 && <p>Direct drive, nothing to choose.</p>}
      <p className={classes.overall}>
        <span className="cap">
          {summary.gearCount > 1 ? `${summary.gearCount} gears · overall ratio in top` : 'overall ratio'}
        </span>
        <b className="num">{figure(summary.tallestOverall)}</b>
      </p>
      <Stops card={card} />
      {jobs.map((job) => (
        <Link key={job.id} to={jobPath(job)} className={classes.work} data-state={job.state}>
          {job.waitsFor ? `◷ waits for ${job.waitsFor}` : `● in work: ${REASON_WORDS[job.reason]}`}
        </Link>
      ))}
      {summary.findings.map((finding) => (
        <p key={finding.kind + finding.things.join()} className={classes.finding}>
          ▲ {findingText(finding)}
        </p>
      ))}
      {summary.openReadings.map(({ loopKey, on, finding }) => (
        <p key={`${loopKey} ${finding.method}`} className={classes.finding}>
          ▲ {summary.loops.find((l) => l.loopKey === loopKey)?.name ?? loopKey}: left outside on {dayText(on)}
          , {METHOD_WORDS[finding.method ?? 'pluck']} {readingFindingText(finding, units)}
        </p>
      ))}
    </article>
  )
}
