import { notifications } from '@mantine/notifications'
import { useEffect, useRef } from 'react'
import { useLocation } from 'react-router'
import { type Change, listChanges, undoChange, whoAmI } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { isTyping } from '../shell/shortcuts'

/** Nobody said who: then the workshop did it. */
const NOBODY = 'workshop'

/**
 * Ctrl+Z takes back what was done last here, Ctrl+Y or Ctrl+Shift+Z does it again: of the machine in view, else of the workshop, and
 * only what the person at this page did. In a field they are the field’s.
 */
export function useUndoKeys() {
  const { pathname } = useLocation()
  const undo = useChange(undoChange)
  const press = async (isAgain: boolean) => {
    const machine = /^\/machines\/(\d+)/.exec(pathname)?.[1]
    try {
      const changes = await listChanges(machine ? Number(machine) : undefined)
      const change = isAgain ? toDoAgain(mine(changes)) : mine(changes).find((c) => !c.isUndoing)?.change
      if (!change) return notifications.show({ message: isAgain ? NOTHING_AGAIN : NOTHING })
      await undo.mutateAsync(change.id)
      notifications.show({
        message: isAgain
          ? `Done again: ${change.what.replace(/^(undone: )+/, '')}`
          : `Undone: ${change.what}. Ctrl+Y does it again.`,
      })
    } catch (error) {
      notifications.show({ color: 'red', message: sentenceOf(error) })
    }
  }
  const latest = useRef(press)
  useEffect(() => {
    latest.current = press
  })
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (
        !(event.ctrlKey || event.metaKey) ||
        event.altKey ||
        event.defaultPrevented ||
        isTyping(event.target)
      )
        return
      if (document.querySelector('[role="dialog"]')) return
      const key = event.key.toLowerCase()
      if (key !== 'z' && key !== 'y') return
      event.preventDefault()
      void latest.current(key === 'y' || event.shiftKey)
    }
    document.addEventListener('keydown', onKey)
    return () => document.removeEventListener('keydown', onKey)
  }, [])
}

const NOTHING = 'Nothing of yours is left to be undone here; the history holds what others did.'
const NOTHING_AGAIN = 'Nothing of yours was undone here that could be done again.'

interface Mine {
  change: Change
  /** It takes something back; what takes that back does it again. */
  isUndoing: boolean
  /** It was done, not done again. */
  isFirst: boolean
}

/** What the person here did and nobody took back, newest first. */
export function mine(changes: Change[]): Mine[] {
  const byId = new Map(changes.map((c) => [c.id, c]))
  const depth = (change: Change): number => {
    const of = change.undoes === null ? undefined : byId.get(change.undoes)
    return change.undoes === null ? 0 : 1 + (of ? depth(of) : 0)
  }
  return changes
    .filter((c) => c.undoneBy === null && c.who === (whoAmI() || NOBODY))
    .map((change) => ({ change, isUndoing: depth(change) % 2 === 1, isFirst: depth(change) === 0 }))
}

/** The newest that was undone, unless something else was done since: then it is another story. */
export function toDoAgain(all: Mine[]): Change | undefined {
  const next = all.findIndex((c) => c.isUndoing)
  return next < 0 || all.slice(0, next).some((c) => c.isFirst) ? undefined : all[next]?.change
}
