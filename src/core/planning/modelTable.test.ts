import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import type { Job } from '../document/job'
import { modelTable } from './modelTable'

const { job } = skarrow()
/** The demo machine with the way of its first axis so long; null where nobody read it. */
const machine = (name: string, wayTravelMm: number | null, more: Partial<Job> = {}): Job => {
  const [X, ...others] = job.axes as [Axis, ...Axis[]]
  const way = {
    value: wayTravelMm,
    provenance: wayTravelMm === null ? ('assumed' as const) : ('measured' as const),
  }
  const axes = [{ ...X, dimensions: { ...X.dimensions, wayTravelMm: way } }, ...others]
  return { ...job, id: name, name, axes, ...more }
}
const lesson = { id: 'l', on: 'step', of: 'far-loose', text: 'Warm the block', machine: null } as const
const rowOf = (jobs: Job[], what: string, axis: string | null, units: 'mm' | 'inch' = 'mm') =>
  modelTable(jobs, units).rows.find(row => row[2] === what && row[1] === axis)

test('what was read on several machines comes with its band; what nobody read on one is passed over', () => {
  const jobs = [machine('One', 412.6), machine('Two', null), machine('Three', 411.9), machine('Four', 413.1)]
  const [of, , , unit, machines, mean, band, each] = rowOf(jobs, 'Travel that the ways allow', 'X') ?? []
  expect([of, unit, machines, each]).toEqual(['dimension', 'mm', 3, '412.6 / 411.9 / 413.1'])
  expect(mean).toBeCloseTo(412.5333, 4)
  // t(0.95, 2) = 4.3027; s = 0.6028; sqrt(1 + 1/3).
  expect(band).toBeCloseTo(4.3027 * 0.6028 * Math.sqrt(4 / 3), 2)
  const inches = rowOf(jobs, 'Travel that the ways allow', 'X', 'inch') ?? []
  expect(inches[3]).toBe('in')
  expect(inches[6] as number).toBeCloseTo((band as number) / 25.4, 9)
})

test('one machine, or figures that are all alike, give no band', () => {
  for (const jobs of [[machine('One', 412.6)], [machine('One', 412.6), machine('Two', 412.6)]])
    expect(rowOf(jobs, 'Travel that the ways allow', 'X')?.slice(4, 7)).toEqual([jobs.length, 412.6, null])
})

test('figures that are alike give no band, however their mean is rounded', () => {
  const jobs = ['One', 'Two', 'Three'].map(name => machine(name, 0.1 + 100))
  expect(rowOf(jobs, 'Travel that the ways allow', 'X')?.slice(4, 7)).toEqual([3, 100.1, null])
})

test('faults are counted by machines, minutes where they were timed, and a lesson once with whom it came from', () => {
  const mended = (of: Job): Job => ({
    ...of,
    axes: of.axes.map((axis, index) =>
      index > 0
        ? axis
        : {
            ...axis,
            faultSearches: ['a', 'b'].map(id => ({
              ...axis.faultSearches[0],
              id,
              mended: 'gib-loose',
            })) as Axis['faultSearches'],
          },
    ),
  })
  const one = machine('One', 412.6, { lessons: [lesson] })
  const two = machine('Two', 412, { lessons: [{ ...lesson, id: 'm', machine: 'One' }] })
  const kinds = modelTable([mended(one), mended(two)], 'mm').rows
  expect(kinds.filter(([of]) => of === 'fault').find(row => row[1] === 'X')).toEqual([
    'fault',
    'X',
    expect.any(String),
    null,
    2,
    null,
    null,
    null,
  ])
  expect(kinds.filter(([of]) => of === 'lesson')).toEqual([
    ['lesson', null, 'Warm the block', null, 1, null, null, 'One'],
  ])
  const timed = (of: Job, tookMinutes: number): Job => ({
    ...of,
    plan: {
      ...of.plan,
      tasks: {
        'skarrow-y.cables': {
          ...Object.values(of.plan.tasks)[0],
          doneAt: '2026-12-01T10:00:00.000Z',
          tookMinutes,
        } as Job['plan']['tasks'][string],
      },
    },
  })
  const untimed = { ...one, plan: { ...one.plan, tasks: {} } }
  const minutes = modelTable([timed(one, 40), untimed, timed(two, 60)], 'mm').rows.find(
    ([, , what]) => what === 'Switches and cables',
  )
  expect(minutes?.slice(3, 6)).toEqual(['min', 2, 50])
  expect(minutes?.[7]).toBe('40 / 60')
})
