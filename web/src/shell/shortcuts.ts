import { useEffect, useLayoutEffect, useRef } from 'react'

// A choice or a switch that was just clicked keeps the focus, but nobody types letters into it.
const TYPED_INTO = 'input:not([type="radio"], [type="checkbox"]), textarea, select, [role="dialog"]'

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || target.closest(TYPED_INTO) !== null)

/** Single keys for what is done often; never while typing in a field or with a dialog open. */
export function useShortcuts(keys: Record<string, () => void>) {
  const latest = useRef(keys)
  // Before the next key can arrive, not some time after the paint: keys are pressed faster than that.
  useLayoutEffect(() => {
    latest.current = keys
  })
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented || isTyping(event.target))
        return
      if (document.querySelector('[role="dialog"]')) return
      const act = latest.current[event.key.length === 1 ? event.key.toLowerCase() : event.key]
      if (!act) return
      event.preventDefault()
      act()
    }
    document.addEventListener('keydown', onKey)
    return () => document.removeEventListener('keydown', onKey)
  }, [])
}

/** The list behind “?”, after the stations. */
export const SHORTCUTS: [string, string][] = [
  ['/', 'find a machine, a trial, an aim'],
  ['[  ]', 'one tooth fewer or more in front'],
  ['{  }', 'one tooth fewer or more behind'],
  ['← → ↑ ↓', 'on the ratio scale: next pair in the row, next row'],
  ['← →', 'on the side view: the axle by 0.1 mm'],
  ['T', 'keep what is picked as a new trial'],
  ['B', 'at Set: one instruction and one reading, large, for the bay'],
  ['J', 'begin a job, where one can be begun'],
  ['H', 'history of the machine, and undo'],
  ['U', 'metric or inch'],
  ['L', 'light or dark'],
  ['?', 'this list'],
  ['Esc', 'close what is open'],
]
