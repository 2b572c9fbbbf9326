import { useState } from 'react'
import { Link, useLocation } from 'react-router'
import type { RatioBandsResult } from '../api/client'
import type { Question } from '../api/evaluation'
import type { Computed } from '../api/queries'
import { PartWorking } from '../machine/PartWorking'
import type { Workbench } from '../machine/useWorkbench'
import { fixed, gearName } from '../quantities/format'
import { WhyButton } from '../shell/WhyButton'
import classes from './BandResult.module.css'

/** The ratios an aim asks for, in the gears that count. */
export function BandResult({
  bench,
  bands,
}: {
  bench: Workbench
  bands: Computed<RatioBandsResult, Question<'bands'>>
}) {
  const [isWorking, setWorking] = useState(false)
  const { search } = useLocation()
  if (bench.loops.length === 0)
    return <p className="cap">Direct drive: there is no loop to choose wheels for.</p>
  if (!bands.data) return null
  const name = bench.loops.map((l) => l.name).join(' × ')
  return (
    <div className={classes.result} data-stale={bands.isStale || undefined}>
      <span className="cap">{name} ratio wanted</span>
      {bands.data.bands.map((band) => (
        <span key={band.gearIndex} className={classes.band}>
          {band.gearLabel !== '' && <span className="cap">{gearName(band.gearLabel)} </span>}
          <b className="num">
            {fixed(band.finalLow, 2)} – {fixed(band.finalHigh, 2)}
          </b>
        </span>
      ))}
      {bands.isStale && <span className="cap">for the earlier values</span>}
      <span className={classes.spring} />
      <WhyButton onClick={() => setWorking(true)} />
      <Link to={{ pathname: '../ratio', search }} relative="path" data-no-print>
        choose the wheels
      </Link>
      {isWorking && bands.of && (
        <PartWorking
          title="From aim to ratio"
          bench={bench}
          part="bands"
          question={bands.of}
          of={(answer) => answer.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </div>
  )
}
