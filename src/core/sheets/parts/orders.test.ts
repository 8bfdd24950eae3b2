import fc from 'fast-check'
import type { Axis } from '../../document/axis'
import { attempt } from '../../evaluation/attempt'
import { EvaluationContext } from '../../evaluation/context'
import { driveEur } from '../../machine/drive/price'
import { CATALOGUE } from '../../machine/parts'
import { DEMO_AXES, strained } from '../fixtures/strainedAxes'
import { driveOrders } from './orders'

const [X] = DEMO_AXES as [Axis]
const countOf = (axis: Axis, start: string) =>
  driveOrders(axis, CATALOGUE, 'mm')
    .filter(({ key }) => key.startsWith(start))
    .reduce((sum, { count }) => sum + count, 0)

test('what is ordered for a drive adds up to the price that the drive is judged by', () => {
  fc.assert(
    fc.property(strained, axis => {
      const { value } = attempt(() => driveEur(new EvaluationContext(axis, CATALOGUE)))
      const totalEur = driveOrders(axis, CATALOGUE, 'mm').reduce(
        (sum, { count, sheetEur }) => sum + count * (sheetEur ?? 0),
        0,
      )
      expect(totalEur).toBeCloseTo(value ?? Number.NaN, 6)
    }),
  )
})

test('two screws held at both ends take four bearing sets and locknuts; held at one, a plain far bearing each', () => {
  const gantry = { ...X, drive: { ...X.drive, screws: 2 as const } }
  const both = { ...gantry, ends: 'fixed-fixed' as const }
  const bearing = `part:${X.parts.bearing}`
  expect([countOf(both, bearing), countOf(both, 'locknut:'), countOf(both, 'far:')]).toEqual([4, 4, 0])
  const one = { ...gantry, ends: 'fixed-supported' as const }
  expect([countOf(one, bearing), countOf(one, 'locknut:'), countOf(one, 'far:')]).toEqual([2, 2, 2])
  const free = { ...X, ends: 'fixed-free' as const }
  expect([countOf(free, bearing), countOf(free, 'far:')]).toEqual([1, 0])
})

test('every motor comes with its mount, driver, supply and cable, and every axis with a switch at each end', () => {
  for (const screws of [1, 2] as const) {
    const axis = { ...X, drive: { ...X.drive, screws } }
    for (const what of ['mount:', 'driver:', 'supply:', 'cable:motor'])
      expect(countOf(axis, what)).toBe(screws)
    expect(countOf(axis, 'switch:limit')).toBe(2 * screws)
  }
})
