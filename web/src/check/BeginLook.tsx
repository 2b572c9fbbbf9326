import { Button } from '@mantine/core'
import { useState } from 'react'
import { openJob } from '../api/client'
import { issueFor } from '../api/issues'
import { useChange } from '../api/queries'
import { today } from '../quantities/days'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'

/** A look belongs to a job: the machine came in. What its odometer says may be left out. */
export function BeginLook({ machineId, odometerKm }: { machineId: number; odometerKm: number | null }) {
  const [km, setKm] = useState<number>()
  const units = useUnits()
  const begin = useChange(() =>
    openJob({
      machineId,
      openedOn: today(),
      reason: 'visit',
      about: null,
      odometerKm: km ?? null,
      hours: null,
    }),
  )
  return (
    <Panel title="A look at it" isEmpty>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          begin.mutate(undefined)
        }}
      >
        <p className="cap">As found, at a job of its own: what is seen now stands as it was seen.</p>
        <QuantityField
          size="sm"
          mt="xs"
          label={
            odometerKm === null
              ? 'Odometer, where it has one'
              : `Odometer; it said ${units.show('distance', odometerKm)} last`
          }
          quantity="distance"
          value={km}
          onChange={setKm}
          error={issueFor(begin.error, 'odometerKm')}
        />
        <Button type="submit" mt="sm" loading={begin.isPending}>
          Begin a look
        </Button>
        <Refused error={begin.error} fields={['odometerKm']} />
      </form>
    </Panel>
  )
}
