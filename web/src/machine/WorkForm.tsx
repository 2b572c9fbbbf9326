import { Switch } from '@mantine/core'
import type { Machine } from '../api/client'
import { issueFor } from '../api/issues'
import { useDesignations } from '../api/queries'
import { QuantityField } from '../quantities/QuantityField'
import classes from './MachineEditor.module.css'

type Work = NonNullable<Machine['work']>
const FIELDS: [keyof Work, string, string][] = [
  ['frontMinutes', 'Front only', 'min'],
  ['rearMinutes', 'Rear only', 'min'],
  ['bothMinutes', 'Both', 'min'],
  ['frontMoney', 'Front, money', ''],
  ['rearMoney', 'Rear, money', ''],
  ['bothMoney', 'Both, money', ''],
]

/** What changing wheels takes on this machine; without it the defaults stand in. */
export function WorkForm({
  work,
  error,
  onChange,
}: {
  work: Work | null
  error: unknown
  onChange: (work: Work | null) => void
}) {
  const known = useDesignations().data
  return (
    <fieldset className={classes.drive}>
      <legend>Work of changing wheels</legend>
      <Switch
        label="Own figures for this machine (otherwise defaults: front less than rear less than both)"
        checked={work !== null}
        disabled={known === undefined}
        onChange={(event) => onChange(event.currentTarget.checked ? (known?.defaultWork ?? null) : null)}
      />
      {work && (
        <div className={classes.row}>
          {FIELDS.map(([key, label, unit]) => (
            <QuantityField
              key={key}
              label={label}
              unit={unit}
              value={work[key]}
              onChange={(v) => onChange({ ...work, [key]: v ?? 0 })}
              error={issueFor(error, `work.${key}`)}
            />
          ))}
        </div>
      )}
    </fieldset>
  )
}
