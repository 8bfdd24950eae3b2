import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { leastSquares } from '../../calculation/leastSquares'
import { choice, given, list, plain, record, smallLength } from '../../field/field'
import { READING } from '../../readings/model'

/** Time constants that are tried, from a share of the time that was read over to some times of it. */
const TRIED = 16
const FROM_SHARE = 0.04
const TO_TIMES = 2
/** How often the time constant is narrowed down by the golden section: to less than a millionth of where it may lie. */
const REFINED = 34
const GOLDEN = (Math.sqrt(5) - 1) / 2
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

/** What all models of some returns share: made once, for hundreds are fitted. */
interface Fitting {
  returns: readonly Return[]
  places: readonly Return['place'][]
  readingsUm: readonly number[]
  /** Of each return, which of the times it is. */
  order: readonly number[]
  floorUm: number
}

/** A model by least squares; null where the returns cannot tell its parts. */
function fitted({ returns, places, readingsUm, order, floorUm }: Fitting, model: Model): FittedModel | null {
  const { tauMin, jumpAfter } = model
  const rows = returns.map(({ minutes, place }, index) => {
    const row: number[] = []
    for (const one of places) row.push(one === place ? 1 : 0)
    if (tauMin !== null) {
      const grown = 1 - Math.exp(-minutes / tauMin)
      for (const one of places) row.push(one === place ? grown : 0)
    }
    if (jumpAfter !== null) row.push((order[index] as number) >= jumpAfter ? 1 : 0)
    return row
  })
  const least = leastSquares(rows, readingsUm)
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

/** Where a function that falls and then rises is least, between two points. */
function leastBetween(low: number, high: number, of: (x: number) => number): number {
  let [one, other] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)]
  let [atOne, atOther] = [of(one), of(other)]
  for (let narrowed = 0; narrowed < REFINED; narrowed++)
    if (atOne <= atOther) {
      high = other
      ;[other, atOther] = [one, atOne]
      one = high - GOLDEN * (high - low)
      atOne = of(one)
    } else {
      low = one
      ;[one, atOne] = [other, atOther]
      other = low + GOLDEN * (high - low)
      atOther = of(other)
    }
  return (low + high) / 2
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
    const fitting: Fitting = {
      returns,
      places: [...new Set(returns.map(({ place }) => place))],
      readingsUm: returns.map(({ readingUm }) => readingUm),
      order,
      floorUm: Math.max(stepUm / Math.sqrt(12), 1e-6),
    }
    const of = (model: Model) => fitted(fitting, model)
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
      const tauMin = leastBetween(
        taus[Math.max(0, at - 1)] as number,
        taus[Math.min(TRIED - 1, at + 1)] as number,
        tau => of({ tauMin: tau, jumpAfter })?.spreadUm ?? Number.POSITIVE_INFINITY,
      )
      return best([tried, of({ tauMin, jumpAfter })])
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
    const growth = (place: Return['place']) => {
      const at = fitting.places.indexOf(place)
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
