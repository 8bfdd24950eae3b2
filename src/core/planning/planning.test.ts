import { longTom } from '../demo/longTom'
import { ostrey } from '../demo/ostrey'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { runEdit } from '../document/edit'
import type { Job } from '../document/job'
import { HOURS, PLAN_TO_START } from '../document/plan'
import { fits } from '../field/fits'
import { schemaOf } from '../field/schema'
import { writeCalendar } from '../formats/calendarFile'
import { catalogueOf } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { newJob } from '../sheets/newJob'
import { knownSteps } from '../sheets/shared/steps/procedure'
import { sisterJob } from '../sheets/sisterJob'
import { withCalledOff } from './calledOff'
import { dateAt, dayAfter, daysBetween, nowOf, weekdayOf } from './days'
import { entriesOf, placedTasks, stretches } from './entries'
import { hoursProblems, windowsFrom } from './hours'
import { minutesOf } from './minutesOf'
import { parcelsOf } from './parcels'
import { type PlannedJob, planJob, type WhatIf } from './plan'
import { finishTask, minutesTaken, reopenTask, setMinutes, setWay, startTask } from './planEdits'
import { cutMinutes, keyOf, type Task, tasksOf } from './tasks'

/** A Thursday, before the evening's work. */
const NOW = { day: '2026-11-26', minute: 17 * 60 }
const tasksFor = (job: Job) => tasksOf(job, catalogueOf(job), NOW).tasks
const taskIn = (job: Job, key: string): Task => {
  const task = tasksFor(job).find(one => one.key === key)
  if (!task) throw new Error(`There is no task ${key}`)
  return task
}
const planned = (job: Job, whatIf: WhatIf | null = null): PlannedJob => {
  const plan = planJob(job, catalogueOf(job), NOW, {}, whatIf)
  if (plan.kind !== 'plan') throw new Error(`no plan: ${plan.reason}`)
  return plan
}
const edited = (job: Job, edit: Parameters<typeof runEdit>[1]): Job =>
  runEdit(job, edit, { id: 'c', at: '2026-11-26T17:00:00.000Z' }).job

test('days are counted by the calendar, also over the change of the clocks and of the year', () => {
  expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2)
  expect(dayAfter('2026-12-31', 1)).toBe('2027-01-01')
  expect(weekdayOf('2026-11-26')).toBe(4)
  expect(nowOf(new Date(2026, 10, 26, 19, 30))).toEqual({ day: '2026-11-26', minute: 1170 })
  expect(dateAt('2026-11-26', 24 * 60 + 61)).toEqual(new Date(2026, 10, 27, 1, 1))
})

describe('working hours', () => {
  const hours = (
    weekday: 1 | 2 | 3 | 4 | 5 | 6 | 7,
    fromMinute: number,
    toMinute: number,
    id = `${weekday}${fromMinute}`,
  ) => ({
    id,
    weekday,
    fromMinute,
    toMinute,
  })

  test('begin now and come again every week', () => {
    const windows = windowsFrom({ ...PLAN_TO_START, hours: [hours(4, 1080, 1260)] }, NOW.day, 1100)
    expect(windows.slice(0, 2)).toEqual([
      { fromMinute: 1100, toMinute: 1260 },
      { fromMinute: 7 * 1440 + 1080, toMinute: 7 * 1440 + 1260 },
    ])
  })

  test('days off have none, extra time stands on them all the same, and what overlaps is one', () => {
    const plan = {
      hours: [hours(4, 1080, 1260), hours(6, 540, 780)],
      daysOff: [{ id: 'off', fromDay: '2026-11-26', toDay: '2026-12-01', why: 'Away' }],
      extraHours: [
        { id: 'extra', day: '2026-11-28', fromMinute: 600, toMinute: 660 },
        { id: 'more', day: '2026-12-03', fromMinute: 1200, toMinute: 1320 },
      ],
    }
    expect(windowsFrom(plan, NOW.day, 0).slice(0, 2)).toEqual([
      { fromMinute: 2 * 1440 + 600, toMinute: 2 * 1440 + 660 },
      { fromMinute: 7 * 1440 + 1080, toMinute: 7 * 1440 + 1320 },
    ])
  })

  test('that end before they begin, or overlap, are said at their row and left out', () => {
    const plan = {
      ...PLAN_TO_START,
      hours: [hours(2, 1140, 1080, 'a'), hours(4, 1080, 1260, 'b'), hours(4, 1200, 1300, 'c')],
      daysOff: [{ id: 'd', fromDay: '2026-12-02', toDay: '2026-12-01', why: 'Away' }],
    }
    expect(hoursProblems(plan).map(({ rowId, field }) => `${rowId} ${field}`)).toEqual([
      'a toMinute',
      'c fromMinute',
      'd toDay',
    ])
    expect(hoursProblems(plan)[0]?.text).toBe(
      'To: got 18:00, takes a time after 19:00; work past midnight is two rows',
    )
    expect(windowsFrom(plan, NOW.day, 0)[0]).toEqual({ fromMinute: 1080, toMinute: 1260 })
  })

  test('take whole minutes of a day, and nothing else', () => {
    for (const [value, isTaken] of [
      [0, true],
      [1440, true],
      [1441, false],
      [-1, false],
      [7.5, false],
      ['19:00', false],
    ] as const) {
      const row = { id: 'a', weekday: 2, fromMinute: value, toMinute: 1440 }
      expect(schemaOf(HOURS).isValidSync([row])).toBe(isTaken)
    }
    expect(fits({ is: 'day', label: 'Day', blank: '' }, '2026-02-30')).toBe(false)
    expect(fits({ is: 'day', label: 'Day', blank: '' }, '2028-02-29')).toBe(true)
  })
})

describe('tasks', () => {
  test('of a fresh mill are those of every axis, with the table off before the saddle and on after it', () => {
    const job = newJob('Mill', 'mill', 'mm', '2026-11-26T12:00:00.000Z')
    const [x, y] = job.axes
    if (!x || !y) throw new Error('a mill has axes')
    expect(taskIn(job, keyOf(y.id, 'teardown')).after).toContain(keyOf(x.id, 'teardown'))
    expect(taskIn(job, keyOf(x.id, 'assembly')).after).toContain(keyOf(y.id, 'assembly'))
    // Nobody has chosen anything: that is said, and nothing is made up for it.
    expect(tasksOf(job, catalogueOf(job), NOW).gaps).toHaveLength(job.axes.length)
    expect(tasksFor(job).every(({ isDone }) => !isDone)).toBe(true)
  })

  test('a router has nothing to take apart; a lathe cannot mill, and a mill can before it is apart', () => {
    const kinds = (job: Job) => new Set(tasksFor(job).map(({ kind }) => kind))
    expect(kinds(longTom().job).has('teardown')).toBe(false)
    const waysOf = (job: Job) =>
      new Set(tasksFor(job).flatMap(({ kind, ways }) => (kind === 'make' ? ways.map(({ id }) => id) : [])))
    expect(waysOf(ostrey().job)).toEqual(new Set(['handWheels', 'drill']))
    expect(waysOf(newJob('Mill', 'mill', 'mm', '2026-11-26T12:00:00.000Z'))).toEqual(
      new Set(['handWheels', 'power', 'drill']),
    )
    // Skarrow is apart already.
    expect(waysOf(skarrow().job)).toEqual(new Set(['power', 'drill']))
  })

  test('are done by ticks and readings, and what comes before what is done is done too', () => {
    const { job } = skarrow()
    const done = tasksFor(job)
      .filter(({ isDone, axisName }) => isDone && axisName === 'X')
      .map(({ kind }) => kind)
    expect(done).toEqual(expect.arrayContaining(['assembly', 'motor', 'cables', 'moves', 'cut']))
    expect(done).not.toContain('proof')
    // That X is together says nothing of the saddle under it: its own steps do.
    expect(taskIn(job, 'skarrow-y.assembly')).toMatchObject({ isDone: false, left: 9 / 16 })
    expect(taskIn(job, 'skarrow-y.block').isDone).toBe(true)
    // A bracket that is made does not make what is unmeasured measured.
    const made = edited(job, finishTask(taskIn(job, 'skarrow-z.make:farBlock'), '2026-11-26T16:50:00.000Z'))
    expect(taskIn(made, 'skarrow-z.make:farBlock').isDone).toBe(true)
    expect(taskIn(made, 'skarrow-z.measure').isDone).toBe(false)
    // A parcel that another axis still waits for is not.
    expect(tasksFor(job).find(({ key }) => key === 'all.parcel:part:step-57-12')?.isDone).toBe(false)
  })

  test('what it took becomes what the next axis takes', () => {
    const { job } = skarrow()
    const cables = taskIn(job, 'skarrow-y.cables')
    // The steps of X were ticked in a row: that says when, not how long.
    expect(cables.minutesFrom).toBe('usual')
    const usual = cables.ways[0]?.minutes
    const begun = edited(job, startTask(cables, '2026-11-26T16:00:00.000Z'))
    const ended = edited(begun, finishTask(taskIn(begun, cables.key), '2026-11-26T16:50:00.000Z'))
    expect(ended.plan.tasks[cables.key]).toMatchObject({ tookMinutes: 50 })
    expect(taskIn(ended, 'skarrow-z.cables')).toMatchObject({
      minutesFrom: 'learned',
      ways: [{ minutes: 50 }],
    })
    expect(
      taskIn(edited(ended, reopenTask(taskIn(ended, cables.key))), 'skarrow-z.cables').ways[0]?.minutes,
    ).toBe(usual)
    expect(minutesTaken('2026-11-26T16:00:00.000Z', '2026-11-28T16:00:00.000Z')).toBeNull()
  })

  test('steps that were timed one by one teach what their task takes; one that was only ticked, nothing', () => {
    const { job } = skarrow()
    const [x] = job.axes as [Axis]
    const own = knownSteps(evaluateAxis(x, catalogueOf(job), 'mm')).filter(({ part }) => part === 'wiring')
    const timed = (ids: readonly string[]): Job => ({
      ...job,
      axes: [
        {
          ...x,
          stepNotes: {
            ...x.stepNotes,
            ...Object.fromEntries(
              ids.map(id => [id, { how: 'done' as const, why: '', who: '', tookMinutes: 15 }]),
            ),
          },
        },
        ...job.axes.slice(1),
      ],
    })
    const ids = own.map(({ id }) => id)
    expect(ids.length).toBeGreaterThan(1)
    expect(taskIn(timed(ids), 'skarrow-y.cables')).toMatchObject({
      minutesFrom: 'learned',
      ways: [{ minutes: 15 * ids.length }],
    })
    expect(taskIn(timed(ids.slice(1)), 'skarrow-y.cables').minutesFrom).toBe('usual')
    // What is learned goes with the next machine, for every axis of it.
    const next = sisterJob(
      timed(ids),
      'The next',
      { choices: true, limits: true, plans: true },
      NOW.day,
      minutesOf(timed(ids)),
    ).job
    for (const { id } of next.axes) expect(next.plan.tasks[`${id}.cables`]?.minutes).toBe(15 * ids.length)
  })

  test('the next machine starts with the same hours and with what it took on this one, and nothing done', () => {
    const { job } = skarrow()
    const next = sisterJob(
      job,
      'The next',
      { choices: true, limits: true, plans: true },
      '2026-11-26T12:00:00.000Z',
    ).job
    expect(next.plan.hours).toEqual(job.plan.hours)
    const y = next.axes.find(({ name }) => name === 'Y')?.id ?? ''
    expect(next.plan.tasks[`${y}.make:motorMount`]).toMatchObject({ minutes: 135, doneAt: null })
    expect(tasksFor(next).every(({ isDone }) => !isDone)).toBe(true)
  })

  test('cuts take minutes by their length, holes by their number', () => {
    const cut = {
      depthMm: 3,
      wallLeftMm: null,
      finish: 'rough',
      fit: true,
      cautions: [],
      tool: '',
      guide: '',
      what: '',
      id: 'a',
    } as const
    const cuts = [
      { ...cut, lengthMm: 120 },
      { ...cut, diameterMm: 33 },
    ] as never
    expect(cutMinutes(cuts, 'hand tools')).toBe(12 * 15 + 25)
    expect(cutMinutes(cuts, 'mill')).toBe(12 * 5 + 25)
  })
})

test('a parcel comes on its day, tomorrow when that is over, and in a week while nobody has said', () => {
  const { job } = skarrow()
  const parcelOf = (dueDay: string | null, state: 'ordered' | 'open', leadDays: number | null = null) =>
    parcelsOf(
      { ...job, orders: { 'part:step-57-12': { state, priceEur: null, leadDays, dueDay } } },
      catalogueOf(job),
      NOW,
    ).find(({ id }) => id === 'part:step-57-12')
  expect(parcelOf('2026-11-29', 'ordered')).toMatchObject({ waitMinutes: 3 * 1440 - 300, isLate: false })
  expect(parcelOf('2026-11-20', 'ordered')).toMatchObject({ waitMinutes: 1440 - 300, isLate: true })
  expect(parcelOf(null, 'open', 3)).toMatchObject({ waitMinutes: 3 * 1440, isGuess: false })
  expect(parcelOf(null, 'open')).toMatchObject({ waitMinutes: 7 * 1440, isGuess: true })
})

describe('the plan', () => {
  test.each([
    ['Skarrow 8', skarrow().job],
    ['Ostrey 254', ostrey().job],
    ['Long Tom 2400', longTom().job],
  ])('of %s keeps every order, works in its windows with one pair of hands, and is proved', (_, job) => {
    const plan = planned(job)
    expect(plan.boundMinute).toBe(plan.finishMinute)
    const placed = placedTasks(tasksFor(job), plan.tasks)
    const at = new Map(placed.map(one => [one.key, one]))
    const windows = windowsFrom(job.plan, NOW.day, NOW.minute)
    for (const { task, way, beginMinute } of placed)
      for (const key of [...task.after, ...way.after]) {
        const before = at.get(key)
        if (before) expect(before.finishMinute).toBeLessThanOrEqual(beginMinute)
      }
    const hands = placed.filter(({ way }) => !way.waits)
    for (const [index, one] of hands.entries()) {
      if (index > 0) expect(hands[index - 1]?.finishMinute).toBeLessThanOrEqual(one.beginMinute)
      const worked = stretches(one, windows).reduce(
        (sum, { fromMinute, toMinute }) => sum + toMinute - fromMinute,
        0,
      )
      expect(worked).toBe(one.way.minutes)
    }
    expect(Math.max(...placed.map(({ finishMinute }) => finishMinute))).toBe(plan.finishMinute)
    expect(placed.some(({ holdsEnd }) => holdsEnd)).toBe(true)
  })

  test('a task with so much to spare can be so much later, and no more', () => {
    const { job } = skarrow()
    const plan = planned(job)
    const parcel = plan.tasks.find(({ key }) => key === 'all.parcel:part:step-57-12')
    const late = (days: number) => planned(job, { kind: 'late', key: 'all.parcel:part:step-57-12', days })
    const spareDays = Math.floor((parcel?.slackMinutes ?? 0) / 1440)
    expect(spareDays).toBeGreaterThan(2)
    expect(late(spareDays).finishMinute).toBe(plan.finishMinute)
    expect(late(21).finishMinute).toBeGreaterThan(plan.finishMinute)
  })

  test('an evening more, a mill or help never makes it later', () => {
    const { job } = ostrey()
    const { finishMinute } = planned(job)
    const evening = planned(job, { kind: 'evening', weekday: 1, fromMinute: 1140, toMinute: 1320 })
    expect(evening.finishMinute).toBeLessThan(finishMinute)
    expect(planned(job, { kind: 'otherMill' }).finishMinute).toBeLessThanOrEqual(finishMinute)
    expect(planned(job, { kind: 'elsewhere' }).finishMinute).toBeLessThan(finishMinute)
  })

  test('a bracket is made the way that is wanted, after what that waits for', () => {
    const { job } = skarrow()
    const plan = planned(job)
    const at = (key: string) => plan.tasks.find(one => one.key === key)
    expect(at('skarrow-z.make:nutBracket')?.wayId).toBe('power')
    expect(at('skarrow-z.make:nutBracket')?.beginMinute).toBeGreaterThanOrEqual(
      at('skarrow-y.proof')?.finishMinute ?? 0,
    )
    const byDrill = edited(job, setWay(taskIn(job, 'skarrow-z.make:nutBracket'), 'drill'))
    expect(planned(byDrill).tasks.find(({ key }) => key === 'skarrow-z.make:nutBracket')?.wayId).toBe('drill')
    const set = edited(byDrill, setMinutes(taskIn(byDrill, 'skarrow-z.make:nutBracket'), 33, 'drill'))
    expect(taskIn(set, 'skarrow-z.make:nutBracket').ways.find(({ id }) => id === 'drill')?.minutes).toBe(33)
  })

  test('tasks that wait for one another in a round are shown, with the way that breaks it', () => {
    const { job } = skarrow()
    const round = edited(job, {
      label: 'a round',
      run: draft => {
        draft.plan.tasks['skarrow-z.make:nutBracket'] = {
          way: 'power',
          minutes: null,
          startedAt: null,
          doneAt: null,
          tookMinutes: null,
        }
        draft.plan.ownTasks.push({
          id: 'own',
          title: 'Paint',
          minutes: 30,
          kind: 'waiting',
          afterKey: 'skarrow-z.make:nutBracket',
          beforeKey: 'skarrow-y.proof',
        })
      },
    })
    const plan = planJob(round, catalogueOf(round), NOW)
    expect(plan).toMatchObject({ kind: 'none', reason: 'circle' })
    if (plan.kind !== 'none') return
    expect(plan.circle).toEqual(expect.arrayContaining(['own.own', 'skarrow-z.make:nutBracket']))
    expect(plan.breaks).toContainEqual({ key: 'skarrow-z.make:nutBracket', wayId: 'drill' })
  })

  test('without any hours there is none, and it is said why', () => {
    const { job } = skarrow()
    const idle = { ...job, plan: { ...job.plan, hours: [] } }
    expect(planJob(idle, catalogueOf(idle), NOW)).toMatchObject({ kind: 'none', reason: 'windows' })
  })
})

describe('calendars', () => {
  const { job } = skarrow()
  const file = writeCalendar(
    job.name,
    entriesOf(
      job.id,
      placedTasks(tasksFor(job), planned(job).tasks),
      windowsFrom(job.plan, NOW.day, NOW.minute),
      NOW.day,
    ),
    '2026-11-26T17:00:00Z',
  )
  test('have each evening in local time and each parcel as a day', () => {
    expect(file).toMatch(/DTSTART:20261126T183000\r\nDTEND:20261126T192100\r\nSUMMARY:Y: Assembly/)
    expect(file).toMatch(/DTSTART;VALUE=DATE:20261127/)
    for (const line of file.split('\r\n')) expect(line.length).toBeLessThanOrEqual(75)
  })

  test('block the evenings and no day on which something comes, and say which version they are', () => {
    const events = file.split('BEGIN:VEVENT').slice(1)
    for (const event of events) {
      expect(event).toContain(event.includes('VALUE=DATE') ? 'TRANSP:TRANSPARENT' : 'TRANSP:OPAQUE')
      expect(event).toContain('STATUS:CONFIRMED')
    }
    const sequence = (text: string) => Number(/SEQUENCE:(\d+)/.exec(text)?.[1])
    expect(sequence(file)).toBeGreaterThan(0)
    expect(sequence(writeCalendar('x', [entry('a', '2026-12-01')], '2026-11-26T17:01:00Z'))).toBe(
      sequence(file) + 1,
    )
  })

  const entry = (uid: string, day: string) => ({
    uid,
    title: uid,
    note: '',
    from: day,
    to: `${day}T23:00:00`,
  })

  test('call off what one before had, lies ahead and is not planned any more', () => {
    const before = ['past', 'kept', 'gone'].map((uid, index) => entry(uid, `2026-12-0${index + 1}`))
    const planned = [entry('kept', '2026-12-09'), entry('new', '2026-12-10')]
    const all = withCalledOff(before, planned, '2026-12-02T12:00:00')
    expect(all.map(({ uid, isCalledOff = false }) => [uid, isCalledOff])).toEqual([
      ['kept', false],
      ['new', false],
      ['gone', true],
    ])
    // Once more: it stays called off until its day is over, and comes back when it is planned again.
    expect(withCalledOff(all, planned, '2026-12-02T12:00:00')).toEqual(all)
    expect(withCalledOff(all, planned, '2026-12-04T12:00:00')).toEqual(planned)
    const again = withCalledOff(all, [entry('gone', '2026-12-20')], '2026-12-02T12:00:00')
    expect(again.find(({ uid }) => uid === 'gone')).not.toHaveProperty('isCalledOff')
    expect(writeCalendar('x', all, '2026-11-26T17:00:00Z').match(/STATUS:CANCELLED/g)).toHaveLength(1)
  })
})
