import { cleanup, configure } from '@testing-library/react'
import { afterEach, vi } from 'vitest'

// What comes in the end may come late on a machine that does other things as well.
configure({ asyncUtilTimeout: 10_000 })

/** Takes away what a test put into the window they share. */
afterEach(() => {
  cleanup()
  vi.useRealTimers()
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
  localStorage.clear()
})
