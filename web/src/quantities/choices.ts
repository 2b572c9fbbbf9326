/** Words as a list to choose from, in their order. */
export const choicesOf = <V extends string>(words: Partial<Record<V, string>>) =>
  Object.entries(words).map(([value, label]) => ({ value, label })) as { value: V; label: string }[]
