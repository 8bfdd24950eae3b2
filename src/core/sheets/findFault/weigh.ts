import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { list, map, plain, record, smallLength, words } from '../../field/field'

const probability = (label: string, symbol: string) => plain(label, [0, 1], { symbol })

/** The logarithm of a sum of exponentials: of readings that lie far off everything no density is left that a figure holds. */
function logSum(logs: readonly number[]): number {
  const most = Math.max(...logs)
  return most === Number.NEGATIVE_INFINITY
    ? most
    : most + Math.log(logs.reduce((sum, one) => sum + Math.exp(one - most), 0))
}

interface Size {
  readonly share: number
  readonly spreadUm: number
  readonly predicted: Readonly<Record<string, number>>
}
interface ObservedFigure {
  readonly testId: string
  readonly valueUm: number
  readonly standardUm: number
}

/**
 * How well the sizes of one fault go with what was observed.
 *
 * @returns the share of each among them, and the logarithm of how well they all do
 */
export function sizeWeights(
  sizes: readonly Size[],
  observed: readonly ObservedFigure[],
): { log: number; weights: number[] } {
  const logs = sizes.map(({ share, spreadUm, predicted }) =>
    observed.reduce((sum, { testId, valueUm, standardUm }) => {
      const square = spreadUm ** 2 + standardUm ** 2
      return sum - (valueUm - (predicted[testId] as number)) ** 2 / (2 * square) - Math.log(square) / 2
    }, Math.log(share)),
  )
  const log = logSum(logs)
  return { log, weights: logs.map(one => (log === Number.NEGATIVE_INFINITY ? 0 : Math.exp(one - log))) }
}

/**
 * Which fault is at work, and of what size, by what this axis would read with each of them.
 *
 * @throws InputError where a fault does not say what a check that was made would read
 * @example weighFaults({ faults: [{ id: 'sound', prior: 0.5, sizes: [{ share: 1, sizeUm: 0, spreadUm: 3, predicted: { reversal: 8 } }] },
 *   { id: 'nut', prior: 0.5, sizes: [{ share: 1, sizeUm: 20, spreadUm: 4, predicted: { reversal: 28 } }] }],
 *   observed: [{ testId: 'reversal', valueUm: 28, standardUm: 3 }] }).posteriors[1]?.probability // 0.999983
 */
export const weighFaults = calculation({
  id: 'diagnose.weigh',
  title: 'Weighing of faults by figures',
  formula:
    'w(f) = P(f) sum over its sizes of share times the product of exp(-(x - p)^2 / (2 u^2)) / u, u^2 = spread^2 + standard^2; P(f | x) = w(f) / sum of w; size = mean over the sizes by their weights',
  source: 'Bayes, with one fault at work; normal densities',
  validity: 'One fault at a time; every fault says what each check that was made would read',
  inputs: {
    faults: list(
      'faults',
      record('fault', {
        id: words('id', 80),
        prior: probability('how often', 'P'),
        sizes: list(
          'sizes',
          record('size', {
            share: probability('share', 'share'),
            sizeUm: smallLength('size', {}, { symbol: 's' }),
            spreadUm: smallLength('spread', { min: 0 }, { symbol: 'spread' }),
            predicted: map('predicted', smallLength('would read', {}, { symbol: 'p' }), /^\S{1,80}$/),
          }),
        ),
      }),
    ),
    observed: list(
      'observed',
      record('one', {
        testId: words('check', 80),
        valueUm: smallLength('reading', {}, { symbol: 'x' }),
        standardUm: smallLength('standard uncertainty', { min: 0 }, { symbol: 'standard' }),
      }),
      0,
    ),
  },
  outputs: {
    posteriors: list(
      'faults',
      record('fault', {
        faultId: words('fault', 80),
        probability: probability('probability', 'P'),
        sizeUm: smallLength('size', {}, { symbol: 's' }),
      }),
    ),
  },
  compute({ faults, observed }) {
    const weighed = faults.map(({ id, prior, sizes }, at) => {
      for (const [index, { predicted }] of sizes.entries())
        for (const { testId } of observed)
          if (predicted[testId] === undefined)
            throw new InputError(
              `faults[${at}].sizes[${index}].predicted`,
              'nothing',
              `a reading of ${testId}`,
            )
      const { log, weights } = sizeWeights(sizes, observed)
      const sizeUm = sizes.reduce((sum, one, index) => sum + one.sizeUm * (weights[index] as number), 0)
      return { id, log: Math.log(prior) + log, sizeUm }
    })
    const all = logSum(weighed.map(({ log }) => log))
    if (!Number.isFinite(all))
      throw new InputError(
        'observed',
        observed.length,
        'readings that one of the faults can give, no two without any spread',
      )
    return {
      posteriors: weighed.map(({ id, log, sizeUm }) => ({
        faultId: id,
        probability: Math.exp(log - all),
        sizeUm: Number.isFinite(sizeUm) ? sizeUm : 0,
      })),
    }
  },
})
