import { drawsFrom } from '../../../calculation/evenRandom'
import { smallLength } from '../../../field/field'
import { SQUARE_OWN_UM } from '../../../simulate/axis/instruments'
import { TABLE } from '../../../simulate/axis/table'
import { say } from '../../../units/print'
import { type Entry, entriesOf, isNear, lesson, meanOf, point } from '../lesson'
import { type Act, SQUARE_EDGE_MM } from '../trainingBench'

const WIDTH_MM = 600
const WANTED_UM_PER_M = 60

interface Truth {
  outUmPerM: number
}
const leansUmPerM = ({ outUmPerM }: Truth, sideUm: number) => outUmPerM + (1000 * sideUm) / WIDTH_MM

/** The square as it was read at a setting: straight and turned over; none where one of the two is missing. */
function bothOf(all: readonly Entry[], setting: number) {
  const of = (isTurned: boolean) => all.filter(one => one.setting === setting && one.isTurned === isTurned)
  const [straight, turned] = [of(false), of(true)]
  if (straight.length === 0 || turned.length === 0) return null
  return { axisUm: (meanOf(straight) - meanOf(turned)) / 2, ownUm: (meanOf(straight) + meanOf(turned)) / 2 }
}

export const GANTRY = lesson({
  id: 'gantry',
  title: 'Square a gantry',
  learns: 'You can square an axis with a square that is itself not square.',
  task: (_: Truth, units) =>
    `A square lies on the table, and the indicator on the gantry runs up its edge of ${say(SQUARE_EDGE_MM, 'length', units)}: what it rises by is what the gantry leans by, and what the square is off by itself. Move one side of the gantry, which is ${say(WIDTH_MM, 'length', units)} wide, until it leans by less than ${say((WANTED_UM_PER_M * SQUARE_EDGE_MM) / 1000, 'smallLength', units)} over that edge. Moving that side up makes the needle rise more.`,
  how: [
    'Read it once, turn the square over, and read it again: half of the difference is the gantry, half of the sum is the square.',
    `The edge is ${SQUARE_EDGE_MM} long and the gantry ${WIDTH_MM} wide: move the side by what it leans, times ${(WIDTH_MM / SQUARE_EDGE_MM).toFixed(1)}, the other way.`,
    'Read both again.',
  ],
  tools: [{ tool: 'square' }, { tool: 'set', what: 'side', steps: [10, 100] }],
  draw: (seed): Truth => {
    const { between, sign } = drawsFrom(seed)
    return { outUmPerM: sign() * between(350, 1400) }
  },
  setup: truth => ({
    figures: TABLE,
    causes: ({ side }) => ({ squareUmPerM: leansUmPerM(truth, side) }),
    gaugesAtMm: [],
    startsAtMm: 200,
    stepUm: 1,
  }),
  answers: {
    ownUm: smallLength('The square itself is off by, over its edge', [-1000, 1000], { orNone: true }),
  },
  judge: (truth, bench, { ownUm }, units) => {
    const all = entriesOf(bench).filter(({ by }) => by === 'square')
    const settings = [...new Set(all.map(({ setting }) => setting))]
    const [first, last] = [bothOf(all, 0), bothOf(all, Math.max(0, ...settings))]
    const { side } = bench.settings
    const overEdge = (umPerM: number) => Math.abs(umPerM * SQUARE_EDGE_MM) / 1000
    const left = leansUmPerM(truth, side)
    const um = (value: number) => say(value, 'smallLength', units)
    return [
      point(
        'Turned over',
        first !== null,
        'The square was read both ways before anything was moved: its own error fell out.',
        'Turn the square over and read it again before the gantry is moved: one reading holds the error of the square too.',
        all,
      ),
      point(
        'Read again',
        side !== 0 && last !== null && settings.length > 1,
        'It was read again both ways after it was moved.',
        'After it was moved it was not read again both ways: nobody knows how it stands.',
        all,
      ),
      point(
        'How it stands',
        Math.abs(left) <= WANTED_UM_PER_M,
        `It leans by ${um(overEdge(left))} over the edge.`,
        Math.abs(left) > Math.abs(truth.outUmPerM)
          ? `It leans by ${um(overEdge(left))} over the edge, more than to begin with: it was moved the wrong way.`
          : `It leans by ${um(overEdge(left))} over the edge still.`,
        all,
      ),
      point(
        'The square',
        isNear(ownUm, SQUARE_OWN_UM, 2.5),
        `The square is off by ${um(SQUARE_OWN_UM)} itself.`,
        `The square is off by ${um(SQUARE_OWN_UM)} itself: half of the sum of the two readings.`,
        all,
      ),
    ]
  },
  best: truth => {
    const both: Act[] = [
      { do: 'square', isTurned: false },
      { do: 'square', isTurned: true },
    ]
    const by = -Math.round((truth.outUmPerM * WIDTH_MM) / 1000 / 10) * 10
    return [...both, { do: 'set', what: 'side', by }, ...both]
  },
  reckoned: (_, bench) => ({ ownUm: bothOf(entriesOf(bench), 0)?.ownUm ?? null }),
})
