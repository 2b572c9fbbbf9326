import { SegmentedControl, Textarea } from '@mantine/core'
import { useState } from 'react'
import type { JobSheet, LoopSummary } from '../api/client'
import { issueFor } from '../api/issues'
import { OutsideReadings } from '../loop/OutsideReadings'
import { dayText, today } from '../quantities/days'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { ReasonedButton } from '../shell/ReasonedButton'
import { Refused } from '../shell/Refused'
import classes from './JobPage.module.css'
import { atEvent, useJobEvents } from './useJobEvents'
import { BLOCK_WORDS, DESPITE_WORDS, loopName } from './words'

const UNASKED = 'not asked'

/** The end of a job: what is in its way, what asks for a reason, and what the rider or owner says. */
export function SignPanel({ job, loops }: { job: JobSheet; loops: LoopSummary[] }) {
  const [score, setScore] = useState(UNASKED)
  const [word, setWord] = useState('')
  const [reason, setReason] = useState('')
  const record = useJobEvents(job.id)
  if (job.signature) return <SignedPanel job={job} loops={loops} />
  const asks = job.despite.length > 0
  const sign = () =>
    record.happens({
      kind: 'jobSigned',
      signedOn: today(),
      score: score === UNASKED ? null : Number(score),
      word: word.trim() || null,
      despite: null,
      reason: reason.trim() || null,
    })
  return (
    <Panel title="Signature" isEmpty>
      {job.blockedBy.length > 0 && (
        <ul aria-label="In the way" className={classes.list}>
          {job.blockedBy.map((block) => (
            <li key={block.kind + block.what} style={{ color: 'var(--stop)' }}>
              ■ {BLOCK_WORDS[block.kind]}{' '}
              {block.kind === 'loopNotClosed' || block.kind === 'noLastReading'
                ? loopName(loops, block.what)
                : block.what}
            </li>
          ))}
        </ul>
      )}
      {asks && (
        <>
          <ul aria-label="Asks for a reason" className={classes.list}>
            {job.despite.map((despite) => (
              <li key={despite} style={{ color: 'var(--watch)' }}>
                ▲ {DESPITE_WORDS[despite]}
              </li>
            ))}
            <Outside job={job} loops={loops} />
          </ul>
          <Textarea
            label="Why it goes out all the same"
            autosize
            minRows={2}
            value={reason}
            onChange={(event) => setReason(event.currentTarget.value)}
            error={issueFor(record.error, atEvent('reason'))}
          />
        </>
      )}
      <p className="cap" id="score-label">
        What the rider or owner says, 5 is just right (may be left out)
      </p>
      <SegmentedControl
        size="xs"
        aria-labelledby="score-label"
        value={score}
        onChange={setScore}
        data={[{ value: UNASKED, label: 'not asked' }, '1', '2', '3', '4', '5']}
      />
      <Textarea
        mt="xs"
        label="In their words (may be left out)"
        autosize
        value={word}
        onChange={(event) => setWord(event.currentTarget.value)}
        error={issueFor(record.error, atEvent('word'))}
      />
      <ReasonedButton
        mt="sm"
        fullWidth
        why={job.blockedBy.length > 0 ? 'First what is in the way.' : null}
        loading={record.isPending}
        onClick={sign}
      >
        Sign: it goes out
      </ReasonedButton>
      <Refused error={record.error} fields={['reason', 'word'].map(atEvent)} />
      <p className="cap">
        What was measured stands for itself; the score is kept apart from it. Brakes, steering and approval
        are licensed work.
      </p>
    </Panel>
  )
}

/** Every reading outside its window, loop by loop, whoever typed it. */
function Outside({ job, loops }: { job: JobSheet; loops: LoopSummary[] }) {
  return job.outside.map(({ loopKey, reading }) => (
    <OutsideReadings key={loopKey + reading.method} loop={loopName(loops, loopKey)} readings={[reading]} />
  ))
}

function SignedPanel({ job, loops }: { job: JobSheet; loops: LoopSummary[] }) {
  const { signature } = job
  if (!signature) return null
  return (
    <Panel title="Signed" note={dayText(signature.signedOn)}>
      {signature.who && <LabelledValue name="by">{signature.who}</LabelledValue>}
      {signature.score !== null && (
        <LabelledValue name="rider or owner">{signature.score} of 5</LabelledValue>
      )}
      {signature.word && <p>“{signature.word}”</p>}
      {signature.despite.length > 0 && (
        <>
          <ul className={classes.list}>
            {signature.despite.map((despite) => (
              <li key={despite} style={{ color: 'var(--watch)' }}>
                ▲ {DESPITE_WORDS[despite]}
              </li>
            ))}
            <Outside job={job} loops={loops} />
          </ul>
          <p>Reason given: {signature.reason}</p>
        </>
      )}
      <p className="cap" data-no-print>
        It takes nothing more. The signature can be taken back in the history (H).
      </p>
    </Panel>
  )
}
