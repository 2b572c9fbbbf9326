import { Button, Group } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import type { PartSeen } from '../api/check'
import type { JobSheet } from '../api/client'
import { LineForm } from '../job/LineForm'
import { detailText, gradeText } from '../job/lookWords'
import { PhotoList } from '../job/PhotoList'
import { TakePhotos } from '../job/TakePhotos'
import { GRADE_COLOURS, GRADE_MARKS } from '../loop/findingWords'
import type { Workbench } from '../machine/useWorkbench'
import { dayText, momentText } from '../quantities/days'
import { useUnits } from '../quantities/units'
import classes from './PartCard.module.css'

/** How a part was once, with its photos: the same place stands beside itself. */
export function SeenAt({
  bench,
  jobs,
  seen,
  when,
  isOpen,
}: {
  bench: Workbench
  jobs: JobSheet[]
  seen: PartSeen
  when: string
  /** Of the job in hand: it can be photographed and mended. */
  isOpen: boolean
}) {
  const [isMending, setMending] = useState(false)
  const units = useUnits()
  const job = jobs.find((j) => j.id === seen.jobId)
  const stands = seen.grade !== 'fine' && seen.curedAt === null
  const cured = job?.findings.find((f) => f.entry === seen.entry)?.how
  return (
    <div className={classes.seen}>
      <div className={classes.row}>
        <span>
          <span className="cap">{when}: </span>
          <b style={{ color: GRADE_COLOURS[seen.grade] }}>
            {GRADE_MARKS[seen.grade]} {gradeText(seen, units)}
          </b>{' '}
          {seen.what === null
            ? 'with all else'
            : [seen.what, detailText(seen.detail), seen.words, cured && `mended: ${cured}`]
                .filter(Boolean)
                .join(', ')}
        </span>
        <span className="cap">
          {[seen.who, when === 'now' ? momentText(seen.at) : dayText(seen.at)].filter(Boolean).join(' · ')}
          {seen.odometerKm !== null && ` · ${units.show('distance', seen.odometerKm)}`}
          {when !== 'now' && (
            <>
              {' · '}
              <Link to={`../jobs/${seen.jobId}`}>job</Link>
            </>
          )}
        </span>
      </div>
      {job && (
        <PhotoList
          bench={bench}
          job={job}
          jobs={jobs}
          photos={job.photos.filter((p) => p.finding !== null && p.finding === seen.what)}
        />
      )}
      {isOpen && job && seen.what !== null && seen.curedAt === null && (
        <Group gap="xs" mt={6} data-no-print>
          <TakePhotos jobId={job.id} said={{ shows: 'anything', finding: seen.what }} />
          {stands && !isMending && (
            <Button size="sm" variant="default" onClick={() => setMending(true)}>
              Mended …
            </Button>
          )}
        </Group>
      )}
      {isOpen && job && stands && isMending && (
        <LineForm
          jobId={job.id}
          labels={{ how: 'What was done about it' }}
          action="It is mended"
          event={({ how }) => ({ kind: 'findingCured', what: seen.what ?? '', how })}
        />
      )}
    </div>
  )
}
