/** What a gear is written as whose ratio nobody knows. */
const GAP = '–'

/** Ratios as they are typed: 2.643 – 1.409. */
export const reductionsText = (reductions: number[]) => reductions.map((r) => (r === 0 ? GAP : r)).join('  ')

/**
 * Reads “2.643 1.857 37/14”: ratios or tooth counts, driven over driver, as manuals print them.
 * @param gaps Whether a dash stands for a gear whose ratio nobody knows.
 */
export function parseReductions(text: string, gaps = false): { reductions?: number[]; issue?: string } {
  const parts = text
    .trim()
    .split(/[\s;]+/)
    .filter(Boolean)
  if (parts.length === 0) return { issue: 'Give at least one ratio.' }
  const reductions: number[] = []
  for (const part of parts) {
    if (gaps && /^[-–—?]$/.test(part)) {
      reductions.push(0)
      continue
    }
    // A decimal comma is read too: the separator between ratios is a space.
    const [driven, driver, extra] = part.replaceAll(',', '.').split('/').map(Number)
    const value = driver === undefined ? driven : (driven ?? Number.NaN) / driver
    if (extra !== undefined || value === undefined || !Number.isFinite(value))
      return { issue: `“${part}” is not a ratio: give 2.643 or 37/14.` }
    reductions.push(Number(value.toFixed(6)))
  }
  return { reductions }
}
