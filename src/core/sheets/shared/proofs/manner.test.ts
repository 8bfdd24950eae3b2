import { NOTHING_NOTED } from './conditions'
import { latestPair, type MannerOfTest } from './manner'
import { mendedSince } from './mendedSince'

let count = 0
const test_ = (
  feedMmPerMin: number | null,
  warmth: 'cold' | 'warm' | null,
  lostUm: number,
  day = ++count,
): MannerOfTest => ({
  ...NOTHING_NOTED,
  id: `t${day}`,
  label: `Test ${day}`,
  startedAt: `2026-11-${String(day).padStart(2, '0')}T10:00:00.000Z`,
  gaugeStepUm: 1,
  feedMmPerMin,
  warmth,
  stations: [
    { positionMm: 100, approachPositiveUm: [lostUm, lostUm + 1], approachNegativeUm: [0, -1] },
    { positionMm: 300, approachPositiveUm: [lostUm / 2, lostUm / 2], approachNegativeUm: [0, 0] },
  ],
})

test('slow and fast are told by twice the feed; the slow one comes first, whichever was taken first', () => {
  const [slow, fast] = [test_(100, null, 10), test_(3000, null, 30)]
  expect(latestPair([slow, fast], 'feed', null)).toMatchObject({ before: slow, after: fast })
  expect(latestPair([fast, slow], 'feed', null)).toMatchObject({ before: slow, after: fast })
  expect(latestPair([slow, fast], 'feed', null)?.worst).toMatchObject({ positionMm: 100, differenceUm: 20 })
  expect(latestPair([slow, test_(190, null, 30)], 'feed', null)).toBeNull()
  expect(latestPair([slow, test_(null, null, 30)], 'feed', null)).toBeNull()
})

test('two things that differ at once are not compared', () => {
  const [slowCold, fastWarm] = [test_(100, 'cold', 10), test_(3000, 'warm', 30)]
  expect(latestPair([slowCold, fastWarm], 'feed', null)).toBeNull()
  expect(latestPair([slowCold, fastWarm], 'warmth', null)).toBeNull()
  const slowWarm = test_(100, 'warm', 15)
  expect(latestPair([slowCold, fastWarm, slowWarm], 'warmth', null)).toMatchObject({
    before: slowCold,
    after: slowWarm,
  })
  expect(latestPair([slowCold, fastWarm, slowWarm], 'feed', null)).toMatchObject({
    before: slowWarm,
    after: fastWarm,
  })
})

test('tests from before a mending are of another machine', () => {
  const [slow, fast] = [test_(100, null, 10, 1), test_(3000, null, 30, 2)]
  const searches = [
    { mended: null, finishedAt: '2026-11-09T10:00:00.000Z' },
    { mended: 'gib-loose', finishedAt: '2026-11-01T12:00:00.000Z' },
  ]
  expect(mendedSince({ faultSearches: searches })).toBe('2026-11-01T12:00:00.000Z')
  expect(mendedSince({ faultSearches: [] })).toBeNull()
  expect(latestPair([slow, fast], 'feed', mendedSince({ faultSearches: searches }))).toBeNull()
})
