import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { DIMENSION_KEYS, DIMENSIONS } from '../document/dimensions'
import type { Job, Orders } from '../document/job'
import { NO_NOTE } from '../document/plan'
import { EvaluationContext } from '../evaluation/context'
import { CATALOGUE } from '../machine/parts'
import { stillToAlign, stillToMeasure } from '../machine/stillToMeasure'
import { orderList } from '../orders/orders'
import { cutList } from '../sheets/cutList'
import { newAxis } from '../sheets/newJob'
import { NOTHING_NOTED } from '../sheets/shared/proofs/conditions'
import { procedure } from '../sheets/shared/steps/procedure'
import { standingOf, standings } from './next'
import { keyOf } from './tasks'

const NOW = { day: '2026-11-26', minute: 17 * 60 }
const demo = skarrow()
const [X, Y, Z] = demo.job.axes as [Axis, Axis, Axis]
/** A job in which everything is here and every cut is made, so that only the axis itself is behind. */
function readyJob(axis: Axis): Job {
  const job: Job = { ...demo.job, axes: [axis], orders: {}, plan: { ...demo.job.plan, ownTasks: [] } }
  const arrived = orderList(job, CATALOGUE).map(({ key }) => [
    key,
    { state: 'arrived', priceEur: null, leadDays: null, dueDay: null },
  ])
  const cut = { ...NO_NOTE, doneAt: '2026-11-01T08:00:00.000Z' }
  return {
    ...job,
    orders: Object.fromEntries(arrived) as Orders,
    plan: { ...job.plan, tasks: { [keyOf(axis.id, 'cut')]: cut } },
  }
}
const next = (axis: Axis, job = readyJob(axis)) => standingOf(job, axis, CATALOGUE, NOW).next
const measured = (axis: Axis): Axis => ({
  ...axis,
  dimensions: Object.fromEntries(
    DIMENSION_KEYS.map(key => [key, { value: axis.dimensions[key].value, provenance: 'measured' }]),
  ) as Axis['dimensions'],
})
/** An axis of which every verdict of its drive holds. */
const sound: Axis = {
  ...measured(X),
  goals: { ...X.goals, cuttingForceN: 500 },
  parts: { ...X.parts, coupler: 'bellows-32' },
  ticks: {},
  rounds: [],
  tests: [],
  pushRounds: [],
  fullTests: [],
}

describe('what an axis needs next', () => {
  test('goes through the work in its order, and ends', () => {
    const bare = newAxis({ name: 'A', title: 'New' })
    expect(next(bare)).toMatchObject({
      stage: 'survey',
      sheet: 'geometry',
      text: 'A: 6 dimensions to measure',
    })
    const surveyed = measured(bare)
    expect(next(surveyed)).toMatchObject({
      stage: 'size',
      sheet: 'search',
      text: 'A: find a drive that holds',
    })
    expect(next({ ...surveyed, parts: { ...surveyed.parts, screw: 'ball-20-5-double' } })?.text).toBe(
      'A: choose the bearings',
    )
    expect(next({ ...sound, parts: { ...sound.parts, coupler: 'slit-32-clamp' } })).toMatchObject({
      stage: 'size',
      text: 'X: to mend: torque of the coupler',
    })
    expect(next(sound)).toMatchObject({
      stage: 'build',
      sheet: 'teardown',
      text: 'X: switch off and isolate the machine',
    })
  })

  test('makes room, orders and cuts before anything is fitted: never apart with the room for the nut unknown or nothing ordered', () => {
    const job = readyJob(sound)
    const bare = { ...sound, section: { ...sound.section, stations: [] } }
    expect(next(bare, { ...job, orders: {} })).toMatchObject({
      stage: 'room',
      sheet: 'nutRoom',
      text: 'X: measure the room around the nut',
    })
    const half = {
      ...sound,
      section: {
        ...sound.section,
        stations: sound.section.stations.map(one => ({ ...one, floorMm: null })),
      },
    }
    expect(next(half, job)).toMatchObject({ sheet: 'nutRoom', text: 'X: measure for: room around the nut' })
    // Four parts, and screws and the like; cutters are for cuts, which are made here.
    expect(next(sound, { ...job, orders: {} })).toMatchObject({
      stage: 'machine',
      sheet: 'orders',
      text: 'X: 5 things to order',
    })
    const screw = orderList(job, CATALOGUE)[0] as { key: string; what: string }
    const { [screw.key]: _, ...others } = job.orders
    expect(next(sound, { ...job, orders: others })?.text).toBe(`X: order: ${screw.what}`)
    // What is on its way is not ordered again: meanwhile the machine is taken apart.
    const ordered = { state: 'ordered', priceEur: null, leadDays: 9, dueDay: '2026-12-20' } as const
    expect(next(sound, { ...job, orders: { ...others, [screw.key]: ordered } })?.sheet).toBe('teardown')

    const uncut = { ...job, plan: { ...job.plan, tasks: {} } }
    expect(next(sound, uncut)?.sheet).toBe('teardown')
    const steps = procedure(new EvaluationContext(sound, CATALOGUE)) ?? []
    const apart = {
      ...sound,
      ticks: Object.fromEntries(
        steps.flatMap(({ id, part }) => (part === 'apart' ? [[id, '2026-11-01T08:00:00.000Z']] : [])),
      ),
    }
    const cuts = cutList(new EvaluationContext(apart, CATALOGUE)).length
    expect(next(apart, uncut)).toMatchObject({
      stage: 'room',
      sheet: 'cuts',
      text: `X: make the cuts (${cuts})`,
    })
    expect(next(apart, job)?.sheet).toBe('steps')
    // What is assembled was cut, whether anybody has ticked that or not.
    const all = Object.fromEntries(steps.slice(0, -6).map(({ id }) => [id, '2026-11-01T08:00:00.000Z']))
    expect(next({ ...sound, ticks: all }, { ...uncut, orders: {} })?.sheet).not.toMatch(/cuts|orders/)
  })

  test('tells what is ordered and what is to come, of its own alone', () => {
    const prices = { 'part:ball-20-5-double': 200, 'part:back-12': 50, 'use:grease': 30 }
    const orders = Object.fromEntries(
      Object.entries(prices).map(([key, priceEur]) => [
        key,
        { state: key === 'part:back-12' ? 'open' : 'ordered', priceEur, leadDays: null, dueDay: null },
      ]),
    ) as Orders
    const { costs } = standingOf({ ...demo.job, orders }, X, CATALOGUE, NOW)
    expect(costs.orderedEur).toBe(200)
    const all = standingOf({ ...demo.job, orders: {} }, X, CATALOGUE, NOW).costs
    const list = orderList({ ...demo.job, axes: [X], orders: {} }, CATALOGUE)
    expect(all.orderedEur).toBe(0)
    expect(all.toComeEur).toBeCloseTo(
      list.reduce((sum, { priceEur, count }) => sum + (priceEur ?? 0) * count, 0),
      6,
    )
    expect(all.unpriced).toBe(
      list.filter(({ priceEur, axes }) => priceEur === null && axes.length > 0).length,
    )
  })

  test('counts the steps that stand by what is chosen, and no tick of one that is gone', () => {
    const { steps } = standingOf(demo.job, X, CATALOGUE, NOW)
    const all = procedure(new EvaluationContext(X, CATALOGUE)) ?? []
    expect(steps).toEqual({ done: all.filter(({ id }) => X.ticks[id]).length, of: all.length })
    const stale = { ...X, ticks: { ...X.ticks, 'no-such-step': '2026-11-01T08:00:00.000Z' } }
    expect(standingOf(demo.job, stale, CATALOGUE, NOW).steps).toEqual(steps)
  })

  test('follows the steps as they are ticked, to the stage where each is done', () => {
    const steps = procedure(new EvaluationContext(sound, CATALOGUE)) ?? []
    const stages = steps.map((_, done) => {
      const ticks = Object.fromEntries(steps.slice(0, done).map(({ id }) => [id, '2026-11-01T08:00:00.000Z']))
      return next({ ...sound, ticks })
    })
    expect(stages.map(action => action?.text)).toEqual(steps.map(({ title }) => `X: ${title.toLowerCase()}`))
    expect(stages[steps.findIndex(({ id }) => id === 'aligned')]?.stage).toBe('align')
    expect(stages[steps.findIndex(({ id }) => id === 'proved')]?.stage).toBe('prove')
  })

  test('is the last thing to measure, by its name and on its sheet', () => {
    const bare = measured(newAxis({ name: 'A', title: 'New' }))
    const friction = { value: 0.1, provenance: 'assumed' as const }
    expect(
      next({ ...bare, dimensions: { ...bare.dimensions, frictionCoefficient: friction } }),
    ).toMatchObject({
      stage: 'survey',
      sheet: 'loads',
      text: 'A: measure: friction of the ways',
    })
  })

  test('is a load that nothing holds before all, whatever is unmeasured or not chosen', () => {
    const head = newAxis({ name: 'Z', title: 'Head', slide: 'head' })
    expect(next(head)?.stage).not.toBe('build')
    const loose = { ...head, driveMountedAt: '2026-11-01T08:00:00.000Z' }
    expect(next(loose)).toMatchObject({ stage: 'build', sheet: 'steps', text: 'Z: support the head' })
    expect(next({ ...loose, supports: { block: '2026-11-02T08:00:00.000Z' } })).toEqual(next(head))
    const table = newAxis({ name: 'X', title: 'Table', slide: 'table' })
    const mounted = { ...table, driveMountedAt: loose.driveMountedAt }
    expect(next(mounted)?.text).toBe(`X: measure: ${DIMENSIONS.inclineDeg.label.toLowerCase()}`)
    const inclineDeg = { value: 0, provenance: 'measured' as const }
    const level = { ...mounted, dimensions: { ...mounted.dimensions, inclineDeg } }
    expect(next(level)).toEqual(next({ ...level, driveMountedAt: null }))
  })

  test('is to measure how the motor stands as soon as it is in, and never on a belt', () => {
    const steps = procedure(new EvaluationContext(sound, CATALOGUE)) ?? []
    const assumed = { value: 0.05, provenance: 'assumed' as const }
    const unmeasured = { ...sound, dimensions: { ...sound.dimensions, shaftParallelMm: assumed } }
    const doneTo = (id: string) =>
      Object.fromEntries(
        steps
          .slice(0, steps.findIndex(step => step.id === id) + 1)
          .map(step => [step.id, '2026-11-01T08:00:00.000Z']),
      )
    expect(next({ ...unmeasured, ticks: doneTo('motor-face') })?.stage).toBe('build')
    expect(next({ ...unmeasured, ticks: doneTo('motor-hub') })).toMatchObject({
      stage: 'align',
      sheet: 'shafts',
      text: 'X: measure: motor shaft beside the screw axis',
    })
    const belted = { ...unmeasured, drive: { ...unmeasured.drive, transmission: 'belt' as const } }
    expect(stillToAlign(unmeasured)).toEqual(['shaftParallelMm'])
    expect(stillToAlign(belted)).toEqual([])
  })

  test('is to measure the lost motion while no test holds, and nothing when one does', () => {
    const steps = procedure(new EvaluationContext(sound, CATALOGUE)) ?? []
    const ticks = Object.fromEntries(steps.map(({ id }) => [id, '2026-11-01T08:00:00.000Z']))
    expect(next({ ...sound, ticks })).toMatchObject({ stage: 'prove', text: 'X: measure the lost motion' })
    const proved: Axis = {
      ...sound,
      ticks,
      tests: [
        {
          id: 't',
          startedAt: '2026-11-02T08:00:00.000Z',
          finishedAt: null,
          label: 'At last',
          gaugeStepUm: 1,
          ...NOTHING_NOTED,
          stations: [
            {
              id: 's',
              positionMm: 60,
              approachPositiveUm: [6, 7, 6, 7, 6],
              approachNegativeUm: [-6, -5, -6, -5, -6],
            },
          ],
        },
      ],
    }
    expect(next(proved)).toBeNull()
    expect(standings(readyJob(proved), CATALOGUE, NOW).map(one => one.next)).toEqual([null])
  })

  test('of the demo is a fault to find, a motor to mend and a survey to make', () => {
    const of = (axis: Axis) => next(axis, demo.job)
    expect(of(X)).toMatchObject({
      stage: 'prove',
      sheet: 'findFault',
      text: 'X: find the fault: lost motion, measured',
    })
    expect(of(Y)?.stage).toBe('size')
    expect(of(Z)).toMatchObject({ stage: 'survey' })
  })

  test('one line an axis, in their order', () => {
    expect(standings(demo.job, CATALOGUE, NOW).map(({ axisId }) => axisId)).toEqual([X.id, Y.id, Z.id])
  })

  test('what was set to nothing is to be measured again', () => {
    const forgotten: Axis = {
      ...X,
      dimensions: { ...X.dimensions, movingMassKg: { value: null, provenance: 'measured' } },
    }
    expect(stillToMeasure(forgotten)).toEqual(['movingMassKg', 'frictionCoefficient'])
  })
})
