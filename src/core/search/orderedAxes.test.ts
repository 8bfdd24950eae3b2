import type { PartOf } from '../document/parts/types'
import { CATALOGUE } from '../machine/parts'
import type { DrivePoint } from './field'
import { NOTHING_HERE } from './fixtures/lists'
import { ORDERED_AXES } from './fixtures/orderedAxes'
import { searchOutcome } from './outcome'

const partsOf = ({ screw, motor, belt }: DrivePoint) => ({
  screw: CATALOGUE.screw.get(screw) as PartOf['screw'],
  motor: CATALOGUE.motor.get(motor) as PartOf['motor'],
  belt: CATALOGUE.belt.get(belt ?? ''),
})

test.each(ORDERED_AXES)('$name: $because', ({ axis, pick, order }) => {
  const { handful = [], points = [] } = searchOutcome(axis, CATALOGUE, NOTHING_HERE, 'mm') ?? {}
  const picked = handful.find(({ picks }) => picks.includes(pick))
  expect(picked).toBeDefined()
  if (!picked) return
  const { point, rests, support } = picked
  const { screw, motor, belt } = partsOf(point)
  const isBetween = (value: number, [least, most]: readonly [number, number]) => {
    expect(value).toBeGreaterThanOrEqual(least)
    expect(value).toBeLessThanOrEqual(most)
  }
  isBetween(screw.nominalDiameterMm, order.diameterMm)
  isBetween(screw.leadMm, order.leadMm)
  if (order.preloaded) expect(screw.preloadN).toBeGreaterThan(0)
  isBetween(belt ? belt.teethScrew / belt.teethMotor : 1, order.ratio)
  isBetween(motor.holdingTorqueNm, order.motorNm)
  // Nobody orders a free end where a held one holds, and each says what that buys.
  expect(point.ends).not.toBe('fixed-free')
  expect(support).not.toBeNull()
  if (axis.dimensions.inclineDeg.value && belt)
    expect(rests.map(({ title }) => title)).toContain('A belt that holds the load')
  // What is stiff or loses little is no piece of jewellery.
  const cheapest = Math.min(...points.filter(({ margin }) => margin >= 1).map(({ priceEur }) => priceEur))
  for (const one of handful)
    if (one.picks.some(name => name.endsWith('for twice the price')))
      expect(one.point.priceEur).toBeLessThanOrEqual(2 * cheapest)
})
