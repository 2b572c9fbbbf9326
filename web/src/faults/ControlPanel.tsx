import { Select } from '@mantine/core'
import type { FaultDesk } from '../api/faults'
import { Panel } from '../shell/Panel'
import { Chips } from './Chips'
import { type Fault, toggled, whyClosed } from './useFault'

const NONE = 'none'
const DESCRIBED = 'described'

/** Another machine that is used alike and runs well: what both met counts less, what only this one met counts more. */
export function ControlPanel({ fault, desk }: { fault: Fault; desk: FaultDesk }) {
  const { control, controls } = desk
  return (
    <Panel title="A control" note="does another one, used alike, run well?" isEmpty={control === null}>
      <Select
        size="sm"
        aria-label="Another one, used alike, that runs well"
        allowDeselect={false}
        disabled={whyClosed(desk) !== null}
        value={control === null ? NONE : control.machineId === null ? DESCRIBED : String(control.machineId)}
        onChange={(value) =>
          fault.describe({
            control:
              value === null || value === NONE
                ? null
                : {
                    machineId: value === DESCRIBED ? null : Number(value),
                    circumstances: [],
                    notSo: [],
                  },
          })
        }
        data={[
          { value: NONE, label: 'no other' },
          ...controls.map((c) => ({ value: String(c.machineId), label: c.machine })),
          { value: DESCRIBED, label: 'one that stands elsewhere' },
        ]}
      />
      {control && (
        <>
          <p className="cap" style={{ margin: '10px 0 6px' }}>
            What did {control.machine ?? 'that one'} meet as well? It counts less then; what only this one met
            counts more.
          </p>
          <Chips
            label="What the other one met as well"
            chips={control.circumstances.map((c) => ({
              key: c.key,
              what: c.fact ? `${c.what} ◂` : c.what,
              isOn: c.isSo,
            }))}
            why={whyClosed(desk)}
            onToggle={(key) =>
              fault.describe({
                control: { machineId: control.machineId, ...toggled(control.circumstances, key) },
              })
            }
          />
        </>
      )}
    </Panel>
  )
}
