import { Button } from '@mantine/core'
import classes from './Cautions.module.css'

/** Before the first turn of a visit: what must be so, confirmed once. */
export function CautionsFirst({ first, onConfirm }: { first: string; onConfirm: () => void }) {
  return (
    <p className={classes.first}>
      ▲ First: {first} And what else stands under “Before your hands go near”.{' '}
      <Button size="compact-xs" variant="default" onClick={onConfirm} data-no-print>
        It is so
      </Button>
    </p>
  )
}
