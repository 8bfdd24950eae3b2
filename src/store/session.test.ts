import type { Axis } from '@/core/document/axis'
import { SCHEMA_VERSION } from '@/core/document/version.generated'
import 'fake-indexeddb/auto'
import { type Change, runEdit } from '@/core/document/edit'
import { renameJob, setDimension, setGoal } from '@/core/document/edits'
import { newId } from '@/core/document/id'
import type { Job } from '@/core/document/job'
import { addNote } from '@/core/document/logEdits'
import { newFullTest, startFullTest, takeReadings } from '@/core/sheets/fullTest/edits'
import { commitChange } from './commit'
import { deleteJob, putBack } from './jobs'
import { takeLeftovers, writeJournal } from './journal'
import { describeProblem } from './problem'
import { type Conflict, JobSession } from './session'
import { until, withSessions } from './sessionTools'

// Node clones into objects of another realm, whose constructors are not those that the tests see.
globalThis.structuredClone = value => JSON.parse(JSON.stringify(value))

const { now, open, keep } = withSessions()
const X = () => now.job.axes[0] as Axis
const here = (session: Awaited<ReturnType<typeof open>>) => session.getState().job?.axes[0] as Axis
const lastId = (session: Awaited<ReturnType<typeof open>>) => here(session).fullTests.at(-1)?.id ?? ''
const stored = async () => (await now.db.jobs.get(now.job.id))?.job.axes[0]?.goals

describe('typing', () => {
  test('shows at once, is saved when it rests, and is one line of the history', async () => {
    const session = await open()
    for (const value of [9, 95, 950]) session.edit(setGoal(X(), 'cuttingForceN', value, 'visit-1'))
    expect(session.getState().job?.axes[0]?.goals.cuttingForceN).toBe(950)
    expect(session.isTyping).toBe(true)
    expect((await stored())?.cuttingForceN).toBe(850)
    await until(async () => (await stored())?.cuttingForceN === 950)
    expect(await now.db.history.count()).toBe(1)
  })

  test('an edit that is no typing takes what was typed before it along, in order', async () => {
    const session = await open()
    session.edit(setGoal(X(), 'cuttingForceN', 950, 'visit-1'))
    session.edit(renameJob('Shed mill'))
    expect(session.isTyping).toBe(false)
    await until(async () => (await now.db.history.count()) === 2)
    const labels = (await now.db.history.toArray()).map(({ label }) => label)
    expect(labels).toEqual(['Cutting force along the axis, axis X', 'Name of the job'])
  })

  test('readings that follow each other wait like typing, and each is a line of the history that is taken back by itself', async () => {
    const session = await open()
    const at = '2026-11-27T10:00:00.000Z'
    session.edit(
      startFullTest(
        X(),
        newFullTest(undefined, [5, 100], { label: 'Test', startedAt: at, gaugeStepUm: 1 }, newId),
      ),
    )
    expect(session.isReading).toBe(false)
    for (const um of [5, 6]) session.edit(takeReadings(here(session), lastId(session), [um]))
    expect(session.isReading).toBe(true)
    await until(async () => (await now.db.history.count()) === 3)
    const saved = async () =>
      (await now.db.jobs.get(now.job.id))?.job.axes[0]?.fullTests.at(-1)?.targets.map(one => one.positiveUm)
    expect(await saved()).toEqual([[5], [6]])
    await session.undo()
    await until(async () => JSON.stringify(await saved()) === '[[5],[]]')
    // A column that is pasted is one change, and nothing follows it at once.
    session.edit(takeReadings(here(session), lastId(session), [7, 8]))
    expect(session.isReading).toBe(false)
  })

  test('an edit that changes nothing is not saved', async () => {
    const session = await open()
    session.edit(setGoal(X(), 'cuttingForceN', 850))
    expect(session.getState().saving).toBe(false)
    expect(await now.db.history.count()).toBe(0)
  })
})

test('an edit shows at once, is saved in order, and comes to another tab', async () => {
  const here = await open()
  const there = await open()
  for (const value of [7, 70, 700]) here.edit(setGoal(X(), 'cuttingForceN', value, 'k'))
  expect(here.getState().job?.axes[0]?.goals.cuttingForceN).toBe(700)
  await until(() => !here.getState().saving)
  await until(() => there.getState().job?.axes[0]?.goals.cuttingForceN === 700)
  await there.undo()
  await until(() => here.getState().job?.axes[0]?.goals.cuttingForceN === 850)
})

test('a full disk is told, nothing on the screen is lost, and saving again works', async () => {
  const session = await open()
  const put = jest.spyOn(now.db.jobs, 'put').mockRejectedValue(new DOMException('full', 'QuotaExceededError'))
  session.edit(setGoal(X(), 'cuttingForceN', 700))
  session.edit(setGoal(X(), 'wantedLifeHours', 9000))
  await until(() => session.getState().problem !== null)
  expect(session.getState().problem?.title).toBe('The disk space for this browser is full')
  const edited = { cuttingForceN: 700, wantedLifeHours: 9000 }
  expect(session.getState().job?.axes[0]?.goals).toMatchObject(edited)
  put.mockRestore()
  session.retry()
  await until(() => session.getState().problem === null)
  expect(await stored()).toMatchObject(edited)
})

describe('while nothing can be saved', () => {
  const full = () =>
    jest.spyOn(now.db.jobs, 'put').mockRejectedValue(new DOMException('full', 'QuotaExceededError'))

  test('undo takes back nothing and hides nothing: what is not saved stays told until it is', async () => {
    const session = await open()
    session.edit(setGoal(X(), 'cuttingForceN', 600))
    await until(async () => (await stored())?.cuttingForceN === 600)
    const put = full()
    session.edit(setGoal(here(session), 'cuttingForceN', 700))
    await until(() => session.getState().problem !== null)
    await session.undo()
    await session.redo()
    expect(session.getState()).toMatchObject({
      saving: true,
      problem: { title: 'The disk space for this browser is full' },
      notUndone: { title: 'What was typed last is not saved yet' },
    })
    expect(here(session).goals.cuttingForceN).toBe(700)
    expect(Object.values(localStorage).join()).toContain('700')
    put.mockRestore()
    session.closeNotUndone()
    session.retry()
    await until(() => session.getState().problem === null)
    await session.undo()
    await until(() => here(session).goals.cuttingForceN === 600)
    expect(session.getState().notUndone).toBeNull()
  })

  test('all of it is saved by itself when there is room again', async () => {
    const session = await open()
    const put = full()
    for (const value of [700, 710]) session.edit(setGoal(here(session), 'cuttingForceN', value))
    await until(() => session.getState().problem !== null)
    put.mockRestore()
    await until(() => session.getState().problem === null)
    expect((await stored())?.cuttingForceN).toBe(710)
    expect(Object.keys(localStorage)).toEqual([])
  })
})

test('a job that is not here is said to be missing', async () => {
  const session = new JobSession(now.db, 'nowhere')
  keep(session)
  await until(() => session.getState().status === 'missing')
})

describe('the journal', () => {
  const change = (value: number) => ({
    ...runEdit(now.job, setGoal(X(), 'cuttingForceN', value), {
      id: newId(),
      at: '2026-11-25T08:00:00.000Z',
    }),
  })

  test('what a closed tab left behind is saved by the next one, once', async () => {
    const left = change(777)
    localStorage.setItem(
      'dusk-journal:closed-tab',
      JSON.stringify([{ change: left.change, entries: [], version: SCHEMA_VERSION }]),
    )
    const session = await open()
    expect(session.getState().job?.axes[0]?.goals.cuttingForceN).toBe(777)
    await until(async () => (await stored())?.cuttingForceN === 777)
    await until(() => Object.keys(localStorage).length === 0)
    expect(await takeLeftovers(now.job.id)).toEqual([])
  })

  test('what is waiting is written down, and taken out when it is saved', async () => {
    const session = await open()
    session.edit(setGoal(X(), 'cuttingForceN', 640, 'visit-1'))
    await until(() => Object.keys(localStorage).length === 1)
    expect(Object.values(localStorage).join()).toContain('640')
    await until(async () => (await stored())?.cuttingForceN === 640)
    await until(() => Object.keys(localStorage).length === 0)
  })

  test('a journal that cannot be read, or written, stops nothing', async () => {
    localStorage.setItem('dusk-journal:broken', '{not json')
    expect(await takeLeftovers(now.job.id)).toEqual([])
    Object.assign(globalThis, {
      localStorage: {
        setItem: () => {
          throw new DOMException('full', 'QuotaExceededError')
        },
      },
    })
    expect(() =>
      writeJournal(now.job.id, [{ change: change(1).change, ids: [], entries: [], version: SCHEMA_VERSION }]),
    ).not.toThrow()
  })
})

describe('two tabs', () => {
  /** Saves a change as another tab would that has seen the job as it is here. */
  const elsewhere = async (value: number) => {
    const { change, entry } = runEdit(now.job, setGoal(X(), 'cuttingForceN', value), {
      id: newId(),
      at: new Date().toISOString(),
    })
    await commitChange(now.db, change, entry ? [entry] : [])
  }

  test('the later edit of one field does not win in silence: it is shown, and the builder decides', async () => {
    const session = await open()
    // Both type at once: neither has seen the other.
    session.edit(setGoal(X(), 'cuttingForceN', 600, 'visit-1'))
    await elsewhere(700)
    await until(() => session.getState().conflicts.length > 0)
    const [conflict] = session.getState().conflicts as [Conflict]
    expect(conflict.message).toBe(
      'Another tab saved something else first: Cutting force along the axis, axis X.',
    )
    expect((await stored())?.cuttingForceN).toBe(700)
    await until(() => session.getState().job?.axes[0]?.goals.cuttingForceN === 700)
    session.insist(conflict)
    await until(async () => (await stored())?.cuttingForceN === 600)
    expect(session.getState().conflicts).toEqual([])
  })

  test('giving way keeps what the other tab saved', async () => {
    const session = await open()
    session.edit(setGoal(X(), 'cuttingForceN', 600, 'visit-1'))
    await elsewhere(700)
    await until(() => session.getState().conflicts.length > 0)
    session.giveWay(session.getState().conflicts[0] as Conflict)
    expect(session.getState().conflicts).toEqual([])
    await new Promise(done => setTimeout(done, 50))
    expect((await stored())?.cuttingForceN).toBe(700)
  })

  test('edits of different fields both stand', async () => {
    const session = await open()
    session.edit(setDimension(X(), 'movingMassKg', 71, 'measured', 'visit-1'))
    await elsewhere(700)
    await until(async () => {
      const row = await now.db.jobs.get(now.job.id)
      return row?.job.axes[0]?.dimensions.movingMassKg.value === 71
    })
    expect((await stored())?.cuttingForceN).toBe(700)
    expect(session.getState().conflicts).toEqual([])
  })

  test('a job that is deleted elsewhere is missing here, and back when it is put back', async () => {
    const session = await open()
    await deleteJob(now.db, now.job.id)
    await until(() => session.getState().status === 'missing')
    await putBack(now.db, now.job.id)
    await until(() => session.getState().status === 'ready')
  })

  test('an edit of a deleted job is not lost: it says so, and saves when the job is back', async () => {
    const session = await open()
    await now.db.jobs.update(now.job.id, { deletedAt: '2026-11-25T08:00:00.000Z' })
    session.edit(addNote(X().id, 'Ways scraped', 'note'))
    await until(() => session.getState().problem !== null)
    expect(session.getState().problem?.title).toBe('This job was deleted in another tab')
    await putBack(now.db, now.job.id)
    session.retry()
    await until(async () => (await now.db.entries.where('jobId').equals(now.job.id).count()) === 1)
    await until(() => session.getState().problem === null)
  })
})

describe('nothing is lost, and nothing comes twice', () => {
  const typed = (value: number, mergeKey = 'visit-1', from = now.job) =>
    runEdit(from, setGoal(X(), 'cuttingForceN', value, mergeKey), {
      id: `typed-${value}`,
      at: '2026-11-25T08:00:00.000Z',
    }).change
  const leave = (...changes: Change[]) =>
    localStorage.setItem(
      `dusk-journal:closed:${changes[0]?.jobId}`,
      JSON.stringify(
        changes.map(change => ({ change, ids: [change.id], entries: [], version: SCHEMA_VERSION })),
      ),
    )
  const fullDisk = () =>
    jest.spyOn(now.db.jobs, 'put').mockRejectedValue(new DOMException('full', 'QuotaExceededError'))

  test('what is left of a job that is gone stands in the way of no other', async () => {
    leave({ ...typed(777), jobId: 'long-gone' })
    const session = await open()
    session.edit(setGoal(X(), 'cuttingForceN', 640))
    await until(async () => (await stored())?.cuttingForceN === 640)
    expect(session.getState().problem).toBeNull()
    expect(Object.keys(localStorage)).toEqual(['dusk-journal:closed:long-gone'])
  })

  test('with a full disk a job opens with what was left behind on top, and keeps it until there is room', async () => {
    leave(typed(777))
    const put = fullDisk()
    const session = await open()
    expect(session.getState().job?.axes[0]?.goals.cuttingForceN).toBe(777)
    await until(() => session.getState().problem !== null)
    expect(session.getState().saving).toBe(true)
    expect(Object.values(localStorage).join()).toContain('typed-777')
    put.mockRestore()
    session.retry()
    await until(async () => (await stored())?.cuttingForceN === 777)
    await until(() => Object.keys(localStorage).length === 0)
    expect(session.getState()).toMatchObject({ saving: false, problem: null })
  })

  test('a change is known again by its id when it was joined to a later one, and when it was taken back', async () => {
    const first = typed(700)
    const row = await commitChange(now.db, first)
    await commitChange(now.db, typed(710, 'visit-1', row.job))
    expect(await now.db.history.count()).toBe(1)
    leave(first)
    const session = await open()
    await until(() => !session.getState().saving)
    expect(session.getState().conflicts).toEqual([])
    expect((await stored())?.cuttingForceN).toBe(710)

    await session.undo()
    await until(async () => (await stored())?.cuttingForceN === 850)
    leave(first)
    const again = await open()
    await until(() => !again.getState().saving)
    expect((await stored())?.cuttingForceN).toBe(850)
    expect(again.getState().conflicts).toEqual([])
  })

  test('changes that were joined while they waited are each known again', async () => {
    const session = await open()
    const ids = [7, 70, 700].map(value => session.edit(setGoal(X(), 'cuttingForceN', value, 'visit-1')))
    await until(async () => (await stored())?.cuttingForceN === 700)
    leave({ ...typed(7), id: ids[0] as string })
    const again = await open()
    await until(() => !again.getState().saving)
    expect(again.getState().conflicts).toEqual([])
    expect((await stored())?.cuttingForceN).toBe(700)
  })

  test('a tab in which one is typing shows what another saves meanwhile, at once and in what it would export', async () => {
    const session = await open()
    session.edit(setGoal(X(), 'cuttingForceN', 640, 'visit-1'))
    const { change } = runEdit(now.job, setGoal(X(), 'wantedLifeHours', 9000), { id: newId(), at: '' })
    const put = fullDisk()
    await until(() => session.getState().problem !== null)
    put.mockRestore()
    await commitChange(now.db, change)
    await until(() => session.getState().job?.axes[0]?.goals.wantedLifeHours === 9000)
    expect(session.getState().job?.axes[0]?.goals.cuttingForceN).toBe(640)
    expect((await stored())?.cuttingForceN).toBe(850)
    session.retry()
    await until(async () => (await stored())?.cuttingForceN === 640)
  })

  test('in many turns of two tabs both end with the same, which is what is stored', async () => {
    const [here, there] = [await open(), await open()]
    for (let turn = 0; turn < 40; turn++) {
      here.edit(setGoal(X(), 'cuttingForceN', 500 + turn, `visit-${turn % 3}`))
      there.edit(setGoal(X(), 'wantedLifeHours', 5000 + turn, `visit-${turn % 3}`))
      if (turn % 5 === 0) await new Promise(done => setTimeout(done, 7 * (turn % 4)))
    }
    await until(() => !here.getState().saving && !there.getState().saving)
    const goals = { cuttingForceN: 539, wantedLifeHours: 5039 }
    await until(async () => (await stored())?.wantedLifeHours === 5039)
    expect(await stored()).toMatchObject(goals)
    for (const session of [here, there]) {
      await until(() => session.getState().job?.axes[0]?.goals.wantedLifeHours === 5039)
      await until(() => session.getState().job?.axes[0]?.goals.cuttingForceN === 539)
      expect(session.getState().conflicts).toEqual([])
    }
  })

  describe('a change that lost', () => {
    const lose = async (session: JobSession, key: 'cuttingForceN' | 'wantedLifeHours', mine: number) => {
      const count = session.getState().conflicts.length
      session.edit(setGoal(X(), key, mine, `visit-${key}`))
      const row = await now.db.jobs.get(now.job.id)
      const { change } = runEdit(row?.job as Job, setGoal(X(), key, mine + 1), { id: newId(), at: '' })
      await commitChange(now.db, change)
      await until(() => session.getState().conflicts.length === count + 1)
    }

    test('stays until it is answered: over the next keys, beside another, and over a reload', async () => {
      const session = await open()
      await lose(session, 'cuttingForceN', 600)
      session.edit(renameJob('Shed mill'))
      await lose(session, 'wantedLifeHours', 9000)
      await until(() => !session.getState().saving)
      expect(session.getState().conflicts.map(({ pending }) => pending.change.label)).toEqual([
        'Cutting force along the axis, axis X',
        'Life wanted, axis X',
      ])
      // As after a reload: what this tab has in its journal, once it has written it down, is what another finds.
      await until(() => JSON.parse(Object.values(localStorage)[0] ?? '[]').length === 2)
      await new Promise(done => setTimeout(done, 100))
      const [key = '', text = ''] = Object.entries(localStorage)[0] ?? []
      localStorage.removeItem(key)
      localStorage.setItem(key.replace(/:[^:]+:/, ':closed:'), text)
      const again = await open()
      await until(() => again.getState().conflicts.length === 2)
      again.insist(again.getState().conflicts[0] as Conflict)
      await until(async () => (await stored())?.cuttingForceN === 600)
      again.giveWay(again.getState().conflicts[0] as Conflict)
      expect((await stored())?.wantedLifeHours).toBe(9001)
      await until(() => Object.keys(localStorage).length === 0)
    })

    test('keeps the line of the log that it brought, when it is put in after all', async () => {
      const session = await open()
      const { change } = runEdit(now.job, setGoal(X(), 'cuttingForceN', 610), { id: newId(), at: '' })
      // Both at once, the other one a moment before: this tab has not seen it.
      const elsewhere = commitChange(now.db, change)
      session.edit({
        ...setGoal(X(), 'cuttingForceN', 600),
        entry: { axisId: X().id, kind: 'note', text: 'Lighter cuts' },
      })
      await elsewhere
      await until(() => session.getState().conflicts.length === 1)
      expect(await now.db.entries.where('jobId').equals(now.job.id).count()).toBe(0)
      session.insist(session.getState().conflicts[0] as Conflict)
      await until(async () => (await stored())?.cuttingForceN === 600)
      expect(await now.db.entries.where('jobId').equals(now.job.id).count()).toBe(1)
      await session.undo()
      await until(async () => (await now.db.entries.toArray())[0]?.hidden === true)
    })
  })
})

describe('what went wrong is said in words, with what to do', () => {
  test.each<[string, unknown, string, RegExp]>([
    [
      'full',
      new DOMException('', 'QuotaExceededError'),
      'The disk space for this browser is full',
      /export the job now/,
    ],
    [
      'full inside an abort',
      Object.assign(new Error('aborted'), {
        name: 'AbortError',
        inner: new DOMException('', 'QuotaExceededError'),
      }),
      'The disk space for this browser is full',
      /free some space/,
    ],
    [
      'blocked',
      new DOMException('', 'SecurityError'),
      'This browser does not let the app store anything',
      /private window/,
    ],
    ['anything else', new Error('odd'), 'Saving failed: odd', /reload the page/],
    [
      'full inside what is no error',
      { name: 'AbortError', inner: { name: 'QuotaExceededError' } },
      'The disk space for this browser is full',
      /free some space/,
    ],
    [
      'a piece of the app missing',
      Object.assign(new Error('Failed to load chunk'), { name: 'ChunkLoadError' }),
      'A piece of the app did not come',
      /Load the page again: nothing is lost/,
    ],
    ['no error at all', 'odd', 'Saving failed: odd', /reload/],
  ])('%s', (_, error, title, advice) => {
    expect(describeProblem(error).title).toBe(title)
    expect(describeProblem(error).advice).toMatch(advice)
  })
})
