import { useSearchParams } from 'next/navigation'

/** What is practised: a lesson by its id, the search for a hidden fault, or nothing yet. */
export const FIND_IT = 'find-it'
export interface PracticePlace {
  readonly lesson: string | null
  /** Which machine; null where none was asked for. */
  readonly seed: number | null
}

const HIGHEST_SEED = 99_999

export const addressOfPractice = (lesson: string | null, seed?: number): string =>
  lesson === null ? '/practice' : `/practice?lesson=${lesson}${seed === undefined ? '' : `&seed=${seed}`}`

/** Where one is, by the address. */
export function usePracticePlace(): PracticePlace {
  const params = useSearchParams()
  const seed = Number(params.get('seed') ?? Number.NaN)
  return {
    lesson: params.get('lesson'),
    seed: Number.isInteger(seed) && seed >= 0 && seed <= HIGHEST_SEED ? seed : null,
  }
}

/** Goes on within the page; the address tells which machine it is, so that it can be handed on. */
export function goPractise(lesson: string | null, seed?: number, instead = false): void {
  window.history[instead ? 'replaceState' : 'pushState'](null, '', addressOfPractice(lesson, seed))
}

/** A machine that nobody asked for by its number. */
export const anySeed = (): number => 1 + Math.floor(Math.random() * HIGHEST_SEED)
