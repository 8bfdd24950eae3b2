import fc from 'fast-check'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { driveStiffness } from '../machine/drive/stiffness'
import { CATALOGUE } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { changesFrom, keptSlots } from './changes'
import { type DrivePoint, fieldOf } from './field'
import { everyHolding, NOTHING_HERE, smallList } from './fixtures/lists'
import { type Handpicked, handfulOf, nearestToToday, PICKS, picksOf } from './handful'
import { axisWith } from './levels'
import { searchField } from './search'
import { withinOf } from './within'

const [X] = skarrow().job.axes as [Axis]
const handfulFor = (axis: Axis): Handpicked[] => {
  const field = fieldOf(axis, CATALOGUE, withinOf(axis, CATALOGUE, NOTHING_HERE))
  return handfulOf(field, axis, CATALOGUE, searchField(field)?.points ?? [], 'mm')
}
const by = (handful: readonly Handpicked[], pick: (typeof PICKS)[number]) =>
  handful.find(({ picks }) => picks.includes(pick))

describe('on the demo axis', () => {
  const handful = handfulFor(X)

  test('differs in kind: one has its far end held, and says what that buys and costs', () => {
    expect(handful.flatMap(({ picks }) => picks).toSorted()).toEqual([...PICKS].toSorted())
    expect(handful.length).toBeGreaterThan(3)
    const held = by(handful, 'far end held')
    expect(held?.point.ends).toBe('fixed-supported')
    expect(held?.support).toMatch(/may turn at .* before it whips, not .* as with a free one.* of its price/)
    const cheapest = by(handful, 'cheapest')
    expect(cheapest?.support).toBeNull()
    expect(held?.point.priceEur ?? 0).toBeGreaterThanOrEqual(cheapest?.point.priceEur ?? 0)
  })

  test('each holds in all that has a margin, and says what is close all the same', () => {
    for (const { point, rests } of handful) {
      expect(point.margin).toBeGreaterThanOrEqual(1)
      const drive = evaluateAxis(axisWith(X, point), CATALOGUE, 'mm').findings.filter(
        ({ ofDrive }) => ofDrive,
      )
      expect(drive.filter(({ state }) => state === 'fails' || state === 'unknown')).toEqual([])
      for (const { title } of drive.filter(
        ({ state, checkId }) => state === 'close' && checkId !== 'axis.positionBudget',
      ))
        expect(rests.map(rest => rest.title)).toContain(title)
    }
  })

  test('what is nearest to today changes least, and names it', () => {
    const near = by(handful, 'nearest to today')
    expect(near?.changes?.length).toBe(1)
    const { coupler, belt, ...kept } = (near as Handpicked).point
    expect(kept).toMatchObject({
      screw: X.parts.screw,
      bearing: X.parts.bearing,
      motor: X.parts.motor,
      ends: X.ends,
    })
    expect(coupler ?? belt).not.toBe(X.parts.coupler)
    // Nothing holds with nothing changed.
    expect(changesFrom(fieldOf(X, CATALOGUE), X, 0, { least: 'price', margin: 1 })).toEqual([])
  })
})

test('a table of the lead that nobody has made is said to be one, and one that stands in the controller is not', () => {
  const tight: Axis = {
    ...X,
    goals: { ...X.goals, accuracyTargetUm: 60 },
    drive: { ...X.drive, leadTable: true },
    controller: { ...X.controller, leadTableIn: false },
    searchWithin: { ...X.searchWithin, keepScrew: true },
  }
  const rests = handfulFor(tight).map(one => one.rests.map(({ title }) => title))
  expect(rests.some(titles => titles.some(title => title.startsWith('A table of the lead')))).toBe(true)
  const made: Axis = { ...tight, controller: { ...tight.controller, leadTableIn: true } }
  for (const { rests: on } of handfulFor(made))
    expect(on.map(({ title }) => title).join()).not.toContain('table of the lead')
})

test('a limit that was given up is said with every drive that needs it', () => {
  const loose: Axis = {
    ...X,
    limits: { 'coupler.torque': { holds: 3, close: 3, because: 'Only for a week.' } },
    searchWithin: { ...X.searchWithin, keepLink: true, keepMotor: true },
  }
  const rests = handfulFor(loose).flatMap(one => one.rests)
  expect(rests).toContainEqual({
    title: 'Another limit than usual: torque of the coupler',
    sentence: 'Only for a week.',
  })
})

test('with nothing chosen today nothing is nearest to it', () => {
  const bare: Axis = { ...X, parts: { ...X.parts, motor: null } }
  expect(keptSlots(bare)).toBeNull()
  const handful = handfulFor(bare)
  expect(by(handful, 'nearest to today')).toBeUndefined()
  expect(handful.every(({ changes }) => changes === null)).toBe(true)
})

test('each pick is what trying every drive finds', () => {
  const easy: Axis = {
    ...X,
    goals: { ...X.goals, accuracyTargetUm: 250, backlashTargetUm: 60, cuttingForceN: 250 },
  }
  let held = 0
  fc.assert(
    fc.property(smallList, catalogue => {
      const field = fieldOf(easy, catalogue)
      const points = searchField(field)?.points ?? []
      const all = everyHolding(field)
      const picks = [...picksOf(field, easy, points)]
      const of = (pick: (typeof PICKS)[number]) => picks.find(([, is]) => is.includes(pick))?.[0]
      if (all.length === 0) {
        expect(of('far end held') ?? of('a quarter in hand')).toBeUndefined()
        return
      }
      held++
      const least = (merit: (point: DrivePoint) => number, some: DrivePoint[] = all) =>
        Math.min(...some.map(merit))
      expect(of('cheapest')?.priceEur).toBe(least(({ priceEur }) => priceEur))
      expect(of('lowest')?.heightMm).toBe(least(({ heightMm }) => heightMm))
      const affordable = all.filter(({ priceEur }) => priceEur <= 2 * least(one => one.priceEur))
      expect(of('least lost motion for twice the price')?.lostMotionUm).toBeCloseTo(
        least(({ lostMotionUm }) => lostMotionUm, affordable),
        9,
      )
      const inHand = all.filter(({ margin }) => margin >= 1.25)
      const heldInHand = inHand.filter(({ ends }) => ends !== 'fixed-free')
      expect(of('a quarter in hand')?.priceEur ?? null).toBe(
        inHand.length === 0
          ? null
          : least(({ priceEur }) => priceEur, heldInHand.length > 0 ? heldInHand : inHand),
      )
      const withHeld = all.filter(({ ends }) => ends !== 'fixed-free')
      expect(of('far end held')?.priceEur ?? null).toBe(
        withHeld.length === 0 ? null : least(({ priceEur }) => priceEur, withHeld),
      )
      const give = (point: DrivePoint) =>
        1 / driveStiffness(evaluateAxis(axisWith(easy, point), catalogue, 'mm')).stiffnessNPerUm
      const stiffest = of('stiffest for twice the price')
      if (all.length < 60 && stiffest) expect(give(stiffest) / least(give, affordable)).toBeCloseTo(1, 9)
    }),
    { numRuns: 240, seed: 20_261_201 },
  )
  expect(held).toBeGreaterThan(20)
})

test('the fewest changes come first, and of those the least money', () => {
  const near = nearestToToday(fieldOf(X, CATALOGUE), X)
  expect(near?.changed).toEqual(['link'])
  const one = changesFrom(fieldOf(X, CATALOGUE), X, 1, { least: 'price', margin: 1 }) ?? []
  expect(one.map(({ spentEur }) => spentEur)).toEqual(
    one.map(({ spentEur }) => spentEur).toSorted((a, b) => a - b),
  )
  // A coupler or belt alone, at its own price.
  expect(near?.spentEur).toBe(
    CATALOGUE.belt.get(near?.point.belt ?? '')?.priceEur ??
      CATALOGUE.coupler.get(near?.point.coupler ?? '')?.priceEur,
  )
})
