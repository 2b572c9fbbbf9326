import { ActionIcon, SegmentedControl } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { useState } from 'react'
import { type JobSheet, undoChange } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import { plain } from '../quantities/format'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import { PartFromElsewhere } from './PartFromElsewhere'
import { PartFromStock } from './PartFromStock'

const WAYS = [
  { value: 'stock', label: 'from Stock' },
  { value: 'elsewhere', label: 'from elsewhere' },
]

/** What went into the machine, with what it cost; what came from Stock is there no more. */
export function PartsPanel({ job, isOpen }: { job: JobSheet; isOpen: boolean }) {
  const [way, setWay] = useState('stock')
  return (
    <Panel title="Parts used" isEmpty={job.parts.length === 0}>
      {job.parts.length > 0 && <UsedParts job={job} isOpen={isOpen} />}
      {isOpen && (
        <div data-no-print>
          <SegmentedControl
            size="xs"
            my={8}
            aria-label="Where it comes from"
            data={WAYS}
            value={way}
            onChange={setWay}
          />
          {way === 'stock' ? <PartFromStock jobId={job.id} /> : <PartFromElsewhere jobId={job.id} />}
        </div>
      )}
    </Panel>
  )
}

function UsedParts({ job, isOpen }: { job: JobSheet; isOpen: boolean }) {
  const undo = useChange(undoChange)
  const cost = job.partsCost
  return (
    <>
      <div className={table.scroll}>
        <table className={table.table}>
          <thead>
            <tr>
              <th scope="col">part</th>
              <th scope="col">pieces</th>
              <th scope="col">one costs</th>
              <th scope="col">price</th>
              <th scope="col" className={table.words}>
                from, by
              </th>
              <th scope="col" data-no-print>
                <span className="visually-hidden">take back</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {job.parts.map((part) => (
              <tr key={part.entry}>
                <th scope="row" className={table.words}>
                  {part.what}
                </th>
                <td className="num">{part.count}</td>
                <td className="num">{part.unitPrice === null ? '–' : part.unitPrice.toFixed(2)}</td>
                <td className="num">{part.price === null ? 'not known' : part.price.toFixed(2)}</td>
                <td className={table.words}>
                  {[part.isFromStock ? 'Stock' : 'elsewhere', part.who].filter(Boolean).join(', ')}
                </td>
                <td data-no-print>
                  {isOpen && (
                    <ActionIcon
                      variant="subtle"
                      color="gray"
                      aria-label={`Take back: ${part.what}`}
                      title={part.isFromStock ? 'It was not used: back into Stock' : 'It was not used'}
                      onClick={() =>
                        undo.mutate(part.entry, {
                          onError: (e) => notifications.show({ color: 'red', message: sentenceOf(e) }),
                        })
                      }
                    >
                      ×
                    </ActionIcon>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {cost && (
        <LabelledValue name="parts together">
          {cost.price.toFixed(2)}
          {cost.unpriced > 0 && ` and ${plain(cost.unpriced)} without a price`}
        </LabelledValue>
      )}
    </>
  )
}
