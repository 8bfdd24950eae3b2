import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { newId } from '@/core/document/id'
import {
  joinPractisers,
  MOST_SEARCHES,
  newPractiser,
  type Practiser,
  triedOnce,
} from '@/core/document/practiser'
import { readFileOfJobs } from '@/core/formats/backupFile'
import { DuskDatabase } from './database'
import { restoreJobs } from './jobs'
import { backUp } from './keeping'
import {
  addPractiser,
  forgetPractiser,
  noteLesson,
  noteSearch,
  practisersOf,
  setPractiserUnits,
} from './practisers'

const AT = '2026-12-01T12:00:00.000Z'
const LATER = '2026-12-02T12:00:00.000Z'
let db: DuskDatabase
beforeEach(() => {
  db = new DuskDatabase(`practisers-${newId()}`)
})
afterEach(() => db.delete())

test('tries are counted, the first time is kept, and of the minutes the least', async () => {
  await addPractiser(db, 'a', 'Ines', 'mm')
  await noteLesson(db, 'a', 'gib', null)
  await noteLesson(db, 'a', 'gib', { at: AT, minutes: 12 })
  await noteLesson(db, 'a', 'gib', { at: LATER, minutes: 15 })
  await noteLesson(db, 'a', 'gib', null)
  const [ines] = await practisersOf(db)
  expect(ines?.lessons.gib).toEqual({ tries: 4, passedAt: AT, leastMinutes: 12 })
})

test('two tabs that put something down at once both find it there', async () => {
  await addPractiser(db, 'a', 'Ines', 'mm')
  const other = new DuskDatabase(db.name)
  await Promise.all([
    ...Array.from({ length: 10 }, () => noteLesson(db, 'a', 'line', null)),
    ...Array.from({ length: 10 }, () => noteLesson(other, 'a', 'line', null)),
    setPractiserUnits(other, 'a', 'inch'),
  ])
  other.close()
  const [ines] = await practisersOf(db)
  expect([ines?.lessons.line?.tries, ines?.units]).toEqual([20, 'inch'])
})

test('who is forgotten is gone, and what is noted of nobody is nothing', async () => {
  await addPractiser(db, 'a', 'Ines', 'mm')
  await addPractiser(db, 'b', 'Anders', 'mm')
  await forgetPractiser(db, 'a')
  await noteLesson(db, 'a', 'gib', null)
  expect((await practisersOf(db)).map(({ name }) => name)).toEqual(['Anders'])
})

test('of the searches the last are kept', async () => {
  await addPractiser(db, 'a', 'Ines', 'mm')
  for (let seed = 0; seed < MOST_SEARCHES + 3; seed++)
    await noteSearch(db, 'a', { id: `s${seed}`, seed, at: AT, wasRight: true, minutes: 9, bestMinutes: 8 })
  const [ines] = await practisersOf(db)
  expect([ines?.searches.length, ines?.searches[0]?.seed]).toEqual([MOST_SEARCHES, 3])
})

test('a backup takes it along, and joins it to what is here', async () => {
  await addPractiser(db, 'a', 'Ines', 'mm')
  await noteLesson(db, 'a', 'gib', { at: AT, minutes: 12 })
  const backup = readFileOfJobs(await backUp(db, new Date(AT)))
  expect(backup.jobs).toEqual([])
  await noteLesson(db, 'a', 'gib', { at: LATER, minutes: 7 })
  await noteLesson(db, 'a', 'line', null)
  await restoreJobs(db, backup, 'replace')
  const [ines] = await practisersOf(db)
  expect(ines?.lessons).toEqual({
    gib: { tries: 2, passedAt: AT, leastMinutes: 7 },
    line: { tries: 1, passedAt: null, leastMinutes: null },
  })
})

test('a backup with somebody who is not as it should be is refused with the place, one without any is taken', async () => {
  await addPractiser(db, 'a', 'Ines', 'mm')
  const backup = JSON.parse(await backUp(db, new Date(AT)))
  backup.practisers[0].units = 'ell'
  expect(() => readFileOfJobs(JSON.stringify(backup))).toThrow(
    'practisers[0].units: got "ell", takes one of mm, inch',
  )
  const { practisers: _, ...old } = backup
  expect(readFileOfJobs(JSON.stringify(old)).practisers).toEqual([])
})

describe('two halves of what somebody did', () => {
  const tries = fc.array(
    fc.record({
      lesson: fc.constantFrom('gib', 'line', 'reversal'),
      passed: fc.option(
        fc.record({ at: fc.constantFrom(AT, LATER), minutes: fc.integer({ min: 1, max: 60 }) }),
      ),
    }),
  )
  const done = (all: { lesson: string; passed: { at: string; minutes: number } | null }[]): Practiser => {
    const lessons: Practiser['lessons'] = {}
    for (const { lesson, passed } of all) lessons[lesson] = triedOnce(lessons[lesson], passed)
    return { ...newPractiser('a', 'Ines', 'mm'), lessons }
  }
  test('are joined alike in either order; joined twice it is as joined once, and nothing that was passed is lost', () => {
    fc.assert(
      fc.property(tries, tries, (a, b) => {
        const [here, there] = [done(a), done(b)]
        const joined = joinPractisers(here, there)
        expect(joined.lessons).toEqual(joinPractisers(there, here).lessons)
        expect(joinPractisers(joined, there)).toEqual(joined)
        for (const { lesson, passed } of [...a, ...b])
          if (passed) {
            expect(joined.lessons[lesson]?.passedAt).not.toBeNull()
            expect(joined.lessons[lesson]?.leastMinutes).toBeLessThanOrEqual(passed.minutes)
          }
      }),
    )
  })
})
