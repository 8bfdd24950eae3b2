import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { applyChange, runEdit, takeBack } from '../document/edit'
import { setGoal } from '../document/edits'
import type { Job } from '../document/job'
import { MACHINE_KINDS } from '../document/kinds'
import { migrate, type Step } from '../document/migrations'
import { CHANGE_STEPS } from '../document/migrations/changeSteps.generated'
import { changeUp } from '../document/migrations/changes'
import { changeFromV3 } from '../document/migrations/v3'
import { changeFromV5 } from '../document/migrations/v5'
import type { PartOf } from '../document/parts/types'
import { SCHEMA_VERSION } from '../document/version.generated'
import { CATALOGUE } from '../machine/parts'
import { newJob } from '../sheets/newJob'
import { jobSchema } from '../sheets/schema'
import { readJobFile } from './jobFile'
import { bytesOf, JobFileError, LARGEST_FILE_BYTES } from './jobFileError'
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
  ['not JSON', '<html>', 'The file is not readable as JSON: line 1, column 1: got “<”.'],
  ['not JSON further down', '{"format": 1,\n "job": ]}', 'line 2, column 9: got “]”'],
  ['brackets without end', `{"job": ${'['.repeat(200_000)}`, 'The file is not readable as JSON.'],
  ['another list', '[1,2]', 'This is not a job file'],
  ['another format', '{"format":"spreadsheet"}', 'This is not a job file'],
  ['no job', '{"format":"dusk-bench-job"}', 'job: got nothing, takes a job document'],
  [
    'newer',
    edited(copy => Object.assign(copy.job, { schemaVersion: SCHEMA_VERSION + 1 })),
    `job.schemaVersion: got ${SCHEMA_VERSION + 1}, made by a newer Dusk Bench`,
  ],
  [
    'version of another kind',
    edited(copy => Object.assign(copy.job, { schemaVersion: '1' })),
    'job.schemaVersion: got "1"',
  ],
  [
    'a length of text',
    edited(copy => Object.assign(axisOf(copy).dimensions?.supportSpanMm as object, { value: '548' })),
    'job.axes[0].dimensions.supportSpanMm.value: got "548", takes a number from 20 to 12000 mm, or null',
  ],
  [
    'a length below zero',
    edited(copy => Object.assign(axisOf(copy).recesses as object, { recessFarMm: -1 })),
    'job.axes[0].recesses.recessFarMm: got -1, takes a number from 0 to 500',
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
  [
    'no axis',
    edited(copy => Object.assign(copy.job, { axes: [] })),
    'job.axes: got [], takes a list of 1 to 12',
  ],
  [
    'half a letter in an id',
    edited(copy => Object.assign(copy.job.axes[1] as object, { id: 'y\ud800' })),
    'job.axes[1].id: got half a letter, takes whole ones',
  ],
  [
    'a day that there is not',
    edited(copy => Object.assign(copy.entries[0] as object, { at: '2026-02-31T08:00:00.000Z' })),
    'entries[0].at: got "2026-02-31T08:00:00.000Z", takes a date and time',
  ],
  [
    'a limit of another name',
    edited(copy =>
      Object.assign(copy.job.axes[0] as object, { limits: { toString: { holds: 1, close: 2, why: 'x' } } }),
    ),
    'job.axes[0].limits: got the unknown field toString',
  ],
  [
    'a name that means something else',
    text.replace('"mergeKey"', '"constructor"'),
    'history[0]: got the unknown field constructor',
  ],
  [
    'a number without end',
    text.replace(`"schemaVersion": ${SCHEMA_VERSION}`, '"schemaVersion": 1e999'),
    'job.schemaVersion: got a number without end',
  ],
  [
    'far too deep',
    edited(copy => Object.assign(copy.job, { name: JSON.parse('['.repeat(60) + ']'.repeat(60)) })),
    'got more than 40 levels',
  ],
  ['a version that it is not of', edited(copy => Object.assign(copy.job, { schemaVersion: 1 })), 'job'],
  [
    'a place far beyond its list',
    fixture.replace(
      /"history": ?\[/,
      '"history": [{"id":"x","patches":[],"inverse":[{"op":"add","path":["axes",1000000000],"value":{}}]},',
    ),
    'history[0].patches: got the place 1000000000 in a list',
  ],
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
    'takes a patch with path, was and now',
  ],
  [
    'a patch into what all objects share',
    edited(copy =>
      Object.assign(copy.history[0]?.patches[0] as object, { path: ['axes', '__proto__', 'x'] }),
    ),
    '"__proto__"',
  ],
  [
    'a row twice',
    edited(copy => {
      const { joints } = copy.job.axes[0] as Axis
      joints.push(joints[0] as (typeof joints)[number])
    }),
    'job.axes[0].joints: got the id joint-1 twice',
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
  const named =
    (change: (job: Record<string, unknown>) => Record<string, unknown>): Step =>
    (job, history) => ({ job: change(job), history: [...history] })
  const steps = [
    { from: 1, migrate: named(({ ...old }) => ({ ...old, title: old.name })) },
    { from: 2, migrate: named(({ name: _, ...old }) => old) },
  ]
  const up = (old: Record<string, unknown>, of = steps) => migrate({ job: old, history: [] }, of, 3).job
  test('run step by step up to the present version', () => {
    expect(up({ schemaVersion: 1, name: 'a' })).toEqual({ schemaVersion: 3, title: 'a' })
    expect(up({ schemaVersion: 2, name: 'a', title: 'b' })).toEqual({ schemaVersion: 3, title: 'b' })
  })
  test('a gap is an error', () => {
    expect(() => up({ schemaVersion: 1 }, steps.slice(1))).toThrow('from which no step leads to 2')
  })
})

const FIXTURES = join(__dirname, '..', 'document', 'migrations', 'fixtures')
describe.each(readdirSync(FIXTURES))('the fixture %s', name => {
  const old = readFileSync(join(FIXTURES, name), 'utf8')
  const before = JSON.parse(old) as { job: { schemaVersion: number }; history: { undone: boolean }[] }
  const file = readJobFile(old)

  test('is read, and reads back the same once it is written', () => {
    expect(before.job.schemaVersion).toBeLessThan(SCHEMA_VERSION)
    expect(file.job.schemaVersion).toBe(SCHEMA_VERSION)
    expect(readJobFile(writeJobFile(file))).toEqual(file)
  })

  test('has its whole history, and goes back and forth through every change of it', () => {
    expect(file.history.map(({ undone }) => undone)).toEqual(before.history.map(({ undone }) => undone))
    const done = file.history.filter(({ undone }) => !undone)
    const states = [file.job]
    for (const one of done.toReversed()) states.unshift(takeBack(states[0] as Job, one))
    for (const [index, one] of done.entries()) {
      expect(() => jobSchema.validateSync(states[index], { strict: true })).not.toThrow()
      expect(applyChange(states[index] as Job, one)).toEqual(states[index + 1])
    }
    const redone = file.history.filter(({ undone }) => undone)
    expect(() => redone.reduce(applyChange, file.job)).not.toThrow()
  })

  test('gives every row an id of its own in its list', () => {
    for (const axis of file.job.axes)
      for (const rows of [
        axis.section.stations,
        axis.section.protrusions,
        axis.holes,
        axis.block?.bearings ?? [],
        axis.joints,
        axis.bracketHoles,
        axis.chain.links,
        axis.duty ?? [],
        ...[...axis.rounds, ...axis.tests].map(({ stations }) => stations as { id: string }[]),
      ]) {
        expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length)
        expect(rows.every(({ id }) => id.length > 0)).toBe(true)
      }
  })
})

describe('a job of version 3', () => {
  const read = (name: string) => readJobFile(readFileSync(join(FIXTURES, name), 'utf8'))
  test('as first written, with one grease fitting and no slot nuts, comes up as the one last written', () => {
    const [first, last] = [read('job-v3-first.json'), read('job-v3.json')]
    expect(first.job.axes[0]?.section.protrusions).toMatchObject([
      { what: 'grease fitting', standsOutMm: 7, side: 'floor' },
    ])
    expect(first.job.axes[1]?.section.protrusions).toEqual([])
    for (const axis of first.job.axes) for (const { slotNuts } of axis.joints) expect(slotNuts).toBe(false)
    expect(first.job.axes.map(({ holes }) => holes)).toEqual(last.job.axes.map(({ holes }) => holes))
  })

  test('keeps the rows of its history apart: the joint taken out comes back as itself', () => {
    const { job: now, history } = read('job-v3.json')
    const [, taken, grip] = history
    if (!taken || !grip) throw new Error('the fixture has no such change')
    const joint = now.axes[0]?.joints[0]
    expect(grip.patches).toEqual([
      { path: ['axes', 'skarrow-x', 'joints', joint?.id, 'gripMm'], was: 20, now: 13 },
    ])
    expect(taken.patches).toMatchObject([
      { path: ['axes', 'skarrow-x', 'joints', expect.any(String)], before: joint?.id },
    ])
  })

  test('a change that was not saved before the app was newer finds its row by its place for the last time', () => {
    const { job: now } = read('job-v3.json')
    const second = now.axes[0]?.joints[1]
    const change = changeFromV3(
      { ...now },
      {
        patches: [{ op: 'replace', path: ['axes', 0, 'making', 'joints', 1, 'gripMm'], value: 17 }],
        inverse: [],
      },
      () => 'fresh',
    )
    expect(change.patches).toEqual([
      { path: ['axes', 'skarrow-x', 'joints', second?.id, 'gripMm'], was: second?.gripMm, now: 17 },
    ])
  })
})

describe('a job of version 1', () => {
  const whole = { ...(JSON.parse(fixture) as { job: { axes: object[] } }) }
  test('comes up with a direct drive on one screw, and everything else as it was', () => {
    const [axis] = readJobFile(fixture).job.axes
    expect(axis?.drive).toEqual({
      transmission: 'direct',
      screws: 1,
      microsteps: 8,
      currentA: null,
      handwheelKept: false,
      leadTable: false,
    })
    expect(axis?.parts).toEqual({
      brake: null,
      screw: 'ball-20-5-double',
      bearing: null,
      coupler: null,
      belt: null,
      motor: null,
    })
    expect(axis?.variants).toEqual([])
    const { room, ...same } = whole.job.axes[0] as Record<string, object>
    expect(axis).toMatchObject({ ...same, recesses: room })
  })

  test('has whole axes in its history too: an axis put back by an undo can be read', () => {
    const { job: old } = whole as unknown as { job: Record<string, unknown> & { axes: object[] } }
    const removed = {
      id: 'c',
      undone: false,
      patches: [{ op: 'remove', path: ['axes', 1] }],
      inverse: [{ op: 'add', path: ['axes', 1], value: old.axes[1] }],
    }
    const left = { ...old, axes: old.axes.slice(0, 1) }
    const { history } = migrate({ job: left, history: [removed] })
    const { patches } = history[0] as { patches: { was: unknown }[] }
    expect(patches[0]?.was).toMatchObject({
      drive: { screws: 1 },
      duty: null,
      parts: { belt: null },
      joints: [],
    })
  })
})

describe('a job of version 2', () => {
  const old = readFileSync(join(__dirname, '..', 'document', 'migrations', 'fixtures', 'job-v2.json'), 'utf8')
  test('comes up with the usual limits and no parts of its own, and everything else as it was', () => {
    const { job: before } = JSON.parse(old) as JobFile
    const { job: after, history } = readJobFile(old)
    expect(after.ownParts).toEqual({
      screw: [],
      bearing: [],
      coupler: [],
      belt: [],
      motor: [],
      brake: [],
    })
    expect(after.axes.map(({ limits }) => limits)).toEqual(before.axes.map(() => ({})))
    for (const [index, axis] of after.axes.entries()) {
      const { room, ...same } = before.axes[index] as unknown as Record<string, object>
      expect(axis).toMatchObject({ ...same, recesses: room })
    }
    expect(after.axes[0]?.variants).toHaveLength(1)
    expect(history).toHaveLength((JSON.parse(old) as JobFile).history.length)
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

describe('a change of version 5 that was not saved before the app was newer', () => {
  const X = ['axes', 'skarrow-x']
  test('keeps its paths, and what it puts in has what has come since', () => {
    const hole = { id: 'h', label: 'Way through', existingDiameterMm: 18, requiredDiameterMm: 24 }
    const { patches } = changeFromV5({
      patches: [
        { path: [...X, 'holes', 'h'], was: null, now: hole },
        { path: [...X, 'goals', 'wantedTravelMm'], was: 300, now: 310 },
      ],
    })
    expect(patches).toEqual([
      { path: [...X, 'holes', 'h'], was: null, now: { ...hole, use: 'clearance' } },
      { path: [...X, 'goals', 'wantedTravelMm'], was: 300, now: 310 },
    ])
  })

  test('drops what changed a limit that is gone, and that alone', () => {
    const limit = (id: string) => ({ path: [...X, 'limits', id], was: null, now: { holds: 2, close: 3 } })
    expect(
      changeFromV5({ patches: [limit('motor.step'), limit('screw.buckling'), limit('screw.warmth')] })
        .patches,
    ).toEqual([limit('screw.buckling')])
  })
})

describe('version 14', () => {
  const { job: now } = readJobFile(readFileSync(join(FIXTURES, 'job-v14.json'), 'utf8'))
  const axis = now.axes[0] as (typeof now.axes)[number]

  test('has tables of which nobody knows when they were read, and rounds that kept no figure', () => {
    expect(axis.rounds.length).toBeGreaterThan(0)
    for (const { taken, closedWith, tight, turnedTo, tipLifted } of axis.rounds)
      expect({ taken, closedWith, tight, turnedTo, tipLifted }).toEqual({
        taken: {},
        closedWith: null,
        tight: null,
        turnedTo: null,
        tipLifted: null,
      })
    expect(axis.fullTests).toMatchObject([{ gaugeMore: null, shifts: [], taken: {} }])
    expect([axis.zeroRounds, axis.waveRounds]).toEqual([[], []])
  })

  test('a taper and a pitch that the form began with are not taken for measured; others stay', () => {
    const { job: old } = JSON.parse(readFileSync(join(FIXTURES, 'job-v14.json'), 'utf8')) as JobFile
    for (const [index, { taperRatio, screwPitchMm }] of axis.gibRounds.entries()) {
      const was = old.axes[0]?.gibRounds[index]
      expect(taperRatio).toBe(was?.taperRatio === 60 ? null : was?.taperRatio)
      expect(screwPitchMm).toBe(was?.screwPitchMm === 1 ? null : was?.screwPitchMm)
    }
  })

  test('knows when something was last done, by its ticks and its rounds', () => {
    const done = axis.rounds.filter(one => one.done !== null).map(({ startedAt }) => startedAt)
    expect(axis.touched === null ? '' : axis.touched.at >= (done.toSorted().at(-1) ?? '')).toBeTruthy()
  })
})

test('version 16 has no serial number and no upkeep, and nothing is asked of the fixes in its log', () => {
  const { job: now, entries, history } = readJobFile(readFileSync(join(FIXTURES, 'job-v16.json'), 'utf8'))
  expect([now.fixes, now.upkeep]).toEqual([{}, { readings: [], tasks: [] }])
  expect(now.acceptance).toMatchObject({ serialNumber: null, acceptedDay: '2026-11-28', hoursAWeek: 12 })
  expect(entries.filter(({ kind }) => kind === 'fix').map(({ text }) => text)).toContain(
    'Guard of the belt is taped on',
  )
  expect(history.flatMap(({ patches }) => patches.map(({ path }) => path.join('.')))).toContain(
    'acceptance.hoursAWeek',
  )
})

test('version 17 knows the last machine alone; nothing is made up of those before it', () => {
  const { job: now, history } = readJobFile(readFileSync(join(FIXTURES, 'job-v17.json'), 'utf8'))
  expect(now.axes[0]?.ofLast).toMatchObject({
    machine: 'Kept from version 16',
    dimensions: { wayTravelMm: 142.8 },
    before: [],
  })
  expect(now.lessons).toEqual([])
  // An axis that was taken out comes back whole.
  const removed = history.flatMap(({ patches }) => patches.map(({ was }) => was as { ofLast?: object }))
  expect(removed.find(was => was?.ofLast)?.ofLast).toMatchObject({
    dimensions: { wayTravelMm: 486 },
    before: [],
  })
})

describe('a change that was not saved before the app was newer', () => {
  test('comes up through every version to the present one', () => {
    expect(CHANGE_STEPS.map(({ from }) => from)).toEqual(
      Array.from({ length: SCHEMA_VERSION - 5 }, (_, index) => 5 + index),
    )
  })

  test('of version 10 that puts an axis in has all that it keeps now', () => {
    const { job: old } = JSON.parse(readFileSync(join(FIXTURES, 'job-v10.json'), 'utf8')) as JobFile
    const [axis] = old.axes
    const change = { patches: [{ path: ['axes', 'x'], now: axis }] }
    const { patches } = changeUp(change, 10) as { patches: { now: object }[] }
    expect(patches[0]?.now).toMatchObject({ ...axis, fullTests: [], compensation: { spacingMm: 20 } })
    expect(changeUp(change, SCHEMA_VERSION)).toEqual(change)
  })

  test('of version 11 that begins a test, a round or an axis has what goes with it now, and nothing is made up', () => {
    const noted = { temperatureC: null, gauge: null, who: null }
    const { history, job: now } = readJobFile(readFileSync(join(FIXTURES, 'job-v11.json'), 'utf8'))
    const begun = history.flatMap(({ patches }) => patches.map(({ now: row }) => row as object))
    expect(begun).toMatchObject([
      { label: 'Locknut taken up', ...noted, feedMmPerMin: null, warmth: null },
      { label: 'Again', runs: 5, ...noted },
      { otherAxis: 'Y', sideMm: 100, diagonalAMm: null, diagonalBMm: null },
    ])
    expect(begun[1]).not.toHaveProperty('warmth')
    const [axis] = now.axes
    expect(axis?.uncertainty).toEqual({
      gaugeErrorUm: null,
      temperatureK: null,
      outOfLineDeg: null,
      settingUpUm: null,
    })
    expect(axis?.pushRounds).toMatchObject([{ screw: 'first' }])
    expect(axis?.squareRounds.every(round => !('sideMm' in round))).toBe(true)
    expect(now.acceptance).toMatchObject({ acceptedDay: null, points: [], reproved: {} })
  })
})

test('what is written can be read again, however much was done: the oldest of what could be taken back stays behind', () => {
  // Changes of some 30 KB, of which a file holds about a thousand.
  const long = { was: 'x'.repeat(15_000), now: 'y'.repeat(15_000) }
  const history = Array.from({ length: 1500 }, (_, index) => ({
    ...change,
    id: `c${index}`,
    patches: [{ path: ['name'], ...long }],
  })) as JobFile['history']
  const large = writeJobFile({ ...file, history })
  expect(bytesOf(large)).toBeLessThanOrEqual(LARGEST_FILE_BYTES)
  const read = readJobFile(large)
  expect(read.job).toEqual(job)
  expect(read.entries).toEqual(entries)
  expect(read.history.length).toBeGreaterThan(500)
  expect(read.history.at(-1)?.id).toBe('c1499')
  // And once more, as it was: what comes in goes out.
  expect(writeJobFile(read)).toBe(large)
})

test('a file is measured by its bytes, also where a letter has two', () => {
  const greek = { ...file, job: { ...job, name: 'Φ'.repeat(80) } }
  expect(bytesOf(writeJobFile(greek))).toBe(Buffer.byteLength(writeJobFile(greek)))
  expect(refusal('Φ'.repeat(LARGEST_FILE_BYTES / 2 + 1))).toContain('32.1 MB')
})
