import { Button, Group } from '@mantine/core'
import { useState } from 'react'
import { sentenceOf } from '../api/issues'
import { type LogEntry, type LogFilter, logAddress, strikeLogLine, useLog } from '../api/log'
import { useChange } from '../api/queries'
import { ChoiceField } from '../quantities/ChoiceField'
import { DayField } from '../quantities/DayField'
import { dayText } from '../quantities/days'
import { useUnits } from '../quantities/units'
import fieldRows from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import table from '../shell/table.module.css'
import classes from './LogPanel.module.css'
import { KIND_WORDS, lineText, underText } from './logWords'
import { TakeFile } from './TakeFile'

const ALL: LogFilter = { kind: null, from: '', to: '' }

/** What was written down of a machine, newest day first. */
export function LogPanel({ machineId }: { machineId: number }) {
  const [filter, setFilter] = useState(ALL)
  const log = useLog(machineId, filter)
  const entries = log.data?.pages.flatMap((p) => p.entries) ?? []
  const strike = useChange(strikeLogLine)
  const isFiltered = filter !== ALL
  return (
    <Panel title="Log" note="newest day first" isEmpty={entries.length === 0}>
      <div className={fieldRows.fields} data-no-print>
        <ChoiceField
          size="sm"
          label="Show"
          words={KIND_WORDS}
          none="everything"
          value={filter.kind}
          onChange={(kind) => setFilter({ ...filter, kind })}
        />
        <DayField
          size="sm"
          label="From the day"
          value={filter.from}
          onChange={(from) => setFilter({ ...filter, from })}
        />
        <DayField
          size="sm"
          label="To the day"
          value={filter.to}
          onChange={(to) => setFilter({ ...filter, to })}
        />
      </div>
      {log.error !== null && <p role="alert">{sentenceOf(log.error)}</p>}
      {log.data && entries.length === 0 && (
        <p className="cap">
          {isFiltered
            ? 'Nothing was written down of that.'
            : 'Nothing is written down yet. Write the first line above, or read a table of fills in.'}
        </p>
      )}
      {entries.length > 0 && (
        <div className={table.scroll}>
          <table className={table.table}>
            <thead>
              <tr>
                <th scope="col">day</th>
                <th scope="col" className={table.words}>
                  what
                </th>
                <th scope="col">odometer</th>
                <th scope="col" data-no-print>
                  <span className={classes.hidden}>strike out</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {entries.map((entry) => (
                <Row
                  key={`${entry.lotId} ${entry.number}`}
                  entry={entry}
                  isBusy={strike.isPending}
                  onStrike={() =>
                    strike.mutate({
                      machineId,
                      lotId: entry.lotId,
                      number: entry.number,
                      isStruck: !entry.isStruck,
                    })
                  }
                />
              ))}
            </tbody>
          </table>
        </div>
      )}
      <Refused error={strike.error} />
      <Group gap="sm" mt="sm" data-no-print>
        {log.hasNextPage && (
          <Button
            size="compact-sm"
            variant="default"
            loading={log.isFetchingNextPage}
            onClick={() => log.fetchNextPage()}
          >
            Older ones
          </Button>
        )}
        <TakeFile machineId={machineId} />
        {entries.length > 0 && (
          <a className={classes.link} href={logAddress(machineId)} download>
            Save all as a table (.csv)
          </a>
        )}
      </Group>
    </Panel>
  )
}

function Row({ entry, isBusy, onStrike }: { entry: LogEntry; isBusy: boolean; onStrike: () => void }) {
  const units = useUnits()
  const { line, isStruck } = entry
  const under = underText(entry, units)
  const text = lineText(line, units)
  return (
    <tr data-now={isStruck || undefined}>
      <th scope="row">{dayText(line.on)}</th>
      <td className={table.words}>
        <span className={isStruck ? classes.struck : undefined}>
          {KIND_WORDS[line.kind]} <b className="num">{text}</b>
        </span>
        {isStruck && <span className="cap"> struck out</span>}
        {under && <div className="cap">{under}</div>}
      </td>
      <td className="num">{line.odometerKm === null ? '–' : units.show('distance', line.odometerKm)}</td>
      <td data-no-print>
        <Button
          size="compact-xs"
          variant="subtle"
          disabled={isBusy}
          aria-label={`${isStruck ? 'Let stand again' : 'Strike out'}: ${dayText(line.on)} ${KIND_WORDS[line.kind]} ${text}`}
          onClick={onStrike}
        >
          {isStruck ? 'let stand' : 'strike out'}
        </Button>
      </td>
    </tr>
  )
}
