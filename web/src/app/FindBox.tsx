import { TextInput } from '@mantine/core'
import { useQueries } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { listAims, listSetups } from '../api/client'
import { useMachines, useOpenJobs } from '../api/queries'
import { jobPath, REASON_WORDS } from '../job/words'
import { choicePath } from '../machine/choicePath'
import { choicesOf } from '../quantities/choices'
import { Dialog } from '../shell/Dialog'
import classes from './FindBox.module.css'
import { PLACES } from './places'
import { STATIONS } from './stations'

interface Found {
  label: string
  hint: string
  to: string
}

const MOST_SHOWN = 12

/** Finds machines, their trials, aims and jobs, and the places on the rail, by any words of their name. */
export default function FindBox({ onClose }: { onClose: () => void }) {
  const [words, setWords] = useState('')
  const [at, setAt] = useState(0)
  const navigate = useNavigate()
  const places = usePlaces()
  const found = useMemo(() => {
    const wanted = words.toLowerCase().split(/\s+/).filter(Boolean)
    return places
      .filter((p) => wanted.every((w) => `${p.label} ${p.hint}`.toLowerCase().includes(w)))
      .slice(0, MOST_SHOWN)
  }, [places, words])
  const go = (place: Found | undefined) => {
    if (!place) return
    onClose()
    navigate(place.to)
  }
  const onKey = (event: React.KeyboardEvent) => {
    if (event.key === 'ArrowDown') setAt((i) => Math.min(found.length - 1, i + 1))
    else if (event.key === 'ArrowUp') setAt((i) => Math.max(0, i - 1))
    else if (event.key === 'Enter') go(found[at])
    else return
    event.preventDefault()
  }
  return (
    <Dialog closeOnClickOutside onClose={onClose} title="Find">
      <TextInput
        data-autofocus
        aria-label="Find a machine, a trial, an aim, a job or a place"
        placeholder="machine, trial, aim, job or place"
        role="combobox"
        aria-expanded
        aria-controls="found"
        aria-activedescendant={found[at] ? `found-${at}` : undefined}
        value={words}
        onChange={(event) => {
          setWords(event.currentTarget.value)
          setAt(0)
        }}
        onKeyDown={onKey}
      />
      <div id="found" role="listbox" aria-label="Found" className={classes.list}>
        {found.map((place, i) => (
          <div
            key={place.to + place.label}
            id={`found-${i}`}
            role="option"
            tabIndex={-1}
            aria-selected={i === at}
            className={classes.item}
            onClick={() => go(place)}
            onKeyDown={onKey}
          >
            {place.label} <span className="cap">{place.hint}</span>
          </div>
        ))}
      </div>
      {found.length === 0 && <p className="cap">Nothing is called that. Try part of a name.</p>}
    </Dialog>
  )
}

function usePlaces(): Found[] {
  const machines = useMachines().data ?? []
  const jobs = useOpenJobs().data ?? []
  const setups = useQueries({
    queries: machines.map(({ machine }) => ({
      queryKey: ['setups', machine.id],
      queryFn: () => listSetups(machine.id),
    })),
  })
  const aims = useQueries({
    queries: machines.map(({ machine }) => ({
      queryKey: ['aims', machine.id],
      queryFn: () => listAims(machine.id),
    })),
  })
  const places: Found[] = PLACES.map((p) => ({ label: p.name, hint: p.hint, to: p.path }))
  machines.forEach(({ machine, summary }, i) => {
    const base = `/machines/${machine.id}`
    for (const s of STATIONS) places.push({ label: machine.name, hint: s.name, to: `${base}/${s.path}` })
    for (const loop of summary.loops)
      places.push({
        label: machine.name,
        hint: summary.loops.length > 1 ? `Choice: kinds of drive, ${loop.name}` : 'Choice: kinds of drive',
        to: choicePath(machine.id, loop.loopKey),
      })
    for (const setup of setups[i]?.data ?? [])
      if (setup.status === 'trial')
        places.push({
          label: setup.name,
          hint: `trial of ${machine.name}`,
          to: `${base}/ratio?setup=${setup.id}`,
        })
    for (const aim of aims[i]?.data ?? [])
      places.push({ label: aim.name, hint: `aim of ${machine.name}`, to: `${base}/aim?aim=${aim.id}` })
    places.push({ label: machine.name, hint: 'all its jobs', to: `${base}/jobs` })
    if (machine.retiredOn === null)
      for (const { value, label } of choicesOf(REASON_WORDS))
        places.push({
          label: machine.name,
          hint: `begin a job by ${label}`,
          to: `${base}/jobs?begin=${value}`,
        })
  })
  for (const job of jobs) {
    const name = machines.find((m) => m.machine.id === job.machineId)?.machine.name ?? ''
    places.push({
      label: name,
      hint: `job: ${REASON_WORDS[job.reason]}, ${job.waitsFor ? `waits for ${job.waitsFor}` : 'goes on'}`,
      to: jobPath(job),
    })
  }
  return places
}
