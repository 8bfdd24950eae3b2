import { drawsFrom } from '../../../calculation/evenRandom'
import { choiceOrNone, plain, smallLength } from '../../../field/field'
import { TABLE } from '../../../simulate/axis/table'
import { say } from '../../../units/print'
import { type Entry, entriesOf, isNear, lesson, point, readingNames } from '../lesson'
import type { Act } from '../trainingBench'

const AT_MM = 20
const AWAY_MM = 220
const SLOW = 300
const FEEDS = [600, 1200, 1800, 2400, 3000] as const
/** What a cycle of the field is in travel: four full steps. */
const CYCLE_UM = (4 * TABLE.leadMm * 1000) / (TABLE.fullStepsPerRev as number)
const PLAY_UM = 14

interface Truth {
  cycles: number
  /** The fastest at which none is lost; it is lost at the next. */
  safe: number
}

const notedAt = (all: readonly Entry[]) => all.filter(({ by, atMm }) => by === 'note' && atMm === AT_MM)

export const LOST_CYCLE = lesson({
  id: 'lost-cycle',
  title: 'Find a lost cycle',
  learns: 'You can find at which feed a motor loses steps, and know them by their size.',
  task: (_: Truth, units) =>
    `The indicator stands at ${AT_MM} mm. The motor has ${TABLE.fullStepsPerRev} full steps a turn and drives a screw with a lead of ${say(TABLE.leadMm, 'length', units)}; what it loses it loses by whole cycles of four full steps. Drive away fast and come back slowly, always from the same side. From which feed on is something lost, and how much each time?`,
  how: [
    `Come to ${AT_MM} mm slowly from above, set to zero. Go away slowly, come back slowly: it must read zero. That is how well it comes back.`,
    'Then go away fast, come back slowly, and note. One feed after the other, from the slowest up.',
    'What jumps by the same amount at each fast move is lost steps. Divide by what a cycle is: lead, times four, by the steps a turn.',
  ],
  tools: [
    { tool: 'drive', stepsMm: [5], feedsMmPerMin: [SLOW, ...FEEDS], placesMm: [AT_MM, AWAY_MM] },
    { tool: 'zero' },
    { tool: 'note' },
  ],
  draw: (seed): Truth => {
    const { oneOf, whole } = drawsFrom(seed)
    return { cycles: whole(1, 2), safe: oneOf(FEEDS.slice(0, -1)) }
  },
  setup: ({ cycles, safe }) => ({
    figures: TABLE,
    causes: () => ({ playUm: { nut: PLAY_UM }, lost: { cycles, aboveMmPerMin: safe } }),
    gaugesAtMm: [AT_MM],
    startsAtMm: AT_MM + 10,
    stepUm: 1,
  }),
  answers: {
    lostUm: smallLength('Lost each time', [0, 10_000], { orNone: true }),
    cycles: plain('Whole cycles each time', [0, 100], { orNone: true, whole: true }),
    safe: choiceOrNone(
      'The fastest feed at which nothing is lost',
      FEEDS.map(feed => `${feed}`),
      Object.fromEntries(FEEDS.map(feed => [`${feed}`, `${feed} mm/min`])),
    ),
  },
  judge: (truth, bench, { lostUm, cycles, safe }, units) => {
    const all = notedAt(entriesOf(bench))
    const um = (value: number) => say(value, 'smallLength', units)
    const lost = truth.cycles * CYCLE_UM
    const below = all.filter(({ way }) => way > 0)
    const fast = all.filter(({ feedMmPerMin }) => feedMmPerMin > SLOW)
    const first = all.slice(0, 2)
    return [
      point(
        'Slowly first',
        first.length === 2 && Math.abs((first[1] as Entry).value - (first[0] as Entry).value) < CYCLE_UM / 2,
        'It was seen to come back by itself, before anything was driven fast.',
        'Note it, go away slowly, come back slowly and note it again, before anything is driven fast: else nobody knows how well it comes back by itself.',
        first,
      ),
      point(
        'From the same side, slowly',
        all.length > 2 && below.length === 0 && fast.length === 0,
        'It always came from above, slowly: no play is in it, and nothing was lost on the way back.',
        below.length > 0
          ? `${readingNames(below)}: come to from below. What a reversal loses is in it.`
          : fast.length > 0
            ? `${readingNames(fast)}: come to fast.`
            : 'Too little was noted to tell.',
        [...below, ...fast],
      ),
      point(
        'How much',
        isNear(lostUm, lost, 6),
        `${um(lost)} each time.`,
        `It loses ${um(lost)} at each fast move up.`,
        all,
      ),
      point(
        'In cycles',
        cycles === truth.cycles,
        `${truth.cycles === 1 ? 'One cycle' : `${truth.cycles} cycles`} of ${um(CYCLE_UM)}: steps that the motor did not follow.`,
        `A cycle is ${um(CYCLE_UM)} here: it loses ${truth.cycles} each time.`,
        all,
      ),
      point(
        'From which feed on',
        safe === `${truth.safe}`,
        `Up to ${say(truth.safe, 'speed', units, 0)} nothing is lost.`,
        `Up to ${say(truth.safe, 'speed', units, 0)} nothing is lost, at the next feed it is. Try one after the other, from the slowest up.`,
        all,
      ),
    ]
  },
  best: () => {
    const back: Act[] = [{ do: 'go', toMm: AT_MM, feedMmPerMin: SLOW }, { do: 'note' }]
    return [
      { do: 'go', toMm: AT_MM, feedMmPerMin: SLOW },
      { do: 'zero' },
      { do: 'note' },
      ...[SLOW, ...FEEDS].flatMap((feedMmPerMin): Act[] => [
        { do: 'go', toMm: AWAY_MM, feedMmPerMin },
        ...back,
      ]),
    ]
  },
  reckoned: (_, bench) => {
    const all = notedAt(entriesOf(bench))
    const jumps = all.slice(1).map(({ value }, index) => Math.abs(value - (all[index] as Entry).value))
    // The first was slow, then one feed after the other.
    const [, ...ofFeeds] = jumps
    const from = ofFeeds.findIndex(jump => jump > CYCLE_UM / 2)
    const lostUm = ofFeeds[from] ?? 0
    return { lostUm, cycles: Math.round(lostUm / CYCLE_UM), safe: `${FEEDS[from - 1]}` }
  },
})
