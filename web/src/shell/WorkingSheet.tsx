import type { Working } from '../api/client'
import { sentenceOf } from '../api/issues'
import { figure, plain } from '../quantities/format'
import { Dialog } from './Dialog'
import { Guessed } from './Guessed'
import classes from './WorkingSheet.module.css'

/** Formula, values put in, result, source and limits of each figure: the same text wherever a figure stands. */
export default function WorkingSheet({
  title,
  workings,
  error = null,
  onClose,
}: {
  title: string
  /** Undefined while they are on the way. */
  workings: Working[] | undefined
  error?: unknown
  onClose: () => void
}) {
  return (
    <Dialog closeOnClickOutside onClose={onClose} title={title} size="lg">
      {workings === undefined && !error && <p className="cap">Computing …</p>}
      {error ? <p role="alert">{sentenceOf(error)}</p> : null}
      {workings?.map((working) => (
        <section key={working.title} className={classes.working} aria-label={working.title}>
          <h3>{working.title}</h3>
          <p className={classes.formula}>{typeset(working.formula)}</p>
          <table>
            <tbody>
              {working.values.map((v) => (
                <ValueRow key={v.symbol} value={v} />
              ))}
              <tr className={classes.result}>
                <th scope="row">{typeset(working.result.symbol)}</th>
                <td>{working.result.meaning}</td>
                <td className="num">
                  {figure(working.result.value, 5)} {working.result.unit}
                </td>
              </tr>
              {working.beside.map((v) => (
                <ValueRow key={v.symbol} value={v} />
              ))}
            </tbody>
          </table>
          <p className="cap">
            Source: {working.source}. {working.limits}
          </p>
        </section>
      ))}
    </Dialog>
  )
}

/** Indices below the line and plain exponents above it, as a handbook sets them. */
function typeset(formula: string) {
  return formula.split(/([_^](?:[\p{L}\d]|\.\d)+)/u).map((part, at) => {
    const [sign, ...rest] = part
    // biome-ignore lint/suspicious/noArrayIndexKey: the parts of one text never change places.
    if (sign === '_') return <sub key={at}>{rest.join('')}</sub>
    // biome-ignore lint/suspicious/noArrayIndexKey: as above.
    if (sign === '^') return <sup key={at}>{rest.join('')}</sup>
    return part
  })
}

function ValueRow({ value }: { value: Working['result'] }) {
  return (
    <tr>
      <th scope="row">{typeset(value.symbol)}</th>
      <td>
        {value.meaning}
        {value.isDefault && (
          <>
            {' '}
            <Guessed />
          </>
        )}
      </td>
      <td className="num">
        {plain(value.value)} {value.unit}
      </td>
    </tr>
  )
}
