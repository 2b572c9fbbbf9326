import { Button } from '@mantine/core'
import type { SetAdvice, SetJob } from '../api/client'
import classes from './Cautions.module.css'
import { MissingTool } from './MissingTool'

/** Where the hands are; confirmed once for a visit and shown all the while. */
export function Cautions({
  manual,
  confirmed,
  onConfirm,
}: {
  manual: SetAdvice['manual']
  confirmed: SetJob['cautions']
  /** Undefined where there is no visit to confirm it for. */
  onConfirm: (() => void) | undefined
}) {
  return (
    <section className={classes.cautions} aria-label="Before your hands go near">
      <h2>Before your hands go near</h2>
      <ul>
        {manual.cautions.map((c) => (
          <li key={c}>{c}</li>
        ))}
      </ul>
      <MissingTool manual={manual} tools={['stand']} />
      {confirmed ? (
        <p>
          ✓ Confirmed{confirmed.who ? ` by ${confirmed.who}` : ''} at{' '}
          {new Date(confirmed.at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}.
        </p>
      ) : (
        onConfirm && (
          <Button size="compact-sm" variant="default" onClick={onConfirm} data-no-print>
            All of it is so
          </Button>
        )
      )}
      <p className="cap">{manual.defers}</p>
    </section>
  )
}
