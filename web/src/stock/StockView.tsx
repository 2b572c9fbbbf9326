import { Button, SegmentedControl, Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { sentenceOf } from '../api/issues'
import { useStock } from '../api/queries'
import { MarkingPanel } from '../loop/MarkingPanel'
import { EmptyState } from '../shell/EmptyState'
import { History } from '../shell/History'
import { PageTitle } from '../shell/PageTitle'
import { Panel } from '../shell/Panel'
import { useShortcuts } from '../shell/shortcuts'
import table from '../shell/table.module.css'
import { AddPartDialog } from './AddPartDialog'
import { AddStockDialog } from './AddStockDialog'
import { CoilPanel } from './CoilPanel'
import { GearboxSets } from './GearboxSets'
import { PartsPanel } from './PartsPanel'
import { SpacersPanel } from './SpacersPanel'
import { StockRow } from './StockRow'
import classes from './StockView.module.css'
import { ToolsPanel } from './ToolsPanel'

const ALL = 'all'
const LISTS = [
  { value: 'wheels', label: 'Wheels' },
  { value: 'parts', label: 'Other parts' },
]

/** What lies on the shelf and stands on suppliers’ lists, the tools on hand, and the gearbox sets that machines share. */
export default function StockView() {
  const stock = useStock()
  const [address, setAddress] = useSearchParams()
  const list = address.get('list') === 'parts' ? 'parts' : 'wheels'
  const [words, setWords] = useState('')
  const [standard, setStandard] = useState(ALL)
  const [isAdding, setAdding] = useState(false)
  const [isHistory, setHistory] = useState(false)
  useShortcuts({ h: () => setHistory(true) })
  const standards = [...new Set(stock.data?.map((s) => s.wheel.standard))]
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean)
  const shown = stock.data?.filter(({ wheel }) => {
    const text = `${wheel.standard} ${wheel.side} ${wheel.size} ${wheel.mounting ?? ''}`.toLowerCase()
    return (standard === ALL || wheel.standard === standard) && wanted.every((w) => text.includes(w))
  })
  return (
    <>
      <PageTitle title="Stock" note="on the shelf and to be ordered">
        <Button variant="default" onClick={() => setHistory(true)} data-no-print>
          History
        </Button>
        <Button onClick={() => setAdding(true)} data-no-print>
          {list === 'wheels' ? 'Add a wheel' : 'Add a part'}
        </Button>
      </PageTitle>
      <div className={classes.stock}>
        <div className={classes.side}>
          <SegmentedControl
            style={{ justifySelf: 'start' }}
            aria-label="What is listed"
            data={LISTS}
            value={list}
            onChange={(value) => setAddress(value === 'wheels' ? {} : { list: value }, { replace: true })}
            data-no-print
          />
          {list === 'parts' ? (
            <PartsPanel />
          ) : (
            <Panel
              title="Wheels"
              aside={
                <div className={classes.filters} data-no-print>
                  <Select
                    size="xs"
                    w={130}
                    aria-label="Chain or belt"
                    data={[{ value: ALL, label: 'all standards' }, ...standards]}
                    value={standard}
                    onChange={(value) => setStandard(value ?? ALL)}
                  />
                  <TextInput
                    size="xs"
                    aria-label="Only wheels with these words"
                    placeholder="e.g. front 13-spline"
                    value={words}
                    onChange={(event) => setWords(event.currentTarget.value)}
                  />
                </div>
              }
            >
              {stock.isPending && <EmptyState title="Reading the shelf …" />}
              {stock.error !== null && (
                <EmptyState title="The shelf can't be read.">{sentenceOf(stock.error)}</EmptyState>
              )}
              {shown?.length === 0 && (
                <EmptyState title="No wheel is listed here.">
                  Add what lies on the shelf; the ratio search then prefers it.
                </EmptyState>
              )}
              {shown && shown.length > 0 && (
                <div className={table.scroll}>
                  <table className={table.table}>
                    <thead>
                      <tr>
                        <th scope="col">for</th>
                        <th scope="col">place</th>
                        <th scope="col">size</th>
                        <th scope="col">mounting</th>
                        <th scope="col">on the shelf</th>
                        <th scope="col">price</th>
                        <th scope="col">obtainable</th>
                        <th scope="col" className={classes.words}>
                          got from
                        </th>
                        <th scope="col">
                          <span className="visually-hidden">remove</span>
                        </th>
                      </tr>
                    </thead>
                    <tbody>
                      {shown.map((item) => (
                        <StockRow key={item.id} stored={item} />
                      ))}
                    </tbody>
                  </table>
                </div>
              )}
            </Panel>
          )}
        </div>
        <div className={classes.side}>
          <SpacersPanel />
          <ToolsPanel />
          <GearboxSets />
          <MarkingPanel />
          <CoilPanel />
        </div>
      </div>
      {isAdding &&
        (list === 'wheels' ? (
          <AddStockDialog onClose={() => setAdding(false)} />
        ) : (
          <AddPartDialog onClose={() => setAdding(false)} />
        ))}
      {isHistory && <History title="History of the workshop" onClose={() => setHistory(false)} />}
    </>
  )
}
