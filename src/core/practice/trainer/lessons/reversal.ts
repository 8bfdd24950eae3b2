import { drawsFrom } from '../../../calculation/evenRandom'
import { smallLength } from '../../../field/field'
import { SimulatedAxis } from '../../../simulate/axis/axis'
import type { AxisFigures, Causes } from '../../../simulate/axis/figures'
import { TABLE } from '../../../simulate/axis/table'
import { say } from '../../../units/print'
import { type Entry, entriesOf, isNear, lesson, meanOf, point, readingNames } from '../lesson'
import type { Act } from '../trainingBench'

const AT_MM = 200
const FEED = 300
/** Play and give are taken up long before. */
const FAR_ENOUGH_MM = 0.5
const EACH_WAY = 3

/** What is lost between coming up to a place and coming down to it, um. */
export function lostAtUm(figures: AxisFigures, causes: Causes, atMm: number): number {
  const it = new SimulatedAxis(figures, causes)
  it.moveTo(atMm - 5, FEED)
  const up = it.moveTo(atMm, FEED)
  it.moveTo(atMm + 5, FEED)
  return Math.abs(it.moveTo(atMm, FEED) - up) * 1000
}

const split = (entries: readonly Entry[]) => ({
  up: entries.filter(({ way }) => way === 1),
  down: entries.filter(({ way }) => way === -1),
})

export const REVERSAL = lesson({
  id: 'reversal',
  title: 'Read a reversal',
  learns: 'You can tell what a slide loses when it turns round, with one indicator.',
  task: () =>
    `The indicator stands on the base and touches the slide at ${AT_MM} mm. Come to ${AT_MM} mm from below and from above, a few times, and note the needle each time. What does the slide lose when it turns round?`,
  how: [
    'Come from below: go past it downwards, then up to the place. Set the dial to zero.',
    'Go on up by a millimetre or more, come back down to the place: note. Go on down, come back up: note.',
    'Three times each way. The loss is how far the two lie apart, not half of it.',
  ],
  tools: [
    { tool: 'drive', stepsMm: [0.1, 1, 5], feedsMmPerMin: [FEED], placesMm: [AT_MM] },
    { tool: 'zero' },
    { tool: 'note' },
  ],
  draw: seed => ({ playUm: drawsFrom(seed).between(8, 45) }),
  setup: ({ playUm }) => ({
    figures: TABLE,
    causes: () => ({ playUm: { nut: playUm } }),
    gaugesAtMm: [AT_MM],
    startsAtMm: AT_MM - 5,
    stepUm: 1,
  }),
  answers: { lostUm: smallLength('Lost when it turns round', [0, 1000], { orNone: true }) },
  judge: ({ playUm }, bench, { lostUm }, units) => {
    const truth = lostAtUm(TABLE, { playUm: { nut: playUm } }, AT_MM)
    const um = (value: number) => say(value, 'smallLength', units)
    const all = entriesOf(bench).filter(({ by, atMm }) => by === 'note' && atMm === AT_MM)
    const { up, down } = split(all)
    const early = all.filter(({ sinceTurnMm }) => sinceTurnMm < FAR_ENOUGH_MM)
    const zeros = new Set(all.map(({ zeroing }) => zeroing))
    const hints =
      lostUm !== null && isNear(lostUm, truth / 2, 0.15 * truth)
        ? ' That is half of it: what counts is the whole way between the two needles.'
        : ''
    return [
      point(
        'Both ways, three times',
        up.length >= EACH_WAY && down.length >= EACH_WAY,
        `${up.length} from below and ${down.length} from above: one odd reading would show.`,
        `${up.length} from below and ${down.length} from above were noted at ${AT_MM} mm. Fewer than three each way, and nobody sees which of them is odd.`,
        all,
      ),
      point(
        'Far enough past',
        all.length > 0 && early.length === 0,
        'Each time it was run in long enough before it was read.',
        all.length === 0
          ? 'Nothing was noted at the place.'
          : `${readingNames(early)}: less than ${say(FAR_ENOUGH_MM, 'length', units)} after it turned round. The play was perhaps not taken up yet; go past it by a millimetre.`,
        early,
      ),
      point(
        'One zero for all',
        zeros.size === 1,
        'The dial was not turned in between.',
        zeros.size === 0
          ? 'Nothing was noted at the place.'
          : 'The dial was set to zero between readings: they do not belong together any more.',
        all,
      ),
      point(
        'The figure',
        isNear(lostUm, truth, 3 + 0.1 * truth),
        `It loses ${um(truth)}.`,
        `It loses ${um(truth)}${lostUm === null ? '; nothing was answered.' : `, not ${um(lostUm)}.`}${hints}`,
        all,
      ),
    ]
  },
  best: () => [
    { do: 'go', toMm: AT_MM, feedMmPerMin: FEED },
    { do: 'zero' },
    ...Array.from({ length: EACH_WAY }).flatMap((): Act[] => [
      { do: 'go', toMm: AT_MM + 5, feedMmPerMin: FEED },
      { do: 'go', toMm: AT_MM, feedMmPerMin: FEED },
      { do: 'note' },
      { do: 'go', toMm: AT_MM - 5, feedMmPerMin: FEED },
      { do: 'go', toMm: AT_MM, feedMmPerMin: FEED },
      { do: 'note' },
    ]),
  ],
  reckoned: (_, bench) => {
    const { up, down } = split(entriesOf(bench))
    return { lostUm: Math.abs(meanOf(up) - meanOf(down)) }
  },
})
