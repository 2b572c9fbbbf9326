import { Group, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { JobSheet, PhotoShows } from '../api/client'
import type { Workbench } from '../machine/useWorkbench'
import { ChoiceField } from '../quantities/ChoiceField'
import { Panel } from '../shell/Panel'
import { PhotoList } from './PhotoList'
import classes from './PhotoList.module.css'
import { TakePhotos } from './TakePhotos'
import { SHOWS_WORDS } from './words'

/** What was photographed at a job. */
export function PhotosPanel({
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
    <Panel title="Photos" isEmpty={job.photos.length === 0}>
      <PhotoList bench={bench} job={job} jobs={jobs} photos={job.photos} />
      {isOpen && <NewPhotos bench={bench} job={job} />}
    </Panel>
  )
}

function NewPhotos({ bench, job }: { bench: Workbench; job: JobSheet }) {
  const { loops } = bench.card.summary
  const [shows, setShows] = useState<PhotoShows>('anything')
  const [loopKey, setLoopKey] = useState(bench.loops.at(-1)?.loopKey ?? null)
  const [about, setAbout] = useState('')
  return (
    <Group align="end" gap="sm" className={classes.new} data-no-print>
      <ChoiceField size="sm" label="It shows" words={SHOWS_WORDS} value={shows} onChange={setShows} w={170} />
      {shows !== 'anything' && loops.length > 1 && (
        <ChoiceField
          size="sm"
          label="Of the loop"
          words={Object.fromEntries(loops.map((l) => [l.loopKey, l.name]))}
          value={loopKey}
          onChange={setLoopKey}
          w={190}
        />
      )}
      <TextInput
        size="sm"
        label="What is to be seen"
        value={about}
        onChange={(typed) => setAbout(typed.currentTarget.value)}
        className={classes.about}
      />
      <TakePhotos
        jobId={job.id}
        said={{ shows, about: about.trim() || null, loopKey: shows === 'anything' ? null : loopKey }}
        onSent={() => setAbout('')}
      />
    </Group>
  )
}
