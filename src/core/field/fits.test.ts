import fc from 'fast-check'
import { demoJobs } from '../demo'
import { LOG_ENTRY } from '../document/job'
import { CHANGE_RULES, ENTRY_RULES } from '../sheets/schema'
import { fits } from './fits'

const odd = fc.oneof(
  fc.constantFrom(
    null,
    undefined,
    true,
    '',
    'note',
    '2026-02-31T08:00:00.000Z',
    '2026-11-26T08:00:00.000Z',
    [],
  ),
  fc.string({ maxLength: 60 }),
  fc.double(),
  fc.integer(),
  fc.object({ maxDepth: 1 }),
)
const entry = demoJobs()[0]?.entries[0] as Record<string, unknown>
const change: Record<string, unknown> = {
  id: 'c1',
  jobId: 'j',
  at: '2026-11-26T08:00:00.000Z',
  label: 'Lead',
  mergeKey: null,
  undone: false,
  patches: [{ path: ['axes', 'x'], was: 1, now: 2 }],
  shows: ['e'],
  hides: [],
}

/** One to three fields put, taken away or added. */
const changed = (sound: Record<string, unknown>) =>
  fc
    .array(fc.tuple(fc.constantFrom(...Object.keys(sound), 'more'), odd, fc.boolean()), {
      minLength: 1,
      maxLength: 3,
    })
    .map(changes => {
      const row = { ...sound }
      for (const [key, value, gone] of changes)
        if (gone) delete row[key]
        else row[key] = value
      return row
    })

test.each([
  ['a line of the log', entry, ENTRY_RULES],
  ['a change', change, CHANGE_RULES],
])('what fits as %s is what its schema takes, and the other way round', (_, sound, rules) => {
  expect(rules.fits(sound)).toBe(true)
  expect(rules.schema.isValidSync(sound, { strict: true })).toBe(true)
  let taken = 0
  fc.assert(
    fc.property(changed(sound), row => {
      const isValid = rules.schema.isValidSync(row, { strict: true })
      if (isValid) taken += 1
      expect(rules.fits(row)).toBe(isValid)
    }),
    { numRuns: 1500, seed: 11 },
  )
  expect(taken).toBeGreaterThan(20)
})

test('a field of a kind that it does not know is left to its schema', () => {
  expect(fits({ is: 'maybe', label: 'Line', of: LOG_ENTRY }, null)).toBe(false)
})
