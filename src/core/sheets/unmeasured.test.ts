import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { blankRow } from '../field/field'
import { CATALOGUE } from '../machine/parts'
import { cutList } from './cutList'
import { evaluateAxis } from './evaluateAxis'
import { newAxis } from './newJob'
import { type SectionStation, STATIONS } from './nutRoom/model'
import { bracketTemplate } from './template/drawing'

// What nobody gave has no cut, no hold and no paper.

const [X] = skarrow().job.axes as [Axis]
const contextOf = (axis: Axis, units: 'mm' | 'inch' = 'mm') => evaluateAxis(axis, CATALOGUE, units)
const room = (axis: Axis) => contextOf(axis).finding('room.section')
const station = (positionMm: number, change: Partial<SectionStation> = {}): SectionStation =>
  blankRow(STATIONS, `at-${positionMm}`, {
    positionMm,
    leftMm: 60,
    rightMm: 60,
    ceilingMm: 60,
    floorMm: 60,
    wallLeftMm: 20,
    wallRightMm: 20,
    wallCeilingMm: 20,
    wallFloorMm: 20,
    ...change,
  })
const withRoom = (stations: SectionStation[], change: Partial<Axis['section']> = {}): Axis => ({
  ...X,
  section: { ...X.section, bracketWidthMm: 60, bracketHeightMm: 60, protrusions: [], stations, ...change },
})
const ALL = [40, 200, 290, 400, 520]

test('a wall that nobody measured takes no cut, on the sheet, in the list and on paper alike', () => {
  const tight = withRoom(ALL.map(at => station(at, { ceilingMm: 28, wallCeilingMm: null })))
  expect(room(tight)).toMatchObject({ state: 'unknown' })
  expect(room(tight)?.sentence).toMatch(/^Enter first: the wall above/)
  expect(cutList(contextOf(tight)).filter(({ id }) => id.startsWith('section-'))).toEqual([])
  // One wall unknown among known ones leaves the whole stretch open.
  const one = withRoom(ALL.map(at => station(at, { ceilingMm: 28, wallCeilingMm: at === 290 ? null : 20 })))
  expect(cutList(contextOf(one)).filter(({ id }) => id.startsWith('section-'))).toEqual([])
  const known = withRoom(ALL.map(at => station(at, { ceilingMm: 28 })))
  expect(cutList(contextOf(known)).filter(({ id }) => id.startsWith('section-'))).toHaveLength(1)
})

test('a bracket that nobody measured holds nothing and cuts nothing; one that is no wider than its nut says so with 0', () => {
  const stations = ALL.map(at => station(at))
  const blank = { bracketWidthMm: null, bracketHeightMm: null }
  expect(room(withRoom(stations, blank))?.sentence).toMatch(/^Enter first: width and height of the bracket/)
  expect(room(withRoom(stations, { bracketWidthMm: 0, bracketHeightMm: 0 }))?.state).toBe('holds')
  const tight = ALL.map(at => station(at, { ceilingMm: 28 }))
  expect(cutList(contextOf(withRoom(tight, blank))).filter(({ id }) => id.startsWith('section-'))).toEqual([])
  expect(newAxis({ name: 'X', title: 'New' }).section).toMatchObject(blank)
  // A template has no outline then, and every hole.
  const { marks } = bracketTemplate('T', [], { widthMm: null, heightMm: null }, 30, 'mm')
  expect(marks.length).toBeGreaterThan(0)
  for (const mark of marks) expect(JSON.stringify(mark)).not.toMatch(/NaN|null/)
})

test('places at the natural ends, the faces of the blocks, speak for the travel; far beyond it they do not', () => {
  const ends = [0, 140, 280, 420, 548].map(at => station(at))
  expect(room(withRoom(ends))?.state).toBe('holds')
  // What would touch there, where the nut never comes, is no reason to cut.
  const lip = [station(0, { ceilingMm: 10 }), ...[140, 280, 420, 548].map(at => station(at))]
  expect(cutList(contextOf(withRoom(lip))).filter(({ id }) => id.startsWith('section-'))).toEqual([])
  expect(room(withRoom([station(-400), station(900)]))?.state).toBe('unknown')
})

test('a lead table that nobody made is said to be still to be made', () => {
  const sentence = (leadTable: boolean, leadTableIn: boolean) =>
    contextOf({
      ...X,
      drive: { ...X.drive, leadTable },
      controller: { ...X.controller, leadTableIn },
    }).finding('axis.positionBudget')?.sentence
  expect(sentence(true, false)).toContain('which nobody has made yet')
  expect(sentence(true, true)).toContain('corrected from the table in the controller')
  expect(sentence(false, false)).toContain('as class')
})
