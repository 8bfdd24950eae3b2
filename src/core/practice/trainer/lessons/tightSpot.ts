import { drawsFrom } from '../../../calculation/evenRandom'
import { choiceOrNone } from '../../../field/field'
import { SimulatedAxis } from '../../../simulate/axis/axis'
import type { AxisFigures, Causes } from '../../../simulate/axis/figures'
import { TABLE } from '../../../simulate/axis/table'
import { entriesOf, lesson, point } from '../lesson'
import type { Act } from '../trainingBench'

/** A screw of which the nut comes near to both blocks. */
const FIGURES: AxisFigures = { ...TABLE, spanMm: 560, nutAtZeroMm: 80 }
const PLACES_MM = [0, 70, 140, 200, 260, 330, 400]
const LEAST_PLACES = 5
const FEED = 1000

const CAUSES = {
  fixed: 'the fixed block stands off the line of the nut',
  far: 'the far block stands off the line of the nut',
  track: 'a ball track is hurt there, or a chip is in it',
  gib: 'the gib is tight at one end',
} as const
type Cause = keyof typeof CAUSES

interface Truth {
  cause: Cause
  causes: Causes
}

/** Where it is tightest, of the places that it can be sent to. */
const tightestMm = ({ causes }: Truth) => {
  const it = new SimulatedAxis(FIGURES, causes)
  const at = (mm: number) => it.meanTorqueNm(FIGURES.nutAtZeroMm + mm, 1)
  return PLACES_MM.reduce((best, mm) => (at(mm) > at(best) ? mm : best))
}

export const TIGHT_SPOT = lesson({
  id: 'tight-spot',
  title: 'A tight spot',
  learns: 'You can tell by feel alone what binds, before any block is loosened.',
  task: () =>
    'Somewhere along the travel the screw is hard to turn. Feel it at several places, both ways, and find out what binds. The fixed block is at the low end. The gib can be let loose and set again as it was.',
  how: [
    'Feel the screw along the whole travel, at five places or more, both ends among them.',
    'Tight towards one end: a block that is off its line binds more the nearer the nut comes, and so does a gib that is tight there. Tight in between: the track.',
    'Let the gib loose and feel the tight place again. If it falls off, it was the gib, and no block is to be touched.',
  ],
  tools: [
    { tool: 'drive', stepsMm: [20], feedsMmPerMin: [FEED], placesMm: PLACES_MM },
    { tool: 'feel' },
    { tool: 'slacken' },
  ],
  draw: (seed): Truth => {
    const { between, oneOf, sign, whole } = drawsFrom(seed)
    const cause = oneOf(Object.keys(CAUSES) as Cause[])
    const off = { heightUm: sign() * between(170, 300), sideUm: 0 }
    const of: Record<Cause, () => Causes> = {
      fixed: () => ({ fixedBlock: off }),
      far: () => ({ farBlock: off }),
      track: () => ({
        track: {
          atMm: FIGURES.nutAtZeroMm + (PLACES_MM[whole(2, 4)] as number),
          widthMm: 100,
          nm: between(0.1, 0.2),
        },
      }),
      gib: () => ({ gib: { endN: between(120, 200), end: oneOf(['low', 'high'] as const) } }),
    }
    return { cause, causes: of[cause]() }
  },
  setup: ({ causes }) => ({
    figures: FIGURES,
    causes: () => causes,
    gaugesAtMm: [],
    startsAtMm: 200,
    stepUm: 1,
  }),
  answers: { cause: choiceOrNone('What binds', Object.keys(CAUSES) as Cause[], CAUSES) },
  judge: (truth, bench, { cause }) => {
    const felt = entriesOf(bench).filter(({ by }) => by === 'feel')
    const placesOf = (of: typeof felt) => [...new Set(of.map(({ atMm }) => atMm))]
    const set = felt.filter(({ isSlack }) => !isSlack)
    const places = placesOf(set)
    const ends = [0, FIGURES.travelMm].filter(end => places.some(mm => Math.abs(mm - end) <= 20))
    const both = places.filter(mm =>
      ([1, -1] as const).every(way => set.some(one => one.atMm === mm && one.way === way)),
    )
    const tight = tightestMm(truth)
    const cleared = felt.filter(({ isSlack, atMm }) => isSlack && Math.abs(atMm - tight) <= 70)
    const isAtEnd = truth.cause !== 'track'
    return [
      point(
        'Along the whole travel',
        places.length >= LEAST_PLACES && ends.length === 2,
        `It was felt at ${places.length} places, both ends among them.`,
        `It was felt at ${places.length} ${places.length === 1 ? 'place' : 'places'}: feel it at ${LEAST_PLACES} or more, both ends among them. What is tight is tight against something.`,
        set,
      ),
      point(
        'Both ways',
        both.length >= 2,
        'It was felt both ways: it binds alike, and nothing walks.',
        'Feel it both ways, at two places at least: a gib that walks binds one way alone.',
        set,
      ),
      point(
        'The gib let loose',
        !isAtEnd || cleared.length > 0,
        isAtEnd
          ? 'The tight end was felt again with the gib let loose, before a block was blamed.'
          : 'It is tight in between: no gib and no block does that, and none was needed to be loosened.',
        'It is tight towards one end: a gib does that as well as a block. Let the gib loose and feel that end again, before a block is loosened for nothing.',
        cleared,
      ),
      point(
        'What binds',
        cause === truth.cause,
        `Right: ${CAUSES[truth.cause]}.`,
        `It is another: ${CAUSES[truth.cause]}. ${WHY[truth.cause]}`,
        set.filter(({ atMm }) => atMm === tight),
      ),
    ]
  },
  best: truth => {
    const at = (toMm: number): Act[] => [
      { do: 'go', toMm, feedMmPerMin: FEED },
      { do: 'feel', way: 1 },
      { do: 'feel', way: -1 },
    ]
    return [
      ...PLACES_MM.flatMap(at),
      { do: 'slacken', isSlack: true },
      ...at(tightestMm(truth)),
      { do: 'slacken', isSlack: false },
    ]
  },
  reckoned: (_, bench) => {
    const felt = entriesOf(bench).filter(({ by }) => by === 'feel')
    const mean = (mm: number, isSlack: boolean) => {
      const here = felt.filter(one => one.atMm === mm && one.isSlack === isSlack)
      return here.reduce((sum, { value }) => sum + value, 0) / here.length
    }
    const tight = PLACES_MM.reduce((best, mm) => (mean(mm, false) > mean(best, false) ? mm : best))
    const falls = mean(tight, false) - mean(tight, true) > 0.25 * mean(tight, false)
    const isEnd = tight < 100 || tight > 300
    const cause: Cause = !isEnd
      ? 'track'
      : falls && mean(tight, true) < 1.3 * mean(200, false)
        ? 'gib'
        : tight < 200
          ? 'fixed'
          : 'far'
    return { cause }
  },
})
const WHY: Readonly<Record<Cause, string>> = {
  fixed: 'It grows towards the low end, and stays with the gib let loose.',
  far: 'It grows towards the high end, and stays with the gib let loose.',
  track: 'It is tight in between and easy at both ends.',
  gib: 'It falls off at that end when the gib is let loose.',
}
