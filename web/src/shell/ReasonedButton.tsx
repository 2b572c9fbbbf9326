import { Button, type ButtonProps, Tooltip } from '@mantine/core'
import type { MouseEvent, ReactNode } from 'react'

/** A button that can't be pressed says why: on hover, on touch, and to a screen reader. */
export function ReasonedButton({
  why,
  onClick,
  type = 'button',
  children,
  ...rest
}: Omit<ButtonProps, 'disabled'> & {
  /** Why it can't be pressed; null where it can. */
  why: string | null
  onClick?: () => void
  type?: 'button' | 'submit'
  children: ReactNode
  'aria-label'?: string
}) {
  const press = (event: MouseEvent) => {
    if (why !== null) event.preventDefault()
    else onClick?.()
  }
  return (
    <Tooltip label={why} disabled={why === null} events={{ hover: true, focus: true, touch: true }}>
      <Button
        {...rest}
        type={type}
        data-disabled={why !== null || undefined}
        aria-disabled={why !== null}
        aria-description={why ?? undefined}
        onClick={press}
      >
        {children}
      </Button>
    </Tooltip>
  )
}
