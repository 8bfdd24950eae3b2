/** What fits readings best, and how well it is known. */
export interface Fitted {
  coefficients: number[]
  /** Of each coefficient; null where no reading is to spare. */
  standardErrors: number[] | null
  /** Spread of the readings about what was fitted: root of the squares over the readings to spare; null without any. */
  spread: number | null
  /** Each reading less what was fitted to it. */
  residuals: number[]
  /** The inverse of R: what a combination of coefficients is uncertain by follows from it. */
  inverse: number[][]
}

/** What is left of a column beside those before it, against the longest of them all: less than this is rounding. */
const DEPENDENT = 1e-9

/**
 * The coefficients of a linear model by least squares, by orthogonal columns (Gram and Schmidt, gone over twice).
 *
 * @param rows one a reading: what each coefficient is multiplied by
 * @returns null where the readings cannot tell the coefficients apart: too few of them, or all alike
 * @example leastSquares([[1, 0], [1, 1], [1, 2]], [1, 3, 5])?.coefficients // [1, 2]
 */
export function leastSquares(rows: readonly (readonly number[])[], values: readonly number[]): Fitted | null {
  const readings = rows.length
  const unknowns = rows[0]?.length ?? 0
  if (unknowns === 0 || readings < unknowns) return null
  const base: number[][] = []
  for (let at = 0; at < unknowns; at++) base.push(rows.map(row => row[at] as number))
  let longest = 0
  for (const column of base) longest = Math.max(longest, Math.sqrt(dot(column, column)))
  const upper = base.map(() => new Array<number>(unknowns).fill(0))
  for (let at = 0; at < unknowns; at++) {
    // Made orthogonal where it stands: what stood there before is not needed again.
    const left = base[at] as number[]
    for (let round = 0; round < 2; round++)
      for (let before = 0; before < at; before++) {
        const unit = base[before] as number[]
        const along = dot(unit, left)
        const row = upper[before] as number[]
        row[at] = (row[at] as number) + along
        for (let index = 0; index < readings; index++)
          left[index] = (left[index] as number) - along * (unit[index] as number)
      }
    const length = Math.sqrt(dot(left, left))
    if (!(length > DEPENDENT * longest)) return null
    ;(upper[at] as number[])[at] = length
    for (let index = 0; index < readings; index++) left[index] = (left[index] as number) / length
  }
  const inverse = inverseOf(upper)
  const along = base.map(unit => dot(unit, values))
  const coefficients = inverse.map(row => dot(row, along))
  const residuals = values.map((value, index) => value - dot(rows[index] as number[], coefficients))
  const spare = readings - unknowns
  const spread = spare > 0 ? Math.sqrt(dot(residuals, residuals) / spare) : null
  return {
    coefficients,
    standardErrors: spread === null ? null : inverse.map(row => spread * Math.sqrt(dot(row, row))),
    spread,
    residuals,
    inverse,
  }
}

function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0
  for (let index = 0; index < a.length; index++) sum += (a[index] as number) * (b[index] as number)
  return sum
}

/** The inverse of an upper triangle. */
function inverseOf(upper: readonly (readonly number[])[]): number[][] {
  const count = upper.length
  const inverse = upper.map(() => new Array<number>(count).fill(0))
  for (let column = 0; column < count; column++)
    for (let row = column; row >= 0; row--) {
      let sum = row === column ? 1 : 0
      for (let k = row + 1; k <= column; k++)
        sum -= ((upper[row] as number[])[k] as number) * ((inverse[k] as number[])[column] as number)
      ;(inverse[row] as number[])[column] = sum / ((upper[row] as number[])[row] as number)
    }
  return inverse
}

/**
 * What a combination of coefficients is uncertain by, by the spread of the readings; null without readings to spare.
 *
 * @param factors what each coefficient is multiplied by
 * @example of a straight line at x: standardErrorOf(fitted, [1, x])
 */
export function standardErrorOf({ inverse, spread }: Fitted, factors: readonly number[]): number | null {
  if (spread === null) return null
  const squares = inverse.map((_, column) =>
    factors.reduce((sum, factor, row) => sum + factor * ((inverse[row] as number[])[column] as number), 0),
  )
  return spread * Math.sqrt(squares.reduce((sum, one) => sum + one ** 2, 0))
}

/** An angle from 0 up to 360. @example turnOf(-90) // 270 */
export const turnOf = (deg: number): number => ((deg % 360) + 360) % 360

/** A wave once a turn through readings at angles: value = mean + amplitude cos(angle - at). */
export interface TurnFit {
  mean: number
  amplitude: number
  /** The angle at which it is largest, 0 to 360. */
  largestAtDeg: number
  fitted: Fitted
}

/**
 * The wave once a turn that fits readings best.
 *
 * @returns null where fewer than three angles were read, or they cannot tell it
 * @example turnFit([{ angleDeg: 0, value: 1 }, { angleDeg: 90, value: 3 }, { angleDeg: 180, value: 1 },
 *   { angleDeg: 270, value: -1 }])?.largestAtDeg // 90
 */
export function turnFit(readings: readonly { angleDeg: number; value: number }[]): TurnFit | null {
  const fitted = leastSquares(
    readings.map(({ angleDeg }) => {
      const rad = (angleDeg * Math.PI) / 180
      return [1, Math.cos(rad), Math.sin(rad)]
    }),
    readings.map(({ value }) => value),
  )
  if (!fitted) return null
  const [mean, cos, sin] = fitted.coefficients as [number, number, number]
  return {
    mean,
    amplitude: Math.hypot(cos, sin),
    largestAtDeg: turnOf((Math.atan2(sin, cos) * 180) / Math.PI),
    fitted,
  }
}
