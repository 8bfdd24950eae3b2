import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { leastSquares } from '../../calculation/leastSquares'
import { choice, given, list, plain, record, smallLength } from '../../field/field'
import { READING } from '../../readings/model'

/** Time constants that are tried, from a share of the time that was read over to some times of it. */
const TRIED = 16
const FROM_SHARE = 0.04
const TO_TIMES = 2
/** How often the time constant is narrowed down to two thirds. */
const REFINED = 40
/** A model with more in it must be so much better, as a difference of Bayes' measures: a hundred to one is 9. */
const BETTER_BY = 9

interface Return {
  minutes: number
  place: 'near' | 'far'
  readingUm: number
}
/** What is fitted beside the level of each place: growth with a time constant, a jump from a return on, both, or nothing. */
interface Model {
  tauMin: number | null
  jumpAfter: number | null
}
interface FittedModel extends Model {
  growsUm: readonly number[]
  jumpUm: number
  spreadUm: number
  measure: number
}

/** A model by least squares; null where the returns cannot tell its parts. */
function fitted(
  returns: readonly Return[],
  order: readonly number[],
  floorUm: number,
  model: Model,
): FittedModel | null {
  const { tauMin, jumpAfter } = model
  const places = [...new Set(returns.map(({ place }) => place))]
  const rows = returns.map(({ minutes, place }, index) => [
    ...places.map(one => (one === place ? 1 : 0)),
    ...(tauMin === null ? [] : places.map(one => (one === place ? 1 - Math.exp(-minutes / tauMin) : 0))),
    ...(jumpAfter === null ? [] : [(order[index] as number) >= jumpAfter ? 1 : 0]),
  ])
  const least = leastSquares(
    rows,
    returns.map(({ readingUm }) => readingUm),
  )
  if (!least || returns.length <= least.coefficients.length) return null
  const squares = least.residuals.reduce((sum, one) => sum + one ** 2, 0)
  const unknowns = least.coefficients.length + (tauMin === null ? 0 : 1) + (jumpAfter === null ? 0 : 1)
  const many = returns.length
  return {
    ...model,
    growsUm:
      tauMin === null ? places.map(() => 0) : least.coefficients.slice(places.length, 2 * places.length),
    jumpUm: jumpAfter === null ? 0 : (least.coefficients.at(-1) as number),
    spreadUm: least.spread ?? 0,
    measure: many * Math.log(squares / many + floorUm ** 2) + unknowns * Math.log(many),
  }
}

const best = (all: readonly (FittedModel | null)[]): FittedModel | null =>
  all.reduce((least, one) => (one && (!least || one.measure < least.measure) ? one : least), null)

/**
 * What one place or two, come back to time and again, say of heat, of a jump, and of nothing at all.
 *
 * @throws InputError below eight returns, or where all were at one time
 * @example zeroAgainstTime({ stepUm: 1, returns: [0, 2, 4, 6, 8, 10, 12, 14, 16, 18].map(minutes =>
 *   ({ minutes, place: 'far', readingUm: 20 * (1 - Math.exp(-minutes / 5)) })) }).is // 'grows'
 */
export const zeroAgainstTime = calculation({
  id: 'prove.zeroTime',
  title: 'Zero against time',
  formula:
    'x = x0 + g (1 - exp(-t / tau)) at each place, and j from a return on; what is simplest and fits, by its Bayes measure',
  source: 'Linear least squares over tried time constants; Newton cooling; Schwarz',
  validity: 'Come back to from the same side, at even times, the axis running alike between',
  inputs: {
    stepUm: smallLength('step of the gauge', { min: 0 }, { symbol: 'r' }),
    returns: list(
      'returns',
      record('return', {
        minutes: plain('minutes run', { min: 0 }, { symbol: 't', unit: 'min' }),
        place: choice('place', ['near', 'far']),
        readingUm: given(READING, { symbol: 'x' }),
      }),
      8,
    ),
  },
  outputs: {
    is: choice('what it does', ['steady', 'grows', 'jumps', 'grows-and-jumps']),
    growthNearUm: smallLength('growth near the fixed block, in the end', {}, { symbol: 'gn', orNone: true }),
    growthFarUm: smallLength('growth far from it, in the end', {}, { symbol: 'gf', orNone: true }),
    timeConstantMinutes: plain('time constant', {}, { symbol: 'tau', unit: 'min', orNone: true }),
    jumpUm: smallLength('jump', {}, { symbol: 'j', orNone: true }),
    jumpAtMinutes: plain('it jumped by', {}, { symbol: 'tj', unit: 'min', orNone: true }),
    residualUm: smallLength('spread about it', {}, { symbol: 's' }),
  },
  compute({ stepUm, returns }) {
    const times = [...new Set(returns.map(({ minutes }) => minutes))].toSorted((a, b) => a - b)
    const overMin = (times.at(-1) as number) - (times[0] as number)
    if (!(overMin > 0)) throw new InputError('returns', returns.length, 'returns at different times')
    const order = returns.map(({ minutes }) => times.indexOf(minutes))
    const floorUm = Math.max(stepUm / Math.sqrt(12), 1e-6)
    const of = (model: Model) => fitted(returns, order, floorUm, model)
    const taus = Array.from(
      { length: TRIED },
      (_, index) => overMin * FROM_SHARE * (TO_TIMES / FROM_SHARE) ** (index / (TRIED - 1)),
    )
    // One return before a jump, and two after it: the last alone may be a slip.
    const jumps = times.slice(1, -1).map((_, index) => index + 1)
    const growing = (jumpAfter: number | null) => {
      const tried = best(taus.map(tauMin => of({ tauMin, jumpAfter })))
      const at = taus.indexOf(tried?.tauMin ?? Number.NaN)
      if (!tried || at < 0) return tried
      // Between the neighbours of the best of them it has one least.
      let [low, high] = [taus[Math.max(0, at - 1)] as number, taus[Math.min(TRIED - 1, at + 1)] as number]
      const spreadAt = (tauMin: number) => of({ tauMin, jumpAfter })?.spreadUm ?? Number.POSITIVE_INFINITY
      for (let halving = 0; halving < REFINED; halving++) {
        const [one, other] = [low + (high - low) / 3, high - (high - low) / 3]
        if (spreadAt(one) <= spreadAt(other)) high = other
        else low = one
      }
      return best([tried, of({ tauMin: (low + high) / 2, jumpAfter })])
    }
    const still = of({ tauMin: null, jumpAfter: null })
    const grown = growing(null)
    const jumped = best(jumps.map(jumpAfter => of({ tauMin: null, jumpAfter })))
    const jumpOverGrowth = best(jumps.map(jumpAfter => of({ tauMin: grown?.tauMin ?? null, jumpAfter })))
    const both = best(
      [jumped?.jumpAfter, jumpOverGrowth?.jumpAfter].map(jumpAfter =>
        jumpAfter === null || jumpAfter === undefined ? null : growing(jumpAfter),
      ),
    )
    // What has less in it stands until what has more is clearly better.
    let found = still
    for (const one of [jumped, grown, both])
      if (one && found && one.measure < found.measure - (one === both || found === still ? BETTER_BY : 0))
        found = one
    if (!found) throw new InputError('returns', returns.length, 'more returns than there is to find out')
    const places = [...new Set(returns.map(({ place }) => place))]
    const growth = (place: Return['place']) => {
      const at = places.indexOf(place)
      return at < 0 ? null : (found.growsUm[at] as number)
    }
    const [grows, leaps] = [found.tauMin !== null, found.jumpAfter !== null]
    return {
      is:
        grows && leaps
          ? ('grows-and-jumps' as const)
          : leaps
            ? ('jumps' as const)
            : grows
              ? ('grows' as const)
              : ('steady' as const),
      growthNearUm: growth('near'),
      growthFarUm: growth('far'),
      timeConstantMinutes: found.tauMin,
      jumpUm: leaps ? found.jumpUm : null,
      jumpAtMinutes: leaps ? (times[found.jumpAfter as number] as number) : null,
      residualUm: found.spreadUm,
    }
  },
})
