import fc from 'fast-check'
import { runs } from '../calculation/fixtures/runs'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { PART_KINDS, type PartKind } from '../document/kinds'
import type { Catalogue, PartOf } from '../document/parts/types'
import { NotKnown } from '../evaluation/notKnown'
import { CATALOGUE } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { newAxis } from '../sheets/newJob'
import type { SearchWithin } from '../sheets/search/model'
import { bestHolding } from './best'
import { enumerateField } from './enumerate'
import { type DrivePoint, fieldOf } from './field'
import { everyHolding, middleList, NOTHING_HERE, smallList } from './fixtures/lists'
import { axisWith } from './levels'
import { beats } from './pareto'
import { searchDrives, searchField } from './search'
import { withoutDearerTwins } from './twins'
import { whyNot, whyNothing } from './whyNot'
import { givenThings, type Supply, withinOf } from './within'

const [X, , Z] = skarrow().job.axes as [Axis, Axis, Axis]
const gantry: Axis = {
  ...newAxis({ name: 'X', title: 'Gantry', dimensions: { frictionCoefficient: 0.01, movingMassKg: 40 } }),
  drive: {
    transmission: 'direct',
    screws: 2,
    microsteps: 8,
    currentA: null,
    handwheelKept: true,
    leadTable: true,
  },
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
/** A grinder's table on servos: to and fro without end, and short of stiffness. */
const grinder: Axis = {
  ...X,
  goals: { ...X.goals, accelerationMmPerS2: 3000, cuttingForceN: 100, backlashTargetUm: 40 },
  duty: [
    {
      id: 'w',
      label: 'Grinding',
      forceN: 150,
      speedMmPerMin: 6000,
      timeShare: 0.9,
      accelerationMmPerS2: 2000,
      strokeMm: 120,
      dwellS: 0.2,
    },
    {
      id: 'v',
      label: 'Setting up',
      forceN: -80,
      speedMmPerMin: 1000,
      timeShare: 0.1,
      accelerationMmPerS2: -500,
      strokeMm: null,
      dwellS: 0,
    },
  ],
}
const AXES = [X, Z, gantry, held, braked, grinder]

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

test('finds it in a list so long that a few parts are looked at first', () => {
  let found = 0
  fc.assert(
    fc.property(fc.constantFrom(...AXES), middleList, (axis, catalogue) => {
      const field = fieldOf(axis, catalogue)
      const quick = searchField(field)
      sameSet(quick?.points ?? [], enumerateField(field).points)
      found += quick?.points.length ?? 0
    }),
    { numRuns: runs(300, 1), seed: 20_261_201 },
  )
  expect(found).toBeGreaterThan(runs(100, 20))
})

/** Anything that a search can be told to keep to, with what there is of the parts. */
const mixture = fc.record({
  keepScrew: fc.boolean(),
  keepNut: fc.boolean(),
  keepEnds: fc.boolean(),
  keepBearing: fc.boolean(),
  keepLink: fc.boolean(),
  keepMotor: fc.boolean(),
  transmission: fc.constantFrom('either', 'direct', 'belt'),
  onlyHere: fc.boolean(),
  onlyOwn: fc.constant(false),
  mostPriceEur: fc.option(fc.integer({ min: 300, max: 1500 })),
  mostHeightMm: fc.option(fc.integer({ min: 40, max: 110 })),
  mostMassKg: fc.option(fc.integer({ min: 3, max: 25 })),
  mostDays: fc.option(fc.integer({ min: 0, max: 25 })),
})
/** Rarely all at once: each is asked for by one in four. */
const sparse = fc
  .tuple(mixture, fc.array(fc.boolean(), { minLength: 26, maxLength: 26 }))
  .map(([given, coins]) => {
    const isAsked = (index: number) => coins[index * 2] && coins[index * 2 + 1]
    const none: SearchWithin = newAxis({ name: 'A', title: 'New' }).searchWithin
    return Object.fromEntries(
      Object.entries(given).map(([key, value], index) => [
        key,
        isAsked(index) ? value : none[key as keyof SearchWithin],
      ]),
    ) as SearchWithin
  })

test('the same parts from dearer suppliers make no drive better, and are counted among what could be made', () => {
  let found = 0
  fc.assert(
    fc.property(fc.constantFrom(...AXES), smallList, sparse, (axis, catalogue, searchWithin) => {
      const given: Axis = { ...axis, searchWithin: { ...searchWithin, mostMassKg: null } }
      const dearer = Object.fromEntries(
        PART_KINDS.map(kind => [
          kind,
          new Map(
            [...catalogue[kind].values()].flatMap(part => [
              [
                `${part.id}-2`,
                { ...part, id: `${part.id}-2`, priceEur: part.priceEur * 1.2 + 1, maker: 'B' },
              ],
              [part.id, part],
            ]),
          ),
        ]),
      )
      const longer = { ...catalogue, ...dearer } as Catalogue
      const search = (list: Catalogue) => searchDrives(given, list, withinOf(given, list, NOTHING_HERE))
      const [few, many] = [search(catalogue), search(longer)]
      sameSet(many?.points ?? [], few?.points ?? [])
      expect(many?.combinations).toBeGreaterThanOrEqual(few?.combinations ?? 0)
      found += few?.points.length ?? 0
    }),
    { numRuns: runs(2000, 60), seed: 20_261_201 },
  )
  expect(found).toBeGreaterThan(runs(200, 8))
})

test('a dearer part stays where it is lighter and weight counts, and where it is chosen today', () => {
  const [light] = [...CATALOGUE.coupler.values()] as [PartOf['coupler']]
  const heavy = { ...light, id: 'heavy', massKg: 2, priceEur: light.priceEur - 1 }
  const unknown = { ...light, id: 'unknown', massKg: null, priceEur: light.priceEur - 2 }
  const dear = { ...light, id: 'dear', massKg: 3, priceEur: light.priceEur + 9 }
  const all = [light, heavy, unknown, dear]
  const ids = (anyMass: boolean, today = '') =>
    withoutDearerTwins<'coupler'>(all, anyMass, ({ id }) => id === today).map(({ id }) => id)
  expect(ids(true)).toEqual(['unknown'])
  expect(ids(false)).toEqual([light.id, 'heavy', 'unknown'])
  expect(ids(true, 'dear')).toEqual(['unknown', 'dear'])
})

/** A list of a few parts, some of which lie on the shelf and of some of which nobody knows the weight. */
const stocked = fc
  .tuple(smallList, fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 30, maxLength: 30 }))
  .map(([catalogue, dice]) => {
    let at = 0
    const thrown = () => dice[at++ % dice.length] as number
    const kinds = PART_KINDS.map(kind => [
      kind,
      new Map(
        [...catalogue[kind]].map(([id, part]) => {
          const die = thrown()
          return [
            id,
            {
              ...part,
              stock: die === 0 ? null : 2,
              massKg: die === 3 ? null : part.massKg,
              leadDays: die * 6,
            },
          ]
        }),
      ),
    ])
    return { ...catalogue, ...Object.fromEntries(kinds) } as Catalogue
  })

/** An axis on which a drive of the list is chosen, so that there is something to keep. */
const chosenOf = (axis: Axis, catalogue: Catalogue): Axis => ({
  ...axis,
  parts: {
    ...axis.parts,
    ...Object.fromEntries(
      PART_KINDS.filter(kind => kind !== 'brake').map(kind => [kind, [...catalogue[kind].keys()][0] ?? null]),
    ),
  },
})

test('keeps to whatever is given, and is as exact within it', () => {
  let found = 0
  let narrower = 0
  fc.assert(
    fc.property(fc.constantFrom(...AXES), stocked, sparse, (on, catalogue, searchWithin) => {
      const axis: Axis = { ...chosenOf(on, catalogue), searchWithin }
      const within = withinOf(axis, catalogue, NOTHING_HERE)
      const field = fieldOf(axis, catalogue, within)
      const points = searchField(field)?.points ?? []
      sameSet(points, enumerateField(field).points)
      // Held to it once more, by what is known of each drive that comes of it.
      for (const point of points) {
        const screw = catalogue.screw.get(point.screw)
        if (searchWithin.keepNut) expect(point.screw).toBe(axis.parts.screw)
        else if (searchWithin.keepScrew)
          expect(screw?.leadMm).toBe(catalogue.screw.get(axis.parts.screw ?? '')?.leadMm)
        if (searchWithin.keepMotor) expect(point.motor).toBe(axis.parts.motor)
        if (searchWithin.keepBearing) expect(point.bearing).toBe(axis.parts.bearing)
        if (searchWithin.keepEnds) expect(point.ends).toBe(axis.ends)
        if (searchWithin.transmission !== 'either') expect(point.transmission).toBe(searchWithin.transmission)
        if (searchWithin.onlyHere) expect(screw?.stock).toBe(2)
        expect(point.priceEur).toBeLessThanOrEqual(within.mostPriceEur)
        expect(point.heightMm).toBeLessThanOrEqual(within.mostHeightMm)
        if (searchWithin.mostMassKg !== null)
          expect(point.massKg ?? Number.NaN).toBeLessThanOrEqual(searchWithin.mostMassKg)
        if (searchWithin.mostDays !== null)
          expect(point.days ?? Number.NaN).toBeLessThanOrEqual(searchWithin.mostDays)
      }
      // The best of each kind is what trying every drive finds.
      const holding = everyHolding(field)
      const least = bestHolding(field, { least: 'price', margin: 1 })
      expect(least?.priceEur ?? null).toBe(
        holding.length === 0 ? null : Math.min(...holding.map(({ priceEur }) => priceEur)),
      )
      found += points.length
      narrower += Number(field.combinations < fieldOf(axis, catalogue).combinations)
    }),
    { numRuns: runs(10_000, 150), seed: 20_261_201 },
  )
  expect(found).toBeGreaterThan(runs(2000, 30))
  expect(narrower).toBeGreaterThan(runs(4000, 60))
})

test('what is not there, or nobody knows of, is left out, and it is said what one thing less would bring', () => {
  const given = (searchWithin: Partial<SearchWithin>): Axis => ({
    ...X,
    searchWithin: { ...X.searchWithin, ...searchWithin },
  })
  const cheap = given({ mostPriceEur: 60 })
  const why = whyNothing(cheap, CATALOGUE, NOTHING_HERE, 'mm')
  expect(why.lifted).toMatchObject([{ given: 'for at most €60' }])
  expect(why.lifted[0]?.leastEur).toBeGreaterThan(60)
  // No table of the lead makes a drive cheaper; where the lead alone stands in the way, one is said to help.
  expect(why.corrected).toBeNull()
  const rough: Axis = {
    ...given({ keepScrew: true }),
    goals: { ...X.goals, accuracyTargetUm: 60 },
    drive: { ...X.drive, leadTable: false },
  }
  expect(searchDrives(rough, CATALOGUE, withinOf(rough, CATALOGUE, NOTHING_HERE))?.points).toEqual([])
  const { corrected } = whyNothing(rough, CATALOGUE, NOTHING_HERE, 'mm')
  const table: Axis = { ...rough, drive: { ...rough.drive, leadTable: true } }
  const points = searchDrives(table, CATALOGUE, withinOf(table, CATALOGUE, NOTHING_HERE))?.points ?? []
  expect(corrected?.count).toBe(points.filter(({ margin }) => margin >= 1).length)
  expect(why.lacking).toEqual([])
  expect(whyNothing(given({ onlyHere: true }), CATALOGUE, NOTHING_HERE, 'mm').lacking).toEqual([
    'screw',
    'bearing',
    'motor',
    'coupler',
  ])
  // What has come, or is on its way, is there.
  const supply: Supply = {
    ...NOTHING_HERE,
    orders: {
      'part:step-57-22': { state: 'arrived', priceEur: null, leadDays: null, dueDay: null },
      'part:step-60-31': { state: 'ordered', priceEur: null, leadDays: null, dueDay: '2026-12-04' },
    },
  }
  const motors = [...CATALOGUE.motor.values()]
  const within = withinOf(given({ onlyHere: true }), CATALOGUE, supply)
  expect(motors.filter(part => within.takes('motor', part)).map(({ id }) => id)).toEqual([
    'step-57-22',
    'step-60-31',
  ])
  const motor = (id: string) => CATALOGUE.motor.get(id) as (typeof motors)[number]
  expect(within.daysOf(motor('step-57-22'))).toBe(0)
  expect(within.daysOf(motor('step-60-31'))).toBe(3)
  expect(within.daysOf({ ...motor('step-42-05'), leadDays: null })).toBeNull()
  // In words, thing by thing, as it stands beside the answer.
  const told = givenThings(
    given({ keepMotor: true, transmission: 'direct', mostHeightMm: 60, mostDays: 1 }),
    CATALOGUE,
    'mm',
  )
  expect(told.map(({ words }) => words)).toEqual([
    `with the motor you have, ${CATALOGUE.motor.get(X.parts.motor ?? '')?.name}`,
    'without a belt',
    'at most 60 mm high',
    'here within 1 day',
  ])
  const asked = whyNot(
    given({ transmission: 'direct' }),
    CATALOGUE,
    'belt',
    [...CATALOGUE.belt.keys()][0] ?? '',
    [],
    NOTHING_HERE,
    'mm',
  )
  expect(asked).toEqual({ kind: 'outside', given: ['without a belt'] })
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
    { numRuns: runs(24, 6), seed: 20_261_125 },
  )
  expect(feasible).toBeGreaterThan(runs(5, 1))
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
  const result = searchDrives(X, CATALOGUE, undefined, { progress: share => shares.push(share) })
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
    expect(whyNot(X, CATALOGUE, 'screw', first.screw, points, NOTHING_HERE, 'mm').kind).toBe('chosen')
    const weak = whyNot(X, CATALOGUE, 'motor', 'step-42-03-24', points, NOTHING_HERE, 'mm')
    expect(weak).toMatchObject({ kind: 'fails' })
    expect(weak.kind === 'fails' && weak.fails.map(({ title }) => title)).toContain('Motor torque')
    const unused = [...CATALOGUE.bearing.keys()].filter(id => !points.some(({ bearing }) => bearing === id))
    const isBeaten = (id: string) =>
      whyNot(X, CATALOGUE, 'bearing', id, points, NOTHING_HERE, 'mm').kind === 'beaten'
    const id = unused.find(isBeaten) ?? ''
    const beaten = whyNot(X, CATALOGUE, 'bearing', id, points, NOTHING_HERE, 'mm')
    expect(beaten.kind === 'beaten' && beats(beaten.by, beaten.its)).toBe(true)
    expect(() => whyNot(X, CATALOGUE, 'motor', 'no-such', points, NOTHING_HERE, 'mm')).toThrow('no-such')
  })
})

test('where nothing holds it shows the nearest drive, and what fails on it', () => {
  const far: Axis = { ...X, goals: { ...X.goals, topSpeedMmPerMin: 90_000 } }
  expect(searchDrives(far, CATALOGUE)?.points).toEqual([])
  const { nearest, fails } = whyNothing(far, CATALOGUE, NOTHING_HERE, 'mm')
  // No screw turns so fast, whatever goes with it.
  expect(nearest).toBeNull()
  expect(fails.map(({ title }) => title)).toContain('Speed of the nut')
})

test('a handwheel that is kept wants its far end held, and the search finds such drives', () => {
  const kept: Axis = { ...X, ends: 'fixed-free', drive: { ...X.drive, handwheelKept: true } }
  const points = searchDrives(kept, CATALOGUE)?.points ?? []
  expect(points.length).toBeGreaterThan(20)
  expect(points.every(({ ends }) => ends !== 'fixed-free')).toBe(true)
})

test('stops when it is told to', () => {
  let asked = 0
  expect(searchDrives(X, CATALOGUE, undefined, { cancelled: () => ++asked > 3 })).toBeNull()
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
  const { nearest, fails } = whyNothing(X, catalogue, NOTHING_HERE, 'mm')
  expect(nearest).toMatchObject({ screw: 'ball-20-5-double', motor: 'step-57-12' })
  expect(fails.map(({ title }) => title)).toEqual(['Motor torque'])
})
