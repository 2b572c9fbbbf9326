import classes from './WhyButton.module.css'

/** Opens the working of the figures beside it. */
export function WhyButton({ onClick, children = 'working' }: { onClick: () => void; children?: string }) {
  return (
    <button type="button" className={classes.why} onClick={onClick} data-no-print>
      {children}
    </button>
  )
}
