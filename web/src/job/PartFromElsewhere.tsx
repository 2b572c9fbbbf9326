import { Button, TextInput } from '@mantine/core'
import { useState } from 'react'
import { issueFor } from '../api/issues'
import { QuantityField } from '../quantities/QuantityField'
import { Refused } from '../shell/Refused'
import classes from './LineForm.module.css'
import { atEvent, useJobEvents } from './useJobEvents'

/** A part that was bought for this job, or that the owner brought. */
export function PartFromElsewhere({ jobId }: { jobId: number }) {
  const [what, setWhat] = useState('')
  const [count, setCount] = useState<number | undefined>(1)
  const [unitPrice, setUnitPrice] = useState<number>()
  const record = useJobEvents(jobId)
  return (
    <form
      className={classes.form}
      onSubmit={(submitted) => {
        submitted.preventDefault()
        if (count !== undefined)
          record.happens({ kind: 'partUsed', what, count, unitPrice: unitPrice ?? null, from: null }, () => {
            setWhat('')
            setCount(1)
            setUnitPrice(undefined)
          })
      }}
    >
      <TextInput
        size="sm"
        label="Part"
        value={what}
        onChange={(typed) => setWhat(typed.currentTarget.value)}
        error={issueFor(record.error, atEvent('what'))}
      />
      <QuantityField
        label="Pieces"
        style={{ flex: '0 0 90px' }}
        isCount
        value={count}
        onChange={setCount}
        error={issueFor(record.error, atEvent('count'))}
      />
      <QuantityField
        label="One costs"
        style={{ flex: '0 0 110px' }}
        value={unitPrice}
        onChange={setUnitPrice}
        error={issueFor(record.error, atEvent('unitPrice'))}
      />
      <Button type="submit" size="sm" variant="default" loading={record.isPending}>
        Use it
      </Button>
      <Refused error={record.error} fields={['what', 'count', 'unitPrice'].map(atEvent)} />
    </form>
  )
}
