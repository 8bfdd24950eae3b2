import { drawsFrom } from '../../../calculation/evenRandom'
import { angle } from '../../../field/field'
import type { Causes } from '../../../simulate/axis/figures'
import { TABLE } from '../../../simulate/axis/table'
import { say } from '../../../units/print'
import { type Entry, entriesOf, isNear, lesson, point } from '../lesson'
import type { Act, Settings } from '../trainingBench'

/** What the thread of the locknut goes by in one turn. */
const PITCH_MM = 1
const PUSH_N = 100
const [SMALL_DEG, LARGE_DEG] = [2, 10]
const [LEAST, MOST] = [0.7, 1.35]
/** So much of the end goes by itself: bearings and block give. */
const MOVES_UM = 6

interface Truth {
  /** Where the last play is gone, and how much further the preload asks for. */
  endsDeg: number
  needsDeg: number
}

const playUm = ({ endsDeg }: Truth, turnedDeg: number) =>
  (Math.max(0, endsDeg - turnedDeg) / 360) * PITCH_MM * 1000
const shareOf = ({ endsDeg, needsDeg }: Truth, turnedDeg: number) =>
  Math.max(0, turnedDeg - endsDeg) / needsDeg

const causesOf =
  (truth: Truth) =>
  ({ locknut }: Pick<Settings, 'locknut'>): Causes => ({
    playUm: { bearing: playUm(truth, locknut) },
    locknutTurn: shareOf(truth, locknut),
  })

/** What the end went by at a setting of the nut; null where it was not pushed both ways there. */
function wentUm(all: readonly Entry[], turnedDeg: number): number | null {
  const here = all.filter(({ settings }) => settings.locknut === turnedDeg)
  const at = (way: 1 | -1) => here.filter(({ pushN }) => Math.sign(pushN) === way).at(-1)?.value
  const [pushed, pulled] = [at(1), at(-1)]
  return pushed === undefined || pulled === undefined ? null : Math.abs(pushed - pulled)
}

export const PRELOAD = lesson({
  id: 'preload',
  title: 'Preload by the turn',
  learns:
    'You can find where the last play of a pair of bearings is gone, and turn on from there by what the preload asks for.',
  task: ({ needsDeg }: Truth, units) =>
    `The indicator stands on the end of the screw. Turn the locknut until the end has no play left, then on by ${say(needsDeg, 'angle', units, 0)}, which the preload of these bearings asks for. Push and pull the slide to see the play; turn the screw by hand to feel the drag.`,
  how: [
    'Push and pull, and note the needle both times: what it goes by is play, and a little give.',
    'Turn the nut on in small steps, pushed and pulled at each, until it goes by no less than the step before.',
    'That is where the play is gone. Turn on by what was asked for, and feel what the screw takes to turn before and after.',
  ],
  tools: [
    { tool: 'push', sizesN: [PUSH_N] },
    { tool: 'note' },
    { tool: 'set', what: 'locknut', steps: [SMALL_DEG, LARGE_DEG] },
    { tool: 'feel' },
  ],
  draw: (seed): Truth => {
    const { whole } = drawsFrom(seed)
    return { endsDeg: whole(12, 35) * 2, needsDeg: whole(5, 10) * 2 }
  },
  setup: truth => ({
    figures: { ...TABLE, frictionN: 10 },
    causes: causesOf(truth),
    gaugesAtMm: [],
    startsAtMm: 200,
    stepUm: 1,
  }),
  begins: () => [{ do: 'put', at: 'screwEnd' }],
  answers: { endsDeg: angle('Where the last play is gone', [0, 360], { orNone: true }) },
  judge: (truth, bench, { endsDeg }, units) => {
    const all = entriesOf(bench)
    const pushes = all.filter(({ by, place, pushN }) => by === 'note' && place === 'screwEnd' && pushN !== 0)
    const turns = [...new Set(pushes.map(({ settings }) => settings.locknut))].filter(
      turned => wentUm(pushes, turned) !== null,
    )
    const felt = all.filter(({ by }) => by === 'feel')
    const { locknut } = bench.settings
    const before = felt.filter(({ settings }) => settings.locknut <= truth.endsDeg)
    const after = felt.filter(({ settings }) => settings.locknut === locknut && locknut > truth.endsDeg)
    const share = shareOf(truth, locknut)
    const said = (deg: number) => say(deg, 'angle', units, 0)
    return [
      point(
        'Pushed and pulled at each step',
        turns.some(turned => turned < truth.endsDeg) && turns.some(turned => turned >= truth.endsDeg),
        `It was pushed and pulled at ${turns.length} settings of the nut, with play and without.`,
        'Push and pull at several settings of the nut, until it goes by no less than before: else nobody knows where the play ended.',
        pushes,
      ),
      point(
        'Where it ends',
        isNear(endsDeg, truth.endsDeg, 4),
        `The last play is gone at ${said(truth.endsDeg)}.`,
        `The last play is gone at ${said(truth.endsDeg)}: from there on the needle goes by the give alone, about ${say(MOVES_UM / 3, 'smallLength', units)}.`,
        pushes,
      ),
      point(
        'Felt before and after',
        before.length > 0 && after.length > 0,
        'The drag was felt before the preload and with it.',
        'Feel what the screw takes to turn before the preload, and again with it: too much preload is felt long before it is hot.',
        felt,
      ),
      point(
        'How far it is turned',
        share >= LEAST && share <= MOST,
        `It stands ${said(locknut - truth.endsDeg)} past the end of the play; ${said(truth.needsDeg)} was asked for.`,
        share > MOST
          ? `It stands ${said(locknut - truth.endsDeg)} past the end of the play, where ${said(truth.needsDeg)} was asked for: the bearings would run hot. Turn it back.`
          : locknut > truth.endsDeg
            ? `It stands only ${said(locknut - truth.endsDeg)} past the end of the play, where ${said(truth.needsDeg)} was asked for.`
            : 'There is play left, or just none: it was not turned on from there.',
        pushes.filter(({ settings }) => settings.locknut === locknut),
      ),
    ]
  },
  best: truth => {
    const pushedAndPulled: Act[] = [PUSH_N, -PUSH_N].flatMap((newtons): Act[] => [
      { do: 'push', newtons },
      { do: 'note' },
    ])
    // In large steps as long as there is much play, in small ones up to two past where it ends.
    const large = Math.max(0, Math.floor(truth.endsDeg / LARGE_DEG) - 1)
    const small = Math.ceil((truth.endsDeg - LARGE_DEG * large) / SMALL_DEG) + 1
    const by = truth.needsDeg - (LARGE_DEG * large + SMALL_DEG * small - truth.endsDeg)
    const turn = (deg: number): Act => ({ do: 'set', what: 'locknut', by: deg })
    return [
      { do: 'feel', way: 1 },
      ...pushedAndPulled,
      ...[...Array(large).fill(LARGE_DEG), ...Array(small).fill(SMALL_DEG)].flatMap((deg: number): Act[] => [
        turn(deg),
        ...pushedAndPulled,
      ]),
      ...Array.from({ length: Math.abs(by) / SMALL_DEG }, () => turn(SMALL_DEG * Math.sign(by))),
      { do: 'feel', way: 1 },
      ...pushedAndPulled,
    ]
  },
  reckoned: (_, bench) => {
    const pushes = entriesOf(bench).filter(({ by }) => by === 'note')
    const turns = [...new Set(pushes.map(({ settings }) => settings.locknut))].toSorted((a, b) => a - b)
    // What it still goes by at the last settings is give.
    const last = turns.slice(-2).map(turned => wentUm(pushes, turned) ?? 0)
    const givesUm = last.reduce((sum, um) => sum + um, 0) / last.length
    const ends = turns.find(turned => (wentUm(pushes, turned) ?? Number.POSITIVE_INFINITY) < givesUm + 3.5)
    return { endsDeg: ends ?? null }
  },
})
