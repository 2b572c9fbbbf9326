import { Button, Group, SegmentedControl, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { JobSheet } from '../api/client'
import { issueFor } from '../api/issues'
import { GRADE_COLOURS, GRADE_MARKS, GRADE_WORDS } from '../loop/findingWords'
import type { Workbench } from '../machine/useWorkbench'
import { choicesOf } from '../quantities/choices'
import { momentText } from '../quantities/days'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import classes from './JobPage.module.css'
import { LineForm } from './LineForm'
import form from './LineForm.module.css'
import { PhotoList } from './PhotoList'
import { TakePhotos } from './TakePhotos'
import { atEvent, useJobEvents } from './useJobEvents'
import { loopName } from './words'

type Finding = JobSheet['findings'][number]

/** What was seen at a job: a stop keeps it from going out until it is mended. */
export function FindingsPanel({
  bench,
  job,
  jobs,
  isOpen,
}: {
  bench: Workbench
  job: JobSheet
  jobs: JobSheet[]
  isOpen: boolean
}) {
  return (
    <Panel
      title="Seen"
      note="a stop keeps it from going out until it is mended"
      isEmpty={job.findings.length === 0}
    >
      <ul className={classes.notes}>
        {job.findings.map((finding) => (
          <FindingLine
            key={finding.entry}
            bench={bench}
            job={job}
            jobs={jobs}
            finding={finding}
            isOpen={isOpen}
          />
        ))}
      </ul>
      {isOpen && <NewFinding bench={bench} job={job} />}
    </Panel>
  )
}

function FindingLine({
  bench,
  job,
  jobs,
  finding,
  isOpen,
}: {
  bench: Workbench
  job: JobSheet
  jobs: JobSheet[]
  finding: Finding
  isOpen: boolean
}) {
  const [isMending, setMending] = useState(false)
  const stands = finding.curedAt === null
  return (
    <li data-cleared={!stands || undefined}>
      <span>
        <b style={stands ? { color: GRADE_COLOURS[finding.grade] } : undefined}>
          {stands ? GRADE_MARKS[finding.grade] : '✓'} {GRADE_WORDS[finding.grade]}
        </b>{' '}
        {[
          finding.what,
          finding.loopKey && loopName(bench.card.summary.loops, finding.loopKey),
          finding.words,
          finding.how && `mended: ${finding.how}`,
        ]
          .filter(Boolean)
          .join(', ')}
      </span>
      <span className="cap">
        {[finding.who, momentText(finding.curedAt ?? finding.at)].filter(Boolean).join(' · ')}
      </span>
      <PhotoList
        bench={bench}
        job={job}
        jobs={jobs}
        photos={job.photos.filter((p) => p.finding === finding.what)}
      />
      {isOpen && stands && (
        <Group gap="xs" data-no-print style={{ flexBasis: '100%' }}>
          <TakePhotos jobId={job.id} said={{ shows: 'anything', finding: finding.what }} />
          {!isMending && (
            <Button
              size="sm"
              variant="default"
              aria-label={`Mended: ${finding.what}`}
              onClick={() => setMending(true)}
            >
              Mended …
            </Button>
          )}
        </Group>
      )}
      {isOpen && stands && isMending && (
        <div style={{ flexBasis: '100%' }}>
          <LineForm
            jobId={job.id}
            labels={{ how: 'What was done about it' }}
            action="It is mended"
            event={({ how }) => ({ kind: 'findingCured', what: finding.what, how })}
          />
        </div>
      )}
    </li>
  )
}

function NewFinding({ bench, job }: { bench: Workbench; job: JobSheet }) {
  const [what, setWhat] = useState('')
  const [grade, setGrade] = useState<Finding['grade']>('watch')
  const record = useJobEvents(job.id)
  return (
    <form
      className={form.form}
      data-no-print
      onSubmit={(submitted) => {
        submitted.preventDefault()
        const loopKey = bench.loops.at(-1)?.loopKey ?? null
        record.happens({ kind: 'findingNoted', what, grade, loopKey, words: null }, () => setWhat(''))
      }}
    >
      <TextInput
        size="sm"
        label="What was seen, and where"
        value={what}
        onChange={(typed) => setWhat(typed.currentTarget.value)}
        error={issueFor(record.error, atEvent('what'))}
      />
      <SegmentedControl
        size="sm"
        aria-label="How bad it is"
        value={grade}
        onChange={(value) => setGrade(value as Finding['grade'])}
        data={choicesOf(GRADE_WORDS)}
      />
      <Button type="submit" size="sm" variant="default" loading={record.isPending}>
        Note it as seen
      </Button>
      <Refused error={record.error} fields={[atEvent('what')]} />
    </form>
  )
}
