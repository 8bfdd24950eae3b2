import { skarrow } from '../demo/skarrow'
import { acceptMachine, setAcceptance, setReproved } from '../document/acceptanceEdits'
import type { Axis } from '../document/axis'
import { type Edit, runEdit } from '../document/edit'
import type { Job } from '../document/job'
import { addNote } from '../document/logEdits'
import { numbered } from '../field/field'
import { writeCalendar } from '../formats/calendarFile'
import { readCsv, tableCsv } from '../formats/csv'
import { choosePart } from '../machine/driveEdits'
import { catalogueOf } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { jobSchema } from '../sheets/schema'
import { NOTHING_NOTED } from '../sheets/shared/proofs/conditions'
import { acceptanceJson, acceptanceTable } from './acceptanceFiles'
import { acceptanceOf } from './acceptanceOf'
import { dueEntries, duesOfJob } from './dues'
import { dayOfHours, reproofsOf } from './reproofs'

const { job: demo, entries } = skarrow()
/** The proofs of a whole machine in its calendar. */
const reproofEntries = (job: Job) =>
  dueEntries(
    job,
    duesOfJob(job, catalogueOf(job)).filter(({ kind, axisId }) => kind === 'proof' && axisId === null),
  )
const of = (job: Job, lines = entries) =>
  acceptanceOf(job, axis => evaluateAxis(axis, catalogueOf(job), job.units), lines)
const edited = (job: Job, ...edits: Edit[]): Job =>
  edits.reduce(
    (now, edit, index) => runEdit(now, edit, { id: `c${index}`, at: '2026-12-01T10:00:00.000Z' }).job,
    job,
  )
/** An axis that loses next to nothing, tested at a day. */
const proved = (axis: Axis, day = '2026-11-28'): Axis => ({
  ...axis,
  pushRounds: [],
  faultSearches: [],
  tests: [
    {
      ...NOTHING_NOTED,
      id: `late-${axis.id}`,
      startedAt: `${day}T10:00:00.000Z`,
      finishedAt: null,
      label: 'Locknut taken up',
      gaugeStepUm: 1,
      temperatureC: 18,
      who: 'E. Vale',
      stations: numbered('place', [
        { positionMm: 60, approachPositiveUm: [5, 6, 5, 6, 5], approachNegativeUm: [-4, -5, -4, -5, -4] },
      ]),
    },
  ],
  fullTests: [
    {
      ...(demo.axes[0]?.fullTests[0] as Axis['fullTests'][number]),
      startedAt: `${day}T12:00:00.000Z`,
      targets: numbered(
        'target',
        [5, 50, 102, 148, 190].map(targetMm => ({
          targetMm,
          positiveUm: [5, 6, 5, 6, 5],
          negativeUm: [-4, -5, -4, -5, -4],
        })),
      ),
    },
  ],
})

test('the demo mill: what was read is there with its uncertainty and conditions, and nothing is ticked that was not', () => {
  const sheet = of(demo)
  expect(sheet.isComplete).toBe(false)
  const [x, y] = sheet.axes
  const reversal = x?.results.find(({ checkId }) => checkId === 'prove.reversal')
  expect(reversal).toMatchObject({ state: 'fails', test: 'Gib nipped up', target: { value: 30 } })
  expect(reversal?.figure?.expanded).toBeGreaterThan(1)
  expect(reversal?.conditions).toBe(
    '16 °C; came at 300 mm/min; micron indicator, magnetic base on the column; read by E. Vale',
  )
  expect(x?.change).toMatchObject({ before: 'As first built', after: 'Gib nipped up', counts: false })
  expect(x?.open.some(point => point.startsWith('Lost motion, measured: A reversal loses'))).toBe(true)
  // Nobody tested the saddle: that is said, and no figure stands there.
  expect(y?.results.map(({ checkId, figure, at }) => [checkId, figure, at])).toEqual(
    expect.arrayContaining([
      ['prove.reversal', null, null],
      ['prove.accuracy', null, null],
    ]),
  )
  expect(y?.open).toEqual(expect.arrayContaining(['Reversal test: not tested.', 'Full test: not tested.']))
  expect(y?.change).toBeNull()
})

test('with every axis proved, what is left open is the machine: its square, a fix, what both agreed', () => {
  const sound = { ...demo, axes: demo.axes.map(axis => proved(axis)) }
  const sheet = of(sound, [])
  for (const axis of sheet.axes)
    for (const result of axis.results.filter(({ checkId }) => checkId.startsWith('prove.')))
      expect(result).toMatchObject({ state: 'holds', conditions: expect.stringContaining('°C') })
  const squareless = of(
    { ...sound, axes: sound.axes.map(axis => ({ ...axis, squareRounds: [], circleRounds: [] })) },
    [],
  )
  expect(squareless.open[0]).toContain('How square the axes stand')
  const agreed = edited(sound, {
    label: 'point',
    run: job => {
      job.acceptance = {
        ...job.acceptance,
        points: [{ id: 'p', what: 'Guards to be fitted', byDay: '2026-12-20' }],
      }
    },
  })
  expect(of(agreed, []).open).toContain('Guards to be fitted (by 2026-12-20)')
  expect(jobSchema.isValidSync(agreed)).toBe(true)
  const fixed = of(sound, [
    {
      id: 'f',
      jobId: demo.id,
      axisId: null,
      at: '2026-11-28T10:00:00.000Z',
      kind: 'fix',
      text: 'stop switch taped up',
      closes: null,
      hidden: false,
    },
  ])
  expect(fixed.open).toContain('For the time being: stop switch taped up')
})

test('the full test stands in it by its letters, with its deviations and what was not counted', () => {
  const [x] = demo.axes as [Axis]
  const full = of({ ...demo, axes: [proved(x)] }).axes[0]?.full
  expect(full?.figures.map(({ letter }) => letter)).toEqual(['A', 'R', 'R+', 'R-', 'B', 'B mean', 'E', 'M'])
  expect(full).toMatchObject({ runs: 5, deviations: { length: 5 } })
  expect(full?.deviations[0]).toMatchObject({ targetMm: 5, upUm: 5.4, downUm: -4.4 })
  // The demo did not say what setting up anew makes.
  expect(full?.notCounted).toEqual(['In the uncertainty: setting up anew.'])
})

test('what was read before bearings were changed does not hold any more, on any sheet', () => {
  const [x] = demo.axes as [Axis]
  const read = proved(x)
  const holds = (one: Axis) =>
    of({ ...demo, axes: [one] }).axes[0]?.results.find(({ checkId }) => checkId === 'prove.fullReversal')
  expect(holds(read)?.state).toBe('holds')
  const other = [...catalogueOf(demo).bearing.keys()].find(id => id !== x.parts.bearing) as string
  const job = { ...demo, axes: [read] }
  const changed = edited(job, choosePart(read, catalogueOf(demo), 'bearing', other)).axes[0] as Axis
  expect(holds(changed)).toMatchObject({ state: 'unknown', figure: null })
  const said = evaluateAxis(changed, catalogueOf(demo), 'mm').finding('prove.fullReversal')
  expect(said).toMatchObject({ state: 'unknown' })
  expect(said?.sentence).toMatch(/^Read on 28 Nov 2026, before the last change \(1 Dec 2026: chosen: /)
  // A line of the log that is about the drive is a change; one that is not is none.
  const noted = (text: string) => edited(job, addNote(read.id, text, 'note')).axes[0] as Axis
  expect(holds(noted('Locknut taken up by six degrees'))?.state).toBe('unknown')
  expect(holds(noted('By the way, tea with the neighbour'))?.state).toBe('holds')
})

test('before and after are two tests that were taken alike: a fast one is not held against a slow one', () => {
  const [x] = demo.axes as [Axis]
  const [first, last] = x.tests as [Axis['tests'][number], Axis['tests'][number]]
  const fast = { ...last, id: 'fast', label: 'Fast', feedMmPerMin: 3000 }
  const change = (tests: Axis['tests']) => of({ ...demo, axes: [{ ...x, tests }] }).axes[0]?.change
  expect(change([first, fast, last])).toMatchObject({ before: 'As first built', after: 'Gib nipped up' })
  expect(change([first, last, fast])).toBeNull()
})

test('what was read before something was mended is asked for again', () => {
  const [x] = demo.axes as [Axis]
  const mended = {
    ...x,
    faultSearches: [
      {
        id: 'f',
        startedAt: '2026-11-22T10:00:00.000Z',
        finishedAt: '2026-11-22T11:00:00.000Z',
        carriesOn: false,
        mended: 'fixed-bearing-play',
        answers: [],
      },
    ],
  }
  for (const result of of({ ...demo, axes: [mended] }).axes[0]?.results ?? [])
    expect(result).toMatchObject({
      state: 'unknown',
      figure: null,
      sentence: expect.stringContaining('read it again'),
    })
  expect(of({ ...demo, axes: [{ ...mended, tests: proved(x).tests }] }).axes[0]?.results[0]).toMatchObject({
    state: 'holds',
  })
})

test('readings of a made-up gauge are not handed over in silence', () => {
  const axis = proved(demo.axes[0] as Axis)
  const practised = {
    ...axis,
    fullTests: axis.fullTests.map(one => ({ ...one, label: 'After (practice)' })),
  }
  expect(of({ ...demo, axes: [practised] }, []).axes[0]?.open).toContain(
    '“After (practice)” was read from a made-up gauge: test the machine itself.',
  )
})

test('as a table and as JSON it says the same, in inches too', () => {
  const sheet = of({ ...demo, units: 'inch' })
  const { head, rows } = readCsv(tableCsv(acceptanceTable(sheet), 'semicolon'), 500, 'rows')
  const column = (name: string) => head.cells.indexOf(name)
  const row = rows.find(({ cells }) => cells[column('what')] === 'Lost motion, measured')?.cells ?? []
  expect(row[column('unit')]).toBe('thou')
  expect(Number(row[column('accepted')])).toBeCloseTo(1.181, 3)
  expect(Number(row[column('result')]) * 25.4).toBeCloseTo(43.6, 0)
  expect(rows.some(({ cells }) => cells[column('what')] === 'open point')).toBe(true)
  const read = JSON.parse(acceptanceJson(sheet, '2026-12-01T10:00:00.000Z'))
  expect(read).toMatchObject({ format: 'dusk-bench-acceptance', version: 1, machine: 'Skarrow 8' })
  expect(read.axes[0].results[0].figure).toMatchObject({ quantity: 'smallLength' })
})

describe('proved again', () => {
  const accepted = edited(
    { ...demo, axes: demo.axes.map(axis => proved(axis)) },
    setAcceptance('hoursAWeek', 5),
    acceptMachine('2026-12-01', 'Accepted.'),
  )

  test('after ten hours, by the hours that it runs, and after half a year', () => {
    expect(dayOfHours('2026-12-01', 10, 5)).toBe('2026-12-15')
    expect(dayOfHours('2026-12-01', 10, 100)).toBe('2026-12-02')
    expect(reproofsOf(demo)).toEqual([])
    expect(reproofsOf(accepted)).toMatchObject([
      { kind: 'ten-hours', dueDay: '2026-12-15', doneDay: null, untested: ['X', 'Y', 'Z'] },
      { kind: 'half-year', dueDay: '2027-06-01', doneDay: null },
    ])
    // Nobody said how long it runs: there is no day, and none is made up.
    const silent = edited(accepted, setAcceptance('hoursAWeek', null))
    expect(reproofsOf(silent)[0]?.dueDay).toBeNull()
    expect(reproofEntries(silent).map(({ from }) => from)).toEqual(['2027-06-01'])
    expect(reproofEntries(accepted).map(({ title, from, to }) => [title, from, to])).toEqual([
      ['Skarrow 8: Proof after ten hours of running', '2026-12-15', '2026-12-16'],
      ['Skarrow 8: Proof after half a year', '2027-06-01', '2027-06-02'],
    ])
  })

  test('stands in the calendar file as whole days, in the order in which it comes', () => {
    const file = writeCalendar('Proofs', reproofEntries(accepted), '2026-12-01T10:00:00Z')
    expect(file.match(/DTSTART;VALUE=DATE:(\d+)/g)).toEqual([
      'DTSTART;VALUE=DATE:20261215',
      'DTSTART;VALUE=DATE:20270601',
    ])
    expect(file).toContain('Axes X\\, Y\\, Z')
  })

  test('is done when every axis was tested since; then it is off the calendar and the next one asks for tests of its own', () => {
    const tested = { ...accepted, axes: accepted.axes.map(axis => proved(axis, '2026-12-14')) }
    expect(reproofsOf(tested)[0]?.untested).toEqual([])
    // One that was only begun, or read from a made-up gauge, is none.
    const begun = tested.axes.map(axis => ({
      ...axis,
      tests: axis.tests.map(one => ({ ...one, stations: [] })),
      fullTests: axis.fullTests.map(one => ({ ...one, label: 'Again (practice)' })),
    }))
    expect(reproofsOf({ ...tested, axes: begun })[0]?.untested).toEqual(['X', 'Y', 'Z'])
    const done = edited(tested, setReproved('ten-hours', '2026-12-15'))
    expect(reproofsOf(done)).toMatchObject([
      { doneDay: '2026-12-15', untested: [] },
      { doneDay: null, untested: ['X', 'Y', 'Z'] },
    ])
    expect(reproofEntries(done)).toHaveLength(1)
    // Accepted anew, everything counts from there.
    const again = edited(done, acceptMachine('2027-01-10', 'Accepted.'))
    expect(reproofsOf(again)[0]).toMatchObject({ doneDay: null, dueDay: '2027-01-24' })
  })
})
