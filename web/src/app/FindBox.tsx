import { TextInput } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useEffect, useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { listNames } from '../api/client'
import { sentenceOf } from '../api/issues'
import { Dialog } from '../shell/Dialog'
import classes from './FindBox.module.css'
import { type Findable, findable, findBy } from './findable'
import { recentPlaces, rememberPlace } from './recentPlaces'

const MOST_SHOWN = 12

/** Finds machines, their stations, trials, aims and jobs, and the places on the rail, by any words of their name. */
export default function FindBox({ onClose }: { onClose: () => void }) {
  const [words, setWords] = useState('')
  const [at, setAt] = useState(0)
  const navigate = useNavigate()
  const names = useQuery({ queryKey: ['names'], queryFn: listNames })
  const [recent] = useState(recentPlaces)
  const all = useMemo(() => findable(names.data), [names.data])
  const found = useMemo(() => findBy(words, all, recent, MOST_SHOWN), [words, all, recent])
  // Whoever knows what it is called types it and presses Enter before the names have come.
  const [isAwaited, setAwaited] = useState(false)
  const go = (place: Findable | undefined) => {
    if (!place) return setAwaited(names.isPending)
    onClose()
    rememberPlace(place.to)
    navigate(place.to)
  }
  const first = found[0]
  // biome-ignore lint/correctness/useExhaustiveDependencies: only when the names have come
  useEffect(() => {
    if (isAwaited && !names.isPending) go(first)
  }, [isAwaited, names.isPending])
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
          setAwaited(false)
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
      {names.error ? (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(names.error)}
        </p>
      ) : null}
      {found.length === 0 && (
        <p className="cap">
          {names.isPending ? 'Reading the names …' : 'Nothing is called that. Try part of a name.'}
        </p>
      )}
    </Dialog>
  )
}
