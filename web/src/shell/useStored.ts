import { useEffect, useRef, useState } from 'react'
import { ConflictError } from '../api/client'
import { useChange } from '../api/queries'
import type { Conflicting } from './ConflictSheet'
import { storeChosen } from './storeChosen'

const PAUSE_MS = 500

interface Versioned {
  id: number
  version: number
}

/**
 * A stored thing being edited: every pause in typing stores it, a refused state waits in the draft, and a change from
 * another window is held up to choose.
 */
export function useStored<T extends Versioned>(stored: T, save: (value: T) => Promise<T>) {
  const [draft, setDraft] = useState(stored)
  const [base, setBase] = useState(stored)
  const [conflict, setConflict] = useState<ConflictError | null>(null)
  const change = useChange(save)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const isDirty = !isSame(draft, base)

  // Another thing, or the same one changed elsewhere while nothing was typed here: show what is stored.
  if (stored !== base && (stored.id !== base.id || (stored.version > base.version && !isDirty))) {
    setBase(stored)
    setDraft(stored)
    setConflict(null)
  }

  // One after the other, each upon what the one before left: a slow answer is no change from another window.
  const line = useRef<Promise<unknown>>(Promise.resolve())
  const newest = useRef(stored)
  const store = (value: T) => {
    line.current = line.current.then(async () => {
      const known = newest.current.id === value.id ? newest.current : undefined
      if (known && known.version >= value.version && isSame(known, value)) return
      try {
        const version = Math.max(value.version, known?.version ?? 0)
        const next = await change.mutateAsync({ ...value, version })
        newest.current = next
        setBase(next)
        // Typing went on meanwhile: keep it, on top of the new version.
        setDraft((now) => ({ ...now, version: next.version }))
      } catch (error) {
        if (error instanceof ConflictError) setConflict(error)
      }
    })
  }
  const latest = useRef(store)
  useEffect(() => {
    latest.current = store
  })

  const waiting = useRef<T | null>(null)
  useEffect(() => {
    waiting.current = isDirty && !conflict ? { ...draft, version: base.version } : null
    if (!waiting.current) return
    timer.current = setTimeout(() => {
      if (waiting.current) latest.current(waiting.current)
      waiting.current = null
    }, PAUSE_MS)
    return () => clearTimeout(timer.current)
  }, [draft, base.version, isDirty, conflict])
  // Leaving the page in the middle of the pause stores at once.
  useEffect(() => () => void (waiting.current && latest.current(waiting.current)), [])

  /** What was chosen stands, and what was not is in the history. */
  const choose = (mine: T, chosen: T, over: number) => {
    line.current = line.current.then(async () => {
      try {
        await storeChosen(mine, chosen, over, async (value, version) => {
          newest.current = await change.mutateAsync({ ...value, version })
          return newest.current.version
        })
        setBase(newest.current)
        setDraft((now) => ({ ...now, version: newest.current.version }))
      } catch (error) {
        if (error instanceof ConflictError) setConflict(error)
      }
    })
  }
  // Left undecided: what is stored stands, and what was typed can be found again.
  const undecided = useRef<() => void>(undefined)
  useEffect(() => {
    const current = conflict?.current as T | null | undefined
    undecided.current = current ? () => choose(draft, current, current.version) : undefined
  })
  useEffect(() => () => undecided.current?.(), [])

  const conflicting: Conflicting<T> | null = conflict && {
    conflict,
    mine: draft,
    base,
    onChosen: (chosen) => {
      const current = conflict.current as T // the server answers with the same kind of thing
      setConflict(null)
      setBase(current)
      setDraft({ ...chosen, version: current.version })
      choose(draft, chosen, current.version)
    },
    onGone: () => {
      setConflict(null)
      setDraft(base)
    },
  }

  return {
    draft,
    setDraft,
    error: isDirty && !(change.error instanceof ConflictError) ? change.error : null,
    isDirty,
    /** What two windows made of it; null while there is no such thing. */
    conflicting,
  }
}

const isSame = <T extends Versioned>(a: T, b: T) => content(a) === content(b)
const content = <T extends Versioned>(value: T) => JSON.stringify({ ...value, version: 0 })
