import type { OutsideReading } from '../api/client'
import { useUnits } from '../quantities/units'
import { outsideText } from './readings'

/** Lines of a list: each reading outside its window, by the instrument that read it. */
export function OutsideReadings({
  readings,
  loop,
}: {
  readings: readonly OutsideReading[] | null | undefined
  /** Name of the loop, where there may be several. */
  loop?: string
}) {
  const units = useUnits()
  return readings?.map((reading) => (
    <li key={reading.method ?? 'gap'} style={{ color: 'var(--watch)' }}>
      ▲ outside: {loop && `${loop}, `}
      {outsideText(reading, units)}
    </li>
  ))
}
