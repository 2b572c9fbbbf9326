/** The day here, as ISO 8601 writes it. */
export const today = () => new Date().toLocaleDateString('sv-SE')

/** So many hours from now, as a day. */
export const dayAfter = (hours: number) =>
  new Date(Date.now() + hours * 3_600_000).toLocaleDateString('sv-SE')

/**
 * A day as every page, record and file writes it: 2026-09-14. The same in every country, and it sorts.
 * @param day A day, or the moment it is part of.
 */
export const dayText = (day: string) => day.slice(0, 10)

/** A day as it was typed, year first; null for what is none, as February 30th. */
export function dayOf(text: string): string | null {
  const day = text.trim()
  const moment = new Date(`${day}T00:00:00Z`)
  const isDay = /^\d{4}-\d{2}-\d{2}$/.test(day) && !Number.isNaN(moment.getTime())
  return isDay && moment.toISOString().startsWith(day) ? day : null
}

/** A moment in the time of this place: 2026-09-14 09:30. */
export const momentText = (moment: string) => new Date(moment).toLocaleString('sv-SE').slice(0, 16)

/** “35 min”, “1 h 20 min”. */
export const minutesText = (minutes: number) =>
  minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${Math.round(minutes % 60)} min`

const DAY_MS = 86_400_000

/** So many days after a day, as a day. */
export const daysFrom = (day: string, days: number) =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10)
