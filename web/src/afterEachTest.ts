import { cleanup } from '@testing-library/react'
import { afterEach, vi } from 'vitest'

/** Takes away what a test put into the window they share. */
afterEach(() => {
  cleanup()
  vi.useRealTimers()
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
  localStorage.clear()
})
