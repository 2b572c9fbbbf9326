/** A run before it is written down. */
export interface TimedRun {
  seconds: number
  fromKmh: number
  toKmh: number
  gear?: number | null
  /** Day; left out for today. */
  on?: string
  words?: string
}
