import { Button, Group } from '@mantine/core'
import { useState } from 'react'
import type { GearboxSet } from '../api/client'
import { useGearboxSets } from '../api/queries'
import { shareGearboxSet } from '../api/sharing'
import { plain } from '../quantities/format'
import { ReadSharedButton } from '../sharing/ReadSharedButton'
import { ShareButton } from '../sharing/ShareButton'
import { Panel } from '../shell/Panel'
import { GearboxSetDialog } from './GearboxSetDialog'
import classes from './StockView.module.css'

const EMPTY: GearboxSet = { id: 0, version: 0, name: '', reductions: [], turnsRound: true, note: null }

/** Named lists of gear ratios; a change reaches every machine that uses one. */
export function GearboxSets() {
  const sets = useGearboxSets().data
  const [edited, setEdited] = useState<GearboxSet>()
  return (
    <Panel
      title="Gearbox sets"
      note="shared by machines"
      aside={
        <Group gap="xs">
          <ReadSharedButton
            name="a gearbox set"
            kind="gearboxSet"
            into={{ machineId: null, driveKey: null }}
          />
          <Button size="compact-sm" variant="default" onClick={() => setEdited(EMPTY)} data-no-print>
            New set
          </Button>
        </Group>
      }
    >
      {sets?.length === 0 && (
        <p className="cap">None yet. A set is kept once and used by every machine with that gearbox.</p>
      )}
      {sets?.map((set) => (
        <article key={set.id} className={classes.set}>
          <header>
            <b>{set.name}</b>
            <Group gap={0}>
              <ShareButton
                name={set.name}
                about="Name, ratios, sense of turning and note."
                write={(author) => shareGearboxSet(set.id, author)}
              />
              <Button
                size="compact-sm"
                variant="subtle"
                color="gray"
                onClick={() => setEdited(set)}
                aria-label={`Edit ${set.name}`}
                data-no-print
              >
                Edit
              </Button>
            </Group>
          </header>
          <p className="num">{set.reductions.map((r) => (r === 0 ? '–' : plain(r))).join('  ')}</p>
          {set.note && <p className="cap">{set.note}</p>}
        </article>
      ))}
      {edited && <GearboxSetDialog key={edited.id} set={edited} onClose={() => setEdited(undefined)} />}
    </Panel>
  )
}
