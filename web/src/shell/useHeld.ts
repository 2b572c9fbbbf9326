import { type PointerEvent, useEffect, useRef } from 'react'

const BEFORE_REPEATING_MS = 450
const BETWEEN_MS = 110
/** From here on a hand wants to get far. */
const ONES = 8
const LONG_STEP = 5

/**
 * A button that steps once when it is pressed, by mouse, finger or key, and goes on stepping while it is held: by one at first,
 * by five when it is held on.
 * @param onStep So many steps more.
 */
export function useHeld(onStep: (steps: number) => void) {
  const newest = useRef(onStep)
  newest.current = onStep
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const repeated = useRef(0)
  const stop = () => clearTimeout(timer.current)
  useEffect(() => () => clearTimeout(timer.current), [])
  const repeat = () => {
    repeated.current++
    newest.current(repeated.current > ONES ? LONG_STEP : 1)
    timer.current = setTimeout(repeat, BETWEEN_MS)
  }
  return {
    onPointerDown: (event: PointerEvent) => {
      stop()
      repeated.current = 0
      if (event.button === 0) timer.current = setTimeout(repeat, BEFORE_REPEATING_MS)
    },
    onPointerUp: stop,
    onPointerLeave: stop,
    onPointerCancel: stop,
    // A long press is no wish for a menu.
    onContextMenu: (event: { preventDefault: () => void }) => repeated.current > 0 && event.preventDefault(),
    onClick: () => {
      // What was held has stepped already.
      if (repeated.current === 0) newest.current(1)
      repeated.current = 0
    },
  }
}
