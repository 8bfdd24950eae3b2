import { calculation } from '../../../calculation/calculation'
import { radians, STEEL_EXPANSION_PER_K } from '../../../calculation/constants'
import { coverageFactor } from '../../../calculation/studentLaw'
import type { EvaluationContext } from '../../../evaluation/context'
import { choice, list, plain, record, smallLength } from '../../../field/field'
import type { reversal } from './reversal'
import type { Uncertainty } from './uncertaintyModel'

/** So many times its standard uncertainty is the half width of each law. */
const DIVISORS = { normal: 2, uniform: Math.sqrt(3), triangular: Math.sqrt(6) } as const

/**
 * What several contributors make a figure uncertain by.
 *
 * @example uncertaintyOf({ contributors: [{ distribution: 'uniform', halfWidthUm: 3, sensitivity: 1,
 *   degreesOfFreedom: null }], confidence: 0.95 }).combinedUm // 1.73205
 */
export const uncertaintyOf = calculation({
  id: 'prove.uncertainty',
  title: 'Uncertainty of a figure',
  formula:
    'u = c a / 2 (normal), c a / sqrt 3 (uniform), c a / sqrt 6 (triangular); uc^2 = sum of u^2; nu = uc^4 / sum of (u^4 / nu); U = k uc, k of Student for nu degrees',
  source: 'JCGM 100:2008; effective degrees after Welch and Satterthwaite',
  validity: 'Contributors that do not depend on each other; a normal one is given by its half width at 95 %',
  inputs: {
    contributors: list(
      'contributors',
      record('contributor', {
        distribution: choice('law', ['normal', 'uniform', 'triangular']),
        halfWidthUm: smallLength('half width', { min: 0 }, { symbol: 'a' }),
        sensitivity: plain('sensitivity', {}, { symbol: 'c' }),
        degreesOfFreedom: plain('degrees of freedom', { over: 0 }, { symbol: 'nu', orNone: true }),
      }),
    ),
    confidence: plain('confidence', { over: 0, below: 1 }, { symbol: 'p' }),
  },
  outputs: {
    combinedUm: smallLength('combined standard uncertainty', {}, { symbol: 'uc' }),
    effectiveDegrees: plain('degrees of freedom', {}, { symbol: 'nu', orNone: true }),
    coverageFactor: plain('coverage factor', {}, { symbol: 'k' }),
    expandedUm: smallLength('expanded uncertainty', {}, { symbol: 'U' }),
  },
  compute({ contributors, confidence }) {
    const squares = contributors.map(one => standardOf(one) ** 2)
    const square = squares.reduce((sum, one) => sum + one, 0)
    const fourth = contributors.reduce(
      (sum, { degreesOfFreedom }, index) =>
        degreesOfFreedom === null ? sum : sum + (squares[index] as number) ** 2 / degreesOfFreedom,
      0,
    )
    const degrees = square ** 2 / fourth
    const effectiveDegrees = Number.isFinite(degrees) ? degrees : null
    const factor = coverageFactor(confidence, effectiveDegrees)
    const combinedUm = Math.sqrt(square)
    return { combinedUm, effectiveDegrees, coverageFactor: factor, expandedUm: factor * combinedUm }
  },
})

interface Spread {
  distribution: keyof typeof DIVISORS
  halfWidthUm: number
  sensitivity: number
}

/** The standard uncertainty that a contributor brings. */
export const standardOf = ({ distribution, halfWidthUm, sensitivity }: Spread): number =>
  (Math.abs(sensitivity) * halfWidthUm) / DIVISORS[distribution]

/** What a figure can be uncertain by, in the order in which a bench looks at it, and what makes each less. */
export const CONTRIBUTORS = {
  readings: { label: 'Repeatability of the readings', less: 'more readings, and a firm hand at the base' },
  step: { label: 'Step of the gauge', less: 'a finer gauge' },
  gauge: { label: 'Error of the gauge', less: 'a gauge with a better sheet, or read against gauge blocks' },
  temperature: {
    label: 'Temperature of scale and screw',
    less: 'letting scale and screw stand side by side until they are alike warm',
  },
  outOfLine: { label: 'Indicator out of line', less: 'the stem squared up along the axis' },
  settingUp: { label: 'Setting up again', less: 'a shorter, stiffer arm on a base that does not creep' },
} as const
export type ContributorName = keyof typeof CONTRIBUTORS

export type Contributor = Spread & { name: ContributorName; degreesOfFreedom: number | null }

/** What is known of a figure before anything beside its readings is reckoned in. */
export interface ReadFigure {
  /** Standard uncertainty by the readings alone, the step of the gauge in it; and its degrees of freedom. */
  standardUm: number
  degrees: number | null
  stepUm: number
  /** In how many places the step of the gauge comes into it. */
  steps: number
  /** Over which length it is measured: what warmth and a leaning stem come into. */
  lengthMm: number
  /** Whether a scale was compared with the screw: only then does their warmth come into it. */
  byScale: boolean
}

const UM_PER_MM = 1000
const CONFIDENCE = 0.95

/**
 * What a figure is uncertain by, contributor by contributor: the readings and the step of the gauge, and beside them what was
 * entered of the gauge, the warmth, the stem and the setting up.
 */
export function contributorsOf(of: Uncertainty, figure: ReadFigure): Contributor[] {
  const { standardUm, degrees, stepUm, steps, lengthMm, byScale } = figure
  const stepSquare = (steps * stepUm ** 2) / 12
  const spreadUm = Math.sqrt(Math.max(standardUm ** 2 - stepSquare, 0))
  // Welch and Satterthwaite, the other way round: what the spread alone has, without the step in it.
  const spreadDegrees = degrees === null || spreadUm === 0 ? null : degrees * (spreadUm / standardUm) ** 4
  const uniform = (name: ContributorName, halfWidthUm: number | null, sensitivity = 1): Contributor[] =>
    halfWidthUm === null
      ? []
      : [{ name, distribution: 'uniform', halfWidthUm, sensitivity, degreesOfFreedom: null }]
  return [
    {
      name: 'readings',
      distribution: 'normal',
      halfWidthUm: 2 * spreadUm,
      sensitivity: 1,
      degreesOfFreedom: spreadDegrees,
    },
    ...uniform('step', stepUm / 2, Math.sqrt(steps)),
    ...uniform('gauge', of.gaugeErrorUm),
    ...(byScale ? uniform('temperature', of.temperatureK, STEEL_EXPANSION_PER_K * lengthMm * UM_PER_MM) : []),
    ...uniform(
      'outOfLine',
      of.outOfLineDeg === null ? null : lengthMm * UM_PER_MM * (1 - Math.cos(radians(of.outOfLineDeg))),
    ),
    ...uniform('settingUp', of.settingUpUm),
  ]
}

/** Whether anything was entered beside the readings. */
export const isAsked = (of: Uncertainty): boolean => Object.values(of).some(one => one !== null)

/** What a figure is uncertain by, of what, and of what most. */
export interface WithAll {
  expandedUm: number
  contributors: Contributor[]
  most: ContributorName
}

/**
 * What a figure is uncertain by, to each side at 95 %; never less than by its readings alone.
 *
 * @param alone what the readings alone say, expanded
 */
export function withAll(t: EvaluationContext, name: string, figure: ReadFigure, alone: number): WithAll {
  const contributors = contributorsOf(t.axis.uncertainty, figure)
  const most = contributors.reduce((largest, one) => (standardOf(one) > standardOf(largest) ? one : largest))
  const known = { contributors, most: most.name }
  if (!isAsked(t.axis.uncertainty)) return { ...known, expandedUm: alone }
  const { expandedUm } = t.figure(name, uncertaintyOf, { contributors, confidence: CONFIDENCE })
  return { ...known, expandedUm: Math.max(expandedUm, alone) }
}

/** What would make a figure less uncertain, in a sentence. @example narrows('step') // 'Most of the ± is the step of the gauge: a finer gauge narrows it.' */
export const narrows = (most: ContributorName): string =>
  `Most of the ± is the ${CONTRIBUTORS[most].label.toLowerCase()}: ${CONTRIBUTORS[most].less} narrows it.`

/** A reversal as it is read at a station, with all that is known beside its readings: the same scale and warmth both ways fall out. */
export const reversalWithAll = (
  t: EvaluationContext,
  name: string,
  figures: Pick<
    ReturnType<typeof reversal>,
    'reversalUm' | 'standardUncertaintyUm' | 'effectiveDegrees' | 'expandedUm'
  >,
  stepUm: number,
) =>
  withAll(
    t,
    name,
    {
      standardUm: figures.standardUncertaintyUm,
      degrees: figures.effectiveDegrees,
      stepUm,
      steps: 2,
      lengthMm: Math.abs(figures.reversalUm) / UM_PER_MM,
      byScale: false,
    },
    figures.expandedUm,
  )
