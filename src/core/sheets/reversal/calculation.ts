import { calculation } from '../../calculation/calculation'
import { inputOf } from '../../calculation/inputOf'
import { list, number } from '../../calculation/spec'
import { READING } from '../../machine/readings'

const reading = inputOf(READING, 'x')

/**
 * Lost motion at one station, approached several times from either side.
 *
 * @example reversal({ approachPositiveUm: [0, -3.2, 1.4, -3, -0.5], approachNegativeUm: [-6.2, -10.2, -10.4, -12.6, -10.3] }).reversalUm // 8.88
 */
export const reversal = calculation({
  id: 'prove.reversal',
  title: 'Reversal at a station',
  formula: 'B = mean(x+) - mean(x-); u = sqrt(s+^2 / n+ + s-^2 / n-); repeatability = 4 s',
  source: 'ISO 230-2, with the standard uncertainty of a difference of means',
  validity: 'At least two readings from either side; the gauge resolves finer than the spread',
  inputs: {
    approachPositiveUm: list('readings, approached upward', reading, 2),
    approachNegativeUm: list('readings, approached downward', reading, 2),
  },
  outputs: {
    reversalUm: number('reversal', 'B', 'um', {}),
    standardUncertaintyUm: number('standard uncertainty', 'u', 'um', {}),
    repeatabilityPositiveUm: number('repeatability upward', '4 s+', 'um', {}),
    repeatabilityNegativeUm: number('repeatability downward', '4 s-', 'um', {}),
  },
  compute({ approachPositiveUm, approachNegativeUm }) {
    const positive = sample(approachPositiveUm)
    const negative = sample(approachNegativeUm)
    return {
      reversalUm: positive.mean - negative.mean,
      standardUncertaintyUm: Math.sqrt(
        positive.variance / approachPositiveUm.length + negative.variance / approachNegativeUm.length,
      ),
      repeatabilityPositiveUm: 4 * Math.sqrt(positive.variance),
      repeatabilityNegativeUm: 4 * Math.sqrt(negative.variance),
    }
  },
})

function sample(values: number[]) {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1)
  return { mean, variance }
}
