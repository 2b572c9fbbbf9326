const MOST = 500

/** Whole counts out of “22 24, 26–28”; empty for an empty text, undefined for one that can't be read. */
export function parseCounts(text: string): number[] | undefined {
  const counts: number[] = []
  for (const part of text.split(/[\s,;]+/).filter(Boolean)) {
    const match = /^(\d{1,5})(?:[–-](\d{1,5}))?$/.exec(part)
    if (!match) return undefined
    const from = Number(match[1])
    const to = match[2] === undefined ? from : Number(match[2])
    if (to < from || counts.length + to - from >= MOST) return undefined
    for (let n = from; n <= to; n++) counts.push(n)
  }
  return counts
}
