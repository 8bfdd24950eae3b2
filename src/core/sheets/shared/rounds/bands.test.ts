import { PLANTED, simulatedDrag } from '../../../trial/dragAxis'
import { bandsOf } from './bands'
import { dragShares } from './dragShares'
import { type Cause, tightSpots } from './tightSpots'

const banded = (planted: Cause | null, seed: number) => {
  const read = simulatedDrag(seed, planted)
  const map = tightSpots(read)
  return map && { read, map, bands: bandsOf(map, read) }
}

test('the bands lie on one another without a gap and come to the drag that was fitted', () => {
  for (const planted of [null, ...PLANTED])
    for (let seed = 1; seed < 20; seed++) {
      const found = banded(planted, seed)
      if (!found) continue
      const { read, map, bands } = found
      for (const [index, band] of bands.entries())
        for (const [step, point] of band.points.entries())
          expect(point.lowNm).toBe(bands[index - 1]?.points[step]?.highNm ?? 0)
      const counts = (cause: string) => map.felt.some(one => one.counts && one.cause === cause)
      const { levelNm, fixedNm, farNm, waysNm } = map.fitted
      for (const [step, { positionMm }] of (bands[0]?.points ?? []).entries()) {
        const [, , atFixed, atFar, slope] = dragShares(positionMm, 1, read.spanMm, read.reachMm)
        const nut = counts('nut')
        const fittedNm =
          levelNm +
          (nut || counts('fixed') ? atFixed * fixedNm : 0) +
          (nut || counts('far') ? atFar * farNm : 0) +
          (counts('ways') ? slope * waysNm : 0)
        expect(bands.at(-1)?.points[step]?.highNm).toBeCloseTo(fittedNm, 9)
      }
    }
})

test('a block is widest at its own end, ways are nothing where they are least', () => {
  const fixed = banded('fixed', 4)?.bands.find(({ cause }) => cause === 'fixed')
  const width = ({ lowNm, highNm }: { lowNm: number; highNm: number }) => highNm - lowNm
  expect(fixed && width(fixed.points[0] as never) > 3 * width(fixed.points.at(-1) as never)).toBe(true)
  const ways = banded('ways', 4)?.bands.find(({ cause }) => cause === 'ways')
  expect(ways && Math.min(...ways.points.map(width))).toBeCloseTo(0, 9)
})

test('a sound set-up has one band: what is the same everywhere', () => {
  expect(banded(null, 11)?.bands.map(({ cause }) => cause)).toEqual([null])
})
