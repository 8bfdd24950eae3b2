import { drawsFrom } from '../../../calculation/evenRandom'
import { smallLength } from '../../../field/field'
import type { Causes } from '../../../simulate/axis/figures'
import { TABLE } from '../../../simulate/axis/table'
import { say } from '../../../units/print'
import { entriesOf, isNear, lesson, point } from '../lesson'
import type { Act, Settings } from '../trainingBench'

/** One press turns its screw by an eighth of a turn, and takes so much play. */
export const EIGHTH_UM = 8
/** What a gib that is not set yet leaves beyond this. */
const SOUND_UM = 12
/** From here on it rubs harder, by so much for each micrometre. */
const [RUBS_FROM_UM, RUBS_N_PER_UM] = [5, 12]
const [LEAST_UM, MOST_UM] = [5, 20]
/** Rocked so far apart the travel is known. */
const SPREAD_SHARE = 0.6
const FEED = 1000
const PLACES_MM = [20, 200, 380]

interface Truth {
  looseUm: number
  wornUm: number
}

const freeUm = ({ looseUm, wornUm }: Truth, turned: number, atMm: number) =>
  SOUND_UM + looseUm - EIGHTH_UM * turned + wornUm * Math.sin((Math.PI * atMm) / TABLE.travelMm)

const causesOf =
  (truth: Truth) =>
  ({ gib }: Settings, slideMm: number): Causes => ({
    gib: {
      playUm: truth.looseUm - EIGHTH_UM * gib,
      wornUm: truth.wornUm,
      tightN: RUBS_N_PER_UM * Math.max(0, RUBS_FROM_UM - freeUm(truth, gib, slideMm)),
    },
  })

export const GIB = lesson({
  id: 'gib',
  title: 'Set a gib',
  learns: 'You can set a gib so that it guides the slide everywhere and binds it nowhere.',
  task: (_: Truth, units) =>
    `The slide rocks. Turn the gib’s screw until the play to the side is ${say(LEAST_UM, 'smallLength', units)} to ${say(MOST_UM, 'smallLength', units)} where it is tightest, and the slide still pulls as easily as it did. The ways are worn somewhere: find out where, and what play has to stay there.`,
  how: [
    'Rock the slide to the side at both ends and in the middle, before anything is turned.',
    'Set the gib where the play is least. Where the ways are worn more stays, and no gib takes that out.',
    'After each turn rock it and pull it again, at the tightest place. When it pulls harder, it was too much: turn back.',
  ],
  tools: [
    { tool: 'drive', stepsMm: [20], feedsMmPerMin: [FEED], placesMm: PLACES_MM },
    { tool: 'rock' },
    { tool: 'pull' },
    { tool: 'set', what: 'gib', steps: [1, 3] },
  ],
  draw: (seed): Truth => {
    const { between } = drawsFrom(seed)
    return { looseUm: between(35, 70), wornUm: between(10, 24) }
  },
  setup: truth => ({
    figures: TABLE,
    causes: causesOf(truth),
    gaugesAtMm: [],
    startsAtMm: 200,
    stepUm: 1,
  }),
  answers: { wornUm: smallLength('Play that stays where it is worn', [0, 1000], { orNone: true }) },
  judge: (truth, bench, { wornUm }, units) => {
    const um = (value: number) => say(value, 'smallLength', units)
    const { gib } = bench.settings
    const all = entriesOf(bench)
    const set = bench.noted.reduce((most, { setting }) => Math.max(most, setting), 0)
    const rocked = all.filter(({ by }) => by === 'rock')
    const before = rocked.filter(({ setting }) => setting === 0)
    const last = rocked.filter(({ settings, setting }) => setting === set && settings.gib === gib)
    const spread = (of: typeof rocked) =>
      of.length >= 3 &&
      Math.max(...of.map(({ atMm }) => atMm)) - Math.min(...of.map(({ atMm }) => atMm)) >=
        SPREAD_SHARE * TABLE.travelMm
    const pulled = all.filter(
      ({ by, settings, atMm }) => by === 'pull' && settings.gib === gib && Math.abs(atMm - 200) > 100,
    )
    const tightest = freeUm(truth, gib, 0)
    const middle = Math.max(0, freeUm(truth, gib, TABLE.travelMm / 2))
    return [
      point(
        'Looked at first',
        spread(before),
        'It was rocked along the whole travel before anything was turned.',
        'Rock it at both ends and in the middle before anything is turned: where it is tightest is where it is set.',
        before,
      ),
      point(
        'Looked at again',
        gib !== 0 && spread(last),
        'It was rocked along the whole travel after the last turn.',
        'After the last turn it was not rocked at both ends and in the middle: a gib that is right in the middle may bind at the ends.',
        last,
      ),
      point(
        'Pulled',
        gib !== 0 && pulled.length > 0,
        'It was pulled at an end, where it is tightest.',
        'It was not pulled near an end after the last turn: what binds there is felt by the scale before it is seen.',
        pulled,
      ),
      point(
        'How it is set',
        tightest >= LEAST_UM - 1 && tightest <= MOST_UM + 1,
        `It has ${um(Math.max(0, tightest))} where it is tightest, at the ends.`,
        tightest < LEAST_UM
          ? 'It is too tight at the ends, where the ways are not worn: it binds there. The middle does not tell how far to turn.'
          : `It has ${um(tightest)} at the ends still: it rocks.`,
        last,
      ),
      point(
        'What stays',
        isNear(wornUm, middle, 4),
        `${um(middle)} stays in the middle: the ways are worn there by ${um(truth.wornUm)}.`,
        `${um(middle)} stays in the middle. It is read there after the last turn.`,
        last,
      ),
    ]
  },
  best: truth => {
    const turns = Math.round((SOUND_UM + truth.looseUm - SOUND_UM) / EIGHTH_UM)
    const rockedAll = PLACES_MM.flatMap((toMm): Act[] => [
      { do: 'go', toMm, feedMmPerMin: FEED },
      { do: 'rock' },
    ])
    return [
      ...rockedAll,
      { do: 'pull' },
      ...Array.from({ length: turns }, (): Act => ({ do: 'set', what: 'gib', by: 1 })),
      ...rockedAll,
      { do: 'pull' },
    ]
  },
  reckoned: (_, bench) => {
    const last = entriesOf(bench).filter(
      ({ by, settings, atMm }) => by === 'rock' && atMm === 200 && settings.gib === bench.settings.gib,
    )
    return { wornUm: last.at(-1)?.value ?? null }
  },
})
