import { Modal, type ModalProps } from '@mantine/core'
import { useReturnFocus } from './useReturnFocus'

/**
 * A dialog over the page: it is there while it is drawn, its cross has a name, a click beside it drops nothing that was typed, and
 * it gives the focus back when it goes.
 */
export function Dialog(props: Omit<ModalProps, 'opened'>) {
  useReturnFocus()
  return <Modal opened closeOnClickOutside={false} closeButtonProps={{ 'aria-label': 'Close' }} {...props} />
}
