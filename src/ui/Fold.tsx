import { chakra } from '@chakra-ui/react'
import { type ReactNode, useState } from 'react'

interface Props {
  name: string
  /** Made only once it is asked for: what is costly to keep up to date unseen. */
  later?: boolean
  children: ReactNode
}

/** Something that is asked for by its name, and folded away until then. */
export function Fold({ name, later = false, children }: Props) {
  const [wasOpen, setWasOpen] = useState(!later)
  return (
    <chakra.details fontSize="14px" onToggle={event => event.currentTarget.open && setWasOpen(true)}>
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
      {wasOpen && children}
    </chakra.details>
  )
}
