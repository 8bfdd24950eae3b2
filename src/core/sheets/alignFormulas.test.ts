import fc from 'fast-check'
import { GRAVITY_M_PER_S2, STEEL_E_MPA } from '../calculation/constants'
import { turnOf } from '../calculation/leastSquares'
import { counterweight } from '../machine/travel/counterweight'
import { roundsToTarget } from '../trial/lineAxis'
import { clutchTorque, dragAlongTravel, dragOncePerTurn } from './drag/calculation'
import { faceTilt } from './flange/calculation'
import { gibSet } from './gib/calculation'
import { preloadDrag } from './preload/calculation'
import { levelSteps, straightness } from './rails/calculation'
import { couplerLine } from './shafts/calculation'
import { dragShares, reachOf } from './shared/rounds/dragShares'
import { gantrySquare } from './shared/rounds/gantrySquare'
import { lifeShare, roundInertiaMm4, sideForce } from './shared/rounds/worth'
import { waysFriction } from './waysFriction/calculation'

// What was built into made-up readings comes back out of them, whatever else stands in them.

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const cos = (deg: number) => Math.cos((deg * Math.PI) / 180)
const ANGLES = [0, 60, 120, 180, 240, 300]
/** How far two angles are apart. */
const apart = (a: number, b: number) => Math.abs(turnOf(a - b + 180) - 180)

test('a tilted face gives its tilt and its proud side, wherever the dial was zeroed', () => {
  fc.assert(
    fc.property(
      between(0.01, 5),
      between(0, 359),
      between(-500, 500),
      between(5, 200),
      (tilt, atDeg, zero, radiusMm) => {
        const readings = ANGLES.map(angleDeg => ({
          angleDeg,
          readingUm: zero + tilt * radiusMm * cos(angleDeg - atDeg),
        }))
        const found = faceTilt({ readings, radiusMm, boltCircleMm: 40 })
        expect(found.tiltUmPerMm).toBeCloseTo(tilt, 6)
        expect(apart(found.proudAtDeg, atDeg)).toBeLessThan(1e-3)
        expect(apart(found.shimAtDeg, atDeg + 180)).toBeLessThan(1e-3)
        expect(found.shimUm).toBeCloseTo(40 * tilt, 5)
      },
    ),
  )
})

test('shafts beside each other and at an angle come back, and are told apart', () => {
  fc.assert(
    fc.property(
      between(0.01, 1),
      between(0, 359),
      between(0.01, 2),
      between(0, 359),
      (offMm, towardsDeg, angularDeg, closeDeg) => {
        const faceRadiusMm = 15
        const tiltUm = Math.tan((angularDeg * Math.PI) / 180) * faceRadiusMm * 1000
        const found = couplerLine({
          rim: ANGLES.map(angleDeg => ({
            angleDeg,
            readingUm: 12 + 1000 * offMm * cos(angleDeg - towardsDeg),
          })),
          face: ANGLES.map(angleDeg => ({ angleDeg, readingUm: -3 + tiltUm * cos(angleDeg - closeDeg) })),
          faceRadiusMm,
        })
        expect(found.parallelMm).toBeCloseTo(offMm, 8)
        expect(apart(found.parallelTowardsDeg, towardsDeg)).toBeLessThan(1e-3)
        expect(found.angularDeg).toBeCloseTo(angularDeg, 6)
        // Where the tip is pressed in most the hubs are closest: they stand open on the other side.
        expect(apart(found.openAtDeg, closeDeg + 180)).toBeLessThan(1e-3)
      },
    ),
  )
})

test('a rectangle pushed askew gives the angle that it was pushed by', () => {
  fc.assert(
    fc.property(between(-1, 1), between(200, 3000), between(200, 2000), (deg, sideAMm, sideBMm) => {
      const e = (deg * Math.PI) / 180
      // Corners of a parallelogram: side b leans by e from square.
      const diagonalAMm = Math.hypot(sideAMm + sideBMm * Math.sin(e), sideBMm * Math.cos(e))
      const diagonalBMm = Math.hypot(sideAMm - sideBMm * Math.sin(e), sideBMm * Math.cos(e))
      const found = gantrySquare({
        diagonalAMm,
        diagonalBMm,
        sideAMm,
        sideBMm,
        railDistanceMm: 900,
        readingUncertaintyMm: 0.1,
      })
      expect(found.outOfSquareDeg).toBeCloseTo(deg, 8)
      expect(found.shiftMm).toBeCloseTo(900 * Math.tan(e), 6)
    }),
  )
})

test('a larger rectangle is read to a smaller angle', () => {
  const of = (scale: number) =>
    gantrySquare({
      diagonalAMm: 1000 * scale * Math.SQRT2,
      diagonalBMm: 1000 * scale * Math.SQRT2,
      sideAMm: 1000 * scale,
      sideBMm: 1000 * scale,
      railDistanceMm: 900,
      readingUncertaintyMm: 0.5,
    }).shiftUncertaintyMm
  expect(of(2)).toBeCloseTo(of(1) / 2, 9)
})

test('friction and drag come back from pulls, and weight that is only guessed leaves the friction right', () => {
  fc.assert(
    fc.property(between(0.01, 0.4), between(0, 200), between(10, 300), (friction, dragN, massKg) => {
      const pulls = [0, 10, 25, 40].map(addedMassKg => ({
        addedMassKg,
        pullN: dragN + friction * GRAVITY_M_PER_S2 * (massKg + addedMassKg),
      }))
      const found = waysFriction({ massKg, pulls })
      expect(found.frictionCoefficient).toBeCloseTo(friction, 8)
      expect(found.dragN).toBeCloseTo(dragN, 5)
      expect(waysFriction({ massKg: massKg * 1.2, pulls }).frictionCoefficient).toBeCloseTo(friction, 8)
    }),
  )
})

test('a gib pushed in as told leaves the play that was wanted at its tightest place, and locks nowhere', () => {
  fc.assert(
    fc.property(
      fc.array(between(1, 200), { minLength: 2, maxLength: 8 }),
      between(1, 50),
      between(10, 100),
      (plays, targetUm, taperRatio) => {
        const { advanceMm, leftUm } = gibSet({
          plays: plays.map((playUm, index) => ({ positionMm: 50 * index, playUm })),
          targetUm,
          taperRatio,
          screwPitchMm: 1,
        })
        const after = plays.map(playUm => playUm - (1000 * advanceMm) / taperRatio)
        expect(Math.min(...after)).toBeCloseTo(targetUm, 6)
        expect(Math.max(...after)).toBeCloseTo(leftUm, 6)
      },
    ),
  )
})

test('straightness does not mind how the rail is laid down; a level finds the same heights as a straightedge', () => {
  fc.assert(
    fc.property(
      fc.array(between(-80, 80), { minLength: 3, maxLength: 8 }),
      between(-1, 1),
      (heights, slope) => {
        const baseMm = 150
        const stations = heights.map((readingUm, index) => ({ positionMm: baseMm * index, readingUm }))
        const leaning = stations.map(one => ({ ...one, readingUm: one.readingUm + slope * one.positionMm }))
        const straight = straightness({ stations })
        expect(straightness({ stations: leaning }).minimumZoneUm).toBeCloseTo(straight.minimumZoneUm, 6)
        expect(straightness({ stations: leaning }).leastSquaresUm).toBeCloseTo(straight.leastSquaresUm, 6)
        const steps = heights.slice(1).map((um, index) => ((um - (heights[index] as number)) / baseMm) * 1000)
        const stepped = levelSteps({ baseMm, steps }).stations
        for (const [index, { readingUm }] of stepped.entries())
          expect(readingUm).toBeCloseTo((heights[index] as number) - (heights[0] as number), 8)
      },
    ),
  )
})

test('the weight against an overhang balances about the edge of the middle third', () => {
  fc.assert(
    fc.property(
      between(5, 300),
      between(100, 600),
      between(50, 250),
      between(50, 500),
      (massKg, overhangMm, wayHalfLengthMm, weightArmMm) => {
        const { counterweightKg, liftsOff } = counterweight({
          massKg,
          overhangMm,
          wayHalfLengthMm,
          weightArmMm,
        })
        const third = wayHalfLengthMm / 3
        if (overhangMm > third)
          expect(massKg * (overhangMm - third)).toBeCloseTo(counterweightKg * (weightArmMm + third), 5)
        else expect(counterweightKg).toBe(0)
        expect(liftsOff).toBe(overhangMm > wayHalfLengthMm)
      },
    ),
  )
})

test('a clutch is a straight line through its settings, known best between them', () => {
  const calibration = [2, 6, 10, 14].map(setting => ({ setting, pullN: 1 + 0.9 * setting }))
  expect(clutchTorque({ calibration, leverMm: 200, setting: 8 }).torqueNm).toBeCloseTo((1 + 7.2) * 0.2, 9)
  const rough = calibration.map((one, index) => ({ ...one, pullN: one.pullN + (index % 2 ? 0.3 : -0.3) }))
  const errorAt = (setting: number) =>
    clutchTorque({ calibration: rough, leverMm: 200, setting }).standardErrorNm ?? 0
  expect(errorAt(8)).toBeLessThan(errorAt(20))
  expect(() => clutchTorque({ calibration: calibration.slice(0, 1), leverMm: 200, setting: 3 })).toThrow()
})

test('what drag was made of comes back, cause by cause', () => {
  const [spanMm, rootDiameterMm, supportStiffnessNPerUm] = [600, 17, 50]
  const reachMm = reachOf(rootDiameterMm, supportStiffnessNPerUm)
  // A cantilever as long as the reach gives as much as the support behind it.
  expect(reachMm ** 3 / (3 * STEEL_E_MPA * roundInertiaMm4(rootDiameterMm))).toBeCloseTo(1 / 50_000, 12)
  fc.assert(
    fc.property(
      between(0.1, 1),
      between(-0.2, 0.2),
      between(0, 2),
      between(0, 2),
      between(-0.3, 0.3),
      (level, direction, fixed, far, slope) => {
        const readings = [30, 60, 150, 300, 450, 540, 570].flatMap(positionMm =>
          ([1, -1] as const).map(way => {
            const shares = dragShares(positionMm, way, spanMm, reachMm)
            return {
              positionMm,
              direction: way,
              torqueNm:
                10 + level + shares[1] * direction + shares[2] * fixed + shares[3] * far + shares[4] * slope,
            }
          }),
        )
        const found = dragAlongTravel({ readings, spanMm, rootDiameterMm, supportStiffnessNPerUm })
        expect(found.level.torqueNm).toBeCloseTo(10 + level, 6)
        expect(found.direction.torqueNm).toBeCloseTo(direction, 6)
        expect(found.fixedEnd.torqueNm).toBeCloseTo(fixed, 5)
        expect(found.farEnd.torqueNm).toBeCloseTo(far, 5)
        expect(found.slope.torqueNm).toBeCloseTo(slope, 6)
      },
    ),
  )
})

test('three readings over a turn have nothing to spare: their spread is not known', () => {
  const three = [0, 120, 240].map(angleDeg => ({ angleDeg, torqueNm: 1 + 0.2 * cos(angleDeg - 90) }))
  const found = dragOncePerTurn({ readings: three })
  expect(found.amplitudeNm).toBeCloseTo(0.2, 9)
  expect(found.tightestDeg).toBeCloseTo(90, 6)
  expect(found.residualNm).toBeNull()
})

test('a block off the line pushes hard near it and hardly far from it; what it pushes costs life by the cube', () => {
  const at = (distanceMm: number) =>
    sideForce({ offsetUm: 100, distanceMm, rootDiameterMm: 17, supportStiffnessNPerUm: 50 }).sideForceN
  expect(at(0)).toBeCloseTo(5000, 6)
  expect(at(60)).toBeLessThan(at(30))
  expect(at(600)).toBeLessThan(2)
  const share = (sideForceN: number) => lifeShare({ axialForceN: 1000, sideForceN, contactAngleDeg: 45 })
  expect(share(0).lifeShare).toBe(1)
  expect(share(200).lifeShare).toBeCloseTo(share(200).ballLoadRatio ** -3, 12)
})

test('preload adds drag by more than its own share, and the lever only changes the pull', () => {
  const of = (preloadN: number, leverMm = 100) =>
    preloadDrag({
      preloadN,
      contactAngleDeg: 30,
      meanDiameterMm: 20,
      staticCapacityN: 12_000,
      bearings: 2,
      leverMm,
    })
  expect(of(1000).torqueNm / of(500).torqueNm).toBeCloseTo(2 ** 1.33, 6)
  expect(of(700, 50).pullN).toBeCloseTo(2 * of(700, 100).pullN, 12)
  expect(of(700, 50).torqueNm).toBe(of(700, 100).torqueNm)
})

test('what the screw line says, followed, brings both blocks to the line in three rounds, nineteen times of twenty', () => {
  const runs = 400
  const set = Array.from({ length: runs }, (_, seed) => roundsToTarget(seed + 50_000)).filter(
    one => one !== null,
  )
  expect(set.length / runs).toBeGreaterThanOrEqual(0.95)
})
