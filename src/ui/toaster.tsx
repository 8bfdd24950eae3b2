import { Toaster as ChakraToaster, createToaster, Portal, Stack, Toast } from '@chakra-ui/react'

/** Short words that come and go, with what can be done about them; read out as they come. */
export const toaster = createToaster({ placement: 'bottom-end', pauseOnPageIdle: true, max: 3 })

/** How long words stay that something can be done about. */
export const ACTION_MS = 20_000

/** Where the toaster's words stand: one place for the whole app. */
export const Toaster = () => (
  <Portal>
    <ChakraToaster toaster={toaster} insetInline={{ mdDown: '4' }}>
      {toast => (
        <Toast.Root
          bg="raised"
          color="ink"
          borderWidth="1px"
          borderColor="edge"
          width={{ md: 'sm' }}
          boxShadow="lg"
        >
          <Stack gap="1" flex="1" maxWidth="100%">
            {toast.title && <Toast.Title fontSize="15px">{toast.title}</Toast.Title>}
            {toast.description && <Toast.Description color="ink">{toast.description}</Toast.Description>}
          </Stack>
          {toast.action && (
            <Toast.ActionTrigger minH="44px" color="lamp" fontWeight={700}>
              {toast.action.label}
            </Toast.ActionTrigger>
          )}
          <Toast.CloseTrigger minH="44px" minW="32px" color="quiet" aria-label="Close" />
        </Toast.Root>
      )}
    </ChakraToaster>
  </Portal>
)
