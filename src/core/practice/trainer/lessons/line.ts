import { drawsFrom } from '../../../calculation/evenRandom'
import { smallLength } from '../../../field/field'
import type { Causes } from '../../../simulate/axis/figures'
import { TABLE } from '../../../simulate/axis/table'
import { say } from '../../../units/print'
import { type Entry, entriesOf, isNear, lesson, meanOf, point } from '../lesson'
import type { Act, Settings } from '../trainingBench'

const ENDS = [
  { place: 'nearLine', shim: 'nearShim', words: 'fixed block' },
  { place: 'farLine', shim: 'farShim', words: 'far block' },
] as const
const WANTED_UM = 25
const MOST_ROUNDS = 3
const SMALLEST_SHIM_UM = 10

interface Truth {
  near: number
  far: number
  /** What the fixed block carries the screw off its middle by. */
  runsOutUm: number
}

const causesOf =
  ({ near, far, runsOutUm }: Truth) =>
  ({ nearShim, farShim }: Pick<Settings, 'nearShim' | 'farShim'>): Causes => ({
    fixedBlock: { heightUm: near + nearShim, sideUm: 0 },
    farBlock: { heightUm: far + farShim, sideUm: 0 },
    journal: { at: 'fixed', um: runsOutUm },
  })

/** Both half turns were read at an end with the shims as they are. */
const readAt = (all: readonly Entry[], place: Entry['place'], setting: number) => {
  const here = all.filter(one => one.place === place && one.setting === setting)
  const half = (isTurned: boolean) => here.filter(one => one.isTurned === isTurned)
  return { here, isBoth: half(false).length > 0 && half(true).length > 0 }
}
/** What the needle goes by from one half turn to the other. */
const runsOutUm = (here: readonly Entry[]) =>
  Math.abs(meanOf(here.filter(one => one.isTurned)) - meanOf(here.filter(one => !one.isTurned)))
/** How many times one went to the shims: what is set without a reading in between is one round. */
const roundsOf = (all: readonly Entry[]) => new Set(all.map(({ setting }) => setting)).size - 1

export const LINE = lesson({
  id: 'line',
  title: 'A line in two rounds',
  learns:
    'You can bring both blocks to the height of the nut in two rounds of shims, and are not led astray by a screw that runs out.',
  task: (_: Truth, units) =>
    `The nut is clamped in the middle. A tip that the slide carries reads the height of the screw near each block against the nut: more is higher. Shim both blocks until the screw lies within ${say(WANTED_UM, 'smallLength', units)} of the nut’s height at both, in as few rounds as you can. The screw runs out a little.`,
  how: [
    'Read near the one block, turn the screw by half a turn, read again: the mean is the line, the difference is what it runs out by.',
    'The same near the other block. Then shim both, each by what was read and a little more: the screw gives way between the nut and the block.',
    'Read both again, at both half turns. A second round of shims takes what is left.',
  ],
  tools: [
    { tool: 'put', places: ['nearLine', 'farLine'] },
    { tool: 'halfTurn' },
    { tool: 'note' },
    { tool: 'set', what: 'nearShim', steps: [10, 50, 200] },
    { tool: 'set', what: 'farShim', steps: [10, 50, 200] },
  ],
  draw: (seed): Truth => {
    const { between, sign } = drawsFrom(seed)
    return { near: sign() * between(60, 250), far: sign() * between(80, 300), runsOutUm: between(15, 40) }
  },
  setup: truth => ({
    figures: TABLE,
    causes: causesOf(truth),
    gaugesAtMm: [],
    startsAtMm: 200,
    stepUm: 1,
  }),
  answers: {
    runOutUm: smallLength('Over half a turn, near the fixed block, it goes by', [0, 1000], {
      orNone: true,
    }),
  },
  judge: (truth, bench, { runOutUm }, units) => {
    const um = (value: number) => say(value, 'smallLength', units)
    const all = entriesOf(bench).filter(
      ({ by, place }) => by === 'note' && ENDS.some(end => end.place === place),
    )
    const last = Math.max(0, ...all.map(({ setting }) => setting))
    const first = ENDS.map(({ place }) => readAt(all, place, 0))
    const again = ENDS.map(({ place }) => readAt(all, place, last))
    const rounds = roundsOf(all)
    const { nearShim, farShim } = bench.settings
    const left = [truth.near + nearShim, truth.far + farShim] as const
    const worst = Math.abs(left[0]) > Math.abs(left[1]) ? 0 : 1
    const turned = readAt(all, 'nearLine', 0).here
    const runsOut = runsOutUm(turned)
    return [
      point(
        'Both ends first',
        first.every(({ here }) => here.length > 0),
        'Both ends were read before the first shim.',
        'Read near both blocks before the first shim: one block alone does not tell which of them is off.',
        first.flatMap(({ here }) => here),
      ),
      point(
        'Both half turns',
        first.every(({ isBoth }) => isBoth) && again.every(({ isBoth }) => isBoth),
        'Each was read at two half turns: what it runs out by fell out of the mean.',
        'Near each block the screw is read, turned by half, and read again, before and after: what it runs out by else goes into the shims.',
        [...first, ...again].filter(({ isBoth }) => !isBoth).flatMap(({ here }) => here),
      ),
      point(
        'Rounds',
        rounds >= 1 && rounds <= MOST_ROUNDS,
        `${rounds} ${rounds === 1 ? 'round' : 'rounds'} of shims.`,
        rounds < 1
          ? 'Nothing was shimmed and read again.'
          : `${rounds} rounds of shims: read both ends, shim both by what was read, and read again. Two are enough.`,
      ),
      point(
        'How it lies',
        Math.abs(left[worst]) <= WANTED_UM,
        `Both blocks stand within ${um(WANTED_UM)} of the nut’s height.`,
        `The ${ENDS[worst].words} stands ${um(Math.abs(left[worst]))} too ${left[worst] > 0 ? 'high' : 'low'}.`,
        again.flatMap(({ here }) => here),
      ),
      point(
        'What it runs out by',
        turned.length > 0 && isNear(runOutUm, runsOut, 4),
        'That is what it runs out by there, to and fro: no shim takes it out.',
        turned.length > 0 && Number.isFinite(runsOut)
          ? `Near the fixed block it went by ${um(runsOut)} from one half turn to the other.`
          : 'Near the fixed block it was not read at both half turns before the first shim.',
        turned,
      ),
    ]
  },
  best: truth => {
    const readAll = ENDS.flatMap(({ place }): Act[] => [
      { do: 'put', at: place },
      { do: 'note' },
      { do: 'halfTurn' },
      { do: 'note' },
      { do: 'halfTurn' },
    ])
    const shims = ENDS.map(({ shim }, index): Act => {
      const by = -Math.round((index === 0 ? truth.near : truth.far) / SMALLEST_SHIM_UM) * SMALLEST_SHIM_UM
      return { do: 'set', what: shim, by }
    })
    return [...readAll, ...shims, ...readAll]
  },
  reckoned: (_, bench) => ({ runOutUm: runsOutUm(readAt(entriesOf(bench), 'nearLine', 0).here) }),
})
