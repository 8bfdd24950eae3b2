import { saySold } from '../units/print'
import type { UnitSystem } from '../units/quantity'
import { line, type Mark, words } from './drawing'

const INCH_MM = 25.4

/** The bar by which a print is checked, with its ticks: a rule laid on it must read this. */
export const CHECK_BAR: Record<UnitSystem, { lengthMm: number; tickMm: number; longEvery: number }> = {
  mm: { lengthMm: 100, tickMm: 10, longEvery: 5 },
  inch: { lengthMm: 4 * INCH_MM, tickMm: INCH_MM / 4, longEvery: 4 },
}

/** The bar with its ticks above it and what it is for below, from its left end; 4 mm up and 5 mm down. */
export function checkBar(x: number, y: number, units: UnitSystem): Mark[] {
  const { lengthMm, tickMm, longEvery } = CHECK_BAR[units]
  const ticks = Array.from({ length: Math.round(lengthMm / tickMm) + 1 }, (_, index) =>
    line('words', x + tickMm * index, y, x + tickMm * index, y + (index % longEvery === 0 ? 4 : 2.5)),
  )
  return [
    line('words', x, y, x + lengthMm, y),
    ...ticks,
    words(
      x,
      y - 4.5,
      `This bar is ${saySold(lengthMm, units)}: lay a rule on it before you punch. Print at 100 %.`,
      2.6,
    ),
  ]
}
