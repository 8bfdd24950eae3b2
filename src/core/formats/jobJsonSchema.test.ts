import Ajv from 'ajv/dist/2020'
import { demoJobs } from '../demo'
import { runEdit } from '../document/edit'
import { setGoal } from '../document/edits'
import { MACHINE_KINDS } from '../document/kinds'
import { CATALOGUE } from '../machine/parts'
import { newJob } from '../sheets/newJob'
import { jobFileSchema } from './jobJsonSchema'
import { writeJobFile } from './writeJobFile'

const check = new Ajv({ strict: false, validateFormats: false }).compile(jobFileSchema)
const problems = (text: string): unknown => (check(JSON.parse(text)) ? [] : check.errors?.slice(0, 3))

test('every export holds to the published schema: the demo jobs, with their logs and a history', () => {
  for (const { job, entries } of demoJobs()) {
    const [axis] = job.axes
    if (!axis) throw new Error('no axis')
    const { change } = runEdit(job, setGoal(axis, 'cuttingForceN', 700), {
      id: 'c1',
      at: '2026-12-01T08:00:00.000Z',
    })
    expect(problems(writeJobFile({ format: 'dusk-bench-job', job, entries, history: [change] }))).toEqual([])
  }
})

test('so do new ones of every kind, and one with parts of its own and letters of four scripts', () => {
  for (const kind of MACHINE_KINDS) {
    const job = newJob('Фрезер Φρέζα 铣床 Fräse', kind, 'inch', '2026-12-01T08:00:00.000Z')
    const [motor] = CATALOGUE.motor.values()
    const ownParts = { ...job.ownParts, motor: motor ? [{ ...motor, id: 'own-1' }] : [] }
    expect(
      problems(
        writeJobFile({ format: 'dusk-bench-job', job: { ...job, ownParts }, entries: [], history: [] }),
      ),
    ).toEqual([])
  }
})

test('what no reader would take does not hold to it', () => {
  const [first] = demoJobs()
  const wrong = (edit: (file: { job: Record<string, unknown> }) => void) => {
    const file = structuredClone({ format: 'dusk-bench-job', job: first?.job, entries: [], history: [] })
    edit(file as never)
    return check(file)
  }
  expect(wrong(() => {})).toBe(true)
  expect(wrong(({ job }) => Object.assign(job, { extra: 1 }))).toBe(false)
  expect(wrong(({ job }) => Object.assign(job, { units: 'cubits' }))).toBe(false)
  expect(wrong(({ job }) => Object.assign(job, { axes: [] }))).toBe(false)
  expect(wrong(({ job }) => delete job.name)).toBe(false)
})
