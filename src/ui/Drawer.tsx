import { Dialog, Portal } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Button } from './controls'

/** A sheet that comes up from the foot of a small screen, and goes with Escape or a touch beside it. */
export function Drawer({
  title,
  onClose,
  children,
}: {
  title: string
  onClose: () => void
  children: ReactNode
}) {
  return (
    <Dialog.Root open onOpenChange={({ open }) => !open && onClose()}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner alignItems="flex-end" p="0">
          <Dialog.Content
            maxW="820px"
            maxH="82dvh"
            display="flex"
            flexDirection="column"
            borderBottomRadius="0"
            aria-label={title}
          >
            <Dialog.Body flex="1" overflowY="auto" minH="0" py="4">
              {children}
            </Dialog.Body>
            <Dialog.Footer borderTopWidth="1px" py="2">
              <Button variant="quiet" onClick={onClose}>
                Close
              </Button>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  )
}
