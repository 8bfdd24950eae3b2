import { Dialog, Portal } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Button } from './controls'

interface Props {
  title: string
  open: boolean
  onClose: () => void
  children: ReactNode
  /** Buttons beside "Close". */
  actions?: ReactNode
  wide?: boolean
  closeLabel?: string
}

/** A dialog that holds the keyboard until it is closed. */
export function Modal({ title, open, onClose, children, actions, wide, closeLabel = 'Close' }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={({ open: next }) => !next && onClose()} lazyMount unmountOnExit>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content maxW={wide ? '820px' : undefined}>
            <Dialog.Header>
              <Dialog.Title>{title}</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>{children}</Dialog.Body>
            <Dialog.Footer>
              <Button variant="quiet" onClick={onClose}>
                {closeLabel}
              </Button>
              {actions}
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  )
}
