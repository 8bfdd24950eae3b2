import { chakra } from '@chakra-ui/react'
import { SchemeButton } from './Header'
import { Wordmark } from './Wordmark'

/** The head of a page that is of no one job. */
export function PageHead() {
  return (
    <chakra.header data-frame display="flex" alignItems="center" justifyContent="space-between" py="3">
      <Wordmark />
      <SchemeButton />
    </chakra.header>
  )
}
