import { SegmentedControl } from '@mantine/core'
import type { CircumstanceChoice, FaultDesk } from '../api/faults'
import { dayText } from '../quantities/days'
import { type Units, useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { Chips } from './Chips'
import { type Fault, toggled, whyClosed } from './useFault'
import { measuredText } from './words'

/** Since when, what came before, and what the machine's own record says of it. */
export function BeforePanel({ fault, desk }: { fault: Fault; desk: FaultDesk }) {
  const units = useUnits()
  const facts = desk.circumstances.filter((c) => c.fact)
  return (
    <Panel title="Since when, and what came before?">
      <Chips
        label="Since when, and what came before?"
        chips={desk.circumstances.map((c) => ({
          key: c.key,
          what: c.fact ? `${c.what} ◂` : c.what,
          isOn: c.isSo,
          ...(c.fact && { hint: factText(c, units) }),
        }))}
        why={whyClosed(desk)}
        onToggle={(key) => fault.describe(toggled(desk.circumstances, key))}
      />
      {facts.length > 0 && (
        <>
          <p className="cap" style={{ marginTop: 8 }}>
            ◂ from its record; press it where that is not so.
          </p>
          {facts.map((c) => (
            <LabelledValue key={c.key} name={c.what}>
              {c.isSo ? factText(c, units) : 'said not to be so'}
            </LabelledValue>
          ))}
        </>
      )}
      <p className="cap" style={{ margin: '10px 0 4px' }} data-no-print>
        Hands there
      </p>
      <SegmentedControl
        size="xs"
        aria-label="Hands there"
        disabled={whyClosed(desk) !== null}
        value={desk.people > 1 ? 'two' : 'one'}
        onChange={(value) => fault.describe({ people: value === 'two' ? 2 : 1 })}
        data={[
          { value: 'one', label: 'one of us' },
          { value: 'two', label: 'two' },
        ]}
        data-no-print
      />
    </Panel>
  )
}

/** “read 117.6 to 122.7 Hz, 2026-09-14”. */
function factText({ fact }: CircumstanceChoice, units: Units): string {
  if (!fact) return ''
  return [
    [fact.why, fact.measured && measuredText(fact.measured, units)].filter(Boolean).join(' '),
    dayText(fact.on),
  ].join(', ')
}
