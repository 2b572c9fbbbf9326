import { Button, Chip, Group, MultiSelect, TextInput } from '@mantine/core'
import { lazy, Suspense, useState } from 'react'
import { whoAmI } from '../api/client'
import { useSetJobs } from '../api/queries'
import type { Station } from '../machine/station'
import { useAddress } from '../machine/useAddress'
import { useBench } from '../machine/useWorkbench'
import { driveText, KIND_WORDS } from '../machine/words'
import { dayText, today } from '../quantities/days'
import { useUnits } from '../quantities/units'
import { SetRecordSheet } from '../set/SetRecordSheet'
import { EmptyState } from '../shell/EmptyState'
import { Panel } from '../shell/Panel'
import { StillContext } from '../shell/shortcuts'
import classes from './JobSheetPage.module.css'
import { STATIONS } from './stations'

const PAGES = new Map(STATIONS.map((s) => [s.path, lazy(s.load)]))
const BETWEEN = '!'

/** What of a machine goes on paper: which stations, which visits, who takes it along. */
export default function JobSheetPage() {
  const bench = useBench()
  const [params, set] = useAddress()
  const [who, setWho] = useState(whoAmI)
  const visits = useSetJobs(bench.card.machine.id).data ?? []
  const chosen = listOf(params.get('of'))
  const chosenVisits = listOf(params.get('visits'))
  const keyOf = (visit: (typeof visits)[number]) => `${visit.id}-${visit.loopKey}`
  const loopName = (key: string) => bench.card.summary.loops.find((l) => l.loopKey === key)?.name ?? key
  const shownVisits = visits.filter((v) => chosenVisits.includes(keyOf(v)))
  const stations = STATIONS.filter((s) => chosen.includes(s.path))
  const isNothing = stations.length === 0 && shownVisits.length === 0
  return (
    <div className={classes.sheet}>
      <div data-no-print>
        <Panel title="Job sheet" note="what goes on paper">
          <Chip.Group multiple value={chosen} onChange={(of) => set({ of: of.join(BETWEEN) || null })}>
            <Group gap="xs" role="group" aria-label="Stations on the sheet">
              {STATIONS.map((s) => (
                <Chip key={s.path} value={s.path} size="sm">
                  {s.name}
                </Chip>
              ))}
            </Group>
          </Chip.Group>
          <Group gap="sm" mt="sm" align="end">
            <MultiSelect
              size="sm"
              label="Visits with their record"
              placeholder={visits.length === 0 ? 'none yet' : chosenVisits.length === 0 ? 'none' : ''}
              className={classes.visits}
              value={chosenVisits}
              onChange={(keys) => set({ visits: keys.join(BETWEEN) || null })}
              data={visits.map((v) => ({
                value: keyOf(v),
                label: `${dayText(v.openedOn)}, ${loopName(v.loopKey)}${v.closing ? '' : ', goes on'}`,
              }))}
            />
            <TextInput
              size="sm"
              label="For whom"
              placeholder="name"
              value={who}
              onChange={(event) => setWho(event.currentTarget.value)}
            />
            <Button size="sm" disabled={isNothing} onClick={() => window.print()}>
              Print it
            </Button>
          </Group>
        </Panel>
      </div>
      <Head who={who} />
      {isNothing && (
        <EmptyState title="Nothing is on the sheet yet.">Choose a station or a visit above.</EmptyState>
      )}
      <StillContext value={true}>
        {stations.map((s) => (
          <OnPaper key={s.path} station={s} />
        ))}
        {shownVisits.map((v) => (
          <section key={keyOf(v)} className={classes.part} inert>
            <SetRecordSheet bench={bench} job={v} />
          </section>
        ))}
      </StillContext>
    </div>
  )
}

const listOf = (text: string | null) => (text ? text.split(BETWEEN).filter(Boolean) : [])

/** What whoever finds the paper must know. */
function Head({ who }: { who: string }) {
  const { card, shown } = useBench()
  const units = useUnits()
  const { machine, summary } = card
  return (
    <header className={classes.head}>
      <h2>
        Job sheet: {machine.name} <span className="cap">{KIND_WORDS[machine.kind]}</span>
      </h2>
      <p>
        {[
          dayText(today()),
          who.trim() && `for ${who.trim()}`,
          driveText(summary.loops),
          machine.odometerKm !== null && units.show('distance', machine.odometerKm),
          shown.isFitted ? 'as fitted' : `with ${shown.name}, not fitted`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
    </header>
  )
}

/** A station as it prints: it is looked at, not worked with. */
function OnPaper({ station }: { station: Station }) {
  const Page = PAGES.get(station.path)
  return (
    <section className={classes.part} aria-label={`${station.name} on the sheet`} inert>
      <h2>
        {station.key} {station.name}
      </h2>
      <Suspense fallback={<EmptyState title="Opening …" />}>{Page && <Page />}</Suspense>
    </section>
  )
}
