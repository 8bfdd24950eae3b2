import { chakra } from '@chakra-ui/react'

/** A bench lamp and its cone of light, with the name; leads to the list of jobs. */
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
      <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true">
        <path d="M8 12L2 24h18l-6-12z" fill="var(--dusk-colors-lamp-fill)" opacity="0.35" />
        <path d="M22 24V10L13 4" fill="none" stroke="var(--dusk-colors-steel)" strokeWidth="2.4" />
        <path d="M6 12.5L10 4l7 4-3 5z" fill="var(--dusk-colors-lamp-fill)" />
        <path d="M1 24.5h24" stroke="var(--dusk-colors-steel)" strokeWidth="2" />
      </svg>
      Dusk Bench
    </chakra.a>
  )
}
