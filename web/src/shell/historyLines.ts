import type { Change } from '../api/client'

/** A line of the history, with the readings that led to it, newest first. */
export interface HistoryLine {
  change: Change
  readings: Change[]
}

/**
 * One line a round: what was read stands beneath the end of its round, or beneath the newest reading of one that goes on.
 * @param changes Newest first.
 */
export function historyLines(changes: Change[]): HistoryLine[] {
  const lines: HistoryLine[] = []
  for (const change of changes) {
    const last = lines.at(-1)
    const isBeneath =
      change.round === 'reading' && last?.change.round && last.change.machineId === change.machineId
    if (isBeneath) last.readings.push(change)
    else lines.push({ change, readings: [] })
  }
  return lines
}
