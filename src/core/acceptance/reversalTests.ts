import type { Axis } from '../document/axis'
import { counted } from '../sheets/fullTest/counted'
import { reversalsOf, type Tested } from '../sheets/shared/proofs/compare'

/** A test that has reversals in it: a reversal test, or a full one. */
export interface ReversalTested extends Tested {
  id: string
  label: string
  startedAt: string
}

/** Every test of an axis that has reversals in it, oldest first. */
export const reversalTests = ({ tests, fullTests }: Pick<Axis, 'tests' | 'fullTests'>): ReversalTested[] =>
  [
    ...tests,
    ...fullTests.map(test => ({
      id: test.id,
      label: test.label,
      startedAt: test.startedAt,
      ...reversalsOf(counted(test)),
    })),
  ].toSorted((a, b) => a.startedAt.localeCompare(b.startedAt))
