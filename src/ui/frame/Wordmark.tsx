import { chakra } from '@chakra-ui/react'
import { Lamp } from './Lamp'

/** The lamp with the name; leads to the list of jobs. */
export function Wordmark() {
  return (
    <chakra.a
      href="/"
      aria-label="Dusk Bench, all jobs"
      display="inline-flex"
      alignItems="center"
      gap="2"
      minH="44px"
      color="ink"
      textDecoration="none"
      fontWeight={700}
      fontSize="16px"
      pr="2"
    >
      <Lamp lamp="var(--dusk-colors-lamp-fill)" steel="var(--dusk-colors-steel)" />
      Dusk Bench
    </chakra.a>
  )
}
