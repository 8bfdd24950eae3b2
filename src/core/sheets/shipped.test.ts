import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { DIMENSION_KEYS, DIMENSIONS } from '../document/dimensions'
import { type Edit, runEdit } from '../document/edit'
import type { LogEntry } from '../document/job'
import type { PartKind } from '../document/kinds'
import { addNote, deleteEntry, mendFix } from '../document/logEdits'
import { linesOfAxis, openFixes } from '../document/logLines'
import { EvaluationContext } from '../evaluation/context'
import { remedied } from '../evaluation/remedy'
import { CATALOGUE } from '../machine/parts'
import { stillToAlign, stillToMeasure } from '../machine/stillToMeasure'
import type { CheckId } from '.'
import { evaluateAxis } from './evaluateAxis'
import { newAxis, newJob } from './newJob'
import { nextForAxis, nextForJob } from './nextAction'
import { remediesFor } from './remediesFor'
import { ENTRY_RULES, jobSchema } from './schema'
import { NOTHING_NOTED } from './shared/proofs/conditions'
import { procedure } from './shared/steps/procedure'

const demo = skarrow()
const [X, Y, Z] = demo.job.axes as [Axis, Axis, Axis]
const next = (axis: Axis) => nextForAxis(axis, CATALOGUE, 'mm')
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
      text: 'A: 9 dimensions to measure',
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
    expect(nextForJob({ ...demo.job, axes: [proved] }, CATALOGUE)).toEqual([])
  })

  test('one line an axis, in their order', () => {
    expect(nextForJob(demo.job, CATALOGUE).map(({ axisId }) => axisId)).toEqual([X.id, Y.id, Z.id])
  })

  test('what was set to nothing is to be measured again', () => {
    const forgotten: Axis = {
      ...X,
      dimensions: { ...X.dimensions, movingMassKg: { value: null, provenance: 'measured' } },
    }
    expect(stillToMeasure(forgotten)).toEqual(['movingMassKg', 'frictionCoefficient'])
  })
})

describe('temporary fixes', () => {
  const own = linesOfAxis(demo.entries, X.id)
  const [foil] = openFixes(own) as [LogEntry]
  const entryOf = (command: Edit) =>
    runEdit(demo.job, command, { id: 'c', at: '2026-11-25T08:00:00.000Z' }).entry as LogEntry

  test('stay open until a later line ends them; both lines stay', () => {
    expect(openFixes(own)).toHaveLength(2)
    const mended = [...own, entryOf(mendFix(foil))]
    expect(openFixes(mended).map(({ id }) => id)).not.toContain(foil.id)
    expect(openFixes(mended)).toHaveLength(1)
    expect(mended.map(({ text }) => text)).toEqual(
      expect.arrayContaining([foil.text, `Mended for good: ${foil.text}`]),
    )
  })

  test('are open again when the line that ended them is taken back', () => {
    const line = { ...entryOf(mendFix(foil)), hidden: true }
    expect(openFixes(linesOfAxis([...demo.entries, line], X.id))).toHaveLength(2)
  })

  test('the lines of an axis are its own and those of the whole machine', () => {
    const other = entryOf(addNote(Y.id, 'Saddle scraped', 'note'))
    const whole = entryOf(addNote(null, 'Shed painted', 'note'))
    const lines = linesOfAxis([...demo.entries, other, whole], X.id)
    expect(lines).toContain(whole)
    expect(lines).not.toContain(other)
    expect(deleteEntry(foil.id).hides).toEqual([foil.id])
  })

  test('a line that is as long as can be is still a line when it is mended', () => {
    const long = entryOf(addNote(X.id, 'x'.repeat(4000), 'fix'))
    const mended = entryOf(mendFix(long))
    expect(() => ENTRY_RULES.schema.validateSync(mended, { strict: true })).not.toThrow()
  })
})

describe('documents that ship with the app', () => {
  test('the demo and every new job are of the schema, and name parts that exist', () => {
    const jobs = [
      demo.job,
      ...(['mill', 'lathe', 'router'] as const).map(kind =>
        newJob('New', kind, 'inch', '2026-11-25T08:00:00.000Z'),
      ),
    ]
    for (const job of jobs) {
      expect(() => jobSchema.validateSync(job, { strict: true })).not.toThrow()
      for (const axis of job.axes)
        for (const [kind, id] of Object.entries(axis.parts))
          if (id !== null) expect(CATALOGUE[kind as PartKind].has(id)).toBe(true)
    }
    for (const entry of demo.entries)
      expect(() => ENTRY_RULES.schema.validateSync(entry, { strict: true })).not.toThrow()
  })

  test('the demo is in order: steps ticked in their order, rounds that converge, dates that follow', () => {
    const steps = (procedure(new EvaluationContext(X, CATALOGUE)) ?? []).map(({ id }) => id)
    const ticked = Object.keys(X.ticks)
    expect(ticked).toEqual(steps.slice(0, ticked.length))
    expect(Object.values(X.ticks)).toEqual(Object.values(X.ticks).toSorted())
    expect(demo.entries.map(({ at }) => at)).toEqual(demo.entries.map(({ at }) => at).toSorted())
  })

  test('two demos share nothing that could be changed', () => {
    const other = skarrow()
    expect(other).toEqual(demo)
    expect(other.job).not.toBe(demo.job)
    expect(other.job.axes[0]?.goals).not.toBe(demo.job.axes[0]?.goals)
  })
})

describe('ways out of the demo', () => {
  const all = [X, Y].flatMap(axis =>
    evaluateAxis(axis, CATALOGUE, 'mm')
      .findings.filter(({ state }) => state === 'fails' || state === 'close')
      // What only hands at the machine mend.
      .filter(({ checkId }) => !['align.drag', 'align.runOut'].includes(checkId))
      .map(finding => [`${axis.name}: ${finding.title}`, axis, finding.checkId] as const),
  )

  test.each(all)('%s has one, which leaves everything else of the axis as it is', (_, axis, checkId) => {
    const ways = remediesFor(axis, CATALOGUE, 'mm', checkId)
    expect(ways.length).toBeGreaterThan(0)
    for (const way of ways) {
      const { state, label, cost } = way
      expect(state).toBe('holds')
      expect(label.length).toBeGreaterThan(3)
      expect(cost.length).toBeGreaterThan(3)
      const after = remedied(axis, way)
      const { dimensions, ticks, rounds, tests, nutFacing } = axis
      expect(after).toMatchObject({ dimensions, ticks, rounds, tests, nutFacing })
      const changed = (
        [
          'parts',
          'ends',
          'goals',
          'recesses',
          'preloadN',
          'section',
          'block',
          'joints',
          'stopping',
          'switches',
          'flangeRounds',
        ] as const
      ).filter(key => JSON.stringify(after[key]) !== JSON.stringify(axis[key]))
      expect(changed).toHaveLength(1)
    }
  })

  test('what holds has none to look for, and a check that nobody knows has none', () => {
    expect(remediesFor(X, CATALOGUE, 'mm', 'no.such.check' as CheckId)).toEqual([])
  })
})
