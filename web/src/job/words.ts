import type { JobPhoto, JobReason, JobSheet, LoopSummary, PhotoShows } from '../api/client'
import { dayText, momentText } from '../quantities/days'

export const REASON_WORDS: Record<JobReason, string> = {
  visit: 'a visit',
  anotherGearing: 'another gearing',
  somethingWrong: 'something is wrong',
  partNotToBeHad: 'a part can’t be had',
}

/** What follows, in a few words. */
export const REASON_HINTS: Record<JobReason, string> = {
  visit: 'read and look as found, set, close',
  anotherGearing: 'aim, ratio, fit, loads, build, set',
  somethingWrong: 'from what it does to its cause, by the next best test',
  partNotToBeHad: 'what is in stock, and other kinds side by side',
}

/** What is asked about it; it may be left out. */
export const ABOUT_LABELS: Record<JobReason, string> = {
  visit: 'What it is about',
  anotherGearing: 'What is wanted',
  somethingWrong: 'What it does, and when',
  partNotToBeHad: 'Which part',
}

export const STATE_WORDS: Record<JobSheet['state'], string> = {
  goesOn: 'goes on',
  waits: 'waits',
  ended: 'ended',
}

export const BLOCK_WORDS: Record<JobSheet['blockedBy'][number]['kind'], string> = {
  waits: 'it still waits for',
  provisional: 'still provisional:',
  loopNotClosed: 'begun at Set and not closed:',
  noLastReading: 'not read since it was tightened:',
  stopFinding: 'seen, and not mended:',
  stepOpen: 'not done:',
  stepForNow: 'done for now only:',
  partMissing: 'missing on the tray:',
}

export const STEP_WORDS: Record<JobSheet['loops'][number]['done'][number], string> = {
  finalTorque: 'final torque',
  adjusterLocks: 'adjuster and its locks fast',
  pinsAndCaps: 'pins, caps and screws in',
  guards: 'guards back on',
  turnsFreely: 'turned by hand: free, nothing rubs',
}

export const DESPITE_WORDS: Record<JobSheet['despite'][number], string> = {
  deviation: 'Something was done otherwise than it should be.',
  outsideWindow: 'A loop was closed outside its window.',
  advisorStopped: 'A loop was closed though the advisor said stop.',
  cautionsNotConfirmed: 'Nobody confirmed the cautions at a loop.',
  noTorque: 'A final torque is ticked off without a figure.',
  notOnMachine: 'The machine does not say what its plan put on. Build tells it.',
}

/** The name of a loop; its key where it is gone since. */
export const loopName = (loops: LoopSummary[], key: string) =>
  loops.find((l) => l.loopKey === key)?.name ?? key

/** The same with its key beside it, where another one is called so too. */
export const loopLabel = (loops: LoopSummary[], { loopKey, name }: LoopSummary) =>
  loops.some((l) => l.name === name && l.loopKey !== loopKey) ? `${name} (${loopKey})` : name

/** Where a fault of a loop is searched. */
export const faultPath = (machineId: number, loopKey: string) =>
  `/faults/${machineId}/${encodeURIComponent(loopKey)}`

export const jobPath = ({ machineId, id }: Pick<JobSheet, 'machineId' | 'id'>) =>
  `/machines/${machineId}/jobs/${id}`

/** “Tarn · since 2026-11-26”. */
export const sinceText = ({ who, openedOn, state }: JobSheet) =>
  [who, state !== 'ended' && `since ${dayText(openedOn)}`].filter(Boolean).join(' · ')

export const SHOWS_WORDS: Record<PhotoShows, string> = {
  anything: 'anything',
  freePlay: 'how far it gives',
  gap: 'gap at the flange',
  span: 'a run, end to end',
}

/** “rust at the rear”, or what it shows and when. */
export const photoText = ({ about, shows, takenAt, at }: JobPhoto) =>
  about ?? [shows !== 'anything' && SHOWS_WORDS[shows], momentText(takenAt ?? at)].filter(Boolean).join(' · ')
