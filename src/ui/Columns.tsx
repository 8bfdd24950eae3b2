import { chakra, type HTMLChakraProps } from '@chakra-ui/react'

/** Fields abreast, as many as there is room for; a long choice is cut, not the page widened. */
export const Columns = ({ leastPx = 164, ...rest }: HTMLChakraProps<'div'> & { leastPx?: number }) => (
  <chakra.div
    display="grid"
    gap="3"
    alignItems="start"
    gridTemplateColumns={`repeat(auto-fill, minmax(${leastPx}px, 1fr))`}
    css={{ '& > *': { minWidth: 0 } }}
    {...rest}
  />
)
