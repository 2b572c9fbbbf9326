import { Group, SegmentedControl, Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { StockItem } from '../api/client'
import { issueFor } from '../api/issues'
import { useChange, useDesignations } from '../api/queries'
import { addStock } from '../api/stock'
import { QuantityField } from '../quantities/QuantityField'
import { Dialog } from '../shell/Dialog'
import { ReasonedButton } from '../shell/ReasonedButton'

type Wheel = StockItem['wheel']

export function AddStockDialog({ onClose }: { onClose: () => void }) {
  const [wheel, setWheel] = useState<Partial<Wheel>>({
    standard: '520',
    side: 'front',
    count: 1,
    obtainable: true,
  })
  const known = useDesignations().data
  const add = useChange(addStock)
  const standards = known
    ? [
        { group: 'chains', items: known.chains },
        { group: 'toothed belts', items: known.toothedBelts },
        { group: 'V-belts', items: known.vBelts },
      ]
    : []
  const complete =
    wheel.standard && wheel.side && wheel.size !== undefined && wheel.count !== undefined
      ? ({ mounting: null, price: null, obtainable: true, ...wheel } as Wheel)
      : undefined
  return (
    <Dialog onClose={onClose} title="Add a wheel">
      <form
        onSubmit={(event) => {
          event.preventDefault()
          if (complete) add.mutate({ id: 0, version: 0, wheel: complete, note: null }, { onSuccess: onClose })
        }}
      >
        <Group grow align="end">
          <Select
            label="Chain or belt"
            searchable
            data={standards}
            value={wheel.standard ?? null}
            onChange={(standard) => setWheel({ ...wheel, standard: standard ?? undefined })}
            error={issueFor(add.error, 'wheel.standard')}
          />
          <SegmentedControl
            aria-label="Place of the wheel"
            data={['front', 'rear']}
            value={wheel.side}
            onChange={(side) => setWheel({ ...wheel, side })}
          />
        </Group>
        <TextInput
          mt="sm"
          label="Mounting"
          description="How it sits on its shaft, in the words used at the machine; empty fits any."
          value={wheel.mounting ?? ''}
          onChange={(event) => setWheel({ ...wheel, mounting: event.currentTarget.value || null })}
          error={issueFor(add.error, 'wheel.mounting')}
        />
        <Group grow align="start" mt="sm">
          <QuantityField
            label="Teeth, or mm across"
            required
            value={wheel.size}
            onChange={(size) => setWheel({ ...wheel, size })}
            error={issueFor(add.error, 'wheel.size')}
          />
          <QuantityField
            label="On the shelf"
            required
            isCount
            value={wheel.count}
            onChange={(count) => setWheel({ ...wheel, count })}
            error={issueFor(add.error, 'wheel.count')}
          />
          <QuantityField
            label="Price"
            value={wheel.price ?? undefined}
            onChange={(price) => setWheel({ ...wheel, price: price ?? null })}
            error={issueFor(add.error, 'wheel.price')}
          />
        </Group>
        <Group justify="end" mt="md">
          <ReasonedButton
            type="submit"
            why={complete ? null : 'Give standard and size first.'}
            loading={add.isPending}
          >
            Add
          </ReasonedButton>
        </Group>
      </form>
    </Dialog>
  )
}
