const KEY = 'wendrak.recent-places'
const MOST = 20

/** Paths that were opened on this device, the newest first. */
export function recentPlaces(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]')
    return Array.isArray(kept) ? kept.filter((path) => typeof path === 'string') : []
  } catch {
    // Without a memory of its own the device has opened nothing yet.
    return []
  }
}

/** Remembers that a place was opened. */
export function rememberPlace(path: string) {
  try {
    localStorage.setItem(
      KEY,
      JSON.stringify([path, ...recentPlaces().filter((p) => p !== path)].slice(0, MOST)),
    )
  } catch {
    // What can't be kept is found by its name all the same.
  }
}
