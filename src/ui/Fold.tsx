import { chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'

/** Something that is asked for by its name, and folded away until then. */
export function Fold({ name, children }: { name: string; children: ReactNode }) {
  return (
    <chakra.details fontSize="14px">
      <chakra.summary
        cursor="pointer"
        color="lamp"
        fontWeight={700}
        minH={{ base: '44px', xl: '32px' }}
        display="flex"
        alignItems="center"
      >
        {name}
      </chakra.summary>
      {children}
    </chakra.details>
  )
}
