import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { type Edit, runEdit } from '../document/edit'
import type { LogEntry } from '../document/job'
import type { PartKind } from '../document/kinds'
import { addNote, deleteLine, mendFix } from '../document/logEdits'
import { linesOfAxis, openFixes } from '../document/logLines'
import { EvaluationContext } from '../evaluation/context'
import { remedied } from '../evaluation/remedy'
import { CATALOGUE } from '../machine/parts'
import type { CheckId } from '.'
import { evaluateAxis } from './evaluateAxis'
import { newJob } from './newJob'
import { remediesFor } from './remediesFor'
import { ENTRY_RULES, jobSchema } from './schema'
import { procedure } from './shared/steps/procedure'

const demo = skarrow()
const [X, Y] = demo.job.axes as [Axis, Axis]
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
    expect(deleteLine({ entry: foil, before: [] }).hides).toEqual([foil.id])
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
