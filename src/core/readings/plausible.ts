import { leastSquares } from '../calculation/leastSquares'
import { coverageFactor } from '../calculation/studentLaw'

/** A hand reads a dial to a fifth of its mark; what is finer than this share of it was typed in another unit. */
const FINEST_SHARE = 0.1

/**
 * Whether a reading is finer than its gauge can show: other than nothing, and less than a tenth of its step.
 *
 * @example finerThanGauge(0.0254, 10) // true: a thousandth of a thou on a dial of hundredths
 */
export const finerThanGauge = (readingUm: number, stepUm: number): boolean =>
  readingUm !== 0 && Math.abs(readingUm) < FINEST_SHARE * stepUm

/** From so many readings on it is no chance that they lie beside all marks. */
const FEWEST_BESIDE_MARKS = 2
const ON_A_MARK = 1e-3

/**
 * Whether readings are finer than their gauge shows: half of them or more lie beside every tenth of a mark, and are no round
 * figures of another unit either, as those are that were reckoned and rounded.
 *
 * @param round what figures are multiples of that were rounded, in each unit that they may have been rounded in
 * @example finerThanMarks([6.3, 5.9, 6.1], 2, [1]) // true: thou, on a dial of two micrometres
 */
export function finerThanMarks(readings: readonly number[], step: number, round: readonly number[]): boolean {
  const isOn = (reading: number, mark: number) => {
    const marks = reading / mark
    return Math.abs(marks - Math.round(marks)) < ON_A_MARK * Math.max(1, Math.abs(marks))
  }
  const beside = readings.filter(one => ![FINEST_SHARE * step, ...round].some(mark => isOn(one, mark))).length
  return beside >= FEWEST_BESIDE_MARKS && 2 * beside >= readings.length
}

/** Figures of the same thing in two units differ by these; a slip of a digit comes after them. */
const FACTORS = [
  [25.4, 'inches for millimetres, or thou for hundredths'],
  [1000, 'millimetres for micrometres'],
  [9.80665, 'kilograms for newtons'],
  [4.44822, 'pounds for newtons'],
  [10, 'a figure too many or too few'],
] as const
const NEAR_A_FACTOR = 0.12

/**
 * What a figure that is so many times another may have come of: a unit or a digit.
 *
 * @returns null where no factor is near
 * @example factorWords(9.5) // 'kilograms for newtons; a figure too many or too few'
 */
export function factorWords(times: number): string | null {
  const up = times >= 1 ? times : 1 / times
  const near = FACTORS.filter(([factor]) => Math.abs(up / factor - 1) < NEAR_A_FACTOR)
  return near.length > 0 ? near.map(([, words]) => words).join('; ') : null
}

/** The middle one of some values; of an even number, the mean of the two in the middle. */
export const median = (values: readonly number[]): number => {
  const sorted = values.toSorted((a, b) => a - b)
  const middle = sorted.length >> 1
  return sorted.length % 2
    ? (sorted[middle] as number)
    : ((sorted[middle - 1] as number) + (sorted[middle] as number)) / 2
}

/** One sound test in so many is stopped. */
const SOUND_STOPPED = 0.01
/** Of a normal law at one hundredth, to both sides. */
const LEAST_QUANTILE = 2.57
/** Of readings at most so many are taken for slips. */
const MOST_APART = 0.1

/**
 * Which readings of some groups stand apart from their like: a slip of typing, or a bump; each as `readings.outlier` has it,
 * by the spread of all groups without it, then again without that one. They are marked, never left out.
 *
 * @param groups each one quantity that was read several times
 * @param step the least that readings spread by: that of their gauge
 * @param among how many readings the test has
 * @returns their places, by group and within it
 * @example standApart([[24, 22, 25, 230, 24]], 1, 10) // [{ group: 0, index: 3 }]
 */
export function standApart(
  groups: readonly (readonly number[])[],
  step: number,
  among: number,
): { group: number; index: number }[] {
  const left = { groups: [] as number[], values: [] as number[], places: [] as number[] }
  for (const [group, readings] of groups.entries())
    for (const [index, value] of readings.entries()) {
      left.groups.push(group)
      left.values.push(value)
      left.places.push(index)
    }
  const { length } = left.values
  const most = Math.max(1, Math.floor(MOST_APART * length))
  const apart: { group: number; index: number }[] = []
  while (apart.length < most) {
    const worst = furthest(left.groups, left.values, Math.max(step / 2, 1e-9))
    // No quantile lies nearer, whatever there is to spare.
    if (!worst || worst.t < LEAST_QUANTILE) break
    if (worst.t <= coverageFactor(1 - SOUND_STOPPED / Math.max(among, left.values.length), worst.degrees))
      break
    apart.push({ group: left.groups[worst.at] as number, index: left.places[worst.at] as number })
    for (const column of [left.groups, left.values, left.places]) column.splice(worst.at, 1)
  }
  return apart
}

/**
 * The reading that lies furthest from the mean of the others of its group, by the spread of all groups without it.
 *
 * @param groups of each reading, its group as a number from 0
 * @param leastSpread that readings are taken to spread by
 * @returns its place, what it lies off, how far that is in spreads, and degrees of freedom; null where none is to spare
 * @example furthest([0, 0, 0, 1, 1, 1], [1, 2, 1, 4, 5, 90], 0)?.at // 5
 */
export function furthest(
  groups: readonly number[],
  values: readonly number[],
  leastSpread: number,
): { at: number; off: number; t: number; degrees: number; used: number } | null {
  const sums: number[] = []
  const counts: number[] = []
  for (let at = 0; at < values.length; at++) {
    const group = groups[at] as number
    sums[group] = (sums[group] ?? 0) + (values[at] as number)
    counts[group] = (counts[group] ?? 0) + 1
  }
  let [used, degrees, squares] = [0, -1, 0]
  for (const count of counts)
    if (count > 1) {
      used += count
      degrees += count - 1
    }
  if (degrees < 1) return null
  const residualAt = (at: number) => {
    const group = groups[at] as number
    return (values[at] as number) - (sums[group] as number) / (counts[group] as number)
  }
  for (let at = 0; at < values.length; at++)
    if ((counts[groups[at] as number] as number) > 1) squares += residualAt(at) ** 2
  let worst = { at: -1, off: 0, t: -1 }
  for (let at = 0; at < values.length; at++) {
    const count = counts[groups[at] as number] as number
    if (count < 2) continue
    const residual = residualAt(at)
    const free = (count - 1) / count
    const spread = Math.max(Math.sqrt(Math.max(squares - residual ** 2 / free, 0) / degrees), leastSpread)
    const t =
      spread > 0 ? Math.abs(residual) / Math.sqrt(free) / spread : residual === 0 ? 0 : Number.MAX_VALUE
    if (t > worst.t) worst = { at, off: residual / free, t }
  }
  return { ...worst, degrees, used }
}

/** A reading stands off where so sure a bound for any of its round does not reach it, nor this many steps. */
const OFF_CONFIDENCE = 0.99
const OFF_STEPS = 4

/** A reading whose leverage leaves less than this free is the only one that tells something: the others say nothing of it. */
const ALONE = 1e-9

/** How much of a reading its own fit is made of: 1 where nothing else tells what it tells. */
function leverageOf(inverse: readonly (readonly number[])[], row: readonly number[]): number {
  let sum = 0
  for (let column = 0; column < row.length; column++) {
    let along = 0
    for (let at = 0; at < row.length; at++)
      along += (row[at] as number) * ((inverse[at] as readonly number[])[column] as number)
    sum += along ** 2
  }
  return sum
}

/**
 * The reading that lies furthest off what fits all the others, where it lies too far off for a reading like them.
 *
 * @param rows what each unknown is multiplied by, a reading a row
 * @param step the least that readings spread by
 * @returns its place in the list; none where the others could not tell: fewer than two of them to spare
 * @example offTheFit([[1, 0], [1, 1], [1, 2], [1, 3], [1, 4]], [0, 1, 20, 3, 4], 0.1) // 2
 */
export function offTheFit(
  rows: readonly (readonly number[])[],
  values: readonly number[],
  step: number,
): number | null {
  const unknowns = rows[0]?.length ?? 0
  if (rows.length < unknowns + 3) return null
  // Few readings to spare know little of their spread: the bound is the wider.
  const spreads = coverageFactor(1 - (1 - OFF_CONFIDENCE) / rows.length, rows.length - 1 - unknowns)
  const fitted = leastSquares(rows, values)
  if (!fitted) return null
  const { residuals, inverse } = fitted
  const squares = residuals.reduce((sum, one) => sum + one ** 2, 0)
  let worst: number | null = null
  let most = 1
  // What the others say of a reading follows from the fit of them all: it pulls by its leverage.
  for (const [index, residual] of residuals.entries()) {
    const free = 1 - leverageOf(inverse, rows[index] as readonly number[])
    if (!(free > ALONE)) continue
    const offBy = Math.abs(residual) / free
    const spread = Math.sqrt(Math.max(squares - residual ** 2 / free, 0) / (rows.length - 1 - unknowns))
    const share = offBy / Math.max((spreads * spread) / Math.sqrt(free), OFF_STEPS * step)
    if (share > most) [worst, most] = [index, share]
  }
  return worst
}
