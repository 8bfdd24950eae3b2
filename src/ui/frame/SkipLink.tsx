import { chakra } from '@chakra-ui/react'

/** The first stop of the Tab key: past stages, axes and drive line to the sheet itself. */
export function SkipLink() {
  return (
    <chakra.a
      data-frame
      href="#sheet"
      position="fixed"
      top="2"
      left="2"
      zIndex="modal"
      px="4"
      minH="44px"
      display="inline-flex"
      alignItems="center"
      bg="lampFill"
      color="onLamp"
      fontWeight={700}
      borderRadius="6px"
      transform="translateY(-80px)"
      _focusVisible={{ transform: 'none' }}
    >
      Skip to the sheet
    </chakra.a>
  )
}
