/** Reads “2.643 1.857 37/14”: ratios or tooth counts, driven over driver, as manuals print them. */
export function parseReductions(text: string): { reductions?: number[]; issue?: string } {
  const parts = text
    .trim()
    .split(/[\s;]+/)
    .filter(Boolean)
  if (parts.length === 0) return { issue: 'Give at least one ratio.' }
  const reductions: number[] = []
  for (const part of parts) {
    // A decimal comma is read too: the separator between ratios is a space.
    const [driven, driver, extra] = part.replaceAll(',', '.').split('/').map(Number)
    const value = driver === undefined ? driven : (driven ?? Number.NaN) / driver
    if (extra !== undefined || value === undefined || !Number.isFinite(value))
      return { issue: `“${part}” is not a ratio: give 2.643 or 37/14.` }
    reductions.push(Number(value.toFixed(6)))
  }
  return { reductions }
}
