import { chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import styles from './formula.module.css'

/** Where a formula stands. */
export const FormulaBox = ({ formula, children }: { formula: string; children: ReactNode }) => (
  <chakra.div
    bg="sunken"
    borderRadius="6px"
    px="3"
    py="2"
    my="2"
    overflowX="auto"
    className={styles.formula}
    data-formula={formula}
  >
    {children}
  </chakra.div>
)

/** One statement a line; a long one goes on at the words between its pieces. */
export function FormulaLines({ mathMl }: { mathMl: readonly (readonly string[])[] }) {
  return mathMl.map(pieces => (
    <chakra.div
      key={pieces.join(' ')}
      py="1"
      display="flex"
      flexWrap="wrap"
      alignItems="center"
      columnGap="1.5"
    >
      {pieces.map(one => (
        // biome-ignore lint/security/noDangerouslySetInnerHtml: MathML that the package makes of our own formulas
        <span key={one} dangerouslySetInnerHTML={{ __html: one }} />
      ))}
    </chakra.div>
  ))
}
