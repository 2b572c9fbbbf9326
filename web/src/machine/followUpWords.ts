import type { FollowUpTask, LoopSummary } from '../api/client'

/** What a change asks for, in the words of the page. */

export const STATION_WORDS: Record<FollowUpTask['station'], string> = {
  aim: 'Aim',
  ratio: 'Ratio',
  fit: 'Fit',
  loads: 'Loads',
  build: 'Build',
  set: 'Set',
  check: 'Check',
}

const TASK_WORDS: Record<FollowUpTask['task'], string> = {
  ratio: 'Speeds and aim',
  speedometer: 'Speedometer against a true speed',
  length: 'Whether the length still closes',
  slot: 'Place of the axle, adjustment left',
  clearances: 'Clearances, turned by hand',
  suspensionPlay: 'Play through the suspension travel',
  alignment: 'Alignment of its wheels',
  reading: 'A new reading of the tension',
}

const PART_WORDS: Record<FollowUpTask['because'][number], string> = {
  frontWheel: 'other front wheel',
  rearWheel: 'other rear wheel',
  loopLength: 'other length',
  loopKind: 'other chain or belt',
  place: 'something stands elsewhere',
  edge: 'other edge to clear',
  roadWheel: 'other road wheel or tyre',
  gearing: 'other gearing',
}

/** “Alignment of its wheels”, with the loop's name where there are several. */
export function taskText(item: FollowUpTask, loops: LoopSummary[]): string {
  const loop = loops.length > 1 ? loops.find((l) => l.loopKey === item.loopKey) : undefined
  return (
    TASK_WORDS[item.task] +
    (loop ? `: ${loop.name === loop.loopKey ? loop.name : `${loop.name} (${loop.loopKey})`}` : '')
  )
}

export const becauseText = (item: FollowUpTask) => item.because.map((part) => PART_WORDS[part]).join(', ')

export const followUpKey = (item: FollowUpTask) => `${item.task}/${item.driveKey}/${item.loopKey}`

/** The one cause of all items; undefined where they differ. */
export function commonCause(items: FollowUpTask[]): string | undefined {
  const causes = new Set(items.map(becauseText))
  return causes.size === 1 ? [...causes][0] : undefined
}
