import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { DIMENSION_KEYS, DIMENSIONS } from '../../document/dimensions'
import { isAsked, isPlanned, stillToMeasure } from '../../machine/stillToMeasure'
import { newAxis } from '../newJob'
import { measuringDrawing, passesOf } from './drawing'

const table = newAxis({ name: 'X', title: 'Table', slide: 'table' })
const head = newAxis({
  name: 'Z',
  title: 'Head',
  slide: 'head',
  dimensions: { inclineDeg: 90, lightestMassKg: 40, counterbalanceN: 100 },
})
const keys = (readings: readonly { key: string }[]) => readings.map(({ key }) => key)
const lettersOn = (axis: Axis) => {
  const { whole, apart } = passesOf(axis)
  return measuringDrawing([...whole.filter(({ isFromOutside }) => !isFromOutside), ...apart]).marks.flatMap(
    mark => (mark.is === 'text' ? [mark.text] : []),
  )
}

test('first what shows while all is together, then what shows when it is apart; what is to be made follows the plan', () => {
  const { whole, apart, planned } = passesOf(table)
  expect(keys(whole)).toEqual(['inclineDeg', 'movingMassKg', 'wayTravelMm', 'screwToWayMm'])
  expect(keys(apart)).toEqual(['wayTravelMm', 'screwToWayMm', 'frictionCoefficient', 'dragN'])
  expect(keys(planned)).toEqual(['supportSpanMm', 'bracketThicknessMm'])
})

test('what shows only when it is apart is read roughly from outside first, and measured all the same', () => {
  const travel = { value: 402, provenance: 'outside' as const }
  const seen: Axis = { ...table, dimensions: { ...table.dimensions, wayTravelMm: travel } }
  const { whole, apart } = passesOf(seen)
  expect(keys(whole)).not.toContain('wayTravelMm')
  expect(keys(apart)).toContain('wayTravelMm')
  expect(stillToMeasure(seen)).toEqual(stillToMeasure(table))
  const measured = { value: 410, provenance: 'measured' as const }
  const done = passesOf({ ...table, dimensions: { ...table.dimensions, wayTravelMm: measured } })
  expect([...keys(done.whole), ...keys(done.apart)]).not.toContain('wayTravelMm')
})

test('a level table is asked for no counterbalance, a head is', () => {
  expect(keys(passesOf(table).whole)).not.toContain('counterbalanceN')
  expect(keys(passesOf(head).whole)).toEqual(
    expect.arrayContaining(['counterbalanceN', 'counterbalanceSpreadN', 'lightestMassKg']),
  )
})

test('what is fitted by now is to be measured, and no longer planned', () => {
  const fitted: Axis = { ...table, ticks: { 'nut-loose': '2026-12-01T08:00:00.000Z' } }
  expect(keys(passesOf(fitted).apart)).toContain('bracketThicknessMm')
  expect(keys(passesOf(fitted).planned)).toEqual(['supportSpanMm'])
})

test('a plan without a figure is asked for, and one that is typed stays a plan', () => {
  const { supportSpanMm } = table.dimensions
  const none: Axis = {
    ...table,
    dimensions: { ...table.dimensions, supportSpanMm: { ...supportSpanMm, value: null } },
  }
  expect(keys(passesOf(none).apart)).toContain('supportSpanMm')
  expect(isPlanned(none, 'supportSpanMm')).toBe(true)
  expect(isPlanned({ ...none, ticks: { 'far-loose': '2026-12-01T08:00:00.000Z' } }, 'supportSpanMm')).toBe(
    false,
  )
  expect(isPlanned(table, 'wayTravelMm')).toBe(false)
})

test('each letter stands once on the drawing, the same whatever is still open', () => {
  const letters = lettersOn(head)
  expect(new Set(letters).size).toBe(letters.length)
  expect(letters).toHaveLength(9)
  const { whole } = passesOf(head)
  const massOf = (all: typeof whole) => all.find(({ key }) => key === 'movingMassKg')?.letter
  expect(massOf(passesOf(table).whole)).toBe(massOf(whole))
  const [X] = skarrow().job.axes as [Axis]
  expect(passesOf(X).apart).toEqual([{ key: 'frictionCoefficient', letter: expect.any(String) }])
})

test('every dimension of the survey has its place on the drawing', () => {
  const asked = DIMENSION_KEYS.filter(key => DIMENSIONS[key].group !== 'shafts' && isAsked(head, key))
  const all = asked.map((key, index) => ({ key, letter: `${index}` }))
  const shown = measuringDrawing(all).marks.flatMap(mark => (mark.is === 'text' ? [mark.text] : []))
  expect(shown.toSorted()).toEqual(all.map(({ letter }) => letter).toSorted())
})
