import { remedied } from '../evaluation/remedy'
import { catalogueOf } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { remediesFor } from '../sheets/remediesFor'
import { jobSchema } from '../sheets/schema'
import { demoJobs } from './'
import { DEMOS } from './demos'

const jobs = demoJobs()
const axes = jobs.flatMap(({ job }) =>
  job.axes.map(axis => ({ job, axis, name: `${job.name} ${axis.name}` })),
)
const states = new Map(
  axes.map(({ job, axis, name }) => {
    const { findings } = evaluateAxis(axis, catalogueOf(job), job.units)
    return [name, Object.fromEntries(findings.map(({ checkId, state }) => [checkId, state]))]
  }),
)

test.each(jobs.map(({ job }) => [job.name, job] as const))('%s is a valid document', (_, job) => {
  expect(() => jobSchema.validateSync(job, { strict: true })).not.toThrow()
})

test('the list of the demos names them, in their order', () => {
  expect(DEMOS).toEqual(jobs.map(({ job }) => ({ id: job.id, name: job.name })))
})

test('every log entry belongs to its job, and to an axis that it has', () => {
  for (const { job, entries } of jobs)
    for (const { jobId, axisId } of entries) {
      expect(jobId).toBe(job.id)
      if (axisId) expect(job.axes.map(({ id }) => id)).toContain(axisId)
    }
})

test('on each machine an axis is measured for its room and has its screws', () => {
  for (const { job } of jobs)
    expect(job.axes.some(({ section, joints }) => section.stations.length >= 3 && joints.length > 0)).toBe(
      true,
    )
})

test.each([
  ['Skarrow 8 X', 'holds'],
  ['Skarrow 8 Y', 'close'],
  ['Skarrow 8 Z', undefined],
  ['Ostrey 254 Z', 'fails'],
  ['Ostrey 254 X', 'holds'],
  ['Long Tom 2400 X', 'holds'],
  ['Long Tom 2400 Z', 'close'],
])('the room around the nut of %s: %s', (name, state) => {
  expect(states.get(name)?.['room.section']).toBe(state)
})

test('the axis that cannot be cut as wished has another way, which fits', () => {
  const { job, axis } = axes.find(({ name }) => name === 'Ostrey 254 Z') ?? {}
  if (!job || !axis) throw new Error('the demo is not there')
  const ways = remediesFor(axis, catalogueOf(job), job.units, 'room.section')
  expect(ways.length).toBeGreaterThan(0)
  for (const way of ways) {
    const { findings } = evaluateAxis(remedied(axis, way), catalogueOf(job), job.units)
    expect(findings.find(({ checkId }) => checkId === 'room.section')?.state).toBe('holds')
  }
})

test('only what is not chosen or measured yet is unknown', () => {
  for (const { axis, name } of axes) {
    const unknown = Object.entries(states.get(name) ?? {}).filter(
      ([checkId, state]) =>
        state === 'unknown' && !(axis.stopping.reactionS === null && checkId.startsWith('stopping.')),
    )
    const complete =
      Object.values(axis.dimensions).every(({ value }) => value !== null) && axis.parts.screw !== null
    if (complete && axis.parts.motor && axis.parts.bearing) expect([name, unknown]).toEqual([name, []])
  }
})
