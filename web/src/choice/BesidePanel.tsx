import { Chip } from '@mantine/core'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import type { ChoiceColumn, ChoiceDesk, LoopWeighing } from '../api/choice'
import { CHECK_WORDS } from '../loop/checkWords'
import { lengthText } from '../loop/fitWords'
import { endsText, METHOD_WORDS } from '../loop/readings'
import { isToothed } from '../machine/driveElements'
import { pairText } from '../machine/words'
import { fixed, signed } from '../quantities/format'
import { type Units, useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'
import classes from './Choice.module.css'
import { CostBar } from './CostBar'
import { SaidBySign } from './SaidBySign'
import { TryButton } from './TryButton'
import type { Weighing } from './useWeighing'
import { HAD_WORDS, HOLDS_WORDS, outText, rangeText, runText } from './words'

/** Side by side: each the smallest of its kind that holds here, with what speaks for it and against it. */
export function BesidePanel({
  weighing,
  desk,
  now,
  isStale,
  machineId,
}: {
  weighing: Weighing
  desk: ChoiceDesk
  now: LoopWeighing
  isStale: boolean
  machineId: number
}) {
  const units = useUnits()
  const shown = desk.columns.map((c) => c.key)
  const isKind = now.matter === null
  const rows = (isKind ? [...PLACE_ROWS, ...ROWS] : ROWS).filter(([, tell]) =>
    desk.columns.some((c) => tell(c, desk, units) !== null),
  )
  return (
    <Panel title="Side by side" isStale={isStale}>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls is scrolled by keys, too */}
      <section className={table.scroll} tabIndex={0} aria-label="Columns">
        <table className={`${table.table} ${table.heads} ${classes.beside}`}>
          <thead>
            <tr>
              <th scope="col">
                <span className="visually-hidden">figure</span>
              </th>
              {desk.columns.map((c) => (
                <th scope="col" key={c.key} data-first={c.key === desk.outcome.first || undefined}>
                  {c.name} {c.isFitted && <span className={table.tag}>as fitted</span>}
                  {c.out.length > 0 && (
                    <span className={table.tag} data-tone="stop">
                      out
                    </span>
                  )}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([name, tell]) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                {desk.columns.map((c) => (
                  <td key={c.key}>{tell(c, desk, units) ?? '–'}</td>
                ))}
              </tr>
            ))}
            <Reasons name="for it" desk={desk} of={(c) => c.for} />
            <Reasons name="against it" desk={desk} of={(c) => c.against} />
            {isKind && (
              <tr data-no-print>
                <th scope="row">
                  <span className="visually-hidden">trial</span>
                </th>
                {desk.columns.map((c) => (
                  <td key={c.key}>
                    <TryButton column={c} desk={desk} machineId={machineId} />
                  </td>
                ))}
              </tr>
            )}
          </tbody>
        </table>
      </section>
      {isKind && (
        <fieldset className={classes.columns} data-no-print>
          <legend className="cap">In a column, up to {desk.mostColumns}</legend>
          {desk.offered.map((o) => (
            <Chip
              key={o.key}
              size="xs"
              checked={shown.includes(o.key)}
              disabled={shown.includes(o.key) ? shown.length === 1 : shown.length >= desk.mostColumns}
              onChange={(isShown) =>
                weighing.change(() => ({
                  shown: isShown ? [...shown, o.key] : shown.filter((key) => key !== o.key),
                }))
              }
            >
              {o.name}
            </Chip>
          ))}
        </fieldset>
      )}
    </Panel>
  )
}

/** Less over is none. */
const OVER_MM = 0.05

type Tell = (column: ChoiceColumn, desk: ChoiceDesk, units: Units) => ReactNode

const PLACE_ROWS: [string, Tell][] = [
  [
    'what it would be',
    ({ place }, _, units) =>
      place?.setup
        ? [
            place.setup.strength.standard ?? place.setup.standard,
            place.setup.strength.widthMm ? `${units.show('fine', place.setup.strength.widthMm)} wide` : null,
            place.setup.strength.strands > 1 ? `${place.setup.strength.strands} side by side` : null,
            pairText(place.setup.frontSize, place.setup.rearSize, isToothed(place.setup.driveElement)),
          ]
            .filter(Boolean)
            .join(', ')
        : (place?.figure ?? (place ? HOLDS_WORDS[place.holds] : null)),
  ],
  [
    'fits',
    ({ place, isFitted }, desk, units) => {
      const fit = place?.fit
      if (!fit)
        return place?.fitProblem ? (
          'can’t be laid where the shafts stand'
        ) : place?.setup ? (
          <Link to={`../fit?loops=${desk.weighing.loopKey}`} relative="path">
            say where things stand
          </Link>
        ) : null
      if (fit.length === null) return fit.mover ? 'no length reaches' : lengthText(fit.exactLength, fit.unit)
      return [
        lengthText(fit.length, fit.unit),
        fit.overMm !== null && fit.overMm > OVER_MM ? `${units.show('fine', fit.overMm)} over` : null,
        fit.leftPercent !== null ? `${fixed(fit.leftPercent, 0)} % of the adjustment left` : null,
        isFitted ? null : fit.withoutIdlers ? 'without the idler' : null,
      ]
        .filter(Boolean)
        .join(', ')
    },
  ],
  [
    'what moves',
    ({ place, isFitted }, _, units) =>
      isFitted || !place?.fit
        ? null
        : place.fit.mover === null
          ? 'nothing: fixed shafts'
          : place.fit.movedMm === null
            ? null
            : `${place.fit.mover === 'rear' ? 'the axle' : place.fit.mover} by ${signed(units.toShown('fine', place.fit.movedMm), 1)} ${units.unitOf('fine')}`,
  ],
  [
    'holds',
    ({ place, isFitted }, desk, units) => {
      if (!place) return null
      const margin = place.figures?.smallest?.margin
      if (place.holds === 'notTold')
        return place.missing === 'peakTorqueNm' ? (
          <Link to={`../loads?loops=${desk.weighing.loopKey}`} relative="path">
            say how hard it is pulled
          </Link>
        ) : place.needsPullN !== null && place.missing?.includes('llowedPull') ? (
          `its maker must allow ${units.show('force', place.needsPullN)}`
        ) : place.missing && isFitted ? (
          <Link to={`../loads?loops=${desk.weighing.loopKey}`} relative="path">
            can’t be told: see Loads
          </Link>
        ) : (
          'nobody said what it can take'
        )
      if (place.holds === 'figuresOnly')
        return margin == null ? HOLDS_WORDS.figuresOnly : `×${fixed(margin, 2)}`
      if (margin == null) return HOLDS_WORDS[place.holds]
      return (
        <>
          <b>×{fixed(margin, 2)}</b>{' '}
          {place.worst && (
            <>
              <span className={table.tag} data-tone={place.holds === 'doesNotHold' ? 'stop' : 'watch'}>
                {place.holds === 'doesNotHold' ? 'stop' : 'watch'}
              </span>{' '}
              <span className="cap">
                {CHECK_WORDS[place.worst.kind].toLowerCase()} ×{fixed(place.worst.margin ?? 0, 2)}
              </span>
            </>
          )}
          {place.isOwn && !isFitted && <span className="cap"> as typed at Loads</span>}
        </>
      )
    },
  ],
  [
    'mass',
    ({ place, figures }, _, units) =>
      figures.massKg != null
        ? `${units.show('mass', figures.massKg)} with its wheels`
        : place?.massKg != null
          ? units.show('mass', place.massKg)
          : null,
  ],
  [
    'space',
    ({ place, isFitted }, _, units) =>
      place?.fit
        ? `wheels ${units.show('fine', place.fit.frontOutsideMm)} and ${units.show('fine', place.fit.rearOutsideMm)} across${
            isFitted || Math.abs(place.fit.rearMoreMm) < 0.5
              ? ''
              : `, rear ${signed(units.toShown('fine', place.fit.rearMoreMm), 1)}`
          }`
        : null,
  ],
  [
    'set to',
    ({ place }, _, units) =>
      place?.window
        ? `${endsText(place.window.method, Math.min(place.window.loose, place.window.tight), Math.max(place.window.loose, place.window.tight), units)}, ${METHOD_WORDS[place.window.method ?? 'pluck']}`
        : place?.setup
          ? 'nothing tells it yet: Set asks'
          : null,
  ],
  ['frame must open', ({ place, frameMustOpen }) => (place ? (frameMustOpen ? 'yes' : 'no') : null)],
  ['oil', ({ place }) => (place ? (place.kind.isOiled ? 'oiled' : 'dry') : null)],
]

const ROWS: [string, Tell][] = [
  [
    'noise',
    ({ figures }, desk) =>
      figures.levelDb != null
        ? `${fixed(figures.levelDb, 1)} dB${desk.weighing.levelHow ? `, ${desk.weighing.levelHow}` : ''}`
        : null,
  ],
  [
    'lasts',
    ({ facts }, desk, units) => {
      const life = facts.find((f) => f.wish === 'longLife')
      return life ? (
        <>
          {rangeText(life.low, life.high, (v) => runText(desk.unit, v, units))}{' '}
          <SaidBySign saidBy={life.saidBy} />
        </>
      ) : null
    },
  ],
  [
    'upkeep',
    ({ facts }, desk, units) => {
      const upkeep = facts.find((f) => f.wish === 'littleUpkeep')
      return upkeep ? (
        <>
          {fixed(upkeep.low, 0)} min in {runText(desk.unit, 1000, units)}{' '}
          <SaidBySign saidBy={upkeep.saidBy} />
        </>
      ) : null
    },
  ],
  ['cost', ({ cost }, desk, units) => (cost ? <CostBar cost={cost} desk={desk} units={units} /> : null)],
  [
    'paid back after',
    ({ paidBackAfter, figures, isFitted }, desk, units) =>
      paidBackAfter != null
        ? runText(desk.unit, paidBackAfter, units)
        : figures.conversion != null && !isFitted
          ? 'never: no cheaper to run'
          : null,
  ],
  [
    'to be had',
    ({ figures, isAskedLongAgo }) =>
      figures.toBeHad ? (
        <>
          {HAD_WORDS[figures.toBeHad]} <span className="cap">asked {figures.askedOn}</span>{' '}
          {isAskedLongAgo && (
            <span className={table.tag} data-tone="watch">
              ask again
            </span>
          )}
        </>
      ) : null,
  ],
  [
    'what keeps it back',
    ({ out, watched, open }, desk) =>
      out.length + watched.length + open.length > 0 ? (
        <ul className={classes.reasons}>
          {out.map((o) => (
            <li key={outText(o)}>
              <span className={table.tag} data-tone="stop">
                out
              </span>{' '}
              {outText(o)}
            </li>
          ))}
          {watched.map((text) => (
            <li key={text}>
              <span className={table.tag} data-tone="watch">
                watch
              </span>{' '}
              {text}
            </li>
          ))}
          {open.map((key) => (
            <li key={key}>
              <span className={table.tag}>not answered</span>{' '}
              {desk.questions.find((q) => q.key === key)?.ifFine}?
            </li>
          ))}
        </ul>
      ) : null,
  ],
]

function Reasons({
  name,
  desk,
  of,
}: {
  name: string
  desk: ChoiceDesk
  of: (column: ChoiceColumn) => ChoiceColumn['for']
}) {
  return (
    <tr>
      <th scope="row">{name}</th>
      {desk.columns.map((c) => (
        <td key={c.key}>
          <ul className={classes.reasons}>
            {of(c).map((reason) => (
              <li key={reason.text}>
                {reason.text}{' '}
                {reason.school && <span className="cap">by the school of the {reason.school} </span>}
                <SaidBySign saidBy={reason.saidBy} who={reason.who} />
              </li>
            ))}
          </ul>
        </td>
      ))}
    </tr>
  )
}
