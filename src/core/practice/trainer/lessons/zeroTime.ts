import { drawsFrom } from '../../../calculation/evenRandom'
import { choiceOrNone, smallLength } from '../../../field/field'
import { SimulatedAxis } from '../../../simulate/axis/axis'
import type { Causes } from '../../../simulate/axis/figures'
import { TABLE } from '../../../simulate/axis/table'
import { say } from '../../../units/print'
import { type Entry, entriesOf, isNear, lesson, point } from '../lesson'
import type { Act } from '../trainingBench'

const [NEAR_MM, FAR_MM] = [20, 380] as const
const HALF_AN_HOUR = 30
const FEED = 2000
const SLOW = 300
const LEAST_EACH = 4
const RUN_IN_MM = 0.5

const IS = {
  grows: 'the screw grows as it warms',
  creeps: 'the base of the gauges creeps, the axis stands',
} as const
interface Truth {
  is: keyof typeof IS
  causes: Causes
  creepUmPerMin: number
}

const at = (all: readonly Entry[], mm: number) => all.filter(({ by, atMm }) => by === 'note' && atMm === mm)

/** What the far place goes by in half an hour of running. */
function goneUm({ causes, creepUmPerMin }: Truth): number {
  const it = new SimulatedAxis(TABLE, causes)
  const read = () => {
    it.moveTo(FAR_MM - 5, SLOW)
    it.moveTo(FAR_MM, SLOW)
    return it.offUm
  }
  const cold = read()
  it.pass(HALF_AN_HOUR, 1)
  return Math.abs(read() - cold) + Math.abs(creepUmPerMin) * HALF_AN_HOUR
}

export const ZERO_TIME = lesson({
  id: 'zero-time',
  title: 'Zero against time',
  learns: 'You can tell a screw that grows as it warms from a gauge that creeps.',
  task: () =>
    `One indicator stands at ${NEAR_MM} mm, near the fixed block, another at ${FAR_MM} mm. Set both to zero while the machine is cold, each come to from below. Then let it run, and read both again every few minutes, for half an hour. Does the axis drift, and how far at the far place?`,
  how: [
    'Come to each place from below, always: what a reversal loses is no drift.',
    'Note both while it is cold, and again after 5, 10, 20 and 30 minutes of running.',
    'A screw grows from its fixed block: little near it, most far from it, and it levels off. A base that creeps goes on, alike at both.',
  ],
  tools: [
    { tool: 'drive', stepsMm: [1, 5], feedsMmPerMin: [SLOW, FEED], placesMm: [NEAR_MM, FAR_MM] },
    { tool: 'zero' },
    { tool: 'note' },
    { tool: 'run', minutes: [5, 10] },
  ],
  draw: (seed): Truth => {
    const { between, random, sign } = drawsFrom(seed)
    return random() < 0.6
      ? {
          is: 'grows',
          causes: { heat: { riseK: between(6, 12), minutes: between(8, 14) } },
          creepUmPerMin: 0,
        }
      : { is: 'creeps', causes: {}, creepUmPerMin: sign() * between(0.5, 1.2) }
  },
  setup: ({ causes, creepUmPerMin }) => ({
    figures: TABLE,
    causes: () => causes,
    gaugesAtMm: [NEAR_MM, FAR_MM],
    startsAtMm: NEAR_MM - 10,
    stepUm: 1,
    creepUmPerMin,
  }),
  answers: {
    is: choiceOrNone('What it is', Object.keys(IS) as (keyof typeof IS)[], IS),
    goneUm: smallLength('Gone at the far place in half an hour', [0, 1000], { orNone: true }),
  },
  judge: (truth, bench, { is, goneUm: gone }, units) => {
    const um = (value: number) => say(value, 'smallLength', units)
    const all = entriesOf(bench)
    const [near, far] = [at(all, NEAR_MM), at(all, FAR_MM)]
    const both = [near, far]
    const enough = both.every(one => one.length >= LEAST_EACH)
    const spanMin = (one: readonly Entry[]) =>
      Math.max(...one.map(({ minute }) => minute)) - Math.min(...one.map(({ minute }) => minute))
    const other = [...near, ...far].filter(({ way, sinceTurnMm }) => way < 0 || sinceTurnMm < RUN_IN_MM)
    const truthUm = goneUm(truth)
    return [
      point(
        'Both places',
        enough,
        'Both places were read again and again.',
        `Near the fixed block ${near.length} and far from it ${far.length} readings: take ${LEAST_EACH} at each. One place alone does not tell a screw from a gauge.`,
        [...near, ...far],
      ),
      point(
        'Long enough',
        enough && both.every(one => spanMin(one) >= 0.9 * HALF_AN_HOUR),
        'It was read from cold on for half an hour.',
        'It was not followed for half an hour: a screw needs that to warm through.',
        [...near, ...far],
      ),
      point(
        'From the same side',
        near.length + far.length > 0 && other.length === 0,
        'Each time it came from below, and far enough.',
        other.length > 0
          ? 'Some readings were taken from above, or right after it turned round: they hold what a reversal loses.'
          : 'Nothing was noted at the two places.',
        other,
      ),
      point(
        'What it is',
        is === truth.is,
        `Right: ${IS[truth.is]}.`,
        truth.is === 'grows'
          ? 'The far place went further than the near one, and it levelled off: the screw grows.'
          : 'Both places went alike, and it went on at the same pace: that is the gauge.',
        [...near, ...far],
      ),
      point(
        'How far',
        isNear(gone, truthUm, 5 + 0.15 * truthUm),
        `About ${um(truthUm)} in half an hour of running.`,
        `It went by about ${um(truthUm)} in half an hour of running.`,
        far,
      ),
    ]
  },
  best: () => {
    const read = (mm: number): Act[] => [
      { do: 'go', toMm: mm - 5, feedMmPerMin: FEED },
      { do: 'go', toMm: mm, feedMmPerMin: SLOW },
    ]
    const both: Act[] = [...read(NEAR_MM), { do: 'note' }, ...read(FAR_MM), { do: 'note' }]
    return [
      ...read(NEAR_MM),
      { do: 'zero' },
      { do: 'note' },
      ...read(FAR_MM),
      { do: 'zero' },
      { do: 'note' },
      ...[5, 5, 10, 10].flatMap((minutes): Act[] => [{ do: 'run', minutes }, ...both]),
    ]
  },
  reckoned: (_, bench) => {
    const wentOf = (mm: number) => {
      const here = at(entriesOf(bench), mm)
      return Math.abs((here.at(-1)?.value ?? 0) - (here[0]?.value ?? 0))
    }
    const [near, far] = [wentOf(NEAR_MM), wentOf(FAR_MM)]
    return { is: far > 1.8 * near ? 'grows' : 'creeps', goneUm: far }
  },
})
