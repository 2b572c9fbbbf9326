import { Button, Group } from '@mantine/core'
import type { FaultDesk } from '../api/faults'
import classes from './Faults.module.css'
import { toolText } from './words'

/** Whether it may go out, found or not: a stop stands, or what would stop it was not seen. */
export function StopCard({ desk }: { desk: FaultDesk }) {
  const { result, stops } = desk
  return (
    <>
      {(stops.length > 0 || (result.isStop && !desk.found)) && (
        <section className={classes.card} data-tone="stop" aria-label="Do not ride it">
          <p className={classes.first}>■ Do not ride or drive it.</p>
          <p>
            {stops.length > 0
              ? `Seen: ${stops.join('; ')}. It stands on the machine until it is mended.`
              : 'What stops it was seen, or is likelier than not.'}
          </p>
        </section>
      )}
      {result.stopUnseen.length > 0 && (
        <section className={classes.card} data-tone="stop" aria-label="Not looked at">
          <p className={classes.first}>
            ▲ What would stop it was not seen, and nothing here says that it may go out.
          </p>
          <p>Have it looked at by somebody who can before it is ridden or driven.</p>
        </section>
      )}
    </>
  )
}

/** What is to be said beside the test in hand: one way is left, or nothing here tells them apart. */
export function StandsCard({ desk, onFound }: { desk: FaultDesk; onFound: (causes: string[]) => void }) {
  const { result } = desk
  const ways = (keys: readonly string[]) => result.odds.filter((o) => keys.includes(o.key))
  const [first] = result.odds
  return (
    <>
      {result.isFound && first && (
        <section className={classes.card} aria-label="One way is left">
          <p className="cap">One way stands far before all others</p>
          <h2 className={classes.ask}>{first.what}</h2>
          {first.isNormal && <p>That is no fault. Note it as normal.</p>}
          {result.ruledOut.length > 0 && (
            <>
              <p className="cap">What took the others out</p>
              <ul className={classes.plainlist}>
                {result.ruledOut.map((out) => (
                  <li key={out.what}>
                    {out.what}: {out.ask} <b>{out.answer}</b>
                  </li>
                ))}
              </ul>
            </>
          )}
          <p style={{ marginTop: 8 }}>
            <b>Cure:</b> {first.cure}
          </p>
          <Group className={classes.answers} data-no-print>
            <Button onClick={() => onFound([...first.causes])}>
              {first.isNormal ? 'Note it as normal' : 'That is it: write it down'}
            </Button>
          </Group>
        </section>
      )}
      {result.alike.length > 0 && (
        <section className={classes.card} aria-label="Can’t tell these apart here">
          <h2 className={classes.ask}>
            {result.alike.length > 1
              ? 'Can’t tell these apart here'
              : 'Nearest, and no more than that can be told here'}
          </h2>
          <ul className={classes.plainlist}>
            {ways(result.alike).map((o) => (
              <li key={o.key}>{o.what}</li>
            ))}
          </ul>
          {result.wouldTell.length > 0 ? (
            <>
              <p style={{ marginTop: 8 }}>What would tell, where it can be done:</p>
              <ul className={classes.plainlist}>
                {result.wouldTell.map((t) => (
                  <li key={t.key}>
                    {t.ask}{' '}
                    <span className="cap">
                      {[
                        t.tool && `with a ${toolText(t.tool)}`,
                        t.whoHasIt && `lent or done by ${t.whoHasIt}`,
                        t.people > 1 && `by ${t.people} people`,
                      ]
                        .filter(Boolean)
                        .join(', ')}
                    </span>
                  </li>
                ))}
              </ul>
            </>
          ) : (
            <p className="cap">
              No test of the list tells more. Mend the one that costs least first, and see whether it is gone.
            </p>
          )}
        </section>
      )}
    </>
  )
}
