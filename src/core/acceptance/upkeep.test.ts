import fc from 'fast-check'
import { runs } from '../calculation/fixtures/runs'
import { skarrow } from '../demo/skarrow'
import { acceptMachine, setAcceptance } from '../document/acceptanceEdits'
import type { Axis } from '../document/axis'
import { type Edit, runEdit } from '../document/edit'
import { NO_TERMS } from '../document/fixes'
import type { Job } from '../document/job'
import { addNote, correctLine, mendFix } from '../document/logEdits'
import type { UpkeepTask } from '../document/upkeep'
import { addUpkeep, doneUpkeep, readHours } from '../document/upkeepEdits'
import { writeCalendar } from '../formats/calendarFile'
import { catalogueOf } from '../machine/parts'
import { dayAfter, daysBetween } from '../planning/days'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { jobSchema } from '../sheets/schema'
import { sisterJob } from '../sheets/sisterJob'
import { acceptanceOf } from './acceptanceOf'
import { askedOn } from './asked'
import { dueEntries, duesOfJob, taskDay } from './dues'
import { dayOfRun, hoursOn, readingProblems, weeklyHours } from './runHours'
import { upkeepPlan } from './upkeepPlan'
import { usualUpkeep } from './usualUpkeep'

const { job: demo, entries } = skarrow()
const edited = (job: Job, ...edits: Edit[]): Job =>
  edits.reduce(
    (now, edit, index) => runEdit(now, edit, { id: `c${index}`, at: '2026-12-01T10:00:00.000Z' }).job,
    job,
  )
const read = (job: Job, ...readings: [day: string, hours: number][]): Job =>
  edited(job, ...readings.map(([day, hours]) => readHours(day, hours)))
const accepted = edited(demo, acceptMachine('2026-12-01', 'Accepted.'))
const task = (given: Partial<UpkeepTask>): UpkeepTask => ({
  id: 'task',
  kind: 'belt',
  axisId: null,
  what: 'Belt',
  everyDays: null,
  everyHours: null,
  doneDay: null,
  doneHours: null,
  ...given,
})

describe('how much a machine has run', () => {
  test('by two readings two weeks apart, else by what was said, else nobody knows', () => {
    expect(weeklyHours(demo)).toBeNull()
    const said = edited(demo, setAcceptance('hoursAWeek', 5))
    expect(weeklyHours(said)).toEqual({ hours: 5, from: 'said' })
    expect(weeklyHours(read(said, ['2026-11-01', 100], ['2026-11-10', 190]))).toEqual({
      hours: 5,
      from: 'said',
    })
    expect(weeklyHours(read(said, ['2026-11-01', 100], ['2026-11-29', 124]))).toEqual({
      hours: 6,
      from: 'read',
    })
    // The latest weeks count, not the whole life.
    expect(
      weeklyHours(read(said, ['2026-01-04', 0], ['2026-11-01', 100], ['2026-11-29', 124]))?.hours,
    ).toBeCloseTo(6, 12)
  })

  test('between readings in proportion, beyond them by its week, from the acceptance where it has no counter', () => {
    const counted = read(demo, ['2026-11-01', 100], ['2026-11-29', 124])
    expect(hoursOn(counted, '2026-11-15')).toBeCloseTo(112, 12)
    expect(hoursOn(counted, '2026-12-06')).toBeCloseTo(130, 12)
    expect(hoursOn(counted, '2026-10-25')).toBeCloseTo(94, 12)
    expect(hoursOn(demo, '2026-12-06')).toBeNull()
    expect(hoursOn(accepted, '2026-12-01')).toBe(0)
    expect(hoursOn(accepted, '2026-12-15')).toBeNull()
    const said = edited(accepted, setAcceptance('hoursAWeek', 5))
    expect(hoursOn(said, '2026-12-15')).toBe(10)
    expect(dayOfRun(said, 10)).toBe('2026-12-15')
    // A week of nothing never comes to anything.
    expect(dayOfRun(read(demo, ['2026-11-01', 100], ['2026-11-29', 100]), 150)).toBeNull()
  })

  test('a counter that shows less than before does not count, and which one it is is said', () => {
    const wrong = read(demo, ['2026-11-01', 100], ['2026-11-15', 12], ['2026-11-29', 124])
    expect(readingProblems(wrong)).toEqual([
      {
        rowId: wrong.upkeep.readings[1]?.id,
        text: 'got 12 h, takes 100 h or more, as was read on 2026-11-01',
      },
    ])
    expect(hoursOn(wrong, '2026-11-15')).toBeCloseTo(112, 12)
  })

  test('the day of some hours is the first on which it has run so much', () => {
    const reading = fc.tuple(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 3000 }))
    fc.assert(
      fc.property(
        fc.array(reading, { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 1, max: 168 }),
        fc.integer({ min: 0, max: 4000 }),
        (marks, week, target) => {
          const job = read(
            edited(demo, setAcceptance('hoursAWeek', week)),
            ...marks.map(([days, hours]): [string, number] => [dayAfter('2026-01-01', days), hours]),
          )
          const day = dayOfRun(job, target)
          if (day === null) return
          const first = [...job.upkeep.readings].toSorted((a, b) => a.day.localeCompare(b.day))[0]
          expect(hoursOn(job, day) as number).toBeGreaterThanOrEqual(target - 1e-6)
          if (first && daysBetween(first.day, day) > 0)
            expect(hoursOn(job, dayAfter(day, -1)) as number).toBeLessThan(target + 1e-6)
        },
      ),
      { numRuns: runs(500, 100) },
    )
  })
})

describe('when something is done next', () => {
  const runsFive = edited(accepted, setAcceptance('hoursAWeek', 5))
  test('by days or by hours, whichever comes first, from the acceptance or the last time', () => {
    expect(taskDay(runsFive, task({ everyDays: 182 })).day).toBe('2027-06-01')
    expect(taskDay(runsFive, task({ everyHours: 50 })).day).toBe('2027-02-09')
    expect(taskDay(runsFive, task({ everyDays: 182, everyHours: 50 }))).toEqual({
      day: '2027-02-09',
      because: '50 hours of running after the acceptance',
    })
    expect(taskDay(runsFive, task({ everyDays: 30, everyHours: 50 })).day).toBe('2026-12-31')
    // What it had run by then is kept; where it is not, it is reckoned.
    const done = task({ everyHours: 50, doneDay: '2027-02-09' })
    expect(taskDay(runsFive, done).day).toBe('2027-04-20')
    expect(taskDay(runsFive, { ...done, doneHours: 60 }).day).toBe('2027-05-04')
  })

  test('is not made up: without an acceptance, an interval or hours there is no day, and why is said', () => {
    expect(taskDay(demo, task({ everyDays: 30 }))).toMatchObject({ day: null })
    expect(taskDay(demo, task({ everyDays: 30 })).because).toContain('counts from the acceptance')
    expect(taskDay(runsFive, task({})).because).toContain('say after how many days')
    const silent = taskDay(accepted, task({ everyHours: 50 }))
    expect(silent).toEqual({ day: null, because: 'by hours as well, once somebody says how much it runs' })
    expect(taskDay(accepted, task({ everyHours: 50, everyDays: 30 }))).toEqual({
      day: '2026-12-31',
      because: '30 days after the acceptance; by hours as well, once somebody says how much it runs',
    })
    expect(
      taskDay(read(accepted, ['2026-11-01', 100], ['2026-11-29', 100]), task({ everyHours: 5 })),
    ).toEqual({
      day: null,
      because: 'it does not run at present',
    })
  })

  test('done stands in the log; a gib set anew makes the tests before it old, one found good does not', () => {
    const job = edited(runsFive, addUpkeep(usualUpkeep(demo)))
    const gib = job.upkeep.tasks.find(({ kind, axisId }) => kind === 'gib' && axisId === 'skarrow-x')
    if (!gib) throw new Error('a mill has gibs')
    const stamp = { id: 'd', at: '2027-01-05T10:00:00.000Z' }
    const good = runEdit(job, doneUpkeep(gib, '2027-01-05', { hours: 25, isSetAnew: false }), stamp)
    expect(good.entry).toMatchObject({
      kind: 'upkeep',
      axisId: 'skarrow-x',
      text: expect.stringMatching(/^Upkeep: Gib: .*, found good, at 25 h\.$/),
    })
    expect(good.job.axes[0]?.touched).toEqual(job.axes[0]?.touched)
    expect(good.job.upkeep.tasks.find(({ id }) => id === gib.id)).toMatchObject({
      doneDay: '2027-01-05',
      doneHours: 25,
    })
    const anew = runEdit(job, doneUpkeep(gib, '2027-01-05', { hours: 25, isSetAnew: true }), stamp)
    expect(anew.job.axes[0]?.touched?.at).toBe(stamp.at)
    expect(jobSchema.isValidSync(anew.job, { strict: true })).toBe(true)
  })

  test('what is usual fits the machine, is put in once, and goes to the next machine undone', () => {
    const once = edited(demo, addUpkeep(usualUpkeep(demo)))
    expect(edited(once, addUpkeep(usualUpkeep(demo))).upkeep).toEqual(once.upkeep)
    const belts = once.upkeep.tasks.filter(({ kind }) => kind === 'belt').map(({ axisId }) => axisId)
    expect(belts).toEqual(
      demo.axes.filter(({ drive }) => drive.transmission !== 'direct').map(({ id }) => id),
    )
    expect(usualUpkeep({ ...demo, machineKind: 'router' }).some(({ kind }) => kind === 'gib')).toBe(false)
    const done = edited(
      read(once, ['2026-12-01', 40]),
      doneUpkeep(once.upkeep.tasks[0] as UpkeepTask, '2026-12-01', { hours: 40, isSetAnew: false }),
      addNote('skarrow-x', 'Guard taped on', 'fix', { ...NO_TERMS, isSafety: true }),
    )
    const next = sisterJob(done, 'The next', { choices: true, limits: true, plans: true }, '2026-12-02').job
    expect([next.fixes, next.upkeep.readings]).toEqual([{}, []])
    expect(next.upkeep.tasks.map(({ doneDay }) => doneDay)).toEqual(once.upkeep.tasks.map(() => null))
    const ids = new Set([...next.axes.map(({ id }) => id), null])
    expect(next.upkeep.tasks.every(({ axisId }) => ids.has(axisId))).toBe(true)
  })
})

describe('what a machine asks for', () => {
  const dues = (job: Job) => duesOfJob(job, catalogueOf(job))
  const X = demo.axes[0] as Axis
  const foil = { id: 'foil', untilDay: '2026-12-20', untilHours: null, isSafety: false }

  test('a fix asks on its day or by its hours; one that concerns safety always, and before all else', () => {
    const job = edited(
      accepted,
      addNote(X.id, 'Foil under the far block', 'fix', foil),
      addNote(null, 'Guard taped on', 'fix', { ...NO_TERMS, isSafety: true }),
      addNote(X.id, 'Strip under the nut', 'fix', { ...NO_TERMS, untilHours: 10 }),
      setAcceptance('hoursAWeek', 5),
    )
    const fixes = dues(job).filter(({ kind }) => kind === 'fix')
    expect(fixes.map(({ title, day, isSafety }) => [title, day, isSafety])).toEqual([
      ['mend for good: Guard taped on', null, true],
      ['X: mend for good: Strip under the nut', '2026-12-15', false],
      ['X: mend for good: Foil under the far block', '2026-12-20', false],
    ])
    const words = (today: string) => askedOn(fixes, today).map(({ words: text, when }) => `${when}: ${text}`)
    expect(words('2026-12-02')).toEqual(['safety: Mend for good: Guard taped on; it concerns safety'])
    expect(words('2026-12-15')).toEqual([
      'safety: Mend for good: Guard taped on; it concerns safety',
      'now: X: mend for good: Strip under the nut; due since 15 Dec 2026',
      'soon: X: mend for good: Foil under the far block; due on 20 Dec 2026',
    ])
    // Nobody knows how much it runs: it says so, and has no day.
    const silent = edited(job, setAcceptance('hoursAWeek', null))
    expect(dues(silent).find(({ title }) => title.includes('Strip'))).toMatchObject({
      day: null,
      because: expect.stringContaining('nobody knows when'),
    })
  })

  test('greasing, proofs and upkeep stand in the calendar, each under one name', () => {
    const job = edited(
      accepted,
      setAcceptance('hoursAWeek', 5),
      addUpkeep(usualUpkeep(demo)),
      addNote(X.id, 'Foil', 'fix', foil),
    )
    const events = dueEntries(job, dues(job))
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length)
    expect(events.map(({ title, from }) => [title, from])).toEqual(
      expect.arrayContaining([
        ['Skarrow 8: X: grease it', '2026-11-21'],
        ['Skarrow 8: Proof after ten hours of running', '2026-12-15'],
        ['Skarrow 8: X: mend for good: Foil', '2026-12-20'],
        ['Skarrow 8: Reversal test, every axis', '2027-12-01'],
      ]),
    )
    expect(writeCalendar('Upkeep', events, '2026-12-01T10:00:00Z').match(/BEGIN:VEVENT/g)).toHaveLength(
      events.length,
    )
  })

  test('nothing is asked of a job that nobody has built, greased or noted a fix in', () => {
    const bare = {
      ...demo,
      axes: demo.axes.map(axis => ({ ...axis, greasings: [], tests: [], fullTests: [] })),
    }
    expect(dues(bare)).toEqual([])
  })

  test('play that grows asks for a proof before it is too much', () => {
    const [test] = X.tests
    if (!test) throw new Error('the demo has a test')
    const at = (months: number, um: number) => ({
      ...test,
      id: `t${months}`,
      startedAt: `2027-0${1 + months}-01T10:00:00.000Z`,
      stations: test.stations.slice(0, 1).map(station => ({
        ...station,
        approachPositiveUm: [um, um + 1, um, um - 1, um],
        approachNegativeUm: [0, 1, 0, -1, 0],
      })),
    })
    const wears = {
      ...demo,
      axes: [
        {
          ...X,
          touched: null,
          ticks: {},
          rounds: [],
          fullTests: [],
          lube: { ...X.lube, hoursPerWeek: 20 },
          goals: { ...X.goals, backlashTargetUm: 60 },
          tests: [at(0, 10), at(3, 22), at(6, 34)],
        },
      ],
    }
    const proof = dues(wears as Job).find(({ key }) => key === `${X.id}.play`)
    expect(proof).toMatchObject({ kind: 'proof', sheet: 'playTrend', title: 'X: prove its play again' })
    // 12 in three months: 60 is reached about half a year after the last one, and it is asked for before.
    expect(proof?.day && proof.day > '2027-07-01' && proof.day < '2028-01-15').toBe(true)
  })
})

describe('a machine with a fix that concerns safety', () => {
  const of = (job: Job, lines = entries) =>
    acceptanceOf(job, axis => evaluateAxis(axis, catalogueOf(job), job.units), lines)
  test('is not taken over until it is mended, under whatever words', () => {
    const stamp = { id: 'fix', at: '2026-12-01T10:00:00.000Z' }
    const noted = runEdit(
      demo,
      addNote(null, 'Guard taped on', 'fix', { ...NO_TERMS, isSafety: true }),
      stamp,
    )
    if (!noted.entry) throw new Error('it is noted')
    const with1 = [...entries, noted.entry]
    expect(of(noted.job, with1).blockedBy).toEqual(['Guard taped on'])
    expect(of(noted.job, with1).open).toContain('For the time being: Guard taped on (concerns safety)')
    const worded = runEdit(noted.job, correctLine(noted.entry, 'Guard of the belt taped on'), {
      id: 'word',
      at: '2026-12-01T11:00:00.000Z',
    })
    if (!worded.entry) throw new Error('it is noted')
    const with2 = [...with1, worded.entry]
    expect(of(worded.job, with2).blockedBy).toEqual(['Guard of the belt taped on'])
    const mended = runEdit(worded.job, mendFix(worded.entry), { id: 'mend', at: '2026-12-01T12:00:00.000Z' })
    if (!mended.entry) throw new Error('it is noted')
    expect(of(mended.job, [...with2, mended.entry]).blockedBy).toEqual([])
  })

  test('the plan of its upkeep goes with it, with points, intervals and days', () => {
    const job = edited(accepted, addUpkeep(usualUpkeep(demo)))
    const plan = upkeepPlan(job, axis => evaluateAxis(axis, catalogueOf(job), job.units))
    expect(plan[0]).toMatchObject({
      what: expect.stringMatching(/^X: nut of the screw \(grease/),
      next: '2026-11-21',
    })
    expect(plan.find(({ what }) => what.startsWith('Reversal'))).toMatchObject({
      every: '365 days',
      next: '2027-12-01',
    })
  })
})
