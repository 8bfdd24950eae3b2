import { drawsFrom } from '../../../calculation/evenRandom'
import { choiceOrNone, plain } from '../../../field/field'
import { SLIPS } from '../../../simulate/axis/hand'
import { TABLE } from '../../../simulate/axis/table'
import { SLIP_WORDS } from '../../slips'
import { type Entry, entriesOf, lesson, point } from '../lesson'
import { type Act, type Setup, TrainingBench } from '../trainingBench'

const AT_MM = 200
const FEED = 300
const PAIRS = 4
const READINGS = 2 * PAIRS + 1

/** Slips that one can see in a table by itself. */
const SEEN = ['none', 'lost-minus', 'slipped-digit', 'knock', 'creeping-base'] as const
type Seen = (typeof SEEN)[number]
const WORDS: Readonly<Record<Seen, string>> = {
  none: 'nothing went wrong',
  'lost-minus': SLIP_WORDS['lost-minus'],
  'slipped-digit': SLIP_WORDS['slipped-digit'],
  knock: SLIP_WORDS.knock,
  'creeping-base': SLIP_WORDS['creeping-base'],
}
const WHY: Readonly<Record<Seen, string>> = {
  none: 'What comes from the same side lies together, from the first reading to the last.',
  'lost-minus': 'From there on no reading is less than nothing, where they were before.',
  'slipped-digit': 'It is ten times as large as its like.',
  knock: 'From there on all of them lie further off by the same amount, from both sides.',
  'creeping-base':
    'Each lies a little further off than the one before of its side, and the last no more where the first did.',
}

interface Truth {
  slip: Seen
  playUm: number
  seed: number
  /** The first reading that it touches, counted from one; null where it touches none, or all little by little. */
  from: number | null
}

const comeFrom = (way: 1 | -1): Act[] => [
  { do: 'go', toMm: AT_MM - 5 * way, feedMmPerMin: FEED },
  { do: 'go', toMm: AT_MM, feedMmPerMin: FEED },
]
/** Zero set from above, so that readings from below are less than nothing. */
const BEGINS: readonly Act[] = [
  ...comeFrom(-1),
  { do: 'zero' },
  { do: 'note' },
  ...Array.from({ length: PAIRS }).flatMap((): Act[] => [
    ...comeFrom(1),
    { do: 'note' },
    ...comeFrom(-1),
    { do: 'note' },
  ]),
]

const setupOf = (slip: Seen, playUm: number): Setup => ({
  figures: TABLE,
  causes: () => ({ playUm: { nut: playUm } }),
  gaugesAtMm: [AT_MM],
  startsAtMm: AT_MM + 5,
  stepUm: 1,
  slip: SLIPS.some(one => one === slip)
    ? { is: slip as Exclude<Seen, 'none'>, sizeUm: slip === 'knock' ? 35 : 30, among: READINGS }
    : undefined,
})

function readingsOf(setup: Setup, seed: number): number[] {
  const bench = new TrainingBench(setup, seed)
  for (const act of BEGINS) bench.act(act)
  return bench.noted.map(({ value }) => value ?? Number.NaN)
}

/** A slip is drawn again until it shows, neither at the very first reading nor at the last alone. */
function drawn(seed: number): Truth {
  const draw = drawsFrom(seed)
  const [slip, playUm] = [draw.oneOf(SEEN), draw.between(15, 40)]
  if (slip === 'none' || slip === 'creeping-base') return { slip, playUm, seed, from: null }
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const own = seed + tries
    const right = readingsOf(setupOf('none', playUm), own)
    const from = readingsOf(setupOf(slip, playUm), own).findIndex(
      (value, index) => Math.abs(value - (right[index] as number)) > SHOWS_UM,
    )
    if (from > 0 && from < READINGS - 2) return { slip, playUm, seed: own, from: from + 1 }
  }
  return { slip: 'none', playUm, seed, from: null }
}
const MOST_TRIES = 60
const SHOWS_UM = 8

export const OWN_SLIP = lesson({
  id: 'own-slip',
  title: 'Notice your own slip',
  learns: 'You can see in a table of readings that something went wrong while it was read, and what.',
  task: () =>
    `You read a reversal at ${AT_MM} mm: from above, then by turns from below and from above. The table stands there. Did something go wrong as it was read? You may read again what you like; this time your hand is sure.`,
  how: [
    'Look at the readings from one side alone: they should lie together within a few steps of the gauge.',
    'Compare the last with the first: did the gauge come back? A jump that stays is a knock; a slope is a base that creeps.',
    'If it is only one reading, it was typed wrong. Read a pair again before you answer.',
  ],
  tools: [{ tool: 'drive', stepsMm: [1, 5], feedsMmPerMin: [FEED], placesMm: [AT_MM] }, { tool: 'note' }],
  draw: drawn,
  setup: ({ slip, playUm }) => setupOf(slip, playUm),
  begins: () => BEGINS,
  handSeed: ({ seed }) => seed,
  answers: {
    slip: choiceOrNone('What went wrong', SEEN, WORDS),
    from: plain('From which reading on', [1, READINGS], { orNone: true, whole: true }),
  },
  judge: (truth, bench, { slip, from }) => {
    const all = entriesOf(bench)
    const first = all.slice(0, READINGS)
    const again = all.slice(READINGS).filter(({ atMm }) => atMm === AT_MM)
    const ways = new Set(again.map(({ way }) => way))
    const shows: Entry[] = truth.from === null ? first : first.slice(truth.from - 1)
    return [
      point(
        'Read again',
        ways.size === 2,
        'It was read again from both sides before anything was blamed.',
        'Read it again from both sides before you answer: what was read wrong once is read right the next time, what is wrong with the machine is there again.',
        again,
      ),
      point(
        'What went wrong',
        slip === truth.slip,
        `Right: ${WORDS[truth.slip]}. ${WHY[truth.slip]}`,
        `It is another: ${WORDS[truth.slip]}. ${WHY[truth.slip]}`,
        shows,
      ),
      point(
        'From where on',
        truth.from === null ? from === null || truth.slip === 'creeping-base' : from === truth.from,
        truth.from === null
          ? truth.slip === 'none'
            ? 'All readings can stay.'
            : 'It goes through all of them, little by little.'
          : `From reading ${truth.from} on${truth.slip === 'slipped-digit' ? ', that one alone' : ''}.`,
        truth.from === null
          ? 'No reading is wrong: leave that empty.'
          : `It shows first in reading ${truth.from}.`,
        shows.slice(0, 1),
      ),
    ]
  },
  best: () => [...comeFrom(1), { do: 'note' }, ...comeFrom(-1), { do: 'note' }],
  reckoned: ({ slip, from }) => ({ slip, from }),
})
