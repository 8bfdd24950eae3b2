/**
 * The order in which screws on a circle are tightened: each as far as can be from those before it.
 *
 * @returns for each screw, counted round the circle, which turn it has, from 1 on
 * @example tighteningTurns(4) // [1, 3, 2, 4]
 */
export function tighteningTurns(count: number): number[] {
  const turns = new Array<number>(count).fill(0)
  const apart = (a: number, b: number) => Math.min(Math.abs(a - b), count - Math.abs(a - b))
  const placed: number[] = []
  for (let turn = 1; turn <= count; turn++) {
    let best = 0
    let most = -1
    for (let at = 0; at < count; at++) {
      if (turns[at] !== 0) continue
      const last = placed.at(-1)
      const nearest = placed.reduce((least, one) => Math.min(least, apart(one, at)), count)
      // Across from the last one first, then as far as can be from all.
      const worth = (last === undefined ? 0 : apart(last, at)) * count + nearest
      if (worth > most) {
        most = worth
        best = at
      }
    }
    turns[best] = turn
    placed.push(best)
  }
  return turns
}
