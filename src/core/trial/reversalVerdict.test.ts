import { evenRandom } from '../calculation/evenRandom'
import { wronglyHolds } from './reversalVerdict'

test.each([[5], [10], [20], [null]])(
  'a reversal at its target is hardly ever let through, %s readings a side',
  readings => {
    const random = evenRandom(20_261_127)
    for (const [spreadUm, stepUm] of [
      [2, 1],
      [5, 1],
      [3, 10],
    ] as const) {
      const runs = 300
      const wrong = Array.from({ length: runs }, () =>
        wronglyHolds(random, spreadUm, stepUm, readings),
      ).filter(Boolean)
      // 2.5 of 100, and what 300 runs may be off by.
      expect(wrong.length / runs).toBeLessThan(0.025 + 0.025)
    }
  },
)
