import type { FindIndex } from '../api/client'
import { faultPath, jobPath, REASON_WORDS } from '../job/words'
import { choicePath } from '../machine/choicePath'
import { choicesOf } from '../quantities/choices'
import { PLACES } from './places'
import { STATIONS } from './stations'

/** Something that Find leads to. */
export interface Findable {
  label: string
  hint: string
  to: string
}

/** Pages that the rail does not name. */
const MORE_PLACES: Findable[] = [{ label: 'Week', hint: 'what is due in it, of all machines', to: '/week' }]

/** All that can be found: the places of the rail, then each machine with its stations and what hangs on it. */
export function findable(index: FindIndex | undefined): Findable[] {
  const found: Findable[] = [
    ...PLACES.map((p) => ({ label: p.name, hint: p.hint, to: p.path })),
    ...MORE_PLACES,
  ]
  if (!index) return found
  const nameOf = new Map(index.machines.map((m) => [m.id, m.name]))
  for (const { id, name, isRetired, loops } of index.machines) {
    const base = `/machines/${id}`
    const add = (hint: string, to: string, label = name) => found.push({ label, hint, to })
    for (const s of STATIONS) add(s.name, `${base}/${s.path}`)
    for (const loop of loops)
      add(
        loops.length > 1 ? `Choice: kinds of drive, ${loop.name}` : 'Choice: kinds of drive',
        choicePath(id, loop.key),
      )
    for (const loop of loops)
      add(
        loops.length > 1
          ? `Faults: from what it does to its cause, ${loop.name}`
          : 'Faults: from what it does to its cause',
        faultPath(id, loop.key),
      )
    add('what it took, cost and brought', `${base}/check?view=brought`)
    add('job sheet to print', `${base}/sheet`)
    add('all its jobs', `${base}/jobs`)
    if (!isRetired)
      for (const { value, label } of choicesOf(REASON_WORDS))
        add(`begin a job by ${label}`, `${base}/jobs?begin=${value}`)
  }
  for (const job of index.jobs)
    found.push({
      label: nameOf.get(job.machineId) ?? '',
      hint: `job: ${REASON_WORDS[job.reason]}, ${job.waitsFor ? `waits for ${job.waitsFor}` : 'goes on'}`,
      to: jobPath(job),
    })
  for (const t of index.trials)
    found.push({
      label: t.name,
      hint: `trial of ${nameOf.get(t.machineId) ?? ''}`,
      to: `/machines/${t.machineId}/ratio?setup=${t.id}`,
    })
  for (const a of index.aims)
    found.push({
      label: a.name,
      hint: `aim of ${nameOf.get(a.machineId) ?? ''}`,
      to: `/machines/${a.machineId}/aim?aim=${a.id}`,
    })
  return found
}

/** Those with all the words in their name, what was opened here last first. */
export function findBy(words: string, all: Findable[], recent: string[], most: number): Findable[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean)
  const age = new Map(recent.map((path, i) => [path, i]))
  const ageOf = (f: Findable) => age.get(f.to) ?? recent.length
  return all
    .filter((f) => {
      const text = `${f.label} ${f.hint}`.toLowerCase()
      return wanted.every((w) => text.includes(w))
    })
    .sort((a, b) => ageOf(a) - ageOf(b))
    .slice(0, most)
}
