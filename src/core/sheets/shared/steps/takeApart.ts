import type { Axis } from '../../../document/axis'
import { blockWords, lifting, loadWord, mayFall } from './lifting'
import type { Slide } from './model'
import { step, type Written } from './step'

const PUNCH = 'A punch slips: hold the key with pliers, keep the other hand away, wear eye protection.'
const HEAVY =
  'The casting is heavy and its edges are sharp: two people or a hoist, gloves, no fingers under it. It tips as it comes off its way.'

/** Takes out or loosens something that holds the load, where there is one. */
const FREES = { load: 'frees' } as const

const photo = step(
  'td-photo',
  'Photograph it as it is',
  'Every side, every dial, every shim and the way each cable and oil line runs. Note in the log where the pictures are.',
  { tools: ['camera'] },
)
const lockOthers = step(
  'td-lock',
  'Lock the other axes',
  'So that nothing else moves while this one is pushed about.',
  {
    hold: true,
    keepsSafe: true,
    caution: 'A slide that runs off by itself traps fingers.',
  },
)
const gibSlack = step(
  'td-gib',
  'Slacken the gib, and note how far its screw stands in',
  'Measure from the head of the gib screw to the casting and write it on the label of its bag: it goes back to there first.',
  { ...FREES, tools: ['screwdriver', 'calipers'] },
)
const wheelOff = (where: string) =>
  step(
    'td-wheel',
    'Handwheel off, key out of the shaft',
    `${where} The key is often stuck: a sharpened punch under its end, away from the hand.`,
    { ...FREES, tools: ['spanner', 'punch', 'soft hammer'], caution: PUNCH },
  )
const oldNut = step('td-nut', 'Old nut and screw out', 'Keep them: they tell lengths and threads.', {
  ...FREES,
  tools: ['hex keys'],
})

/** The counterbalance of an axis that has one, let go of before anything that hangs on it; nothing of weights that only hang. */
function unload(axis: Axis): Written[] {
  const { kind, toFit } = axis.counterbalance
  const forceN = axis.dimensions.counterbalanceN.value ?? 0
  // A head usually has springs; of what is not fitted yet nothing is loaded.
  if (kind === null ? axis.slide !== 'head' && forceN === 0 : toFit && kind !== 'gas-spring') return []
  const how: Record<Exclude<typeof kind, null>, string> = {
    springs: 'Springs are loaded: slacken them by their own adjuster, and note how many turns.',
    'gas-spring':
      'A gas spring cannot be slackened, and is never opened: bring the axis to where it is longest, then take its ends off their studs.',
    weights: 'Set the weights down on blocks, then unhook the chain.',
  }
  return [
    step(
      'td-springs',
      'Unload the counterbalance',
      kind
        ? `${toFit ? 'Where one is on it already. ' : ''}${how[kind]}`
        : 'If it has one: springs are slackened by their own adjuster, weights let down onto a block. None: say so with “Done otherwise”.',
      {
        hold: true,
        keepsSafe: true,
        tools: ['spanner'],
        ...FREES,
        caution: 'A loaded spring flies when its pin is drawn. Eye protection; stand to the side of it.',
      },
    ),
  ]
}

/** The steps that take an upright slide off its old drive: it stays on its ways, on its block and its hoist. */
function upright(axis: Axis): Written[] {
  const load = loadWord(axis)
  const isQuill = axis.slide === 'quill'
  return [
    photo,
    lockOthers,
    step(
      'td-hang',
      axis.slide === 'knee'
        ? 'Set the knee down onto its block, before any screw is touched'
        : `Hang the ${load}, or let it down onto its block, before any screw is touched`,
      'The way lock on as well. Rock it: nothing may move.',
      {
        hold: true,
        keepsSafe: true,
        tools: ['hoist'],
        caution: `Let go, the ${load} drops. Lifting gear rated for it, with trained help, and nobody under it.`,
      },
    ),
    ...unload(axis),
    wheelOff(
      axis.slide === 'knee'
        ? 'At the crank of the knee.'
        : isQuill
          ? 'The fine feed wheel, and the pinion where it goes.'
          : 'At the side of the column.',
    ),
    ...(isQuill ? [] : [gibSlack]),
    step(
      'td-nut',
      'Old nut and screw out',
      `The ${load} stays on its block and its hoist throughout. Keep them: they tell lengths and threads.`,
      {
        tools: ['hex keys'],
        ...FREES,
        caution: `Without its screw nothing but block and hoist holds the ${load}.`,
      },
    ),
  ]
}

/** The steps that take an axis apart, by what it moves. */
const APART: Record<Exclude<Slide, 'head' | 'quill' | 'knee'>, Written[]> = {
  table: [
    photo,
    lockOthers,
    gibSlack,
    wheelOff('At the side with more room.'),
    step('td-race', 'Bearing race off', 'With a puller, straight; never with a hammer on the race.', {
      ...FREES,
      tools: ['puller'],
      caution: 'A race that lets go flies: eye protection, nobody in line with it.',
    }),
    step(
      'td-bracket',
      'End bracket off',
      'Screws out, then the two dowels; keep the dowels with their bracket.',
      { ...FREES, tools: ['hex keys', 'punch'], caution: PUNCH },
    ),
    step(
      'td-back-off',
      'Back the table off by its own screw, and catch the gib',
      'Wind until the table leaves the nut. Catch the gib before it drops or wedges; leave the gib screw of the far side in, so that it stays within reach. If it wedges, wind back.',
      {
        ...FREES,
        tools: ['crank'],
        caution: 'The table tips as soon as more than half of it hangs out: block it first.',
      },
    ),
    step('td-off', 'Table off', 'Straight up, two people or a hoist, onto wood with its ways up.', {
      ...FREES,
      hold: true,
      keepsSafe: true,
      tools: ['hoist or a second person'],
      caution: HEAVY,
    }),
    oldNut,
  ],
  saddle: [
    photo,
    lockOthers,
    step('td-guards', 'Chip guards off', 'Front and back, with their screws and strips.', {
      tools: ['screwdriver'],
    }),
    step(
      'td-nut-screws',
      'Screws of the nut out, from behind',
      'Through the back of the base; a long key and a magnet.',
      { ...FREES, tools: ['long hex key', 'magnet'] },
    ),
    step(
      'td-gib',
      'Front and rear gib screws out, and note how far they stood in',
      'A short screwdriver, or slide the saddle forward first. Write both on the label of their bag.',
      { ...FREES, tools: ['short screwdriver', 'calipers'] },
    ),
    wheelOff('At the front.'),
    step(
      'td-screw-out',
      'Wind the old screw out',
      'By its own thread, until it is free of the nut; then draw it out of the front.',
      { ...FREES, tools: ['crank'] },
    ),
    step(
      'td-off',
      'Slide the saddle off',
      'Two people or a hoist, level, onto wood. The table comes off before it.',
      { ...FREES, hold: true, keepsSafe: true, tools: ['hoist or a second person'], caution: HEAVY },
    ),
  ],
  carriage: [
    photo,
    lockOthers,
    step('td-half-nut', 'Half nut and its lever out', 'Pins first; keep both halves together.', {
      ...FREES,
      tools: ['punch', 'hex keys'],
      caution: PUNCH,
    }),
    step(
      'td-apron',
      'Prop or hang the apron, then take its screws out',
      'A block under it before the last screw. Two dowels place it: keep them with their screws.',
      {
        ...FREES,
        hold: true,
        keepsSafe: true,
        tools: ['hardwood block', 'hex keys'],
        caution: 'The apron is heavy and drops when its last screw comes out.',
      },
    ),
    step('td-lead-screw', 'Lead screw off with its bracket', 'Support its far end: it bends by its weight.', {
      ...FREES,
      tools: ['hex keys'],
    }),
    step(
      'td-keep-plates',
      'Keep plates off, and note their shims',
      'Left and right are not the same: mark them.',
      { ...FREES, tools: ['hex keys', 'marker'] },
    ),
    wheelOff('At the front of the apron.'),
  ],
  'cross-slide': [
    photo,
    lockOthers,
    wheelOff('At the front, with its dial; where the handwheel stays, keep all its parts in one bag.'),
    gibSlack,
    step(
      'td-nut',
      'Nut off the slide, old screw out',
      'Screws from above. Wind the screw out of the front, with its bush.',
      { ...FREES, tools: ['hex keys'] },
    ),
    step('td-off', 'Cross slide off', 'Draw it off to the back, onto wood.', {
      ...FREES,
      tools: ['second person'],
      caution: 'Its edges are sharp, and the gib drops as it leaves the way.',
    }),
  ],
  'rail-carriage': [
    step(
      'td-dummy',
      'Leave the carriages on their dummy rails',
      'They stay there until they slide onto the real rail: off both, their balls are on the floor.',
      { aidsIn: ['dummyRail'] },
    ),
    step(
      'td-props',
      'Prop the side plates',
      'Blocks or clamps on both sides, so that a plate cannot fall while its screws are loose.',
      {
        hold: true,
        keepsSafe: true,
        tools: ['clamps', 'blocks'],
        aidsIn: ['props'],
        caution: 'A plate on its edge falls flat, on toes and rails alike.',
      },
    ),
  ],
}

function apart(axis: Axis): Written[] {
  switch (axis.slide) {
    case null:
      return []
    case 'head':
    case 'quill':
    case 'knee':
      return upright(axis)
    default: {
      const steps = APART[axis.slide]
      const before = steps.findIndex(({ id }) => id !== 'td-photo' && id !== 'td-lock' && id !== 'td-guards')
      return mayFall(axis) ? [...steps.slice(0, before), ...unload(axis), ...steps.slice(before)] : steps
    }
  }
}

/**
 * The steps that take an axis apart and make it ready, in their order; they ask for no part of the new drive.
 *
 * @example takeApart(axis)[0].id // 'isolate'
 */
export function takeApart(axis: Axis): Written[] {
  return [
    step(
      'isolate',
      'Switch off and isolate the machine',
      'Unplug it or lock the isolator, and keep the key with you.',
      {
        hold: true,
        keepsSafe: true,
        caution: 'Mains wiring and guarding are for licensed people and follow local codes.',
      },
    ),
    ...(lifting(axis) === 'ask'
      ? [
          step(
            'incline',
            'Measure how the axis stands',
            'A level on the way, under Survey. Until that is known it is built as one whose load can fall.',
            { hold: true, keepsSafe: true, tools: ['digital level'], asks: { measured: ['inclineDeg'] } },
          ),
        ]
      : []),
    ...(mayFall(axis)
      ? [
          step(
            'support',
            'Support the load on a block',
            `${blockWords(axis)}, before any screw comes out. It stays until a later step takes it away.`,
            {
              hold: true,
              keepsSafe: true,
              tools: ['hardwood block or jack'],
              aidsIn: ['block'],
              caution:
                'A released axis that is not level runs down. Keep hands out from under it; lift heavy castings with a hoist and trained help.',
            },
          ),
        ]
      : []),
    ...apart(axis).map(one =>
      one.id === 'td-hang' && mayFall(axis) ? { ...one, aidsIn: ['hoist'] as const } : one,
    ),
    step(
      'clean',
      'Clean every face and hole, and cover the ways',
      'Brush and wipe; run a tap through each thread and blow it out. A chip under a block is a bent screw.',
      {
        tools: ['brush', 'lint-free cloth', 'tap'],
        caution: 'Wear eye protection when blowing out holes. Do not breathe cast-iron dust.',
      },
    ),
  ]
}
