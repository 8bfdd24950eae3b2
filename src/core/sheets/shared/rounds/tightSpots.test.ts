import { PLANTED, simulatedDrag } from '../../../simulate/dragAxis'
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
