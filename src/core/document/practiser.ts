import {
  blankRow,
  choice,
  duration,
  flag,
  map,
  moment,
  momentOrNone,
  plain,
  type RowOf,
  record,
  rows,
  words,
} from '../field/field'

// Whoever practises, and how far: it is of no job, and is kept beside them.

const LONGEST_MIN = 10_000
const HIGHEST_SEED = 2 ** 31

/** What somebody has made of a lesson. */
const LESSON_FIELDS = {
  tries: plain('Tries', [0, 100_000], { whole: true, blank: 0 }),
  /** When it was first done with nothing missed. */
  passedAt: momentOrNone('Done'),
  /** The quickest of those, in minutes of the machine. */
  leastMinutes: duration('Least time', [0, LONGEST_MIN], { orNone: true }),
} as const
/** One search for a hidden fault. */
const SEARCH_FIELDS = {
  seed: plain('Exercise', [0, HIGHEST_SEED], { whole: true }),
  at: moment('When'),
  wasRight: flag('Found'),
  minutes: duration('Time taken', [0, LONGEST_MIN]),
  bestMinutes: duration('Best time', [0, LONGEST_MIN]),
} as const
/** So many searches are kept, the last ones. */
export const MOST_SEARCHES = 200

export const PRACTISERS = rows(
  'Who practises',
  {
    name: words('Name', 60, 'Builder'),
    units: choice('Units', ['mm', 'inch']),
    lessons: map('Lessons', record('Lesson', LESSON_FIELDS), /^[a-z-]{1,40}$/),
    searches: rows('Search', SEARCH_FIELDS, { most: MOST_SEARCHES }),
  },
  { most: 50 },
)
export type Practiser = RowOf<typeof PRACTISERS>
export type LessonDone = Practiser['lessons'][string]
export type SearchDone = Practiser['searches'][number]

/** Somebody who has not begun. */
export const newPractiser = (id: string, name: string, units: Practiser['units']): Practiser =>
  blankRow<Practiser>(PRACTISERS, id, { name, units })

const least = (a: number | null, b: number | null) => (a === null ? b : b === null ? a : Math.min(a, b))
const earlier = (a: string | null, b: string | null) => (a === null ? b : b === null || a < b ? a : b)

/** A lesson that was tried once more. @param passed when nothing was missed, and the minutes it took; null where something was */
export function triedOnce(
  before: LessonDone | undefined,
  passed: { at: string; minutes: number } | null,
): LessonDone {
  const { tries, passedAt, leastMinutes } = before ?? { tries: 0, passedAt: null, leastMinutes: null }
  return {
    tries: tries + 1,
    passedAt: earlier(passedAt, passed?.at ?? null),
    leastMinutes: least(leastMinutes, passed?.minutes ?? null),
  }
}

/** The same person from two places, such as a backup and this browser: nothing that was done is lost, nothing counts twice. */
export function joinPractisers(here: Practiser, there: Practiser): Practiser {
  const lessons = { ...here.lessons }
  for (const [id, done] of Object.entries(there.lessons)) {
    const own = lessons[id]
    lessons[id] = own
      ? {
          tries: Math.max(own.tries, done.tries),
          passedAt: earlier(own.passedAt, done.passedAt),
          leastMinutes: least(own.leastMinutes, done.leastMinutes),
        }
      : done
  }
  const known = new Set(here.searches.map(({ id }) => id))
  const searches = [...here.searches, ...there.searches.filter(({ id }) => !known.has(id))]
    .toSorted((a, b) => a.at.localeCompare(b.at))
    .slice(-MOST_SEARCHES)
  return { ...here, lessons, searches }
}
