import { Chip, Group } from '@mantine/core'
import { useState } from 'react'
import type { SetupFigures } from '../api/client'
import { useEvaluation } from '../api/evaluation'
import { sentenceOf } from '../api/issues'
import { isToothed } from '../machine/driveElements'
import type { Workbench } from '../machine/useWorkbench'
import { pairText } from '../machine/words'
import { figure, fixed, gearName, rpm, signed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { Dialog } from '../shell/Dialog'
import table from '../shell/table.module.css'
import classes from './SideBySide.module.css'
import { SERIES, SpeedLadder } from './SpeedLadder'

const MOST = 4

/** Up to four setups beside as fitted, every figure in its column. */
export default function SideBySide({ bench, onClose }: { bench: Workbench; onClose: () => void }) {
  const candidates = bench.setups.filter((s) => s.status === 'trial' || s.status === 'former')
  const [ids, setIds] = useState(() => candidates.slice(-MOST).map((s) => String(s.id)))
  const chosen = candidates.filter((s) => ids.includes(String(s.id)))
  const comparison = useEvaluation(bench.asFitted, 'sideBySide', { setupIds: chosen.map((s) => s.id) })
  const setups = comparison.data?.setups ?? []
  return (
    <Dialog
      closeOnClickOutside
      onClose={onClose}
      title={`Side by side: ${bench.card.machine.name}`}
      size="xl"
    >
      <Chip.Group multiple value={ids} onChange={(next) => next.length <= MOST && setIds(next)}>
        <Group gap={6} role="group" aria-label={`Setups to compare, up to ${MOST}`}>
          {candidates.map((s) => (
            <Chip key={s.id} size="xs" value={String(s.id)}>
              {s.name}
            </Chip>
          ))}
        </Group>
      </Chip.Group>
      {Boolean(comparison.error) && <p role="alert">{sentenceOf(comparison.error)}</p>}
      {setups.length > 0 && (
        <>
          <SpeedLadder bench={bench} setups={setups} />
          <Columns
            bench={bench}
            setups={setups}
            pairs={[bench.card.fitted, ...chosen].map((s) => pairOf(bench, s.loops))}
          />
        </>
      )}
    </Dialog>
  )
}

const pairOf = (bench: Workbench, loops: { loopKey: string; frontSize: number; rearSize: number }[]) =>
  bench.card.summary.loops
    .filter((l) => l.driveKey === bench.drive.key)
    .map((l) => {
      const c = loops.find((o) => o.loopKey === l.loopKey)
      return c ? pairText(c.frontSize, c.rearSize, isToothed(l.driveElement)) : '–'
    })
    .join(' · ')

function Columns({ bench, setups, pairs }: { bench: Workbench; setups: SetupFigures[]; pairs: string[] }) {
  const units = useUnits()
  const rows: { label: string; texts: string[] }[] = [
    { label: 'wheels', texts: pairs },
    { label: 'final ratio', texts: setups.map((s) => fixed(s.finalRatio, 3)) },
    { label: 'change', texts: setups.map((s, i) => (i === 0 ? '' : `${signed(s.changePercent, 1)} %`)) },
    {
      label: 'rpm at the aim',
      texts: setups.map((s) => (s.aimShaftSpeedRpm === null ? '–' : rpm(s.aimShaftSpeedRpm))),
    },
    {
      label: 'meets the aim',
      texts: setups.map((s) => (s.meetsAim === null ? '–' : s.meetsAim ? 'yes' : 'no')),
    },
    {
      label: 'speedometer',
      texts: setups.map((s) => (s.speedometer ? `${signed(s.speedometer.errorPercent, 1)} %` : '–')),
    },
    ...bench.gears.map((label, g) => ({
      label: bench.gears.length > 1 ? `overall in ${gearName(label)}` : 'overall',
      texts: setups.map((s) => figure(s.gears[g]?.overallRatio ?? 0, 4)),
    })),
    ...bench.gears
      .map((label, g) => ({
        label: `at the limit${bench.gears.length > 1 ? ` in ${gearName(label)}` : ''}`,
        texts: setups.map((s) => {
          const gear = s.gears[g]
          return gear?.speedHighKmh
            ? units.show('speed', gear.speedHighKmh)
            : `${rpm(gear?.outputHighRpm ?? 0)} rpm`
        }),
      }))
      .slice(-1),
    ...(bench.drive.input.kind === 'rider'
      ? bench.gears.map((label, g) => ({
          label: `development in ${gearName(label)}`,
          texts: setups.map((s) => {
            const b = s.gears[g]?.bicycle
            return b ? units.show('longLength', b.developmentM, 2) : '–'
          }),
        }))
      : []),
  ]
  return (
    <div className={table.scroll}>
      <table className={table.table}>
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">figure</span>
            </th>
            {setups.map((s, i) => (
              <th scope="col" key={s.name + pairs[i]}>
                <svg width="24" height="8" className={classes.key} aria-hidden="true">
                  <path
                    d="M0 4H24"
                    stroke={SERIES[i]?.fill}
                    strokeWidth="6"
                    strokeDasharray={SERIES[i]?.dash}
                  />
                </svg>
                {s.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.label}>
              <th scope="row">{row.label}</th>
              {row.texts.map((text, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a cell per column, in the order of the columns
                <td key={i} className="num">
                  {text}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
