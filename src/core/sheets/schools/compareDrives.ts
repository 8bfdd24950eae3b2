import { InputError } from '../../calculation/inputError'
import type { Axis } from '../../document/axis'
import type { EvaluationContext } from '../../evaluation/context'
import { STATE_WORDS, type State, worstState } from '../../evaluation/finding'
import { NotKnown } from '../../evaluation/notKnown'
import { driveEur, driveHeightMm } from '../../machine/drive/price'
import { lostMotionBudget } from '../../machine/drive/stiffness'
import { efficiency } from '../../machine/drive/torque'
import { isBelted, nutTurns } from '../../machine/drive/transmission'
import { money, say } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'
import type { Variant } from './model'

/** One line of the comparison: a fact of every drive, in words. */
export interface ComparedRow {
  label: string
  values: string[]
  /** Whether the drives are not all alike in it. */
  differs: boolean
}
export interface Comparison {
  /** Worst state of each drive. */
  states: State[]
  rows: ComparedRow[]
}

type Fact = [label: string, of: (t: EvaluationContext, units: UnitSystem) => string]

const causes = (t: EvaluationContext, units: UnitSystem, subject: string) => {
  const um = lostMotionBudget(t).causes.reduce(
    (sum, one) => (one.subject === subject ? sum + one.um : sum),
    0,
  )
  return say(um, 'smallLength', units)
}

function backDrive(t: EvaluationContext): string {
  const { backward } = efficiency(t)
  if (backward === 0) return 'self-locking'
  const turns = `the load can turn it, at ${say(backward, 'share', 'mm', 0)}`
  if (t.dimension('inclineDeg') === 0) return turns
  const { state } = t.finding('axis.unpoweredDrop') ?? { state: 'holds' }
  if (state === 'unknown') return `${turns}: whether it is held without power is not known yet`
  return state === 'holds' ? `${turns}: it is held without power` : `${turns}: it runs away without power`
}

/** What only the trade knows, by what the drive is made of. */
function alignment(t: EvaluationContext, units: UnitSystem): string {
  if (isBelted(t)) return 'pulleys in line by a rule; the motor needs no true seat'
  const { parallelLimitMm, angularLimitDeg } = t.part('coupler')
  return `motor within ${say(parallelLimitMm, 'length', units)} and ${say(angularLimitDeg, 'angle', units)} of the screw`
}
function upkeep(t: EvaluationContext): string {
  const nut =
    t.part('screw').kind === 'ball'
      ? 'grease, and wipers kept clean'
      : 'oil often; nip the nut up as it wears'
  return isBelted(t) ? `${nut}; belt tension after the first day, then yearly` : nut
}
function machining(t: EvaluationContext, units: UnitSystem): string {
  const { boreMm, couplerSeatMm } = t.part('bearing')
  const ends = `screw end to ${say(boreMm, 'length', units)} and ${say(couplerSeatMm, 'length', units)}`
  const more = [
    ...(t.axis.ends === 'fixed-fixed' && !nutTurns(t) ? ['a second bearing block'] : []),
    ...(t.axis.ends === 'fixed-supported' || t.axis.ends === 'supported-supported'
      ? ['a seat at the far end']
      : []),
    ...(isBelted(t) ? ['a motor plate with slots'] : []),
  ]
  return [ends, ...more].join('; ')
}

const FACTS: Fact[] = [
  ['Price', t => money(driveEur(t))],
  ['Lost motion in all', (t, units) => say(lostMotionBudget(t).totalUm, 'smallLength', units)],
  ['of it, nut', (t, units) => causes(t, units, 'nut')],
  ['of it, bearings', (t, units) => causes(t, units, 'bearing')],
  ['of it, coupler or belt', (t, units) => causes(t, units, isBelted(t) ? 'belt' : 'coupler')],
  ['of it, twist and give', (t, units) => causes(t, units, 'screw')],
  ['of it, motor', (t, units) => causes(t, units, 'motor')],
  ['Height under the slide', (t, units) => say(driveHeightMm(t), 'length', units)],
  ['Back-drive', backDrive],
  ['Alignment demanded', alignment],
  ['Upkeep', upkeep],
  ['To be machined', machining],
]

/** The axis with a drive that was kept. */
export const axisWithVariant = (axis: Axis, { parts, ends, drive, preloadN }: Variant): Axis => ({
  ...axis,
  parts,
  ends,
  drive,
  preloadN,
})

/**
 * The drive in use beside those that were kept, over the rows that matter.
 *
 * @returns one value per drive in each row, the one in use first; a dash where a part is missing
 */
export function compareDrives(context: EvaluationContext): Comparison {
  const { axis, units } = context
  const drives = [context, ...axis.variants.map(variant => context.with(axisWithVariant(axis, variant)))]
  const judged = drives.map(one => {
    const drive = one.driveFindings
    const state = worstState(drive) ?? 'unknown'
    const worst = drive
      .filter(({ margin }) => margin !== null)
      .toSorted((a, b) => (a.margin ?? 0) - (b.margin ?? 0))[0]
    return { state, worst }
  })
  const attempt = (work: () => string) => {
    try {
      return work()
    } catch (error) {
      if (error instanceof NotKnown || error instanceof InputError) return '–'
      throw error
    }
  }
  const row = (label: string, values: string[]): ComparedRow => ({
    label,
    values,
    differs: new Set(values).size > 1,
  })
  return {
    states: judged.map(({ state }) => state),
    rows: [
      row(
        'Verdict',
        judged.map(({ state }) => STATE_WORDS[state]),
      ),
      row(
        'Worst margin',
        judged.map(({ worst }) =>
          worst ? `${say(worst.margin ?? 0, 'ratio', units, 2)}, ${worst.title.toLowerCase()}` : '–',
        ),
      ),
      ...FACTS.map(([label, of]) =>
        row(
          label,
          drives.map(t => attempt(() => of(t, units))),
        ),
      ),
    ],
  }
}
