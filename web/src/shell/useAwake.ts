import { useEffect } from 'react'

/** Keeps the screen on while it is in view, where the browser can. */
export function useAwake() {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined
    let isOver = false
    const ask = async () => {
      try {
        const held = await navigator.wakeLock?.request('screen')
        if (isOver) void held?.release()
        else lock = held
      } catch {
        // Not allowed, as on a low battery: the screen then goes dark as it always does.
      }
    }
    const again = () => document.visibilityState === 'visible' && void ask()
    void ask()
    document.addEventListener('visibilitychange', again)
    return () => {
      isOver = true
      document.removeEventListener('visibilitychange', again)
      void lock?.release()
    }
  }, [])
}
