import { ActionIcon } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { useState } from 'react'
import { addSpacer, changeSpacer, removeSpacer, type StockSpacer } from '../api/client'
import { issueFor, sentenceOf } from '../api/issues'
import { useChange, useSpacers } from '../api/queries'
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

/** The drawer of spacers, shims and washers. */
export function SpacersPanel() {
  const spacers = useSpacers().data ?? []
  const [thickness, setThickness] = useState<number>()
  const [bore, setBore] = useState<number>()
  const add = useChange(addSpacer)
  return (
    <Panel title="Spacers" note="pieces that fill a shaft">
      {spacers.length === 0 && <p className="cap">None yet. Fit fills the shafts of a machine from these.</p>}
      {spacers.length > 0 && (
        <div className={table.scroll}>
          <table className={table.table}>
            <thead>
              <tr>
                <th scope="col">for a shaft of</th>
                <th scope="col">thick</th>
                <th scope="col">in the drawer</th>
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
              { id: 0, version: 0, thicknessMm: thickness, boreMm: bore, count: 1 },
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
  const { draft, setDraft, error, conflict, keepMine, takeTheirs } = useStored(stored, changeSpacer)
  const remove = useChange(() => removeSpacer(stored.id, stored.version))
  const name = `${units.show('fine', stored.thicknessMm)} spacer for ${units.show('fine', stored.boreMm)}`
  return (
    <tr>
      <th scope="row" className="num">
        {units.show('fine', stored.boreMm)}
      </th>
      <td className="num">{units.show('fine', stored.thicknessMm)}</td>
      <td>
        <CountStepper
          name={name}
          place="In the drawer"
          count={draft.count}
          onChange={(count) => setDraft({ ...draft, count })}
        />
        {issueFor(error, 'count') && <p className="cap">{issueFor(error, 'count')}</p>}
        {conflict && (
          <ConflictDialog conflict={conflict} mine={draft} onKeepMine={keepMine} onTakeTheirs={takeTheirs} />
        )}
      </td>
      <td>
        <ActionIcon
          variant="subtle"
          color="gray"
          aria-label={`Take the ${name} out of the list`}
          onClick={() =>
            remove.mutate(undefined, {
              onSuccess: () =>
                notifications.show({
                  message: `The ${name} is out of the list; the history can bring it back.`,
                }),
              onError: (e) => notifications.show({ color: 'red', message: sentenceOf(e) }),
            })
          }
        >
          ×
        </ActionIcon>
      </td>
    </tr>
  )
}
