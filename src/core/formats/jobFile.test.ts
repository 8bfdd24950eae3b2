import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { runEdit } from '../document/edit'
import { setGoal } from '../document/edits'
import { MACHINE_KINDS } from '../document/kinds'
import { migrate, migrateChange } from '../document/migrations'
import type { PartOf } from '../document/parts/types'
import { CATALOGUE } from '../machine/parts'
import { newJob } from '../sheets/newJob'
import { JobFileError, LARGEST_FILE_BYTES, readJobFile } from './jobFile'
import { type JobFile, writeJobFile } from './writeJobFile'

const { job, entries } = skarrow()
const { change } = runEdit(job, setGoal(job.axes[0] as Axis, 'topSpeedMmPerMin', 2500), {
  id: 'c1',
  at: '2026-11-24T08:00:00.000Z',
})
const file: JobFile = { format: 'dusk-bench-job', job, entries, history: [change] }
const text = writeJobFile(file)
const fixture = readFileSync(
  join(__dirname, '..', 'document', 'migrations', 'fixtures', 'job-v1.json'),
  'utf8',
)

/** The message with which a text is refused. */
function refusal(broken: string): string {
  try {
    readJobFile(broken)
  } catch (error) {
    expect(error).toBeInstanceOf(JobFileError)
    return (error as Error).message
  }
  return 'it was taken'
}
const edited = (edit: (copy: JobFile & Record<string, unknown>) => void) => {
  const copy = structuredClone(file) as JobFile & Record<string, unknown>
  edit(copy)
  return JSON.stringify(copy)
}
const axisOf = (copy: JobFile) => copy.job.axes[0] as unknown as Record<string, Record<string, unknown>>

test('what is written reads back the same, and writes the same text again', () => {
  expect(readJobFile(text)).toEqual(file)
  expect(writeJobFile(readJobFile(text))).toBe(text)
})

test('a job of every kind of machine can be written and read', () => {
  for (const kind of MACHINE_KINDS) {
    const fresh = newJob('New one', kind, 'inch', '2026-11-24T08:00:00.000Z')
    const one: JobFile = { format: 'dusk-bench-job', job: fresh, entries: [], history: [] }
    expect(readJobFile(writeJobFile(one))).toEqual(one)
  }
})

test('a file of version 1 is read for ever', () => {
  const old = readJobFile(fixture)
  expect(old.job.name).toBe('Fixture of version 1')
  expect(old.job.axes[0]?.dimensions.supportSpanMm).toEqual({ value: 512.5, provenance: 'measured' })
  expect(old.history[0]?.label).toBe('Top speed, axis X')
})

test.each<[string, string, string]>([
  ['empty', '  ', 'The file is empty.'],
  ['cut short', text.slice(0, text.length / 2), 'It looks cut short'],
  ['not JSON', '<html>', 'not readable as JSON'],
  ['another list', '[1,2]', 'This is not a job file'],
  ['another format', '{"format":"spreadsheet"}', 'This is not a job file'],
  ['no job', '{"format":"dusk-bench-job"}', 'job: got nothing, takes a job document'],
  [
    'newer',
    edited(copy => Object.assign(copy.job, { schemaVersion: 9 })),
    'job.schemaVersion: got 9, made by a newer Dusk Bench',
  ],
  [
    'version of another kind',
    edited(copy => Object.assign(copy.job, { schemaVersion: '1' })),
    'job.schemaVersion: got "1"',
  ],
  [
    'a length of text',
    edited(copy => Object.assign(axisOf(copy).dimensions?.supportSpanMm as object, { value: '548' })),
    'job.axes[0].dimensions.supportSpanMm.value: got "548", takes a number from 20 to 12000, or null',
  ],
  [
    'a length below zero',
    edited(copy => Object.assign(axisOf(copy).room as object, { recessFarMm: -1 })),
    'job.axes[0].room.recessFarMm: got -1, takes a number from 0 to 500',
  ],
  [
    'a missing goal',
    edited(copy => delete axisOf(copy).goals?.topSpeedMmPerMin),
    'job.axes[0].goals.topSpeedMmPerMin: got nothing',
  ],
  [
    'an unknown field',
    edited(copy => Object.assign(axisOf(copy), { colour: 'red' })),
    'job.axes[0]: got the unknown field colour',
  ],
  [
    'an unknown field at the top',
    edited(copy => Object.assign(copy, { script: 'x' })),
    'The file has the unknown field "script"',
  ],
  ['no axis', edited(copy => Object.assign(copy.job, { axes: [] })), 'takes at least one axis'],
  [
    'two axes of one id',
    edited(copy => copy.job.axes.push(copy.job.axes[0] as Axis)),
    'two axes have the same id',
  ],
  [
    'far too many readings',
    edited(copy =>
      Object.assign((copy.job.axes[0] as Axis).tests[0]?.stations[0] as object, {
        approachPositiveUm: Array(999).fill(1),
      }),
    ),
    'takes a list of at most 200',
  ],
  ['a prototype in the ticks', text.replace('"isolate":', '"__proto__":'), 'got the unknown field __proto__'],
  [
    'an entry of another job',
    edited(copy => Object.assign(copy.entries[0] as object, { jobId: 'other' })),
    'entries[0].jobId: got other',
  ],
  ['an entry twice', edited(copy => copy.entries.push(copy.entries[0] as never)), 'a second time'],
  [
    'a patch with another operation',
    edited(copy => Object.assign(copy.history[0]?.patches[0] as object, { op: 'eval' })),
    'history[0].patches[0].op: got "eval", takes one of replace, add, remove',
  ],
  ['no entries', edited(copy => delete (copy as Partial<JobFile>).entries), 'entries: got nothing'],
  ['hostile depth', `${'['.repeat(200_000)}${']'.repeat(200_000)}`, ''],
])('a file that is %s is refused with what is wrong and where', (_, broken, reason) => {
  const message = refusal(broken)
  expect(message).not.toBe('it was taken')
  expect(message).toContain(reason)
})

test('a file far too large is refused before it is read', () => {
  expect(refusal(' '.repeat(LARGEST_FILE_BYTES + 1))).toContain('a job file has at most 32 MB')
})

describe('migrations', () => {
  const steps = [
    { from: 1, migrate: (job: Record<string, unknown>) => ({ ...job, title: job.name }) },
    { from: 2, migrate: ({ name: _, ...job }: Record<string, unknown>) => job },
  ]
  test('run step by step up to the present version', () => {
    expect(migrate({ schemaVersion: 1, name: 'a' }, steps, 3)).toEqual({ schemaVersion: 3, title: 'a' })
    expect(migrate({ schemaVersion: 2, name: 'a', title: 'b' }, steps, 3)).toEqual({
      schemaVersion: 3,
      title: 'b',
    })
  })
  test('a gap is an error', () => {
    expect(() => migrate({ schemaVersion: 1 }, steps.slice(1), 3)).toThrow('from which no step leads to 2')
  })
})

describe('a job of version 1', () => {
  const whole = { ...(JSON.parse(fixture) as { job: { axes: object[] } }) }
  test('comes up with a direct drive on one screw, and everything else as it was', () => {
    const [axis] = readJobFile(fixture).job.axes
    expect(axis?.drive).toEqual({ transmission: 'direct', screws: 1, microsteps: 8, handwheelKept: false })
    expect(axis?.parts).toEqual({
      screw: 'ball-20-5-double',
      bearing: null,
      coupler: null,
      belt: null,
      motor: null,
    })
    expect(axis?.variants).toEqual([])
    expect(axis).toMatchObject(whole.job.axes[0] as object)
  })

  test('has whole axes in its history too: an axis put back by an undo can be read', () => {
    const change = {
      patches: [{ op: 'remove' as const, path: ['axes', 1] }],
      inverse: [{ op: 'add' as const, path: ['axes', 1], value: whole.job.axes[1] }],
    }
    const [put] = migrateChange(change, 1).inverse
    expect(put?.value).toMatchObject({ drive: { screws: 1 }, duty: null, parts: { belt: null } })
    expect(migrateChange(change, 3)).toEqual(change)
  })
})

describe('a job of version 2', () => {
  const old = readFileSync(join(__dirname, '..', 'document', 'migrations', 'fixtures', 'job-v2.json'), 'utf8')
  test('comes up with the usual limits and no parts of its own, and everything else as it was', () => {
    const { job: before } = JSON.parse(old) as JobFile
    const { job: after, history } = readJobFile(old)
    expect(after.ownParts).toEqual({ screw: [], bearing: [], coupler: [], belt: [], motor: [] })
    expect(after.axes.map(({ limits }) => limits)).toEqual(before.axes.map(() => ({})))
    for (const [index, axis] of after.axes.entries()) expect(axis).toMatchObject(before.axes[index] as object)
    expect(after.axes[0]?.variants).toHaveLength(1)
    expect(history[0]?.inverse[0]?.value).toMatchObject({ limits: {} })
  })
})

describe('limits and parts of the builder in a file', () => {
  const own = { ...structuredClone([...CATALOGUE.coupler.values()][0]), id: 'mine-1' } as PartOf['coupler']
  const withParts = (change: Partial<PartOf['coupler']> & Record<string, unknown>) =>
    edited(copy =>
      Object.assign(copy.job, { ownParts: { ...copy.job.ownParts, coupler: [{ ...own, ...change }] } }),
    )
  test('are read back', () => {
    const { job: read } = readJobFile(
      edited(copy => {
        Object.assign(copy.job, { ownParts: { ...copy.job.ownParts, coupler: [own] } })
        Object.assign(axisOf(copy), {
          limits: { 'screw.buckling': { holds: 0.5, close: 0.7, because: 'A crash every week.' } },
        })
      }),
    )
    expect(read.ownParts.coupler).toEqual([own])
    expect(read.axes[0]?.limits['screw.buckling']?.holds).toBe(0.5)
  })
  test.each([
    [
      'a bore over the diameter',
      withParts({ largestBoreMm: own.diameterMm + 1 }),
      'coupler[0].largestBoreMm',
    ],
    ['an unknown field', withParts({ colour: 'red' }), 'coupler[0].colour'],
    [
      'no torque',
      withParts({ ratedTorqueNm: 0 }),
      'ratedTorqueNm: got 0, takes a number from 0.05 to 500 N·m',
    ],
    [
      'limits in the wrong order',
      edited(copy =>
        Object.assign(axisOf(copy), {
          limits: { 'screw.buckling': { holds: 0.8, close: 0.5, because: 'x' } },
        }),
      ),
      'takes a number not below the one at which it holds',
    ],
    [
      'a limit of no check',
      edited(copy =>
        Object.assign(axisOf(copy), { limits: { 'screw.colour': { holds: 1, close: 1, because: 'x' } } }),
      ),
      'screw.colour',
    ],
  ])('a file with %s is refused with the place', (_, broken, reason) => {
    expect(refusal(broken)).toContain(reason)
  })
})
