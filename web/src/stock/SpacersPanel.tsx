import { Checkbox } from '@mantine/core'
import { useState } from 'react'
import type { StockSpacer } from '../api/client'
import { issueFor } from '../api/issues'
import { useChange, useSpacers } from '../api/queries'
import { addSpacer, changeSpacer, removeSpacer } from '../api/stock'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { ConflictDialog } from '../shell/ConflictDialog'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { ReasonedButton } from '../shell/ReasonedButton'
import { Refused } from '../shell/Refused'
import table from '../shell/table.module.css'
import { useStored } from '../shell/useStored'
import { CountStepper } from './CountStepper'
import classes from './StockView.module.css'
import { SupplyCell } from './SupplyCell'
import { obtainability } from './supply'
import { TakeOutButton } from './TakeOutButton'

/** The drawer of spacers, shims and washers. */
export function SpacersPanel() {
  const spacers = useSpacers().data
  const [thickness, setThickness] = useState<number>()
  const [bore, setBore] = useState<number>()
  const add = useChange(addSpacer)
  return (
    <Panel title="Spacers" note="pieces that fill a shaft">
      {spacers?.length === 0 && (
        <p className="cap">None yet. Fit fills the shafts of a machine from these.</p>
      )}
      {spacers !== undefined && spacers.length > 0 && (
        <div className={table.scroll}>
          <table className={table.table}>
            <thead>
              <tr>
                <th scope="col">shaft, thick</th>
                <th scope="col">in the drawer</th>
                <th scope="col" className={classes.words}>
                  got from
                </th>
                <th scope="col">
                  <span className="visually-hidden">remove</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {spacers.map((spacer) => (
                <SpacerRow key={spacer.id} stored={spacer} />
              ))}
            </tbody>
          </table>
        </div>
      )}
      <form
        className={fields.fields}
        style={{ marginTop: 8 }}
        data-no-print
        onSubmit={(event) => {
          event.preventDefault()
          if (thickness !== undefined && bore !== undefined)
            add.mutate(
              { id: 0, version: 0, thicknessMm: thickness, boreMm: bore, count: 1, obtainable: true },
              { onSuccess: () => setThickness(undefined) },
            )
        }}
      >
        <QuantityField
          size="xs"
          label="Shaft"
          quantity="fine"
          value={bore}
          onChange={setBore}
          error={issueFor(add.error, 'boreMm')}
        />
        <QuantityField
          size="xs"
          label="Thick"
          quantity="fine"
          value={thickness}
          onChange={setThickness}
          error={issueFor(add.error, 'thicknessMm')}
        />
        <ReasonedButton
          type="submit"
          size="xs"
          variant="default"
          why={thickness === undefined || bore === undefined ? 'Give bore and thickness first.' : null}
          loading={add.isPending}
        >
          Add a spacer
        </ReasonedButton>
      </form>
      <Refused error={add.error} fields={['boreMm', 'thicknessMm']} />
    </Panel>
  )
}

function SpacerRow({ stored }: { stored: StockSpacer }) {
  const units = useUnits()
  const { draft, setDraft, error, conflicting } = useStored(stored, changeSpacer)
  const name = `${units.show('fine', stored.thicknessMm)} spacer for ${units.show('fine', stored.boreMm)}`
  return (
    <tr>
      <th scope="row" className={classes.words}>
        <span className="num">
          {units.show('fine', stored.boreMm)}, {units.show('fine', stored.thicknessMm)}
        </span>
      </th>
      <td>
        <CountStepper
          name={name}
          place="In the drawer"
          count={draft.count}
          onChange={(count) => setDraft({ ...draft, count })}
        />
        {issueFor(error, 'count') && <p className="cap">{issueFor(error, 'count')}</p>}
        {conflicting && <ConflictDialog {...conflicting} />}
      </td>
      <td className={classes.words}>
        <SupplyCell
          name={name}
          supply={draft.supply}
          error={error}
          onChange={(supply) => setDraft({ ...draft, supply })}
        >
          <QuantityField
            label="Price"
            value={draft.price ?? undefined}
            onChange={(price) => setDraft({ ...draft, price: price ?? null })}
            error={issueFor(error, 'price')}
          />
          <Checkbox
            mt="sm"
            label="Can be ordered"
            checked={draft.obtainable}
            onChange={(event) =>
              setDraft({ ...draft, ...obtainability(draft.supply, event.currentTarget.checked) })
            }
          />
        </SupplyCell>
      </td>
      <td>
        <TakeOutButton name={`the ${name}`} remove={() => removeSpacer(stored.id, stored.version)} />
      </td>
    </tr>
  )
}
