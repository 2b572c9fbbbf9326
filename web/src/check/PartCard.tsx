import { Button, Group, Switch } from '@mantine/core'
import { useState } from 'react'
import type { GradeCriteria, PartToLookAt } from '../api/check'
import type { JobSheet } from '../api/client'
import { placeText } from '../job/lookWords'
import { GRADE_WORDS } from '../loop/findingWords'
import type { Workbench } from '../machine/useWorkbench'
import { Refused } from '../shell/Refused'
import { useSpeech } from '../shell/useSpeech'
import { GradeButtons } from './GradeButtons'
import { MakerForm } from './MakerForm'
import { MORE_FIELDS, MoreFields } from './MoreFields'
import classes from './PartCard.module.css'
import { SeenAt } from './SeenAt'
import { useGrade } from './useGrade'
import { earlierOf, type Look } from './useLook'

/** One part in hand: the caution where the hand goes in, the three grades, and all that can wait. */
export function PartCard({
  bench,
  look,
  job,
  at,
  onBay,
}: {
  bench: Workbench
  look: Look
  job: JobSheet
  at: PartToLookAt
  onBay: () => void
}) {
  const [speaks, setSpeaks] = useState(false)
  const [isMore, setMore] = useState(false)
  const [isMaker, setMaker] = useState(false)
  const grading = useGrade(look, job, at)
  useSpeech(speaks, [at.what, at.caution].filter(Boolean).join('. '))
  const place = placeText(look.spot)
  const now = at.seen.filter((s) => s.jobId === job.id)
  return (
    <section className={classes.card} aria-label="Part in hand">
      <header>
        <span className="cap">
          {look.parts.indexOf(at) + 1} of {look.parts.length}
          {at.isAsked && ' · asked for by what happened'}
        </span>
        <Group gap="xs" data-no-print>
          <Switch
            size="xs"
            label="read aloud"
            checked={speaks}
            onChange={(event) => setSpeaks(event.currentTarget.checked)}
          />
          <Button size="compact-xs" variant="default" onClick={onBay}>
            Bay mode
          </Button>
        </Group>
      </header>
      <p className={classes.big} aria-live="polite">
        {at.what}
        {place && <span className="cap"> {place}</span>}
      </p>
      {at.caution && (
        <p className={classes.caution}>
          <b>▲</b> {at.caution}
        </p>
      )}
      <div data-no-print>
        <GradeButtons at={at} grading={grading} />
        {at.criteria && <p className="cap">{sourceText(at.criteria)}</p>}
        <Button
          mt="xs"
          size="compact-sm"
          variant="subtle"
          color="gray"
          aria-expanded={isMore}
          onClick={() => setMore(!isMore)}
        >
          {isMore ? 'Less of it' : 'More of it …'}
        </Button>
        {at.criteria && bench.card.machine.id !== 0 && (
          <Button
            mt="xs"
            size="compact-sm"
            variant="subtle"
            color="gray"
            aria-expanded={isMaker}
            onClick={() => setMaker(!isMaker)}
          >
            {isMaker ? 'Put it away' : 'What its maker says …'}
          </Button>
        )}
        {isMore && <MoreFields look={look} at={at} grading={grading} />}
        {isMaker && look.loop && (
          <MakerForm bench={bench} loop={look.loop} at={at} onDone={() => setMaker(false)} />
        )}
        <Refused error={grading.record.error} fields={isMore ? MORE_FIELDS : []} />
      </div>
      {[...now, ...earlierOf(at, job)].map((seen, i) => (
        <SeenAt
          key={`${seen.entry} ${seen.part}`}
          bench={bench}
          jobs={look.jobs.data ?? []}
          seen={seen}
          when={seen.jobId === job.id ? 'now' : i === now.length ? 'last time' : 'the time before'}
          isOpen={seen.jobId === job.id}
        />
      ))}
    </section>
  )
}

/** Whose the three are. */
function sourceText({ makers, makersSource, certainty }: GradeCriteria): string {
  if (makers.length === 0) return `${capital(certainty)}; a maker’s limit wins.`
  const source = makersSource ? ` (${makersSource})` : ''
  return `By its maker${source}: ${makers.map((g) => GRADE_WORDS[g]).join(', ')}. Else ${certainty}.`
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
