import fc from 'fast-check'
import { runs } from '../calculation/fixtures/runs'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { PART_KINDS, type PartKind } from '../document/kinds'
import type { Catalogue } from '../document/parts/types'
import { NotKnown } from '../evaluation/notKnown'
import { CATALOGUE } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { newAxis } from '../sheets/newJob'
import { enumerateField } from './enumerate'
import { type DrivePoint, fieldOf } from './field'
import { axisWith } from './levels'
import { beats } from './pareto'
import { searchDrives, searchField } from './search'
import { whyNot, whyNothing } from './whyNot'

const [X, , Z] = skarrow().job.axes as [Axis, Axis, Axis]
const gantry: Axis = {
  ...newAxis({ name: 'X', title: 'Gantry', dimensions: { frictionCoefficient: 0.01, movingMassKg: 40 } }),
  drive: { transmission: 'direct', screws: 2, microsteps: 8, handwheelKept: true, leadTable: true },
}
/** Limits that the builder has changed, stricter and looser, of checks of one part and of several. */
const held: Axis = {
  ...X,
  limits: Object.fromEntries(
    (
      [
        ['motor.torqueMargin.open', 1.6, 1.2],
        ['motor.inertiaRatio', 2, 4],
        ['axis.lostMotion', 0.4, 0.5],
        ['coupler.torque', 1, 1.3],
        ['bearing.life', 3, 2],
        ['axis.positionBudget', 1.6, 1.9],
      ] as const
    ).map(([key, holds, close]) => [key, { holds, close, because: 'A test.' }]),
  ),
}
/** A heavy head with a brake on its motor. */
const braked: Axis = { ...Z, parts: { ...Z.parts, brake: 'brake-60' } }
const AXES = [X, Z, gantry, held, braked]

/** A few parts of each kind, drawn from the whole list. */
const smallList = fc
  .record(
    Object.fromEntries(
      PART_KINDS.map(kind => [
        kind,
        fc.uniqueArray(fc.constantFrom(...CATALOGUE[kind].keys()), {
          minLength: 1,
          maxLength: kind === 'screw' ? 4 : 3,
        }),
      ]),
    ) as Record<PartKind, fc.Arbitrary<string[]>>,
  )
  .map(
    ids =>
      ({
        ...CATALOGUE,
        ...Object.fromEntries(
          PART_KINDS.map(kind => [kind, new Map(ids[kind].map(id => [id, CATALOGUE[kind].get(id)]))]),
        ),
      }) as unknown as Catalogue,
  )

/** What the checks themselves say of a drive. */
function judgedWhole(axis: Axis, catalogue: Catalogue, point: DrivePoint) {
  const drive = evaluateAxis(axisWith(axis, point), catalogue, 'mm').findings.filter(({ ofDrive }) => ofDrive)
  return {
    feasible: drive.every(({ state }) => state !== 'fails' && state !== 'unknown'),
    margin: Math.min(...drive.flatMap(({ rankMargin }) => rankMargin ?? [])),
    lostMotionUm: drive.find(({ checkId }) => checkId === 'axis.lostMotion')?.figure?.value,
  }
}

const sameSet = (a: readonly DrivePoint[], b: readonly DrivePoint[]) => {
  const names = (points: readonly DrivePoint[]) => points.map(point => JSON.stringify(point)).toSorted()
  expect(names(a)).toEqual(names(b))
}

test('finds the very set that trying every combination finds', () => {
  let found = 0
  fc.assert(
    fc.property(fc.constantFrom(...AXES), smallList, (axis, catalogue) => {
      const field = fieldOf(axis, catalogue)
      const quick = searchField(field)
      sameSet(quick?.points ?? [], enumerateField(field).points)
      found += quick?.points.length ?? 0
    }),
    { numRuns: 150, seed: 20_261_125 },
  )
  expect(found).toBeGreaterThan(50)
})

test('every combination is judged as the checks judge the whole axis, and what is left out fails there', () => {
  const every = (catalogue: Catalogue) =>
    [...catalogue.screw.keys()].flatMap(screw =>
      (['fixed-free', 'supported-supported', 'fixed-supported', 'fixed-fixed'] as const).flatMap(ends =>
        [...catalogue.bearing.keys()].flatMap(bearing =>
          [
            ...[...catalogue.coupler.keys()].map(coupler => ({
              coupler,
              belt: null,
              transmission: 'direct' as const,
            })),
            ...[...catalogue.belt.keys()].map(belt => ({
              coupler: null,
              belt,
              transmission: 'belt' as const,
            })),
          ].flatMap(link =>
            [...catalogue.motor.keys()].map(
              motor => ({ screw, ends, bearing, ...link, motor }) as DrivePoint,
            ),
          ),
        ),
      ),
    )
  let feasible = 0
  fc.assert(
    fc.property(fc.constantFrom(...AXES), smallList, (axis, catalogue) => {
      const points = searchDrives(axis, catalogue)?.points ?? []
      for (const choice of every(catalogue)) {
        const whole = judgedWhole(axis, catalogue, choice)
        const point = points.find(one => JSON.stringify({ ...choice }) === JSON.stringify(choiceOf(one)))
        if (point) {
          feasible++
          expect(whole.feasible).toBe(true)
          expect(point.margin / whole.margin).toBeCloseTo(1, 9)
          expect(point.lostMotionUm / (whole.lostMotionUm ?? 0)).toBeCloseTo(1, 9)
        } else if (whole.feasible)
          // Not among them although it holds: something must beat it.
          expect(points.some(one => one.margin >= whole.margin * (1 - 1e-9))).toBe(true)
      }
    }),
    { numRuns: runs(24, 12), seed: 20_261_125 },
  )
  expect(feasible).toBeGreaterThan(runs(5, 2))
})
const choiceOf = ({ screw, ends, bearing, coupler, belt, transmission, motor }: DrivePoint) => ({
  screw,
  ends,
  bearing,
  coupler,
  belt,
  transmission,
  motor,
})

describe('over the whole parts list', () => {
  const shares: number[] = []
  const result = searchDrives(X, CATALOGUE, { progress: share => shares.push(share) })
  const points = result?.points ?? []

  test('gives drives that hold, none of which beats another, cheapest first', () => {
    expect(result?.combinations).toBeGreaterThan(50_000_000)
    expect(points.length).toBeGreaterThan(50)
    expect(shares.at(-1)).toBe(1)
    expect(shares).toEqual(shares.toSorted((a, b) => a - b))
    expect(points.some(a => points.some(b => beats(a, b)))).toBe(false)
    expect(points.map(({ priceEur }) => priceEur)).toEqual(
      points.map(({ priceEur }) => priceEur).toSorted((a, b) => a - b),
    )
    for (const point of points.filter((_, index) => index % 40 === 0)) {
      const whole = judgedWhole(X, CATALOGUE, point)
      expect(whole.feasible).toBe(true)
      expect(whole.margin / point.margin).toBeCloseTo(1, 9)
    }
  })

  test('says why a part is not among them', () => {
    const first = points[0] as DrivePoint
    expect(whyNot(X, CATALOGUE, 'screw', first.screw, points, 'mm').kind).toBe('chosen')
    const weak = whyNot(X, CATALOGUE, 'motor', 'step-42-03-24', points, 'mm')
    expect(weak).toMatchObject({ kind: 'fails' })
    expect(weak.kind === 'fails' && weak.fails.map(({ title }) => title)).toContain('Motor torque')
    const unused = [...CATALOGUE.bearing.keys()].filter(id => !points.some(({ bearing }) => bearing === id))
    const isBeaten = (id: string) => whyNot(X, CATALOGUE, 'bearing', id, points, 'mm').kind === 'beaten'
    const id = unused.find(isBeaten) ?? ''
    const beaten = whyNot(X, CATALOGUE, 'bearing', id, points, 'mm')
    expect(beaten.kind === 'beaten' && beats(beaten.by, beaten.its)).toBe(true)
    expect(() => whyNot(X, CATALOGUE, 'motor', 'no-such', points, 'mm')).toThrow('no-such')
  })
})

test('where nothing holds it shows the nearest drive, and what fails on it', () => {
  const far: Axis = { ...X, goals: { ...X.goals, topSpeedMmPerMin: 90_000 } }
  expect(searchDrives(far, CATALOGUE)?.points).toEqual([])
  const { nearest, fails } = whyNothing(far, CATALOGUE, 'mm')
  // No screw turns so fast, whatever goes with it.
  expect(nearest).toBeNull()
  expect(fails.map(({ title }) => title)).toContain('Speed of the nut')
})

test('stops when it is told to', () => {
  let asked = 0
  expect(searchDrives(X, CATALOGUE, { cancelled: () => ++asked > 3 })).toBeNull()
})

test('asks for what is not measured yet', () => {
  const axis = newAxis({ name: 'A', title: 'New' })
  const open: Axis = {
    ...axis,
    dimensions: { ...axis.dimensions, movingMassKg: { value: null, provenance: 'assumed' } },
  }
  expect(() => searchDrives(open, CATALOGUE)).toThrow(NotKnown)
})

test('an axis that only just fails shows the whole drive that is nearest', () => {
  const few = (kind: PartKind, ...ids: string[]) => new Map(ids.map(id => [id, CATALOGUE[kind].get(id)]))
  const catalogue = {
    ...CATALOGUE,
    screw: few('screw', 'ball-20-5-double'),
    bearing: few('bearing', 'back-12'),
    coupler: few('coupler', 'slit-32-clamp', 'disc-34'),
    belt: new Map(),
    motor: few('motor', 'step-57-12'),
  } as unknown as Catalogue
  const { nearest, fails } = whyNothing(X, catalogue, 'mm')
  expect(nearest).toMatchObject({ screw: 'ball-20-5-double', motor: 'step-57-12' })
  expect(fails.map(({ title }) => title)).toEqual(['Motor torque'])
})
