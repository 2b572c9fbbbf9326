/** The day here, as ISO 8601 writes it. */
export const today = () => new Date().toLocaleDateString('sv-SE')

/** So many hours from now, as a day. */
export const dayAfter = (hours: number) =>
  new Date(Date.now() + hours * 3_600_000).toLocaleDateString('sv-SE')

/** An ISO day as people here read it: 14/09/2026. */
export const dayText = (day: string) => new Date(day).toLocaleDateString('en-GB')
