import { calculation } from '../../../calculation/calculation'
import { coverageFactor } from '../../../calculation/studentLaw'
import { flag, given, list, plain, smallLength } from '../../../field/field'
import { READING } from '../../../readings/model'

const reading = given(READING)

/** How sure a verdict must be. */
const CONFIDENCE = 0.95

const degrees = plain('degrees of freedom', {}, { symbol: 'nu', orNone: true })
const resolutionUm = smallLength('step of the gauge', { min: 0 }, { symbol: 'r', default: 0 })

/**
 * Lost motion at one station, approached several times from either side, with what it is uncertain by.
 *
 * @example reversal({ approachPositiveUm: [7, 7, 7, 7], approachNegativeUm: [-3.3, -1.3, -3.6, 0.5, -1.4],
 *   resolutionUm: 1 }).expandedUm // 2.03084
 */
export const reversal = calculation({
  id: 'prove.reversal',
  title: 'Reversal at a station',
  formula:
    'B = mean(x+) - mean(x-); u^2 = s+^2 / n+ + s-^2 / n- + 2 r^2 / 12; U = k u, k of Student for nu degrees; repeatability = 4 s',
  source: 'ISO 230-2; uncertainty of a difference of means after Welch and Satterthwaite',
  validity: 'At least two readings from either side; five are few, fewer are a look',
  inputs: {
    approachPositiveUm: list('readings, approached upward', reading, 2),
    approachNegativeUm: list('readings, approached downward', reading, 2),
    resolutionUm,
  },
  outputs: {
    reversalUm: smallLength('reversal', {}, { symbol: 'B' }),
    standardUncertaintyUm: smallLength('standard uncertainty', {}, { symbol: 'u' }),
    repeatabilityPositiveUm: smallLength('repeatability upward', {}, { symbol: '4 s+' }),
    repeatabilityNegativeUm: smallLength('repeatability downward', {}, { symbol: '4 s-' }),
    effectiveDegrees: degrees,
    coverageFactor: plain('coverage factor', {}, { symbol: 'k' }),
    expandedUm: smallLength('expanded uncertainty', {}, { symbol: 'U' }),
  },
  compute({ approachPositiveUm, approachNegativeUm, resolutionUm = 0 }) {
    const positive = sample(approachPositiveUm)
    const negative = sample(approachNegativeUm)
    const { standardUm, effectiveDegrees } = combined([positive, negative], resolutionUm)
    const factor = coverageFactor(CONFIDENCE, effectiveDegrees)
    return {
      reversalUm: positive.mean - negative.mean,
      standardUncertaintyUm: standardUm,
      repeatabilityPositiveUm: 4 * Math.sqrt(positive.variance),
      repeatabilityNegativeUm: 4 * Math.sqrt(negative.variance),
      effectiveDegrees,
      coverageFactor: factor,
      expandedUm: factor * standardUm,
    }
  },
})

/**
 * Whether a change made a difference: the lost motion before it and after it, at one place.
 *
 * @example reversalDifference({ beforePositiveUm: [22.2, 23.8, 27.1, 26.2, 25.5], beforeNegativeUm: [-12.4, -16.2, -10.8],
 *   afterPositiveUm: [18.7, 13.8, 16.1, 14.1, 16.7], afterNegativeUm: [-4.6, -2.9, -1.3, -3, -3.4],
 *   resolutionUm: 0 }).differenceUm // -19.1733
 */
export const reversalDifference = calculation({
  id: 'prove.difference',
  title: 'Before against after',
  formula:
    'd = |B after| - |B before|; u^2 = sum of the four s^2 / n + 4 r^2 / 12; it counts where |d| > k u, k of Student for nu degrees',
  source: 'Uncertainty of a difference of means after Welch and Satterthwaite',
  validity: 'The same place, gauge and way of reading both times',
  inputs: {
    beforePositiveUm: list('before, approached upward', reading, 2),
    beforeNegativeUm: list('before, approached downward', reading, 2),
    afterPositiveUm: list('after, approached upward', reading, 2),
    afterNegativeUm: list('after, approached downward', reading, 2),
    resolutionUm,
  },
  outputs: {
    beforeUm: smallLength('reversal before', {}, { symbol: '|B1|' }),
    afterUm: smallLength('reversal after', {}, { symbol: '|B2|' }),
    differenceUm: smallLength('difference', {}, { symbol: 'd' }),
    standardUncertaintyUm: smallLength('standard uncertainty', {}, { symbol: 'u' }),
    effectiveDegrees: degrees,
    coverageFactor: plain('coverage factor', {}, { symbol: 'k' }),
    counts: flag('more than the readings are uncertain by'),
  },
  compute(inputs) {
    const [upBefore, downBefore, upAfter, downAfter] = [
      inputs.beforePositiveUm,
      inputs.beforeNegativeUm,
      inputs.afterPositiveUm,
      inputs.afterNegativeUm,
    ].map(sample) as [Sample, Sample, Sample, Sample]
    const beforeUm = Math.abs(upBefore.mean - downBefore.mean)
    const afterUm = Math.abs(upAfter.mean - downAfter.mean)
    const { standardUm, effectiveDegrees } = combined(
      [upBefore, downBefore, upAfter, downAfter],
      inputs.resolutionUm ?? 0,
    )
    const factor = coverageFactor(CONFIDENCE, effectiveDegrees)
    const differenceUm = afterUm - beforeUm
    return {
      beforeUm,
      afterUm,
      differenceUm,
      standardUncertaintyUm: standardUm,
      effectiveDegrees,
      coverageFactor: factor,
      counts: Math.abs(differenceUm) > factor * standardUm,
    }
  },
})

interface Sample {
  mean: number
  variance: number
  count: number
}

function sample(values: number[]): Sample {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1)
  return { mean, variance, count: values.length }
}

/** Standard uncertainty of a sum or difference of means read in steps, and its degrees of freedom; null where nothing spreads. */
function combined(samples: readonly Sample[], resolutionUm: number) {
  const parts = samples.map(({ variance, count }) => ({ square: variance / count, degrees: count - 1 }))
  const spread = parts.reduce((sum, { square }) => sum + square, 0)
  const square = spread + (samples.length * resolutionUm ** 2) / 12
  const fourth = parts.reduce((sum, one) => sum + one.square ** 2 / one.degrees, 0)
  const degrees = square ** 2 / fourth
  // Where nothing spreads, or next to nothing, there is no end of degrees.
  return { standardUm: Math.sqrt(square), effectiveDegrees: Number.isFinite(degrees) ? degrees : null }
}
