import { Button, Checkbox, FileButton, Group, Modal, Progress, Select } from '@mantine/core'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { sentenceOf } from '../api/issues'
import {
  type LogColumn,
  type LogColumns,
  type LogField,
  type LogFileKind,
  type LogFileLook,
  type LogUnit,
  lookAtLogFile,
  takeLogFile,
} from '../api/log'
import { useChange } from '../api/queries'
import { ChoiceField } from '../quantities/ChoiceField'
import fieldRows from '../shell/fields.module.css'
import table from '../shell/table.module.css'
import { DAY_WORDS, DECIMAL_WORDS, FIELD_WORDS, FILE_WORDS, UNIT_WORDS } from './fileWords'
import { Taken } from './Taken'

/** A table of lines: chosen, its columns told apart once, tried, and taken in. */
export function TakeFile({ machineId }: { machineId: number }) {
  const [file, setFile] = useState<File>()
  const [sent, setSent] = useState(0)
  const look = useMutation({ mutationFn: (f: File) => lookAtLogFile(machineId, f, setSent) })
  const choose = (f: File | null) => {
    if (!f) return
    setFile(f)
    look.mutate(f)
  }
  const close = () => {
    setFile(undefined)
    look.reset()
  }
  return (
    <>
      <FileButton accept=".csv,.tsv,.txt,text/csv" onChange={choose}>
        {(props) => (
          <Button size="compact-sm" variant="default" {...props}>
            Read a table in (.csv)
          </Button>
        )}
      </FileButton>
      <Modal
        opened={file !== undefined}
        onClose={close}
        size="xl"
        title={`Read in ${file?.name ?? ''}`}
        closeButtonProps={{ 'aria-label': 'Close' }}
      >
        {look.isPending && <Progress value={sent * 100} aria-label="Looked at" />}
        {look.error && <p role="alert">{sentenceOf(look.error)}</p>}
        {file && look.data && (
          <Columns key={file.name} machineId={machineId} file={file} look={look.data} onDone={close} />
        )}
      </Modal>
    </>
  )
}

function Columns({
  machineId,
  file,
  look,
  onDone,
}: {
  machineId: number
  file: File
  look: LogFileLook
  onDone: () => void
}) {
  const [columns, setColumns] = useState<LogColumns>(look.guess)
  const [sent, setSent] = useState(0)
  const attempt = useMutation({
    mutationFn: () => takeLogFile(machineId, file, columns, true, setSent),
  })
  const take = useChange(() => takeLogFile(machineId, file, columns, false, setSent))
  const change = (next: Partial<LogColumns>) => {
    attempt.reset()
    take.reset()
    setColumns({ ...columns, ...next })
  }
  const fieldsOf = (kind: LogFileKind) => look.choices.find((c) => c.kind === kind)?.fields ?? []
  const unitsOf = (kind: LogFileKind, field: LogField) =>
    fieldsOf(kind).find((f) => f.field === field)?.units ?? []
  const fields = fieldsOf(columns.kind)
  const setField = (index: number, field: LogField | null) => {
    const others = columns.columns.filter((c) => c.index !== index && c.field !== field)
    const unit = field ? (unitsOf(columns.kind, field)[0] ?? null) : null
    change({
      columns: field ? [...others, { index, field, unit }].sort((a, b) => a.index - b.index) : others,
    })
  }
  const setUnit = (column: LogColumn, unit: LogUnit) =>
    change({ columns: columns.columns.map((c) => (c === column ? { ...c, unit } : c)) })
  const isBusy = attempt.isPending || take.isPending
  return (
    <>
      <p className="cap">
        Written in {look.form.encoding}, cells parted by{' '}
        {SEPARATORS[look.form.separator] ?? look.form.separator}.{' '}
        {look.isRemembered
          ? 'A table with the same head was read before: it is read the same way.'
          : 'How its columns are read is a guess: look it over.'}
      </p>
      <div className={fieldRows.fields}>
        <ChoiceField
          size="sm"
          label="Its lines are"
          words={FILE_WORDS}
          value={columns.kind}
          onChange={(kind) =>
            change({
              kind,
              columns: columns.columns
                .filter((c) => fieldsOf(kind).some((f) => f.field === c.field))
                .map((c) => ({
                  ...c,
                  unit:
                    c.unit && unitsOf(kind, c.field).includes(c.unit)
                      ? c.unit
                      : (unitsOf(kind, c.field)[0] ?? null),
                })),
            })
          }
        />
        <ChoiceField
          size="sm"
          label="Days are written"
          words={DAY_WORDS}
          value={columns.days}
          onChange={(days) => change({ days })}
          description={look.isDayOrderSure ? undefined : 'These can be read two ways: say which.'}
        />
        <ChoiceField
          size="sm"
          label="Before the tenths stands"
          words={DECIMAL_WORDS}
          value={columns.decimals}
          onChange={(decimals) => change({ decimals })}
        />
      </div>
      <div className={table.scroll}>
        <table className={table.table}>
          <thead>
            <tr>
              <th scope="col" className={table.words}>
                column
              </th>
              <th scope="col" className={table.words}>
                first cells
              </th>
              <th scope="col">is</th>
              <th scope="col">in</th>
            </tr>
          </thead>
          <tbody>
            {columns.heads.map((head, index) => {
              const column = columns.columns.find((c) => c.index === index)
              const units = column ? unitsOf(columns.kind, column.field) : []
              return (
                // biome-ignore lint/suspicious/noArrayIndexKey: two columns may have the same head
                <tr key={index}>
                  <th scope="row" className={table.words}>
                    {head}
                  </th>
                  <td className={table.words}>
                    {look.rows
                      .slice(0, 3)
                      .map((r) => r[index] ?? '')
                      .join(' · ')}
                  </td>
                  <td>
                    <Select
                      size="xs"
                      aria-label={`Column ${head} is`}
                      data={[
                        { value: '', label: 'left out' },
                        ...fields.map((f) => ({
                          value: f.field,
                          label: `${FIELD_WORDS[f.field]}${f.isNeeded ? ' (needed)' : ''}`,
                        })),
                      ]}
                      value={column?.field ?? ''}
                      onChange={(f) => setField(index, (f || null) as LogField | null)}
                    />
                  </td>
                  <td>
                    {column && units.length > 0 && (
                      <Select
                        size="xs"
                        aria-label={`Unit of column ${head}`}
                        data={units.flatMap((u) => (u ? [{ value: u, label: UNIT_WORDS[u] }] : []))}
                        value={column.unit}
                        onChange={(u) => u && setUnit(column, u as LogUnit)}
                      />
                    )}
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
      {fields.some((f) => f.field === 'isFull') && !columns.columns.some((c) => c.field === 'isFull') && (
        <Checkbox
          mt="sm"
          size="sm"
          label="No column says it: each of them was full"
          checked={columns.areAllFull}
          onChange={(e) => change({ areAllFull: e.currentTarget.checked })}
        />
      )}
      {isBusy && <Progress mt="sm" value={sent * 100} aria-label="Sent" />}
      {attempt.data && !take.data && <Taken taken={attempt.data} isTried />}
      {take.data && <Taken taken={take.data} />}
      {(take.error || attempt.error) && (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(take.error ?? attempt.error)}
        </p>
      )}
      <Group mt="md" justify="flex-end">
        {take.data ? (
          <Button onClick={onDone}>Done</Button>
        ) : (
          <>
            <Button variant="default" disabled={isBusy} onClick={() => attempt.mutate()}>
              Try it
            </Button>
            <Button
              disabled={isBusy || attempt.data?.added === 0}
              loading={take.isPending}
              onClick={() => take.mutate(undefined)}
            >
              {attempt.data ? `Take ${attempt.data.added} lines in` : 'Take in what can be read'}
            </Button>
          </>
        )}
      </Group>
    </>
  )
}

const SEPARATORS: Record<string, string> = { ',': 'commas', ';': 'semicolons', '\t': 'tabs', '|': 'strokes' }
