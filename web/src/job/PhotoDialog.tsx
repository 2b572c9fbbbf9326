import { Button, Group, Select } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { useState } from 'react'
import { type JobPhoto, type JobSheet, type PhotoLine, undoChange, type Working } from '../api/client'
import { sentenceOf } from '../api/issues'
import { photoAddress } from '../api/photos'
import { useChange } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import { dayText, momentText } from '../quantities/days'
import { useUnits } from '../quantities/units'
import { Dialog } from '../shell/Dialog'
import { useUndoNotice } from '../shell/useUndoNotice'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import { NewLine } from './NewLine'
import classes from './PhotoDialog.module.css'
import { type Ends, inTheMiddle, PhotoLines } from './PhotoLines'
import { RightPicture } from './RightPicture'
import { photoText } from './words'

/** A photo as large as it goes, with what is measured on it, and what it is held against beside it. */
export default function PhotoDialog({
  bench,
  job,
  jobs,
  photo,
  onClose,
}: {
  bench: Workbench
  job: JobSheet
  jobs: JobSheet[]
  photo: JobPhoto
  onClose: () => void
}) {
  const isOpen = job.state !== 'ended'
  const [draft, setDraft] = useState<Ends | null>(null)
  const [beside, setBeside] = useState<string | null>(null)
  const [working, setWorking] = useState<Working | null>(null)
  const remove = useRemoval(job)
  const others = jobs.flatMap((of) =>
    of.photos.filter((p) => p.hash !== photo.hash).map((p) => ({ ...p, on: of.openedOn })),
  )
  const other = others.find((p) => p.hash === beside)
  return (
    <Dialog
      onClose={onClose}
      // What lies over it is closed first.
      closeOnEscape={working === null}
      size={1180}
      title={photoText(photo)}
    >
      <div className={classes.pictures}>
        <figure>
          <PhotoLines photo={photo} draft={draft} onDraft={isOpen ? setDraft : undefined} />
          <figcaption>{captionOf(photo, job.openedOn)}</figcaption>
        </figure>
        {other && (
          <figure>
            <PhotoLines photo={other} draft={null} />
            <figcaption>{captionOf(other, other.on)}</figcaption>
          </figure>
        )}
        {photo.shows !== 'anything' && (
          <RightPicture bench={bench} shows={photo.shows} loopKey={photo.loopKey} />
        )}
      </div>
      <ul className={classes.lines} aria-label="Lines on it">
        {photo.lines.map((line, i) => (
          <Line
            key={line.entry}
            line={line}
            number={i + 1}
            isOpen={isOpen}
            onRemove={() => remove(line.entry, 'The line is removed')}
            onWorking={setWorking}
          />
        ))}
      </ul>
      {draft && <NewLine jobId={job.id} photo={photo} ends={draft} onDone={() => setDraft(null)} />}
      <Group mt="md" gap="sm" align="end" data-no-print>
        {isOpen && !draft && (
          <Button size="sm" variant="default" onClick={() => setDraft(inTheMiddle(photo))}>
            Draw a line
          </Button>
        )}
        {others.length > 0 && (
          <Select
            size="sm"
            label="Beside it"
            placeholder="another photo"
            clearable
            value={beside}
            onChange={setBeside}
            data={others.map((p) => ({ value: p.hash, label: `${dayText(p.on)} · ${photoText(p)}` }))}
          />
        )}
        <Button
          size="sm"
          variant="default"
          component="a"
          href={photoAddress(photo.hash)}
          download={`${job.openedOn}.jpg`}
        >
          Save as a file
        </Button>
        {isOpen && (
          <Button
            size="sm"
            variant="subtle"
            color="gray"
            onClick={() => {
              onClose()
              remove(photo.entry, 'The photo is removed')
            }}
          >
            Remove
          </Button>
        )}
      </Group>
      {working && (
        <WorkingDialog title="Length on a photo" workings={[working]} onClose={() => setWorking(null)} />
      )}
    </Dialog>
  )
}

const captionOf = ({ takenAt, at, who }: JobPhoto, on: string) =>
  [`job of ${dayText(on)}`, takenAt ? `taken ${momentText(takenAt)}` : `added ${momentText(at)}`, who]
    .filter(Boolean)
    .join(' · ')

/** Takes an entry of the job back, with the way to have it again. */
function useRemoval(job: JobSheet) {
  const undo = useChange(undoChange)
  const tell = useUndoNotice()
  const failed = (error: unknown) => notifications.show({ color: 'red', message: sentenceOf(error) })
  return async (entry: number, text: string) => {
    try {
      await undo.mutateAsync(entry)
      await tell(text, job.machineId)
    } catch (error) {
      failed(error)
    }
  }
}

function Line({
  line,
  number,
  isOpen,
  onRemove,
  onWorking,
}: {
  line: PhotoLine
  number: number
  isOpen: boolean
  onRemove: () => void
  onWorking: (working: Working) => void
}) {
  const units = useUnits()
  const { knownMm, measured } = line
  return (
    <li>
      <b>{number}</b> {line.about ?? 'a line'}:{' '}
      {knownMm !== null
        ? `${units.show('fine', knownMm)}, known`
        : measured
          ? `${units.show('fine', measured.lengthMm)} ± ${units.show('fine', measured.plusMinusMm)}`
          : 'not told before one of known length is drawn'}
      {measured && <WhyButton onClick={() => onWorking(measured.working)} />}
      {isOpen && (
        <Button
          size="compact-xs"
          variant="subtle"
          color="gray"
          onClick={onRemove}
          aria-label={`Remove line ${number}`}
        >
          Remove
        </Button>
      )}
    </li>
  )
}
