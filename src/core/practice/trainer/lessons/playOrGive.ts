import { drawsFrom } from '../../../calculation/evenRandom'
import { choiceOrNone, smallLength } from '../../../field/field'
import { SimulatedAxis } from '../../../simulate/axis/axis'
import type { AxisFigures, Causes } from '../../../simulate/axis/figures'
import { TABLE } from '../../../simulate/axis/table'
import { say } from '../../../units/print'
import { type Entry, entriesOf, isNear, lesson, meanOf, point } from '../lesson'
import type { Act } from '../trainingBench'

const AT_MM = 200
const SIZES_N = [100, 200, 300]
const PER_N = 100
/** Its gib is let loose for this: the ways hold nearly nothing. */
const FIGURES: AxisFigures = { ...TABLE, frictionN: 8 }

interface Truth {
  is: 'loose' | 'soft'
  causes: Causes
}

/** Play and what a hundred newtons give, um, as pushes of two sizes tell them. */
function trueOf(causes: Causes) {
  const it = new SimulatedAxis(FIGURES, causes)
  it.moveTo(AT_MM, 300)
  const [less, more] = [100, 300].map(
    newtons => it.pushedUm('slide', newtons) - it.pushedUm('slide', -newtons),
  ) as [number, number]
  const giveUm = ((more - less) / 2 / 200) * PER_N
  return { giveUm, playUm: less - 2 * giveUm }
}

/** The readings of pushes, by size and way. */
const pushedOf = (entries: readonly Entry[]) =>
  entries.filter(({ by, pushN }) => by === 'note' && pushN !== 0)
const swingUm = (entries: readonly Entry[], newtons: number) =>
  meanOf(entries.filter(({ pushN }) => pushN === newtons)) -
  meanOf(entries.filter(({ pushN }) => pushN === -newtons))

export const PLAY_OR_GIVE = lesson({
  id: 'play-or-give',
  title: 'Tell play from give',
  learns: 'You can tell what is loose, and is to be mended, from what is only soft.',
  task: () =>
    'The motor holds, the gib is let loose, the indicator stands on the slide. Push and pull it with a scale, with several forces, and note the needle. How much of it is play, and how much does it give for each 100 N?',
  how: [
    'Push with 100 N: note. Pull with 100 N: note. Then the same with 200 and 300 N.',
    'What grows with the force is give: the same for each 100 N more. Every part gives a little.',
    'What would be left with no force at all is play: the way at 100 N, less the give of 100 N each way.',
  ],
  tools: [{ tool: 'push', sizesN: SIZES_N }, { tool: 'zero' }, { tool: 'note' }],
  draw: (seed): Truth => {
    const { between, random } = drawsFrom(seed)
    return random() < 0.5
      ? { is: 'loose', causes: { playUm: { bracket: between(15, 40) } } }
      : { is: 'soft', causes: { softer: { bearing: between(3, 6) } } }
  },
  setup: ({ causes }) => ({
    figures: FIGURES,
    causes: () => causes,
    gaugesAtMm: [AT_MM],
    startsAtMm: AT_MM,
    stepUm: 1,
  }),
  answers: {
    playUm: smallLength('Play', [0, 1000], { orNone: true }),
    giveUm: smallLength('Give for each 100 N', [0, 1000], { orNone: true }),
    is: choiceOrNone('What is wrong with it', ['loose', 'soft'], {
      loose: 'something is loose',
      soft: 'something is too soft',
    }),
  },
  judge: ({ is, causes }, bench, { playUm, giveUm, is: said }, units) => {
    const truth = trueOf(causes)
    const um = (value: number) => say(value, 'smallLength', units)
    const all = pushedOf(entriesOf(bench))
    const sizes = [...new Set(all.map(({ pushN }) => Math.abs(pushN)))]
    const both = sizes.filter(size => [size, -size].every(one => all.some(({ pushN }) => pushN === one)))
    return [
      point(
        'Pushed and pulled',
        both.length > 0,
        'The slide was read on both sides of its play.',
        'It was not read with the same force to both sides: one side alone shows no play.',
        all,
      ),
      point(
        'More than one force',
        both.length >= 2,
        `${both.length} forces: what grows with them can be told from what does not.`,
        'With one force alone play and give cannot be told apart: take a second one, twice as large.',
        all,
      ),
      point(
        'Play',
        isNear(playUm, truth.playUm, 4 + 0.1 * truth.playUm),
        `The play is ${um(truth.playUm)}.`,
        `The play is ${um(truth.playUm)}: what would be left of the way if the force were taken to nothing.`,
        all,
      ),
      point(
        'Give',
        isNear(giveUm, truth.giveUm, 1 + 0.2 * truth.giveUm),
        `It gives ${um(truth.giveUm)} for each 100 N.`,
        `It gives ${um(truth.giveUm)} for each 100 N to one side: half of what the whole way grows by from one force to the next.`,
        all,
      ),
      point(
        'What it is',
        said === is,
        is === 'loose'
          ? 'Something is loose: it is looked for and mended.'
          : 'Nothing is loose, something is soft.',
        is === 'loose'
          ? 'Most of the way is there at the smallest force already: something is loose.'
          : 'The way grows in step with the force, and hardly any is left at none: nothing is loose, something is soft.',
        all,
      ),
    ]
  },
  best: () => [
    { do: 'zero' },
    ...SIZES_N.flatMap((newtons): Act[] =>
      [newtons, -newtons, newtons, -newtons].flatMap((one): Act[] => [
        { do: 'push', newtons: one },
        { do: 'note' },
      ]),
    ),
  ],
  reckoned: (_, bench) => {
    const all = pushedOf(entriesOf(bench))
    const give = ((swingUm(all, 300) - swingUm(all, 100)) / 2 / 200) * PER_N
    const play = swingUm(all, 100) - 2 * give
    return { playUm: Math.max(0, play), giveUm: Math.max(0, give), is: play > 10 ? 'loose' : 'soft' }
  },
})
