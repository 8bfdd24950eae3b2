import { PLANTED, simulatedDrag } from '../../../trial/dragAxis'
import { type Cause, nextReading, tightSpots } from './tightSpots'

const share = (seeds: number, from: number, planted: (seed: number) => Cause | null) => {
  let right = 0
  for (let seed = 0; seed < seeds; seed++)
    if (tightSpots(simulatedDrag(from + seed, planted(seed)))?.named === planted(seed)) right++
  return right / seeds
}

test.each(PLANTED)('a planted cause is named: %s', cause => {
  expect(share(120, 1000, () => cause)).toBeGreaterThanOrEqual(0.95)
})

test('in a sound set-up none is named', () => {
  expect(share(200, 5000, () => null)).toBeGreaterThanOrEqual(0.95)
})

test('readings that cannot tell give no map: one way alone, or three places', () => {
  const read = simulatedDrag(7, 'fixed')
  expect(tightSpots({ ...read, along: read.along.filter(({ direction }) => direction === 1) })).toBeNull()
  expect(tightSpots({ ...read, along: read.along.slice(0, 4) })).toBeNull()
})

test('a block is not cleared by readings far from it: the next reading goes nearer', () => {
  const read = simulatedDrag(3, null)
  const middle = read.along.filter(({ positionMm }) => positionMm > 4 * read.reachMm)
  const map = tightSpots({ ...read, along: middle })
  expect(map?.named ?? null).toBeNull()
  if (map)
    expect(nextReading({ ...read, along: middle }, map)).toMatchObject({ kind: 'nearer', end: 'fixed' })
})

test('a remedy helps: the block that binds is set, and the map is quiet', () => {
  const bound = simulatedDrag(21, 'fixed')
  expect(tightSpots(bound)?.named).toBe('fixed')
  const set = simulatedDrag(21, null)
  expect(tightSpots(set)?.named).toBeNull()
})

test('what each half held is what went away with it', () => {
  const read = { ...simulatedDrag(5, null), halves: { whole: 0.5, 'gib-slack': 0.2, 'coupler-off': 0.15 } }
  const held = tightSpots(read)?.held ?? []
  expect(held.map(({ half }) => half)).toEqual(['gib-slack', 'coupler-off'])
  expect(held[0]?.droppedNm).toBeCloseTo(0.3, 9)
  expect(held[1]?.droppedNm).toBeCloseTo(0.05, 9)
})

const bothWays = (rows: readonly (readonly [positionMm: number, away: number, towards: number])[]) =>
  rows.flatMap(([positionMm, away, towards]) => [
    { positionMm, direction: 1 as const, torqueNm: away },
    { positionMm, direction: -1 as const, torqueNm: towards },
  ])

test('a cause that would make more of a difference than the readings have is none', () => {
  // A short, stiff screw: what the two ends do is alike to what ways do, and can be fitted against each other.
  const flat = bothWays([
    [46, 0.51, 0.53],
    [102, 0.49, 0.5],
    [158, 0.5, 0.5],
    [213, 0.51, 0.52],
    [269, 0.52, 0.52],
    [325, 0.51, 0.52],
  ])
  const map = tightSpots({ along: flat, spanMm: 371, reachMm: 240, stepNm: 0.01 })
  expect(map?.named).toBeNull()
  expect(map?.unevenNm).toBeCloseTo(0.03, 9)
})

test('a drag that doubles is uneven, whether or not its cause can be told', () => {
  const rising = bothWays([
    [37, 0.86, 0.87],
    [81, 0.94, 0.95],
    [125, 1.05, 1.01],
    [168, 1.09, 1.13],
    [212, 1.34, 1.27],
    [256, 1.69, 1.67],
  ])
  const map = tightSpots({ along: rising, spanMm: 293, reachMm: 235, stepNm: 0.01 })
  expect(map?.unevenNm).toBeCloseTo(0.83, 9)
})

describe('of an upright axis', () => {
  const places = [50, 130, 210, 290, 370, 450]
  const setting = { spanMm: 500, reachMm: 60, stepNm: 0.01 }
  const pulled = (byNm: number) => bothWays(places.map((mm, i) => [mm, 1 + byNm + 0.004 * (i % 2), 1 - byNm]))
  test('what its weight pulls is not the gib, whichever end is higher', () => {
    expect(tightSpots({ ...setting, along: pulled(0.4) })?.named).toBe('gib')
    for (const weightNm of [0.4, 0.46, { eitherWayNm: 0.4 }, { eitherWayNm: -0.4 }])
      expect(tightSpots({ ...setting, along: pulled(0.4), weightNm })?.named).toBeNull()
  })
  test('a hoist that carries a part of it, or all, makes no gib of the rest', () => {
    for (const byNm of [0, 0.1, 0.25])
      expect(tightSpots({ ...setting, along: pulled(byNm), weightNm: 0.4 })?.named).toBeNull()
  })
  test('a level axis does not run by itself: what takes nothing one way is the gib', () => {
    const oneWay = bothWays(places.map((mm, i) => [mm, 1.15 + 0.01 * (i % 3), 0]))
    expect(tightSpots({ ...setting, along: oneWay })).toMatchObject({ named: 'gib', runsByItself: false })
  })
  test('what differs by more than the weight still is the gib', () => {
    expect(tightSpots({ ...setting, along: pulled(0.4), weightNm: -0.4 })?.named).toBe('gib')
    expect(tightSpots({ ...setting, along: pulled(0.4), weightNm: { eitherWayNm: 0.15 } })?.named).toBe('gib')
  })
  test('where it runs down by itself the two ways are not compared', () => {
    const falls = bothWays(places.map((mm, i) => [mm, 1.15 + 0.01 * (i % 3), 0]))
    expect(tightSpots({ ...setting, along: falls, weightNm: 1, expectedNm: 0.2 })).toMatchObject({
      named: null,
      runsByItself: true,
    })
  })
})
