import { useLiveQuery } from 'dexie-react-hooks'
import {
  joinPractisers,
  MOST_SEARCHES,
  newPractiser,
  type Practiser,
  type SearchDone,
  triedOnce,
} from '@/core/document/practiser'
import type { UnitSystem } from '@/core/units/quantity'
import { type DuskDatabase, getDatabase } from './database'

const PREFIX = 'practiser:'
const keyOf = (id: string) => `${PREFIX}${id}`

/** Everybody who practises in this browser, by name. */
export async function practisersOf(db: Pick<DuskDatabase, 'settings'>): Promise<Practiser[]> {
  const rows = await db.settings.where('key').startsWith(PREFIX).toArray()
  return rows.map(({ value }) => value as Practiser).toSorted((a, b) => a.name.localeCompare(b.name))
}

/** Everybody who practises here; undefined until it is read, and where it cannot be. */
export const usePractisers = (): Practiser[] | undefined =>
  useLiveQuery(() => practisersOf(getDatabase()).catch(() => undefined), [])

export const addPractiser = async (
  db: DuskDatabase,
  id: string,
  name: string,
  units: UnitSystem,
): Promise<void> => {
  await db.settings.put({ key: keyOf(id), value: newPractiser(id, name, units) })
}
export const forgetPractiser = (db: DuskDatabase, id: string): Promise<void> => db.settings.delete(keyOf(id))

/** Also what another tab has put down meanwhile stays. */
const change = (db: DuskDatabase, id: string, to: (practiser: Practiser) => Practiser): Promise<void> =>
  db.transaction('rw', db.settings, async () => {
    const before = (await db.settings.get(keyOf(id)))?.value as Practiser | undefined
    if (before) await db.settings.put({ key: keyOf(id), value: to(before) })
  })

export const setPractiserUnits = (db: DuskDatabase, id: string, units: UnitSystem) =>
  change(db, id, practiser => ({ ...practiser, units }))

/** @param passed when nothing was missed, and in how many minutes of the machine; null where something was */
export const noteLesson = (
  db: DuskDatabase,
  id: string,
  lessonId: string,
  passed: { at: string; minutes: number } | null,
) =>
  change(db, id, practiser => ({
    ...practiser,
    lessons: { ...practiser.lessons, [lessonId]: triedOnce(practiser.lessons[lessonId], passed) },
  }))

export const noteSearch = (db: DuskDatabase, id: string, search: SearchDone) =>
  change(db, id, practiser => ({
    ...practiser,
    searches: [...practiser.searches, search].slice(-MOST_SEARCHES),
  }))

/** Puts in what a backup has of those who practise, joined to what is here. */
export async function putPractisers(
  db: Pick<DuskDatabase, 'settings'>,
  practisers: readonly Practiser[],
): Promise<void> {
  for (const there of practisers) {
    const here = (await db.settings.get(keyOf(there.id)))?.value as Practiser | undefined
    await db.settings.put({ key: keyOf(there.id), value: here ? joinPractisers(here, there) : there })
  }
}
