import { createContext, useContext, useEffect, useLayoutEffect, useRef } from 'react'

// A choice or a switch that was just clicked keeps the focus, but nobody types letters into it.
const TYPED_INTO = 'input:not([type="radio"], [type="checkbox"]), textarea, select, [role="dialog"]'

export const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || target.closest(TYPED_INTO) !== null)

const OFF_KEY = 'wendrak.single-keys-off'

/** Whoever speaks to the page, or leans on a key, switches them off (WCAG 2.2, 2.1.4). */
export const areKeysOff = () => localStorage.getItem(OFF_KEY) !== null
export const setKeysOff = (isOff: boolean) =>
  isOff ? localStorage.setItem(OFF_KEY, 'yes') : localStorage.removeItem(OFF_KEY)

/** True where pages are only looked at, several at once: their keys would act more than once. */
export const StillContext = createContext(false)

/** Single keys for what is done often; never while typing in a field or with a dialog open. */
export function useShortcuts(keys: Record<string, () => void>) {
  const latest = useRef(keys)
  const isStill = useContext(StillContext)
  // Before the next key can arrive, not some time after the paint: keys are pressed faster than that.
  useLayoutEffect(() => {
    latest.current = keys
  })
  useEffect(() => {
    if (isStill) return
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented || isTyping(event.target))
        return
      if (document.querySelector('[role="dialog"]') || areKeysOff()) return
      const act = latest.current[event.key.length === 1 ? event.key.toLowerCase() : event.key]
      if (!act) return
      event.preventDefault()
      act()
    }
    document.addEventListener('keydown', onKey)
    return () => document.removeEventListener('keydown', onKey)
  }, [isStill])
}

/** The list behind “?”, after the stations. */
export const SHORTCUTS: [string, string][] = [
  ['/', 'find a machine, a trial, an aim'],
  ['[  ] or D  F', 'one tooth fewer or more in front'],
  ['{  } or E  R', 'one tooth fewer or more behind'],
  ['← → ↑ ↓', 'on the ratio scale: next pair in the row, next row'],
  ['← →', 'on the side view: the axle by 0.1 mm'],
  ['T', 'keep what is picked as a new trial'],
  ['B', 'at Set: one instruction and one reading, large, for the bay'],
  ['J', 'begin a job, where one can be begun'],
  ['H', 'history of the machine, and undo'],
  ['Ctrl+Z  Ctrl+Y', 'take back what you did last here, do it again; in a field they are the field’s'],
  ['U', 'metric or inch'],
  ['L', 'light or dark'],
  ['?', 'this list'],
  ['Esc', 'close what is open'],
]
