import type { Answers, Exercise, Lesson } from '@/core/practice/trainer/lesson'
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

/** What was kept of an exercise, as far as this version of the app can go on from it. */
export function usable(
  kept: Kept | null,
  lesson: Lesson,
  exercise: Exercise,
): Pick<Kept, 'acts' | 'answers'> {
  const fits = ([key, value]: [string, unknown]) => {
    const field = lesson.answers[key]
    if (!field) return false
    return field.is === 'number' ? Number.isFinite(value) : field.of.some(one => one === value)
  }
  try {
    const acts = kept?.acts ?? []
    exercise.bench(acts)
    return { acts, answers: Object.fromEntries(Object.entries(kept?.answers ?? {}).filter(fits)) }
  } catch {
    return { acts: [], answers: {} }
  }
}
