import { ActionIcon, Button, Menu, SegmentedControl } from '@mantine/core'
import { type ReactNode, useState } from 'react'
import { Link, useLocation } from 'react-router'
import { dayText } from '../quantities/days'
import { useUnits } from '../quantities/units'
import { History } from '../shell/History'
import { HistoryIcon, PrintIcon } from '../shell/icons'
import { PageTitle } from '../shell/PageTitle'
import { useShortcuts } from '../shell/shortcuts'
import { UnitSwitch } from '../shell/UnitSwitch'
import { STATION_WORDS } from './followUpWords'
import classes from './MachineBar.module.css'
import { MachineMenu } from './MachineMenu'
import { TrialMenu } from './TrialMenu'
import type { Workbench } from './useWorkbench'
import { driveText, KIND_WORDS } from './words'

const MOST_TABS = 4

/** Name, which setup is in view, units, history. */
export function MachineBar({ bench, children }: { bench: Workbench; children?: ReactNode }) {
  const { machine, summary } = bench.card
  const units = useUnits()
  const { pathname, search } = useLocation()
  const [isHistory, setHistory] = useState(false)
  useShortcuts({ h: () => setHistory(true) })
  const note = [
    KIND_WORDS[machine.kind],
    driveText(summary.loops),
    machine.odometerKm === null ? null : units.show('distance', machine.odometerKm),
    machine.retiredOn === null ? null : `retired ${dayText(machine.retiredOn)}`,
  ]
  return (
    <PageTitle title={machine.name} at={whereOf(pathname)} note={note.filter(Boolean).join(' · ')}>
      <div className={classes.controls} data-no-print>
        {children}
        <SetupTabs bench={bench} />
        {bench.shown.setup && !bench.shown.isFitted && <TrialMenu bench={bench} setup={bench.shown.setup} />}
        <UnitSwitch />
        <ActionIcon
          variant="subtle"
          color="gray"
          onClick={() => setHistory(true)}
          aria-label="History and undo (H)"
        >
          <HistoryIcon />
        </ActionIcon>
        <ActionIcon
          variant="subtle"
          color="gray"
          component={Link}
          to={sheetPath(machine.id, pathname, search)}
          aria-label="Print a job sheet"
        >
          <PrintIcon />
        </ActionIcon>
        <MachineMenu card={bench.card} />
      </div>
      {isHistory && (
        <History
          machineId={machine.id}
          title={`History of ${machine.name}`}
          onClose={() => setHistory(false)}
        />
      )}
    </PageTitle>
  )
}

/** A sheet that begins with the station in view, and with what is in view of it. */
function sheetPath(id: number, pathname: string, search: string) {
  const params = new URLSearchParams(search)
  const [, , , place = ''] = pathname.split('/')
  if (place in STATION_WORDS && !params.has('of')) params.set('of', place)
  return `/machines/${id}/sheet?${params}`
}

/** A station by its name; what else there is of a machine, by its word in the address. */
function whereOf(pathname: string): string {
  const [, , , place = ''] = pathname.split('/')
  const name = STATION_WORDS[place as keyof typeof STATION_WORDS]
  return name ?? place.charAt(0).toUpperCase() + place.slice(1)
}

/** As fitted, the newest trials, and the rest in a menu. */
function SetupTabs({ bench }: { bench: Workbench }) {
  const { trials, shown, set, setups } = bench
  const select = (id: string) => set({ setup: id, pick: null })
  const former = setups.filter((s) => s.status === 'former' || s.status === 'discarded')
  const tabs = trials.slice(-MOST_TABS + 1)
  const rest = [...trials.slice(0, -MOST_TABS + 1), ...former]
  const value = shown.isFitted ? 'fitted' : shown.setup ? String(shown.setup.id) : 'picked'
  const data = [
    { value: 'fitted', label: 'As fitted' },
    ...tabs.map((s) => ({ value: String(s.id), label: s.name })),
  ]
  if (value === 'picked') data.push({ value: 'picked', label: 'Picked' })
  else if (!data.some((d) => d.value === value)) data.push({ value, label: shown.name })
  return (
    <>
      <div className={classes.tabs}>
        <SegmentedControl
          size="xs"
          aria-label="Setup in view"
          value={value}
          onChange={(next) => next !== 'picked' && select(next)}
          data={data}
        />
      </div>
      {rest.length > 0 && (
        <Menu>
          <Menu.Target>
            <Button size="compact-sm" variant="subtle" color="gray">
              {rest.length} more
            </Button>
          </Menu.Target>
          <Menu.Dropdown>
            {rest.map((s) => (
              <Menu.Item key={s.id} onClick={() => select(String(s.id))}>
                {s.name} <span className="cap">{s.status}</span>
              </Menu.Item>
            ))}
          </Menu.Dropdown>
        </Menu>
      )}
    </>
  )
}
