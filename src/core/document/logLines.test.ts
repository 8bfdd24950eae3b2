import fc from 'fast-check'
import { runs } from '../calculation/fixtures/runs'
import { skarrow } from '../demo/skarrow'
import type { Axis } from './axis'
import { applyChange, type Change, runEdit, takeBack } from './edit'
import { removeAxis } from './edits'
import { isAboutSafety, NO_TERMS } from './fixes'
import type { Job, LogEntry } from './job'
import { addNote, correctLine, deleteLine, mendFix, setFixTerms } from './logEdits'
import { findLines, linesOfAxis, logLines, openFixes, writtenAt } from './logLines'
import { isAboutDrive } from './touched'

const { job } = skarrow()
const X = job.axes[0]?.id as string
const ALL = { words: '', axisId: null, kind: null, fromDay: '', toDay: '' } as const

/** A log as it grows: each edit brings its line, and takes out those that it deletes. */
class Log {
  entries: LogEntry[] = []
  job: Job = job
  private made = 0
  do(
    edit: Parameters<typeof runEdit>[1],
    at = `2026-12-02T10:00:${String(this.made).padStart(2, '0')}.000Z`,
  ) {
    this.made += 1
    const { job: next, change, entry } = runEdit(this.job, edit, { id: `c-${this.made}`, at })
    this.job = next
    this.last = change
    this.entries = this.entries.map(one => (change.hides.includes(one.id) ? { ...one, hidden: true } : one))
    if (entry) this.entries.push(entry)
    return entry as LogEntry
  }
  private last: Change | null = null
  /** Takes the last change back, and does it again. */
  redo() {
    if (this.last) this.job = applyChange(takeBack(this.job, this.last), this.last)
  }
  get texts() {
    return logLines(this.entries).map(({ entry, before }) => [entry.text, ...before.map(({ text }) => text)])
  }
}

test('a line that is worded otherwise stays in its place, and what it said beneath it', () => {
  const log = new Log()
  const first = log.do(addNote(X, 'Gib at 0.02', 'note'))
  log.do(addNote(X, 'Oiled the ways', 'note'))
  const second = log.do(correctLine(first, 'Gib at 0.03'))
  log.do(correctLine(second, 'Gib at 0.04, far end'))
  expect(log.texts).toEqual([['Oiled the ways'], ['Gib at 0.04, far end', 'Gib at 0.03', 'Gib at 0.02']])
  const [, line] = logLines(log.entries)
  expect(line && writtenAt(line)).toBe(first.at)
  // On paper and in the acceptance it says what it says now.
  expect(linesOfAxis(log.entries, X).map(({ text }) => text)).toEqual([
    'Oiled the ways',
    'Gib at 0.04, far end',
  ])
  // Nothing that it said comes back when it is taken out.
  log.do(deleteLine(line as NonNullable<typeof line>))
  expect(log.texts).toEqual([['Oiled the ways']])
})

test('a temporary fix that is worded otherwise is open once, and its mending is no wording', () => {
  const log = new Log()
  const foil = log.do(addNote(X, 'Foil under the far block', 'fix'))
  const better = log.do(correctLine(foil, 'Foil of 0.05 under the far block'))
  const open = () => openFixes(linesOfAxis(log.entries, X)).map(({ text }) => text)
  expect(open()).toEqual(['Foil of 0.05 under the far block'])
  log.do(mendFix(better))
  expect(open()).toEqual([])
  expect(log.texts.map(([text]) => text)).toEqual([
    'Mended for good: Foil of 0.05 under the far block',
    'Foil of 0.05 under the far block',
  ])
})

test('a fix that loosens the drive, worded so later, is a change of it', () => {
  const log = new Log()
  const line = log.do(addNote(X, 'Looked at it', 'note'))
  expect(log.job.axes[0]?.touched).toEqual(job.axes[0]?.touched)
  log.do(correctLine(line, 'Slackened the locknut and set it anew'))
  expect(log.job.axes[0]?.touched?.what).toContain('locknut')
})

test('lines are found by all words, in any order, whatever their accents and capitals', () => {
  const log = new Log()
  log.do(addNote(X, 'Foil under the far block', 'fix'))
  log.do(addNote(null, 'Führung geölt', 'note'))
  log.do(addNote(job.axes[1]?.id ?? '', 'Far limit switch moved', 'note'))
  const found = (sought: Partial<Parameters<typeof findLines>[1]>) =>
    findLines(logLines(log.entries), { ...ALL, ...sought }).map(({ entry }) => entry.text)
  expect(found({ words: 'FAR foil' })).toEqual(['Foil under the far block'])
  expect(found({ words: 'fuhrung' })).toEqual(['Führung geölt'])
  expect(found({ axisId: X })).toEqual(['Führung geölt', 'Foil under the far block'])
  expect(found({ kind: 'fix' })).toEqual(['Foil under the far block'])
  expect(found({ words: 'far', kind: 'note' })).toEqual(['Far limit switch moved'])
  expect(found({ words: 'no such' })).toEqual([])
})

test('days count as the builder has them, to the end of the last', () => {
  const log = new Log()
  const at = (day: string) => new Date(`${day}T23:30:00`).toISOString()
  for (const day of ['2026-11-30', '2026-12-01', '2026-12-02']) log.do(addNote(X, day, 'note'), at(day))
  const found = (fromDay: string, toDay: string) =>
    findLines(logLines(log.entries), { ...ALL, fromDay, toDay }).map(({ entry }) => entry.text)
  expect(found('2026-12-01', '2026-12-01')).toEqual(['2026-12-01'])
  expect(found('', '2026-12-01')).toEqual(['2026-12-01', '2026-11-30'])
  expect(found('2026-12-02', '')).toEqual(['2026-12-02'])
})

const TERMS = { untilDay: '2026-12-20', untilHours: null, isSafety: true }
test('what is asked of a fix goes with it: into other words, back from its mending, and out with it', () => {
  const log = new Log()
  const guard = log.do(addNote(X, 'Guard taped on', 'fix', TERMS))
  expect(log.job.fixes).toEqual({ [guard.id]: { axisId: X, text: 'Guard taped on', ...TERMS } })
  const better = log.do(correctLine(guard, 'Guard of the belt taped on'))
  expect(log.job.fixes).toEqual({
    [better.id]: { axisId: X, text: 'Guard of the belt taped on', ...TERMS },
  })
  const { job: mended, change } = runEdit(log.job, mendFix(better), {
    id: 'm',
    at: '2026-12-02T11:00:00.000Z',
  })
  expect(mended.fixes).toEqual({})
  expect(takeBack(mended, change).fixes).toEqual(log.job.fixes)
  log.do(setFixTerms(better, { ...TERMS, untilDay: null, untilHours: 50 }, 'Guard: after 50 h.'))
  expect(log.job.fixes[better.id]).toMatchObject({ untilDay: null, untilHours: 50, isSafety: true })
  expect(log.texts[0]).toEqual(['Guard: after 50 h.'])
  // Nothing asked is nothing kept; a note is asked nothing.
  log.do(setFixTerms(better, NO_TERMS, 'Nothing.'))
  log.do(addNote(X, 'Oiled', 'note', TERMS))
  expect(log.job.fixes).toEqual({})
  // With its axis it goes too.
  log.do(addNote(X, 'Foil', 'fix', TERMS))
  log.do(removeAxis(log.job.axes[0] as Axis))
  expect(log.job.fixes).toEqual({})
})

test('a guard over a part of the drive is none of the drive', () => {
  for (const text of ['Guard of the belt is taped on', 'Belt cover left off', 'cover over the coupler'])
    expect([text, isAboutDrive(text)]).toEqual([text, false])
  for (const text of ['Belt is taped', 'Belt cover off, belt slackened', 'Foil under the far block'])
    expect([text, isAboutDrive(text)]).toEqual([text, true])
})

test('a fix is likely to be about safety where its words are', () => {
  const about = [
    'Guard of the belt is taped on',
    'E-stop bridged',
    'brake held by a clamp',
    'fuse of 10 A for now',
  ]
  const not = ['Foil under the nut', 'Printed strip under the far block', 'Discover later what clicks']
  expect(about.map(isAboutSafety)).toEqual(about.map(() => true))
  expect(not.map(isAboutSafety)).toEqual(not.map(() => false))
})

test('in whatever order lines are written, worded otherwise, mended and taken out, none is shown twice, none that stands is lost, and what was asked of an open fix is asked', () => {
  const step = fc.record({
    what: fc.constantFrom('note', 'fix', 'word', 'mend', 'out', 'terms', 'back'),
    which: fc.nat(30),
    isSafety: fc.boolean(),
  })
  fc.assert(
    fc.property(fc.array(step, { maxLength: 40 }), steps => {
      const log = new Log()
      /** What every line that stands should say, by the id of the entry that says it. */
      const stands = new Map<string, string>()
      /** Which of them are temporary fixes that nobody has mended. */
      const open = new Set<string>()
      /** What was asked of those, in the order in which it was. */
      const asked = new Map<string, boolean>()
      for (const [index, { what, which, isSafety }] of steps.entries()) {
        const lines = logLines(log.entries)
        const line = lines[which % Math.max(1, lines.length)]
        const written = line && (line.entry.kind === 'note' || line.entry.kind === 'fix') ? line : null
        if (what === 'note' || what === 'fix') {
          const entry = log.do(addNote(X, `line ${index}`, what, { ...NO_TERMS, isSafety }))
          stands.set(entry.id, entry.text)
          if (what === 'fix') open.add(entry.id)
          if (what === 'fix' && isSafety) asked.set(entry.id, true)
        } else if (what === 'word' && line?.mayBeWorded && written) {
          const entry = log.do(correctLine(written.entry, `line ${index}`))
          stands.delete(written.entry.id)
          stands.set(entry.id, entry.text)
          if (open.delete(written.entry.id)) open.add(entry.id)
          if (asked.delete(written.entry.id)) asked.set(entry.id, true)
        } else if (what === 'terms' && written && open.has(written.entry.id)) {
          const entry = log.do(setFixTerms(written.entry, { ...NO_TERMS, isSafety }, `line ${index}`))
          stands.set(entry.id, entry.text)
          asked.delete(written.entry.id)
          if (isSafety) asked.set(written.entry.id, true)
        } else if (what === 'mend' && written?.entry.kind === 'fix') {
          const entry = log.do(mendFix(written.entry))
          stands.set(entry.id, entry.text)
          open.delete(written.entry.id)
          asked.delete(written.entry.id)
        } else if (what === 'back') {
          // Taken back and done again, whatever it was: as if nothing had been.
          const before = log.job
          log.redo()
          expect(log.job).toEqual(before)
        } else if (what === 'out' && written) {
          log.do(deleteLine(written))
          stands.delete(written.entry.id)
          open.delete(written.entry.id)
          asked.delete(written.entry.id)
        }
        expect(new Set(Object.keys(log.job.fixes))).toEqual(new Set(asked.keys()))
        const shown = logLines(log.entries).map(({ entry }) => entry)
        expect(new Map(shown.map(({ id, text }) => [id, text]))).toEqual(stands)
        expect(shown).toHaveLength(stands.size)
        expect(new Set(openFixes(linesOfAxis(log.entries, X)).map(({ id }) => id))).toEqual(open)
      }
    }),
    { numRuns: runs(300, 40) },
  )
})

test('a file whose lines name each other in a ring is shown all the same', () => {
  const line = (id: string, closes: string): LogEntry => ({
    id,
    jobId: job.id,
    axisId: X,
    at: '2026-12-02T10:00:00.000Z',
    kind: 'note',
    text: id,
    closes,
    hidden: false,
  })
  const shown = logLines([line('a', 'b'), line('b', 'a'), line('c', 'c')])
  expect(shown.map(({ entry, before }) => [entry.id, ...before.map(({ id }) => id)])).toEqual([
    ['b', 'a'],
    ['c'],
  ])
})
