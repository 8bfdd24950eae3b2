// A straight beam of one section on elastic supports that may stand off its line: the screw in one plane, between its blocks
// and through its nut. Small deflections (Euler and Bernoulli); millimetres, newtons.

/** What holds a beam at a place. */
export interface Support {
  readonly atMm: number
  /** Where it would have the beam, off the line from which all is measured. */
  readonly offsetMm: number
  /** How stiff it stands across the beam. */
  readonly stiffnessNPerMm: number
  /** How stiff it is against rocking; 0 lets the beam turn in it. */
  readonly rockingNmmPerRad: number
}

export interface Beam {
  readonly lengthMm: number
  /** E I of its section. */
  readonly bendingNmm2: number
  /** Its weight across its length, downwards. */
  readonly weightNPerMm: number
  readonly supports: readonly Support[]
  /** The shape that it has by itself, with its slope; a straight one has none. */
  readonly bent?: (atMm: number) => readonly [offMm: number, slope: number]
}

export interface BentBeam {
  /** The push of each support on the beam, across it; upwards is positive. */
  readonly forcesN: readonly number[]
  /** How far it stands off the line at a place. */
  readonly offMm: (atMm: number) => number
}

/** Solves a small symmetric system that is definite, by Cholesky's square root. */
function solved(matrix: readonly (readonly number[])[], right: readonly number[]): number[] {
  const count = right.length
  const root = matrix.map(row => [...row])
  for (let i = 0; i < count; i++)
    for (let j = 0; j <= i; j++) {
      let sum = root[i]?.[j] as number
      for (let k = 0; k < j; k++) sum -= (root[i]?.[k] as number) * (root[j]?.[k] as number)
      ;(root[i] as number[])[j] = i === j ? Math.sqrt(sum) : sum / (root[j]?.[j] as number)
    }
  const half: number[] = []
  for (let i = 0; i < count; i++) {
    let sum = right[i] as number
    for (let k = 0; k < i; k++) sum -= (root[i]?.[k] as number) * (half[k] as number)
    half.push(sum / (root[i]?.[i] as number))
  }
  const result = new Array<number>(count).fill(0)
  for (let i = count - 1; i >= 0; i--) {
    let sum = half[i] as number
    for (let k = i + 1; k < count; k++) sum -= (root[k]?.[i] as number) * (result[k] as number)
    result[i] = sum / (root[i]?.[i] as number)
  }
  return result
}

const straight = (): readonly [number, number] => [0, 0]

/**
 * How a beam lies on its supports.
 *
 * @throws Error where nothing holds it
 * @example of a beam of 1 m and E I 1e9 N mm2 on rigid supports at its ends, under 0.01 N/mm: off -0.1302 mm in its middle
 */
export function lieOn({ lengthMm, bendingNmm2, weightNPerMm, supports, bent = straight }: Beam): BentBeam {
  const nodes = [...new Set([0, ...supports.map(({ atMm }) => atMm), lengthMm])].toSorted((a, b) => a - b)
  const size = 2 * nodes.length
  const matrix = Array.from({ length: size }, () => new Array<number>(size).fill(0))
  const right = new Array<number>(size).fill(0)
  const add = (i: number, j: number, value: number) => {
    ;(matrix[i] as number[])[j] = (matrix[i]?.[j] as number) + value
  }
  const push = (i: number, value: number) => {
    right[i] = (right[i] as number) + value
  }
  // Turns are reckoned times this length, so that all unknowns are of one size.
  const perTurn = lengthMm
  for (let e = 0; e + 1 < nodes.length; e++) {
    const l = (nodes[e + 1] as number) - (nodes[e] as number)
    const k = bendingNmm2 / l ** 3
    const s = l / perTurn
    const of = [
      [12, 6 * s, -12, 6 * s],
      [6 * s, 4 * s * s, -6 * s, 2 * s * s],
      [-12, -6 * s, 12, -6 * s],
      [6 * s, 2 * s * s, -6 * s, 4 * s * s],
    ]
    for (let i = 0; i < 4; i++)
      for (let j = 0; j < 4; j++) add(2 * e + i, 2 * e + j, k * (of[i]?.[j] as number))
    const load = -weightNPerMm * l
    const loads = [load / 2, (load * l) / 12 / perTurn, load / 2, (-load * l) / 12 / perTurn]
    for (let i = 0; i < 4; i++) push(2 * e + i, loads[i] as number)
  }
  const nodeOf = (atMm: number) => nodes.indexOf(atMm)
  for (const { atMm, offsetMm, stiffnessNPerMm, rockingNmmPerRad } of supports) {
    const [offMm, slope] = bent(atMm)
    const i = 2 * nodeOf(atMm)
    add(i, i, stiffnessNPerMm)
    push(i, stiffnessNPerMm * (offsetMm - offMm))
    const rocking = rockingNmmPerRad / perTurn ** 2
    add(i + 1, i + 1, rocking)
    push(i + 1, -rocking * slope * perTurn)
  }
  const lies = solved(matrix, right)
  if (!lies.every(Number.isFinite))
    throw new Error('Nothing holds the beam: takes two supports, or one that does not rock.')
  const elastic = (atMm: number): number => {
    const place = Math.min(Math.max(atMm, 0), lengthMm)
    const e = Math.min(nodes.length - 2, Math.max(0, nodes.findIndex((to, at) => at > 0 && place <= to) - 1))
    const from = nodes[e] as number
    const l = (nodes[e + 1] as number) - from
    const t = (place - from) / l
    const [v0, q0, v1, q1] = [0, 1, 2, 3].map(i => lies[2 * e + i] as number) as [
      number,
      number,
      number,
      number,
    ]
    const sagged = (-weightNPerMm * (place - from) ** 2 * (l - (place - from)) ** 2) / (24 * bendingNmm2)
    return (
      (1 - 3 * t ** 2 + 2 * t ** 3) * v0 +
      ((t - 2 * t ** 2 + t ** 3) * l * q0) / perTurn +
      (3 * t ** 2 - 2 * t ** 3) * v1 +
      ((t ** 3 - t ** 2) * l * q1) / perTurn +
      sagged
    )
  }
  return {
    forcesN: supports.map(({ atMm, offsetMm, stiffnessNPerMm }) => {
      const [offMm] = bent(atMm)
      return stiffnessNPerMm * (offsetMm - offMm - (lies[2 * nodeOf(atMm)] as number))
    }),
    offMm: atMm => elastic(atMm) + bent(Math.min(Math.max(atMm, 0), lengthMm))[0],
  }
}
