import { Button } from '@mantine/core'
import { useState } from 'react'
import { issueFor } from '../api/issues'
import { QuantityField } from '../quantities/QuantityField'
import { Refused } from '../shell/Refused'
import classes from './LineForm.module.css'
import { atEvent, useJobEvents } from './useJobEvents'

/** Working time of whoever writes it down. */
export function TimeForm({ jobId }: { jobId: number }) {
  const [minutes, setMinutes] = useState<number>()
  const record = useJobEvents(jobId)
  return (
    <form
      className={classes.form}
      data-no-print
      onSubmit={(submitted) => {
        submitted.preventDefault()
        if (minutes !== undefined) record.happens({ kind: 'timeSpent', minutes }, () => setMinutes(undefined))
      }}
    >
      <QuantityField
        label="Working time"
        unit="min"
        value={minutes}
        onChange={setMinutes}
        error={issueFor(record.error, atEvent('minutes'))}
      />
      <Button type="submit" size="sm" variant="default" loading={record.isPending}>
        Add the time
      </Button>
      <Refused error={record.error} fields={[atEvent('minutes')]} />
    </form>
  )
}
