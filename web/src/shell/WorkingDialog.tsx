import { Modal } from '@mantine/core'
import type { Working } from '../api/client'
import { sentenceOf } from '../api/issues'
import { figure, plain } from '../quantities/format'
import classes from './WorkingDialog.module.css'

/** Formula, values put in, result, source and limits of each figure: the same text wherever a figure stands. */
export function WorkingDialog({
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
    <Modal opened onClose={onClose} title={title} size="lg" closeButtonProps={{ 'aria-label': 'Close' }}>
      {workings === undefined && !error && <p className="cap">Computing …</p>}
      {error ? <p role="alert">{sentenceOf(error)}</p> : null}
      {workings?.map((working) => (
        <section key={working.title} className={classes.working} aria-label={working.title}>
          <h3>{working.title}</h3>
          <p className={classes.formula}>{working.formula}</p>
          <table>
            <tbody>
              {working.values.map((v) => (
                <tr key={v.symbol}>
                  <th scope="row">{v.symbol}</th>
                  <td>
                    {v.meaning}
                    {v.isDefault && <span className={classes.default}> default</span>}
                  </td>
                  <td className="num">
                    {plain(v.value)} {v.unit}
                  </td>
                </tr>
              ))}
              <tr className={classes.result}>
                <th scope="row">{working.result.symbol}</th>
                <td>{working.result.meaning}</td>
                <td className="num">
                  {figure(working.result.value, 5)} {working.result.unit}
                </td>
              </tr>
            </tbody>
          </table>
          <p className="cap">
            Source: {working.source}. {working.limits}
          </p>
        </section>
      ))}
    </Modal>
  )
}
