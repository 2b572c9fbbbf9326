import { Button } from '@mantine/core'
import type { SetAdvice } from '../api/client'
import classes from './BayMode.module.css'
import { MissingTool } from './MissingTool'

/** Where the hands are, before they go near; reading may come first. */
export function BayBefore({
  manual,
  isConfirmed,
  onConfirm,
  onRead,
}: {
  manual: SetAdvice['manual']
  isConfirmed: boolean
  onConfirm: () => void
  onRead: () => void
}) {
  return (
    <>
      <p className={classes.instruction}>Before your hands go near</p>
      <ul className={classes.cautions}>
        {manual.cautions.map((c) => (
          <li key={c}>{c}</li>
        ))}
      </ul>
      <MissingTool manual={manual} tools={['stand']} />
      <p className="cap">{manual.defers}</p>
      <footer>
        {isConfirmed ? (
          <Button size="xl" className={`${classes.big} ${classes.keep}`} onClick={onRead}>
            Confirmed: go on
          </Button>
        ) : (
          <>
            <Button size="xl" className={classes.big} variant="default" onClick={onRead}>
              Read first
            </Button>
            <Button size="xl" className={classes.big} onClick={onConfirm}>
              All of it is so
            </Button>
          </>
        )}
      </footer>
    </>
  )
}
