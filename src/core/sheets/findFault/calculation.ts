import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { list, plain, record, words, wordsOrNone } from '../../field/field'

const probability = (label: string, symbol: string) => plain(label, [0, 1], { symbol })

/** Bits of what is not known about which of some cases it is. */
const entropyBits = (shares: readonly number[]): number =>
  shares.reduce((sum, share) => (share > 0 ? sum - share * Math.log2(share) : sum), 0)

/** Shares that add up to 1; null where nothing is left. */
function normalised(weights: readonly number[]): number[] | null {
  const sum = weights.reduce((total, one) => total + one, 0)
  return sum > 0 ? weights.map(one => one / sum) : null
}

/**
 * Which fault is at work, as far as what was observed tells, and which check tells most in a minute.
 *
 * @throws InputError when a name is not in the table, or nothing in it could have been observed so
 * @example rankFaults({ faults: [{ id: 'nut', prior: 0.5 }, { id: 'gib', prior: 0.5 }], tests: [{ id: 'rock', minutes: 5,
 *   outcomes: [{ id: 'still', usual: 0.9, unless: [{ faultId: 'gib', likelihood: 0.1 }] },
 *   { id: 'moves', usual: 0.1, unless: [{ faultId: 'gib', likelihood: 0.9 }] }] }],
 *   observed: [{ testId: 'rock', outcomeId: 'moves' }] }).posteriors[1] // { faultId: 'gib', probability: 0.9 }
 */
export const rankFaults = calculation({
  id: 'diagnose.rank',
  title: 'Ranking of faults',
  formula:
    'P(f | o) = P(f) P(o | f) / sum of the same over all faults; gain = H(now) - expected H(after), H = - sum of P log2 P; next = most gain a minute',
  source: 'Bayes, with one fault at work; information after Shannon',
  validity: 'One fault at a time: when it is mended and the test still fails, begin again without it',
  inputs: {
    faults: list('faults', record('fault', { id: words('id', 80), prior: probability('how often', 'P') })),
    tests: list(
      'checks',
      record('check', {
        id: words('id', 80),
        minutes: plain('time it takes', { over: 0 }, { symbol: 'm', unit: 'min' }),
        outcomes: list(
          'outcomes',
          record('outcome', {
            id: words('id', 80),
            usual: probability('usual share', 'Lu'),
            unless: list(
              'exceptions',
              record('exception', { faultId: words('fault', 80), likelihood: probability('share', 'L') }),
              0,
            ),
          }),
        ),
      }),
    ),
    observed: list(
      'observed',
      record('one', { testId: words('check', 80), outcomeId: words('outcome', 80) }),
      0,
    ),
  },
  outputs: {
    posteriors: list(
      'faults',
      record('fault', { faultId: words('fault', 80), probability: probability('probability', 'P') }),
    ),
    gains: list(
      'checks that were not made',
      record('check', {
        testId: words('check', 80),
        informationBits: plain('information', {}, { symbol: 'gain' }),
        bitsPerMinute: plain('information a minute', {}, { symbol: 'gain m' }),
      }),
      0,
    ),
    nextTestId: wordsOrNone('next check', 80),
  },
  compute({ faults, tests, observed }) {
    const likelihoods = tests.map(({ outcomes }) =>
      outcomes.map(({ usual, unless }) => {
        const exceptions = new Map(unless.map(({ faultId, likelihood }) => [faultId, likelihood]))
        return faults.map(({ id }) => exceptions.get(id) ?? usual)
      }),
    )
    let now = normalised(faults.map(({ prior }) => prior))
    for (const [index, { testId, outcomeId }] of observed.entries()) {
      const at = tests.findIndex(({ id }) => id === testId)
      const of = tests[at]?.outcomes.findIndex(({ id }) => id === outcomeId) ?? -1
      const likelihood = likelihoods[at]?.[of]
      if (!likelihood)
        throw new InputError(
          `observed[${index}]`,
          `${testId}: ${outcomeId}`,
          'a check and an outcome of the table',
        )
      now = now && normalised(now.map((share, fault) => share * (likelihood[fault] as number)))
    }
    if (!now) throw new InputError('observed', observed, 'outcomes that one of the faults can give')
    const shares = now
    const made = new Set(observed.map(({ testId }) => testId))
    const before = entropyBits(shares)
    const gains = tests.flatMap(({ id, minutes }, at) => {
      if (made.has(id)) return []
      const after = (likelihoods[at] as number[][]).reduce((sum, likelihood) => {
        const joint = shares.map((share, fault) => share * (likelihood[fault] as number))
        const chance = joint.reduce((total, one) => total + one, 0)
        return chance > 0 ? sum + chance * entropyBits(joint.map(one => one / chance)) : sum
      }, 0)
      const informationBits = before - after
      return [{ testId: id, informationBits, bitsPerMinute: informationBits / minutes }]
    })
    const next = gains.reduce<(typeof gains)[number] | null>(
      (best, one) => (best === null || one.bitsPerMinute > best.bitsPerMinute ? one : best),
      null,
    )
    return {
      posteriors: faults.map(({ id }, index) => ({ faultId: id, probability: shares[index] as number })),
      gains,
      nextTestId: next?.testId ?? null,
    }
  },
})
