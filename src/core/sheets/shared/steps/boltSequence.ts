import { calculation } from '../../../calculation/calculation'
import { choice, list, plain } from '../../../field/field'

const BOLT_PATTERNS = ['ends-inward', 'middle-outward', 'one-end'] as const

/**
 * The order in which the screws of a rail are tightened, each by its place along it.
 *
 * @example boltSequence({ count: 6, pattern: 'middle-outward' }).order // [3, 4, 2, 5, 1, 6]
 */
export const boltSequence = calculation({
  id: 'fit.boltSequence',
  title: 'Order of the screws of a rail',
  formula: 'ends inward: 1 n 2 n-1 ...; middle outward: m m+1 m-1 ... with m = ceil(n/2); one end: 1 ... n',
  source: 'The three schools of the trade',
  validity: 'Screws in one row',
  inputs: {
    count: plain('screws', [1, 500], { symbol: 'n', whole: true }),
    pattern: choice('from where', BOLT_PATTERNS),
  },
  outputs: { order: list('order', plain('place', { min: 1 }, { symbol: 'i' })) },
  compute({ count, pattern }) {
    const places = Array.from({ length: count }, (_, index) => index + 1)
    if (pattern === 'one-end') return { order: places }
    const outward: number[] = []
    const middle = Math.ceil(count / 2)
    for (let step = 0; outward.length < count; step++)
      for (const place of step === 0 ? [middle] : [middle + step, middle - step])
        if (place >= 1 && place <= count) outward.push(place)
    if (pattern === 'middle-outward') return { order: outward }
    const inward: number[] = []
    for (let [first, last] = [1, count]; first <= last; first++, last--)
      inward.push(...(first === last ? [first] : [first, last]))
    return { order: inward }
  },
})
