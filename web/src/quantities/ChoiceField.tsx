import { Select, type SelectProps } from '@mantine/core'
import { choicesOf } from './choices'

interface Shown<V extends string> extends Omit<SelectProps, 'data' | 'value' | 'onChange'> {
  value: V | null | undefined
  /** What can be chosen, in its order, each with its words. */
  words: Partial<Record<V, string>>
}
type Props<V extends string> = Shown<V> &
  (
    | { none?: undefined; onChange: (value: V) => void }
    /** Words for what nobody said, which is `null`. */
    | { none: string; onChange: (value: V | null) => void }
  )

/** One of a few words. */
export function ChoiceField<V extends string>({ words, none, value, onChange, ...rest }: Props<V>) {
  return (
    <Select
      data={[...(none === undefined ? [] : [{ value: '', label: none }]), ...choicesOf(words)]}
      value={value ?? (none === undefined ? null : '')}
      onChange={(chosen) => {
        if (none !== undefined) onChange((chosen || null) as V | null)
        else if (chosen) onChange(chosen as V)
      }}
      {...rest}
    />
  )
}
