import fc from 'fast-check'
import { circleTest } from '../../sheets/circle/calculation'
import { faceTilt } from '../../sheets/flange/calculation'
import { straightness } from '../../sheets/rails/calculation'
import { couplerLine } from '../../sheets/shafts/calculation'
import { gantrySquare } from '../../sheets/shared/rounds/gantrySquare'
import { squareReversal } from '../../sheets/square/calculation'
import { SimulatedAxis } from './axis'
import {
  cutCircle,
  diagonalsMm,
  faceUm,
  hubFaceUm,
  pulleyGapUm,
  railUm,
  rimUm,
  squareRiseUm,
} from './setting'
import { TABLE } from './table'

// Whatever is put in is what the calculations of the sheets find, from readings that nothing is added to.

const ANGLES = [0, 60, 120, 180, 240, 300]
const small = fc.integer({ min: 1, max: 400 })
const angle = fc.integer({ min: 0, max: 359 })
/** Two directions, as far apart as they are. */
const apartDeg = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180)

test('a face that leans is found proud where it is, by as much', () => {
  fc.assert(
    fc.property(small, angle, (um, atDeg) => {
      const causes = { face: { tiltUmPerMm: um / 100, atDeg } }
      const { tiltUmPerMm, proudAtDeg } = faceTilt({
        readings: ANGLES.map(angleDeg => ({ angleDeg, readingUm: faceUm(causes, angleDeg, 20) })),
        radiusMm: 20,
        boltCircleMm: 36,
      })
      expect(tiltUmPerMm).toBeCloseTo(um / 100, 9)
      expect(apartDeg(proudAtDeg, atDeg)).toBeLessThan(1e-6)
    }),
  )
  // A warped one leans no more for it, and lies about its plane.
  const warped = { face: { tiltUmPerMm: 2, atDeg: 30, warpUm: 10 } }
  const { tiltUmPerMm, residualUm } = faceTilt({
    readings: ANGLES.map(angleDeg => ({ angleDeg, readingUm: faceUm(warped, angleDeg, 20) })),
    radiusMm: 20,
    boltCircleMm: 36,
  })
  expect(tiltUmPerMm).toBeCloseTo(2, 9)
  expect(residualUm).toBeGreaterThan(5)
})

test('shafts out of line are found beside each other and open where they are', () => {
  fc.assert(
    fc.property(
      small,
      angle,
      fc.integer({ min: 1, max: 40 }),
      angle,
      (besideUm, towardsDeg, mrad, openAtDeg) => {
        const causes = { motor: { besideUm, towardsDeg, mrad, openAtDeg } }
        const found = couplerLine({
          rim: ANGLES.map(angleDeg => ({ angleDeg, readingUm: rimUm(causes, angleDeg) })),
          face: ANGLES.map(angleDeg => ({ angleDeg, readingUm: hubFaceUm(causes, angleDeg, 12) })),
          faceRadiusMm: 12,
        })
        expect(found.parallelMm).toBeCloseTo(besideUm / 1000, 9)
        expect(apartDeg(found.parallelTowardsDeg, towardsDeg)).toBeLessThan(1e-6)
        expect(found.angularDeg).toBeCloseTo((Math.atan(mrad / 1000) * 180) / Math.PI, 9)
        expect(apartDeg(found.openAtDeg, openAtDeg)).toBeLessThan(1e-6)
      },
    ),
  )
})

test('pulleys stand beside each other in their middle, and at an angle about it', () => {
  const causes = { pulleys: { besideUm: 800, tiltUmPerMm: -5 } }
  expect([0, 15, 30].map(mm => pulleyGapUm(causes, mm, 30))).toEqual([875, 800, 725])
})

test('a rail bows, leans and stands proud by what was put in, and a place that is pushed back by as much is flat', () => {
  const at = (rail: Parameters<typeof railUm>[0]['rail']) =>
    [0, 150, 300, 450, 600].map(mm => ({ positionMm: mm, readingUm: railUm({ rail }, mm, 600) }))
  expect(straightness({ stations: at({ leanUmPerM: 120 }) }).slopeUmPerM).toBeCloseTo(120, 9)
  expect(straightness({ stations: at({ bowUm: 50 }) }).minimumZoneUm).toBeCloseTo(50, 9)
  const proud = { atMm: 300, um: 70 }
  expect(at({ proud: [proud] }).map(({ readingUm }) => readingUm)).toEqual([0, 0, 70, 0, 0])
  expect(at({ proud: [proud, { atMm: 300, um: -70 }] }).every(({ readingUm }) => readingUm === 0)).toBe(true)
})

test('axes out of square lengthen one diagonal, tilt a square, and lean a circle, all by the same', () => {
  fc.assert(
    fc.property(fc.integer({ min: -3000, max: 3000 }), squareUmPerM => {
      const [diagonalAMm, diagonalBMm] = diagonalsMm({ squareUmPerM }, 1000, 600)
      const found = gantrySquare({
        diagonalAMm,
        diagonalBMm,
        sideAMm: 1000,
        sideBMm: Math.hypot(600, (600 * squareUmPerM) / 1e6),
        railDistanceMm: 700,
        readingUncertaintyMm: 0,
      })
      expect(found.outOfSquareUmPerM).toBeCloseTo(squareUmPerM, 2)
      const [firstUm, turnedUm] = squareRiseUm({ squareUmPerM }, 250, 13)
      expect(squareReversal({ firstUm, turnedUm, lengthMm: 250 })).toMatchObject({
        squareUm: expect.closeTo(13, 9),
        axisUmPerM: expect.closeTo(squareUmPerM, 6),
      })
    }),
  )
  const rigid = {
    ...TABLE,
    frictionN: 0,
    links: { ...TABLE.links, nut: { playUm: 0, stiffnessNPerUm: 1e6 } },
  }
  const across = cutCircle(new SimulatedAxis(rigid, { squareUmPerM: 900, scaleOff: 0.002 }), 150, 500)
  const { squarenessUmPerM, scaleDifferenceUmPerM, meanDiameterMm } = circleTest({
    diameters: [0, 30, 60, 90, 120, 150].map(angleDeg => ({ angleDeg, diameterMm: across(angleDeg) })),
  })
  expect(Math.abs(squarenessUmPerM - 900)).toBeLessThan(15)
  expect(Math.abs(scaleDifferenceUmPerM - 2000)).toBeLessThan(30)
  expect(Math.abs(meanDiameterMm - 150.15)).toBeLessThan(0.02)
})

test('a circle that is cut with play is no ellipse, and leans as axes do that are not square', () => {
  const across = cutCircle(new SimulatedAxis(TABLE, { playUm: { nut: 200 } }), 150, 500)
  const { residualUm, squarenessUmPerM } = circleTest({
    diameters: [0, 30, 60, 90, 120, 150].map(angleDeg => ({ angleDeg, diameterMm: across(angleDeg) })),
  })
  expect(residualUm).toBeGreaterThan(30)
  expect(Math.abs(squarenessUmPerM)).toBeGreaterThan(300)
})
