import { calculation } from '../calculation/calculation'
import { InputError } from '../calculation/inputError'
import { coverageFactor } from '../calculation/studentLaw'
import { flag, list, plain, record, smallLength, words } from '../field/field'
import { READING } from './model'
import { furthest } from './plausible'

// What the order of readings says of them. A group is one quantity that was read several times: a place and a direction.

const GROUPS = list('groups, in the order of reading', words('group', 60), 2)
const VALUES = list('readings', { ...READING, symbol: 'x' }, 2)
const SURE = 0.99

type Inputs = { groups: readonly string[]; valuesUm: readonly number[] }
const checked = ({ groups, valuesUm }: Inputs) => {
  if (groups.length !== valuesUm.length)
    throw new InputError('valuesUm', valuesUm.length, `${groups.length} readings, one for each group`)
}

/** Which group each reading belongs to, as a number; the groups in the order in which they come first, and how large they are. */
function groupsOf(groups: readonly string[]) {
  const numbers = new Map<string, number>()
  const counts: number[] = []
  const of = groups.map(group => {
    let number = numbers.get(group)
    if (number === undefined) {
      number = counts.length
      numbers.set(group, number)
      counts.push(0)
    }
    counts[number] = (counts[number] as number) + 1
    return number
  })
  return { names: [...numbers.keys()], of, counts }
}
type Grouped = ReturnType<typeof groupsOf>

/** The mean of each group. */
function meansOf({ of, counts }: Grouped, values: readonly number[]): number[] {
  const sums = new Array<number>(counts.length).fill(0)
  for (let at = 0; at < of.length; at++) {
    const group = of[at] as number
    sums[group] = (sums[group] as number) + (values[at] as number)
  }
  return sums.map((sum, group) => sum / (counts[group] as number))
}

/** Values less the mean of their group. */
function centred(grouped: Grouped, values: readonly number[]): number[] {
  const means = meansOf(grouped, values)
  return values.map((value, at) => value - (means[grouped.of[at] as number] as number))
}
function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0
  for (let at = 0; at < a.length; at++) sum += (a[at] as number) * (b[at] as number)
  return sum
}

/** A slope and its standard uncertainty, from the sums of products of what is centred: x y, x x and y y. */
function fitted(xy: number, xx: number, yy: number, degrees: number) {
  const slope = xy / xx
  const left = Math.max(0, yy - slope ** 2 * xx)
  return { slope, standard: Math.sqrt(left / degrees / xx), degrees }
}

/** What one more thing explains of readings beside the means of their groups; null where it cannot be told from them. */
function explained(grouped: Grouped, valuesUm: readonly number[], by: readonly number[]) {
  const degrees = valuesUm.length - grouped.counts.length - 1
  const [x, y] = [centred(grouped, by), centred(grouped, valuesUm)]
  const square = dot(x, x)
  if (degrees < 1 || square < 1e-9) return null
  return fitted(dot(x, y), square, dot(y, y), degrees)
}

/**
 * Whether readings drift over their order: the means of the groups and one straight drift, fitted together.
 *
 * @throws InputError where order cannot be told from place: each place read once, one after the other
 * @example readingsDrift({ groups: ['a', 'b', 'a', 'b'], valuesUm: [0, 5, 2, 7] }).driftPerReadingUm // 1
 */
export const readingsDrift = calculation({
  id: 'readings.drift',
  title: 'Drift over the order of reading',
  formula: 'x = mean of its group + d (i - (N - 1) / 2); total = d (N - 1); real over the quantile at 0.99',
  source: 'Linear least squares; Student',
  validity: 'Places come again in the course of the test',
  inputs: { groups: GROUPS, valuesUm: VALUES },
  outputs: {
    driftPerReadingUm: smallLength('drift from reading to reading', {}, { symbol: 'd' }),
    standardUm: smallLength('standard uncertainty of it', {}, { symbol: 's' }),
    totalUm: smallLength('over all readings', {}, { symbol: 'total' }),
    degrees: plain('degrees of freedom', {}, { symbol: 'nu' }),
    criticalT: plain('quantile', {}, { symbol: 't' }),
    drifts: flag('it drifts'),
    means: list(
      'means in the middle of the test',
      record('mean', { group: words('group', 60), valueUm: smallLength('mean', {}, { symbol: 'm' }) }),
    ),
  },
  compute(inputs) {
    checked(inputs)
    const { groups, valuesUm } = inputs
    const grouped = groupsOf(groups)
    const order = groups.map((_, index) => index - (groups.length - 1) / 2)
    const found = explained(grouped, valuesUm, order)
    if (!found)
      throw new InputError(
        'groups',
        groups.length,
        'the first place again at the end: order cannot be told from place',
      )
    const { slope, standard, degrees } = found
    const criticalT = coverageFactor(SURE, degrees)
    return {
      driftPerReadingUm: slope,
      standardUm: standard,
      totalUm: slope * (groups.length - 1),
      degrees,
      criticalT,
      drifts: Math.abs(slope) > criticalT * standard,
      means: meansOf(
        grouped,
        valuesUm.map((value, index) => value - slope * (order[index] as number)),
      ).map((valueUm, group) => ({ group: grouped.names[group] as string, valueUm })),
    }
  },
})

/** The jump that explains most, and at how many places one was tried. */
interface Jump extends ReturnType<typeof fitted> {
  afterReading: number
  tried: number
}

/** How many of its standard uncertainties a jump is. */
const sureness = (slope: number, standard: number): number =>
  standard > 0 ? Math.abs(slope) / standard : slope === 0 ? 0 : Number.MAX_VALUE

/** What a jump explains at each place where it can be told from the groups; one pass, from the last reading on. */
function largestJump(groups: readonly string[], valuesUm: readonly number[]): Jump | null {
  const grouped = groupsOf(groups)
  const { of, counts } = grouped
  const y = centred(grouped, valuesUm)
  const degrees = of.length - counts.length - 1
  if (degrees < 1) return null
  const squares = dot(y, y)
  const after = new Array<number>(counts.length).fill(0)
  let [together, square, tried, most] = [0, 0, 0, 0]
  let largest: (ReturnType<typeof fitted> & { afterReading: number }) | null = null
  for (let place = of.length - 1; place > 0; place--) {
    const group = of[place] as number
    const [all, behind] = [counts[group] as number, after[group] as number]
    // Of each group so many lie behind the jump: their indicator, centred, squares to n - n^2 / all.
    square += 1 - (2 * behind + 1) / all
    together += y[place] as number
    after[group] = behind + 1
    if (square < 1e-9) continue
    tried++
    const { slope, standard } = fitted(together, square, squares, degrees)
    const sure = sureness(slope, standard)
    // Of two that explain alike, the earlier one.
    if (largest === null || sure >= most) {
      most = sure
      largest = { afterReading: place, slope, standard, degrees }
    }
  }
  return largest && { ...largest, tried }
}

/**
 * Whether readings jump and stay: the means of the groups and one jump, at the place where it explains most.
 *
 * @throws InputError where no jump can be told from the groups
 * @example readingsStep({ groups: ['a', 'b', 'a', 'b', 'a', 'b'], valuesUm: [0, 5, 0, 9, 4, 9] }).afterReading // 3
 */
export const readingsStep = calculation({
  id: 'readings.step',
  title: 'A jump in the order of reading',
  formula:
    'x = mean of its group + j (from a reading on); the place of the largest |j / s|; real over the quantile at 1 - 0.01 / places',
  source: 'Linear least squares; Student, with a share of its error for each place that was tried',
  validity: 'Places come again in the course of the test',
  inputs: { groups: GROUPS, valuesUm: VALUES },
  outputs: {
    afterReading: plain('after so many readings', {}, { symbol: 'i' }),
    stepUm: smallLength('jump', {}, { symbol: 'j' }),
    standardUm: smallLength('standard uncertainty of it', {}, { symbol: 's' }),
    criticalT: plain('quantile', {}, { symbol: 't' }),
    steps: flag('it jumps'),
  },
  compute(inputs) {
    checked(inputs)
    const { groups, valuesUm } = inputs
    const best = largestJump(groups, valuesUm)
    if (!best)
      throw new InputError('groups', groups.length, 'places that come again, in another order than they came')
    const criticalT = coverageFactor(1 - (1 - SURE) / best.tried, best.degrees)
    return {
      afterReading: best.afterReading,
      stepUm: best.slope,
      standardUm: best.standard,
      criticalT,
      steps: sureness(best.slope, best.standard) > criticalT,
    }
  },
})

/**
 * The reading that lies furthest from its like, by the spread of all groups without it.
 *
 * @throws InputError where no group was read twice, or none is left to say what is usual
 * @example readingsOutlier({ groups: ['a', 'a', 'a', 'a', 'b', 'b', 'b', 'b'], valuesUm: [1, 2, 1, 2, 4, 5, 4, 90] }).reading // 8
 */
export const readingsOutlier = calculation({
  id: 'readings.outlier',
  title: 'The reading furthest from its like',
  formula: 't = off / (s sqrt(m / (m - 1))), s without it; an outlier over the quantile at 1 - 0.01 / N',
  source: 'Externally studentised residuals; Student',
  validity: 'One sound test in a hundred is stopped',
  inputs: { groups: GROUPS, valuesUm: VALUES },
  outputs: {
    reading: plain('reading, from 1', {}, { symbol: 'i' }),
    offUm: smallLength('off the mean of the others', {}, { symbol: 'off' }),
    tValue: plain('studentised', {}, { symbol: 't' }),
    criticalT: plain('quantile', {}, { symbol: 'tc' }),
    isOutlier: flag('an outlier'),
  },
  compute(inputs) {
    checked(inputs)
    const { groups, valuesUm } = inputs
    const worst = furthest(groupsOf(groups).of, valuesUm, 0)
    if (!worst)
      throw new InputError('groups', groups.length, 'groups of two readings or more, and one to spare')
    const { at, off, t, degrees, used } = worst
    const criticalT = coverageFactor(1 - (1 - SURE) / used, degrees)
    return { reading: at + 1, offUm: off, tValue: t, criticalT, isOutlier: t > criticalT }
  },
})
