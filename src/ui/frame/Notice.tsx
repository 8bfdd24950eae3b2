import { chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Stated } from '../Note'

/** Something that the builder must know now, with what to do about it. */
export function Notice({
  title,
  children,
  actions,
}: {
  title: string
  children?: ReactNode
  actions?: ReactNode
}) {
  return (
    <chakra.div
      role="alert"
      bg="raised"
      borderWidth="2px"
      borderColor="fails"
      borderRadius="8px"
      px="4"
      py="3"
      display="flex"
      flexWrap="wrap"
      gap="3"
      alignItems="center"
      justifyContent="space-between"
    >
      <chakra.div>
        <chakra.strong color="fails">{title}</chakra.strong>
        {children && <Stated>{children}</Stated>}
      </chakra.div>
      {actions && (
        <chakra.div display="flex" gap="2" flexWrap="wrap">
          {actions}
        </chakra.div>
      )}
    </chakra.div>
  )
}
