import { Toaster as ChakraToaster, chakra, createToaster, Portal, Stack, Toast } from '@chakra-ui/react'
import { X } from 'lucide-react'
import { Button } from './controls'

/** Short words that come and go, with what can be done about them; read out as they come. */
// Beside the sheet and above the bar at the foot, so that they lie over nothing that is worked on.
export const toaster = createToaster({
  placement: 'bottom-end',
  offsets: { top: '16px', left: '16px', right: '12px', bottom: '64px' },
  pauseOnPageIdle: true,
  max: 3,
})

/** How long words stay that something can be done about. */
export const ACTION_MS = 20_000

/** Where the toaster's words stand: one place for the whole app. */
export const Toaster = () => (
  <Portal>
    <ChakraToaster toaster={toaster} insetInline={{ mdDown: '4' }}>
      {toast => (
        <Toast.Root
          display="flex"
          flexWrap="wrap"
          alignItems="center"
          gap="2"
          py="1.5"
          ps="4"
          pe="1"
          bg="raised"
          color="ink"
          borderWidth="1px"
          borderInlineStartWidth="5px"
          borderColor={toast.type === 'warning' ? 'close' : 'lamp'}
          borderRadius="8px"
          width={{ base: 'full', md: '380px', xl: '284px' }}
          boxShadow="lg"
        >
          <Stack gap="1" flex="1 1 180px" py="1.5">
            {toast.title && (
              <Toast.Title fontSize="15px" fontWeight={700}>
                {toast.title}
              </Toast.Title>
            )}
            {toast.description && <Toast.Description fontSize="15px">{toast.description}</Toast.Description>}
          </Stack>
          <chakra.div display="flex">
            {toast.action && (
              <Toast.ActionTrigger asChild>
                <Button variant="quiet">{toast.action.label}</Button>
              </Toast.ActionTrigger>
            )}
            <Toast.CloseTrigger asChild>
              <Button variant="quiet" aria-label="Close">
                <X size={18} aria-hidden />
              </Button>
            </Toast.CloseTrigger>
          </chakra.div>
        </Toast.Root>
      )}
    </ChakraToaster>
  </Portal>
)
