import fc from 'fast-check'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { SCREW_ENDS } from '../document/kinds'
import { type Box, DRIVE_PARTS, type DrivePart, driveLine } from '../drawing/driveLine'
import { EvaluationContext } from '../evaluation/context'
import { NotKnown } from '../evaluation/notKnown'
import { CATALOGUE } from '../machine/parts'

import { travelBudget } from '../machine/travel/calculation'
import { freeLengthMm, nutRange, nutReach, travel } from '../machine/travel/placement'
import { newAxis } from './newJob'

const [X] = skarrow().job.axes as [Axis]
const share = fc.double({ min: 0, max: 1, noNaN: true })
const chosenAxis = fc
  .record({
    screw: fc.constantFrom(...CATALOGUE.screw.keys()),
    bearing: fc.constantFrom(...CATALOGUE.bearing.keys()),
    coupler: fc.constantFrom(...CATALOGUE.coupler.keys()),
    belt: fc.constantFrom(...CATALOGUE.belt.keys()),
    motor: fc.constantFrom(...CATALOGUE.motor.keys()),
    ends: fc.constantFrom(...SCREW_ENDS),
    facing: fc.constantFrom('far' as const, 'fixed' as const),
    spanMm: fc.double({ min: 250, max: 2500, noNaN: true }),
  })
  .map(
    ({ ends, facing, spanMm, ...parts }): Axis => ({
      ...X,
      parts: { ...parts, brake: null },
      ends,
      nutFacing: facing,
      dimensions: { ...X.dimensions, supportSpanMm: { value: spanMm, provenance: 'measured' } },
    }),
  )
const boxes = (line: { boxes: Box[] }, part: DrivePart, role?: Box['role']) =>
  line.boxes.filter(box => box.part === part && (role === undefined || box.role === role))
const one = (line: { boxes: Box[] }, part: DrivePart, role: Box['role']) => boxes(line, part, role)[0] as Box

describe('travel budget', () => {
  const lengths = fc.record({
    supportSpanMm: fc.double({ min: 50, max: 3000, noNaN: true }),
    nutAheadMm: fc.double({ min: 0, max: 200, noNaN: true }),
    nutBehindMm: fc.double({ min: 0, max: 200, noNaN: true }),
    recessFixedMm: fc.double({ min: 0, max: 100, noNaN: true }),
    recessFarMm: fc.double({ min: 0, max: 100, noNaN: true }),
    safetyFixedMm: fc.double({ min: 0, max: 50, noNaN: true }),
    safetyFarMm: fc.double({ min: 0, max: 50, noNaN: true }),
    wayTravelMm: fc.double({ min: 10, max: 3000, noNaN: true }),
  })

  test('the recess that it names brings all the travel back, and a hair less does not', () => {
    fc.assert(
      fc.property(lengths, given => {
        const before = travelBudget(given)
        fc.pre(before.screwTravelMm > 0)
        const cut = (extraMm: number) => travelBudget({ ...given, recessFarMm: given.recessFarMm + extraMm })
        expect(cut(before.recessNeededMm).lostMm).toBeCloseTo(0, 6)
        if (before.recessNeededMm > 0.01)
          expect(cut(before.recessNeededMm - 0.01).lostMm).toBeCloseTo(0.01, 6)
      }),
    )
  })

  test('what is left and what is lost make up the ways; nothing is ever below nothing', () => {
    fc.assert(
      fc.property(lengths, given => {
        const { travelMm, lostMm, limitedBy, screwTravelMm } = travelBudget(given)
        expect(travelMm + lostMm).toBeCloseTo(given.wayTravelMm, 9)
        expect(travelMm).toBeGreaterThanOrEqual(0)
        expect(limitedBy).toBe(screwTravelMm < given.wayTravelMm ? 'screw' : 'ways')
      }),
    )
  })

  test('a longer nut takes as much travel as it is longer, while the screw limits it', () => {
    const given = {
      supportSpanMm: 500,
      nutAheadMm: 46,
      nutBehindMm: 11,
      recessFixedMm: 0,
      recessFarMm: 0,
      safetyFixedMm: 5,
      safetyFarMm: 5,
      wayTravelMm: 450,
    }
    const single = travelBudget(given)
    const double = travelBudget({ ...given, nutAheadMm: 98 })
    expect(single.travelMm - double.travelMm).toBeCloseTo(52, 9)
    expect(double.limitedBy).toBe('screw')
  })

  test('which end a length stands at does not change the sum', () => {
    fc.assert(
      fc.property(lengths, given => {
        const turned = travelBudget({
          ...given,
          nutAheadMm: given.nutBehindMm,
          nutBehindMm: given.nutAheadMm,
          recessFixedMm: given.recessFarMm,
          recessFarMm: given.recessFixedMm,
          safetyFixedMm: given.safetyFarMm,
          safetyFarMm: given.safetyFixedMm,
        })
        expect(turned.travelMm).toBeCloseTo(travelBudget(given).travelMm, 9)
      }),
    )
  })
})

describe('where the nut stands', () => {
  test('turned about, it reaches as far the other way, and the travel is the same', () => {
    const turned = { ...X, nutFacing: 'fixed' as const }
    const there = nutReach(new EvaluationContext(X, CATALOGUE))
    const back = nutReach(new EvaluationContext(turned, CATALOGUE))
    expect(back).toEqual({ nutAheadMm: there.nutBehindMm, nutBehindMm: there.nutAheadMm })
    expect(travel(new EvaluationContext(turned, CATALOGUE)).travelMm).toBe(
      travel(new EvaluationContext(X, CATALOGUE)).travelMm,
    )
  })

  test('between its limits it stays clear of both blocks by what is kept clear, less the recess', () => {
    fc.assert(
      fc.property(chosenAxis, axis => {
        const t = new EvaluationContext(axis, CATALOGUE)
        fc.pre(travel(t).screwTravelMm > 0)
        const { firstMm, lastMm } = nutRange(t)
        const { nutAheadMm, nutBehindMm } = nutReach(t)
        const spanMm = t.dimension('supportSpanMm')
        expect(firstMm - nutBehindMm).toBeCloseTo(
          axis.recesses.safetyFixedMm - axis.recesses.recessFixedMm,
          9,
        )
        expect(spanMm - lastMm - nutAheadMm).toBeCloseTo(
          axis.recesses.safetyFarMm - axis.recesses.recessFarMm,
          9,
        )
      }),
    )
  })

  test('the free length is never longer than the screw, and longest with the nut at an end', () => {
    fc.assert(
      fc.property(chosenAxis, axis => {
        const t = new EvaluationContext(axis, CATALOGUE)
        fc.pre(travel(t).screwTravelMm > 0)
        const spanMm = t.dimension('supportSpanMm')
        const { firstMm, lastMm } = nutRange(t)
        const { nutAheadMm, nutBehindMm } = nutReach(t)
        const free = freeLengthMm(t)
        expect(free).toBeLessThanOrEqual(spanMm)
        for (let at = firstMm; at <= lastMm; at += (lastMm - firstMm) / 7 + 1e-9) {
          const beyond = spanMm - at - nutAheadMm
          const before = at - nutBehindMm
          const here = axis.ends === 'fixed-free' ? beyond : Math.max(beyond, before)
          expect(here).toBeLessThanOrEqual(free + 1e-6)
        }
      }),
    )
  })

  test('what is not known is asked for, one thing at a time', () => {
    const bare = newAxis({ name: 'A', title: 'New' })
    expect(() => travel(new EvaluationContext(bare, CATALOGUE))).toThrow(NotKnown)
    const unmeasured: Axis = {
      ...X,
      dimensions: { ...X.dimensions, supportSpanMm: { value: null, provenance: 'assumed' } },
    }
    try {
      travel(new EvaluationContext(unmeasured, CATALOGUE))
      throw new Error('it was known')
    } catch (error) {
      expect(error).toMatchObject({ missing: { dimension: 'supportSpanMm' } })
    }
  })
})

describe('drive line', () => {
  test('is to scale: every part has the size of its sheet', () => {
    const line = driveLine(new EvaluationContext(X, CATALOGUE), 0.5)
    const screw = CATALOGUE.screw.get('ball-20-5-double')
    const bearing = CATALOGUE.bearing.get('back-12')
    const motor = CATALOGUE.motor.get('step-57-22')
    const coupler = CATALOGUE.coupler.get('slit-32-clamp')
    expect(one(line, 'nut', 'body')).toMatchObject({
      widthMm: screw?.nutBodyLengthMm,
      heightMm: screw?.nutBodyDiameterMm,
    })
    expect(one(line, 'nut', 'flange').heightMm).toBe(screw?.nutFlangeDiameterMm)
    expect(one(line, 'screw', 'thread').heightMm).toBe(screw?.nominalDiameterMm)
    expect(one(line, 'bearing', 'body')).toMatchObject({
      widthMm: bearing?.blockLengthMm,
      heightMm: bearing?.blockHeightMm,
    })
    expect(one(line, 'motor', 'body')).toMatchObject({ widthMm: motor?.lengthMm, heightMm: motor?.frameMm })
    expect(one(line, 'coupler', 'body')).toMatchObject({
      widthMm: coupler?.lengthMm,
      heightMm: coupler?.diameterMm,
    })
    expect(line.leadMm).toBe(5)
    expect(one(line, 'far', 'body').xMm).toBe(548.2)
  })

  test('whatever the parts: in order from motor to far end, nothing outside the drawing, nothing inside out', () => {
    fc.assert(
      fc.property(chosenAxis, share, (axis, position) => {
        const line = driveLine(new EvaluationContext(axis, CATALOGUE), position)
        for (const box of line.boxes) {
          expect(box.widthMm).toBeGreaterThan(0)
          expect(box.heightMm).toBeGreaterThan(0)
          expect(box.xMm).toBeGreaterThanOrEqual(line.leftMm)
          expect(box.xMm + box.widthMm).toBeLessThanOrEqual(line.rightMm + 1e-9)
          expect(box.yMm).toBeGreaterThanOrEqual(line.bottomMm)
          expect(box.yMm + box.heightMm).toBeLessThanOrEqual(line.topMm + 1e-9)
          expect(box.guessed).toBe(false)
        }
        const ends = (part: DrivePart, role: Box['role']) => {
          const { xMm, widthMm } = one(line, part, role)
          return [xMm, xMm + widthMm] as const
        }
        expect(ends('motor', 'body')[1]).toBeLessThanOrEqual(ends('coupler', 'body')[0])
        expect(ends('coupler', 'body')[1]).toBeLessThanOrEqual(ends('bearing', 'body')[0])
        expect(ends('bearing', 'body')[1]).toBe(0)
        if (axis.ends === 'fixed-free') expect(boxes(line, 'far')).toEqual([])
        else expect(ends('far', 'body')[0]).toBe(line.spanMm)
      }),
    )
  })

  test('run from end to end, the nut goes from one limit to the other, evenly', () => {
    fc.assert(
      fc.property(chosenAxis, share, (axis, position) => {
        const at = (place: number) => driveLine(new EvaluationContext(axis, CATALOGUE), place).nutAtMm
        const { limits } = driveLine(new EvaluationContext(axis, CATALOGUE), 0)
        expect(at(0)).toBe(limits?.firstMm)
        expect(at(1)).toBeCloseTo(limits?.lastMm ?? Number.NaN, 9)
        expect(at(position)).toBeCloseTo(at(0) + position * (at(1) - at(0)), 9)
      }),
    )
  })

  test('the flange sits against its bracket on the side away from the body', () => {
    for (const nutFacing of ['far', 'fixed'] as const) {
      const line = driveLine(new EvaluationContext({ ...X, nutFacing }, CATALOGUE), 0.3)
      const flange = one(line, 'nut', 'flange')
      const bracket = one(line, 'nut', 'bracket')
      const body = one(line, 'nut', 'body')
      if (nutFacing === 'far') {
        expect(flange.xMm + flange.widthMm).toBeCloseTo(bracket.xMm, 9)
        expect(body.xMm).toBeCloseTo(bracket.xMm, 9)
      } else {
        expect(flange.xMm).toBeCloseTo(bracket.xMm + bracket.widthMm, 9)
        expect(body.xMm + body.widthMm).toBeCloseTo(bracket.xMm + bracket.widthMm, 9)
      }
    }
  })

  test('of an axis without parts every part is drawn in a usual size, and said to be guessed', () => {
    const line = driveLine(new EvaluationContext(newAxis({ name: 'A', title: 'New' }), CATALOGUE), 0.5)
    expect(new Set(line.boxes.map(box => box.part))).toEqual(
      new Set(DRIVE_PARTS.filter(part => part !== 'belt')),
    )
    for (const part of ['motor', 'coupler', 'bearing', 'screw', 'nut', 'far'] as const)
      expect(boxes(line, part).every(box => box.guessed)).toBe(true)
    expect(line.limits).toBeNull()
  })

  test('beside a belt the motor lies under the screw at the distance of the centres, with a pulley on each', () => {
    const belted: Axis = {
      ...X,
      parts: { ...X.parts, belt: 'belt-5-15-24-48' },
      drive: { ...X.drive, transmission: 'belt' },
      driveSizes: { ...X.driveSizes, beltCentresMm: 130 },
    }
    const line = driveLine(new EvaluationContext(belted, CATALOGUE), 0.5)
    expect(boxes(line, 'coupler')).toEqual([])
    const middles = boxes(line, 'belt')
      .filter(({ role }) => role === 'body')
      .map(({ yMm, heightMm }) => yMm + heightMm / 2)
    expect(middles).toEqual([0, -130])
    const [body] = boxes(line, 'motor')
    expect((body?.yMm ?? 0) + (body?.heightMm ?? 0) / 2).toBeCloseTo(-130, 9)
    const [run] = boxes(line, 'belt').filter(({ role }) => role === 'run')
    const [small] = boxes(line, 'belt').filter(({ role, yMm }) => role === 'body' && yMm < -100)
    expect(run?.yMm).toBeCloseTo(small?.yMm ?? 0, 9)
    expect(line.bottomMm).toBeLessThanOrEqual(-130)
  })

  test('a handwheel that is kept stands beyond the far block, as large as it is', () => {
    const kept: Axis = {
      ...X,
      drive: { ...X.drive, handwheelKept: true },
      driveSizes: { ...X.driveSizes, handwheelRadiusMm: 55 },
    }
    const wheel = driveLine(new EvaluationContext(kept, CATALOGUE), 0).boxes.find(
      ({ role }) => role === 'handwheel',
    )
    expect(wheel?.heightMm).toBe(110)
    expect(wheel?.xMm).toBeGreaterThan(548.2)
    expect(
      driveLine(new EvaluationContext(X, CATALOGUE), 0).boxes.some(({ role }) => role === 'handwheel'),
    ).toBe(false)
  })
})
