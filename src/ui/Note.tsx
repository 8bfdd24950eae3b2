import { chakra } from '@chakra-ui/react'

/** What stands beside a figure or a field, to be read once: small. */
export const Stated = chakra('p', { base: { fontSize: '14px' } })

/** The same where it may be passed over: small and quiet. */
export const Note = chakra('p', { base: { fontSize: '14px', color: 'quiet' } })
