import { longTom } from '../../demo/longTom'
import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { runEdit } from '../../document/edit'
import { remedied } from '../../evaluation/remedy'
import { CATALOGUE } from '../../machine/parts'
import { evaluateAxis } from '../evaluateAxis'
import { remediesFor } from '../remediesFor'
import { dueAfter, intervalOf } from './due'
import { addGreasing, addUsualPoints } from './edits'

const [X] = skarrow().job.axes as [Axis]
const STAMP = { id: 'c', at: '2026-11-26T19:00:00.000Z' }
const greased = (...days: string[]) =>
  days.map((day, index) => ({ id: `g${index}`, at: `${day}T10:00:00.000Z`, who: '' }))

describe('the next greasing', () => {
  test('is a week after the first, then by travel, and at least twice a year', () => {
    expect(dueAfter([], 10)).toBeNull()
    expect(dueAfter(greased('2026-11-02'), 155)).toEqual({ day: '2026-11-09', because: 'first' })
    expect(dueAfter(greased('2026-11-02', '2026-11-09'), 10)).toEqual({
      day: '2027-01-18',
      because: 'travel',
    })
    expect(dueAfter(greased('2026-11-02', '2026-11-09'), 155)).toEqual({
      day: '2027-05-10',
      because: 'half a year',
    })
    // Nobody knows how much it runs: half a year is known all the same.
    expect(dueAfter(greased('2026-11-02', '2026-11-09'), null)?.because).toBe('half a year')
    // A router that runs all day is greased before its first week is over.
    expect(dueAfter(greased('2026-11-02'), 0.5)).toEqual({ day: '2026-11-05', because: 'travel' })
  })

  test('counts from the last one, whatever order they stand in', () => {
    expect(dueAfter(greased('2026-11-09', '2026-11-02'), 1)?.day).toBe('2026-11-16')
  })

  test('goes by the mean speed of the duty', () => {
    const context = evaluateAxis(X, CATALOGUE, 'mm')
    const { kmPerHour, weeksBetween } = intervalOf(context)
    // Never more than top speed all the time, never less than the cut alone.
    expect(kmPerHour).toBeLessThan((X.goals.topSpeedMmPerMin * 60) / 1e6)
    expect(kmPerHour).toBeGreaterThan((X.goals.cuttingFeedMmPerMin * X.goals.cuttingShare * 60) / 1e6)
    expect(weeksBetween).toBeCloseTo(100 / kmPerHour / 6, 9)
    expect(() =>
      intervalOf(evaluateAxis({ ...X, lube: { ...X.lube, hoursPerWeek: null } }, CATALOGUE, 'mm')),
    ).toThrow('not known')
  })

  test('stands in the log', () => {
    const { job } = skarrow()
    const made = runEdit(job, addGreasing(X, '2026-11-26T19:00:00.000Z', 'Wenna'), STAMP)
    expect(made.entry?.text).toBe('Greased by Wenna: nut of the screw, ways.')
  })
})

describe('grease points', () => {
  test('the usual ones follow from what the axis is; how each is reached is for the builder to see', () => {
    const { job } = longTom()
    const { axes } = runEdit(job, addUsualPoints(job.axes[0] as Axis), STAMP).job
    const points = axes[0]?.lubePoints ?? []
    expect(points.map(({ what }) => what)).toEqual(
      expect.arrayContaining(['Nut of the second screw', 'Carriage 4']),
    )
    expect(points.every(({ access }) => access === null)).toBe(true)
    expect(evaluateAxis(axes[0] as Axis, CATALOGUE, 'mm').finding('grease.access')?.state).toBe('unknown')
  })
  test('one that nothing reaches fails before assembly, and a fitting mends it', () => {
    const axis: Axis = {
      ...X,
      lubePoints: X.lubePoints.map(point => ({ ...point, access: 'none' as const })),
    }
    const found = (one: Axis) => evaluateAxis(one, CATALOGUE, 'mm').finding('grease.access')
    expect(found(axis)).toMatchObject({
      state: 'fails',
      sentence: expect.stringContaining('cannot be reached'),
    })
    const [remedy] = remediesFor(axis, CATALOGUE, 'mm', 'grease.access')
    if (!remedy) throw new Error('no remedy')
    expect(found(remedied(axis, remedy))?.state).toBe('holds')
  })
})
