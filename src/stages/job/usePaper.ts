import { useState } from 'react'
import { PAPERS, type Paper, usualPaper } from '@/core/drawing/pages'
import type { UnitSystem } from '@/core/units/quantity'

const KEY = 'dusk-paper'

function remembered(): Paper | null {
  try {
    const kept = localStorage.getItem(KEY)
    return kept && kept in PAPERS ? (kept as Paper) : null
  } catch {
    return null
  }
}

/** What is in the printer: as it was chosen last in this browser, else as is usual where one measures so. */
export function usePaper(units: UnitSystem) {
  const [chosen, setChosen] = useState(remembered)
  const choose = (paper: Paper) => {
    setChosen(paper)
    try {
      localStorage.setItem(KEY, paper)
    } catch {
      // It holds all the same, for as long as this tab is open.
    }
  }
  return [chosen ?? usualPaper(units), choose] as const
}
