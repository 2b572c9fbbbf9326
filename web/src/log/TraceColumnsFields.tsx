import { Select } from '@mantine/core'
import type { SpeedTrace, TraceColumns, TraceField, TraceUnit } from '../api/log'
import fieldRows from '../shell/fields.module.css'

const FIELD_WORDS: Record<TraceField, string> = {
  time: 'time',
  speed: 'speed',
  latitude: 'latitude',
  longitude: 'longitude',
  shaftSpeed: 'motor speed',
}
const UNIT_WORDS: Record<TraceUnit, string> = {
  seconds: 's',
  milliseconds: 'ms',
  moment: 'time of day',
  kmh: 'km/h',
  mph: 'mph',
  ms: 'm/s',
  degrees: '°',
  rpm: 'rpm',
}

/** Which column of a table is what, in what unit; another choice reads it anew. */
export function TraceColumnsFields({
  columns,
  choices,
  onChange,
}: {
  columns: TraceColumns
  choices: SpeedTrace['choices']
  onChange: (columns: TraceColumns) => void
}) {
  return (
    <div className={fieldRows.fields}>
      {columns.columns.map((column) => {
        const name = FIELD_WORDS[column.field]
        const units = choices.find((c) => c.field === column.field)?.units ?? []
        return (
          <div key={column.field}>
            <Select
              size="xs"
              label={`Column of the ${name}`}
              data={columns.heads.map((head, i) => ({ value: String(i), label: head || `${i + 1}` }))}
              value={String(column.index)}
              onChange={(index) =>
                index !== null &&
                onChange({
                  ...columns,
                  columns: columns.columns.map((c) => (c === column ? { ...c, index: Number(index) } : c)),
                })
              }
            />
            {units.length > 1 && (
              <Select
                size="xs"
                aria-label={`Unit of the ${name}`}
                data={units.map((u) => ({ value: u, label: UNIT_WORDS[u] }))}
                value={column.unit}
                onChange={(unit) =>
                  unit !== null &&
                  onChange({
                    ...columns,
                    columns: columns.columns.map((c) =>
                      c === column ? { ...c, unit: unit as TraceUnit } : c,
                    ),
                  })
                }
              />
            )}
          </div>
        )
      })}
    </div>
  )
}
