import { PAPERS, type Paper, usualPaper } from '@/core/drawing/pages'
import type { UnitSystem } from '@/core/units/quantity'
import { useKept } from './useKept'

const paperIn = (kept: unknown): Paper | null =>
  typeof kept === 'string' && Object.hasOwn(PAPERS, kept) ? (kept as Paper) : null

/** What is in the printer: as it was chosen last in this browser, else as is usual where one measures so. */
export function usePaper(units: UnitSystem) {
  const [chosen, choose] = useKept<Paper | null>('dusk-paper', paperIn)
  return [chosen ?? usualPaper(units), choose] as const
}
