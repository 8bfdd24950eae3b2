import { longTom } from '../../demo/longTom'
import type { Axis } from '../../document/axis'
import { EvaluationContext } from '../../evaluation/context'
import { changesFrom } from '../../search/changes'
import { fieldOf } from '../../search/field'
import { axisWith, bare } from '../../search/levels'
import { evaluateAxis } from '../../sheets/evaluateAxis'
import { screwSteps } from '../../sheets/leadscrewEnds/drawing'
import { driveOrders } from '../../sheets/parts/orders'
import { procedure } from '../../sheets/shared/steps/procedure'
import { CATALOGUE } from '../parts'
import { nutInertia } from '../sizing/nut'
import { nutReach } from '../travel/placement'
import { driveEur } from './price'
import { driveStiffness } from './stiffness'
import { bearingLifeHours, bearingPullN, pullN, screwEnd } from './strength'
import { inertiaMatch } from './torque'

const [X] = longTom().job.axes as [Axis]
const of = (transmission: Axis['drive']['transmission'], more: Partial<Axis> = {}): Axis => ({
  ...X,
  ends: 'fixed-fixed',
  drive: { ...X.drive, transmission, screws: 1, handwheelKept: false },
  parts: {
    ...X.parts,
    screw: 'ball-25-10-double',
    bearing: transmission === 'nut' ? 'nut-48' : 'back-17',
    belt: 'belt-5-25-24-48',
    motor: 'step-86-45',
  },
  ...more,
})
const on = (axis: Axis) => new EvaluationContext(axis, CATALOGUE)
const screwTurns = on(of('belt'))
const nutTurns = on(of('nut'))
const finding = (axis: Axis, checkId: string) => evaluateAxis(axis, CATALOGUE, 'mm').finding(checkId as never)

test('the inertia of a nut is that of its rings', () => {
  // A body of 40 on a screw of 20, 100 long, with a flange of 60, 10 thick.
  const byHand = ((Math.PI * 7850) / 32) * (0.1 * (0.04 ** 4 - 0.02 ** 4) + 0.01 * (0.06 ** 4 - 0.02 ** 4))
  const { inertiaKgM2 } = nutInertia({
    boreMm: 20,
    bodyDiameterMm: 40,
    bodyLengthMm: 100,
    flangeDiameterMm: 60,
    flangeThicknessMm: 10,
  })
  expect(inertiaKgM2).toBeCloseTo(byHand, 12)
  expect(inertiaKgM2).toBeCloseTo(0.0002836, 7)
})

test('a screw that stands does not whip at any speed, and says at which it would', () => {
  for (const topSpeedMmPerMin of [1000, 60_000]) {
    const goals = { ...X.goals, topSpeedMmPerMin }
    expect(finding(of('nut', { goals }), 'screw.criticalSpeed')).toMatchObject({
      state: 'holds',
      use: 0,
      sentence: expect.stringContaining('cannot whip'),
    })
  }
  const fast = { ...X.goals, topSpeedMmPerMin: 60_000 }
  expect(finding(of('belt', { goals: fast }), 'screw.criticalSpeed')?.state).toBe('fails')
})

test('a long screw is no flywheel where the nut turns in its place', () => {
  const [turned, standing] = [inertiaMatch(screwTurns).ratio, inertiaMatch(nutTurns).ratio]
  expect(standing).toBeLessThan(turned)
  // What turns with the nut does not grow with the screw.
  const long = (axis: Axis): Axis => ({
    ...axis,
    dimensions: {
      ...axis.dimensions,
      supportSpanMm: { ...axis.dimensions.supportSpanMm, value: 2 * (X.dimensions.supportSpanMm.value ?? 0) },
    },
  })
  expect(inertiaMatch(on(long(of('nut')))).ratio).toBeCloseTo(standing, 9)
  expect(inertiaMatch(on(long(of('belt')))).ratio).toBeGreaterThan(1.2 * turned)
})

test('the pull of a stretched screw is carried by its clamps, and not by the bearings of the nut', () => {
  expect(pullN(nutTurns)).toBeGreaterThan(0)
  expect(bearingPullN(nutTurns)).toBe(0)
  expect(bearingPullN(screwTurns)).toBe(pullN(screwTurns))
  expect(finding(of('nut'), 'screw.pretension')).toBeNull()
  const sameSet = on(of('nut', { parts: { ...of('nut').parts, bearing: 'back-17' } }))
  expect(bearingLifeHours(sameSet)).toBeGreaterThan(bearingLifeHours(screwTurns))
  expect(driveStiffness(sameSet).parts.bearing).toBeCloseTo(driveStiffness(screwTurns).parts.bearing / 2, 9)
})

test('one set of bearings is bought, which must go over the nut, and a clamp for each end', () => {
  const eur = (id: string) => CATALOGUE.bearing.get(id)?.priceEur ?? 0
  expect(driveEur(screwTurns) - driveEur(nutTurns)).toBeCloseTo(2 * eur('back-17') - eur('nut-48'), 9)
  expect(finding(of('nut'), 'bearing.seat')?.state).toBe('holds')
  const small = of('nut', { parts: { ...of('nut').parts, bearing: 'back-25' } })
  expect(finding(small, 'bearing.seat')).toMatchObject({
    state: 'fails',
    sentence: expect.stringContaining('do not go over it'),
  })
  const orders = driveOrders(of('nut'), CATALOGUE, 'mm').map(({ key, count }) => `${count} ${key}`)
  expect(orders).toContain('1 part:nut-48')
  expect(orders).toContain('2 clamp:screw')
  expect(orders.join()).not.toMatch(/far:|ring:/)
})

test('its pulley goes round the nut, and a small one cannot', () => {
  expect(finding(of('nut'), 'belt.bores')?.state).toBe('holds')
  const tight = of('nut', { parts: { ...of('nut').parts, belt: 'belt-3-15-24-48' } })
  expect(finding(tight, 'belt.bores')).toMatchObject({
    state: 'fails',
    sentence: expect.stringContaining('nut that it goes round'),
  })
})

test('a screw that stands is twisted at its root and bent by no belt, and no handwheel turns it', () => {
  expect(screwEnd(nutTurns).bendingMpa).toBe(0)
  expect(screwEnd(nutTurns).diameterMm).toBe(CATALOGUE.screw.get('ball-25-10-double')?.rootDiameterMm)
  expect(screwEnd(screwTurns).bendingMpa).toBeGreaterThan(0)
  const wheel = of('nut', { drive: { ...of('nut').drive, handwheelKept: true } })
  expect(finding(wheel, 'axis.handwheel')?.state).toBe('fails')
})

test('its ends are clamped and keyed, and have no seat for bearings', () => {
  const names = (axis: Axis) => screwSteps(on(axis)).map(({ name }) => name)
  expect(names(of('nut'))).toEqual([
    'Thread of the fixed end',
    'Seat in the clamp, fixed end',
    'Screw thread',
    'Seat in the clamp, far end',
    'Thread of the far end',
  ])
  expect(names(of('nut', { ends: 'fixed-free' })).join()).not.toContain('far')
})

test('housing and pulley reach along with the nut', () => {
  const [turned, standing] = [nutReach(screwTurns), nutReach(nutTurns)]
  expect(Math.max(standing.nutAheadMm, standing.nutBehindMm)).toBeGreaterThanOrEqual(
    Math.max(turned.nutAheadMm, turned.nutBehindMm),
  )
  expect(Math.max(standing.nutAheadMm, standing.nutBehindMm)).toBeGreaterThanOrEqual(74 + 25 + 4)
})

test('its steps are not listed, and a search turns the screw: it is said to, and nothing is taken for near', () => {
  expect(procedure(nutTurns)).toBeNull()
  expect(procedure(screwTurns)).not.toBeNull()
  expect(bare(of('nut')).drive.transmission).toBe('belt')
  const field = fieldOf(of('nut'), CATALOGUE)
  expect(changesFrom(field, of('nut'), 1, { least: 'price', margin: 1 })).toBeNull()
  expect(
    axisWith(of('nut'), {
      screw: 'ball-25-10-double',
      ends: 'fixed-fixed',
      bearing: 'back-17',
      transmission: 'belt',
      coupler: null,
      belt: 'belt-5-25-24-48',
      motor: 'step-86-45',
    }).drive.transmission,
  ).toBe('belt')
})
