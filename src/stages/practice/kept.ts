import type { Answers } from '@/core/practice/trainer/lesson'
import type { Act } from '@/core/practice/trainer/trainingBench'

// The exercise in hand, so that a tab that is closed loses nothing of it. What was done in the end is in the database.

export interface Kept {
  readonly of: string
  readonly acts: readonly Act[]
  readonly answers: Answers
}
const KEY = 'dusk-practice'

/** What was done of an exercise before; null where that is nothing, or another one. */
export function keptOf(of: string): Kept | null {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Kept | null
    return kept?.of === of && Array.isArray(kept.acts) ? kept : null
  } catch {
    return null
  }
}

/** A browser that keeps nothing is practised in all the same. */
export function keep(kept: Kept): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(kept))
  } catch {}
}
