import type { Axis } from '../../document/axis'
import { lifting, mayFall } from './lifting'
import type { Slide } from './model'
import { step, type Written } from './step'

const PUNCH = 'A punch slips: hold the key with pliers, keep the other hand away, wear eye protection.'
const HEAVY =
  'The casting is heavy and its edges are sharp: two people or a hoist, gloves, no fingers under it. It tips as it comes off its way.'

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
  { tools: ['screwdriver', 'calipers'] },
)
const wheelOff = (where: string) =>
  step(
    'td-wheel',
    'Handwheel off, key out of the shaft',
    `${where} The key is often stuck: a sharpened punch under its end, away from the hand.`,
    { tools: ['spanner', 'punch', 'soft hammer'], caution: PUNCH },
  )
const oldNut = step('td-nut', 'Old nut and screw out', 'Keep them: they tell lengths and threads.', {
  tools: ['hex keys'],
})

/** The steps that take an axis apart, by what it moves. */
const APART: Record<Slide, Written[]> = {
  table: [
    photo,
    lockOthers,
    gibSlack,
    wheelOff('At the side with more room.'),
    step('td-race', 'Bearing race off', 'With a puller, straight; never with a hammer on the race.', {
      tools: ['puller'],
      caution: 'A race that lets go flies: eye protection, nobody in line with it.',
    }),
    step(
      'td-bracket',
      'End bracket off',
      'Screws out, then the two dowels; keep the dowels with their bracket.',
      {
        tools: ['hex keys', 'punch'],
        caution: PUNCH,
      },
    ),
    step(
      'td-back-off',
      'Back the table off by its own screw, and catch the gib',
      'Wind until the table leaves the nut. Catch the gib before it drops or wedges; leave the gib screw of the far side in, so that it stays within reach. If it wedges, wind back.',
      {
        tools: ['crank'],
        caution: 'The table tips as soon as more than half of it hangs out: block it first.',
      },
    ),
    step('td-off', 'Table off', 'Straight up, two people or a hoist, onto wood with its ways up.', {
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
      {
        tools: ['long hex key', 'magnet'],
      },
    ),
    step(
      'td-gib',
      'Front and rear gib screws out, and note how far they stood in',
      'A short screwdriver, or slide the saddle forward first. Write both on the label of their bag.',
      { tools: ['short screwdriver', 'calipers'] },
    ),
    wheelOff('At the front.'),
    step(
      'td-screw-out',
      'Wind the old screw out',
      'By its own thread, until it is free of the nut; then draw it out of the front.',
      {
        tools: ['crank'],
      },
    ),
    step(
      'td-off',
      'Slide the saddle off',
      'Two people or a hoist, level, onto wood. The table comes off before it.',
      {
        hold: true,
        keepsSafe: true,
        tools: ['hoist or a second person'],
        caution: HEAVY,
      },
    ),
  ],
  head: [
    photo,
    lockOthers,
    step(
      'td-hang',
      'Hang the head, or let it down onto its block, before any screw is touched',
      'The way lock on as well. Rock it: nothing may move.',
      {
        hold: true,
        keepsSafe: true,
        tools: ['hoist'],
        caution:
          'A head that is let go drops. Lifting gear rated for it, with trained help, and nobody under it.',
      },
    ),
    step(
      'td-springs',
      'Unload the counterbalance',
      'Springs are loaded: slacken them by their own adjuster, or let the weight down onto a block.',
      {
        hold: true,
        keepsSafe: true,
        tools: ['spanner'],
        caution: 'A loaded spring flies when its pin is drawn. Eye protection; stand to the side of it.',
      },
    ),
    wheelOff('At the side of the column.'),
    gibSlack,
    step(
      'td-nut',
      'Old nut and screw out',
      'The head stays on its block and its hoist throughout. Keep them: they tell lengths and threads.',
      { tools: ['hex keys'], caution: 'Without its screw nothing but block and hoist holds the head.' },
    ),
  ],
  carriage: [
    photo,
    lockOthers,
    step('td-half-nut', 'Half nut and its lever out', 'Pins first; keep both halves together.', {
      tools: ['punch', 'hex keys'],
      caution: PUNCH,
    }),
    step(
      'td-apron',
      'Prop or hang the apron, then take its screws out',
      'A block under it before the last screw. Two dowels place it: keep them with their screws.',
      {
        hold: true,
        keepsSafe: true,
        tools: ['hardwood block', 'hex keys'],
        caution: 'The apron is heavy and drops when its last screw comes out.',
      },
    ),
    step('td-lead-screw', 'Lead screw off with its bracket', 'Support its far end: it bends by its weight.', {
      tools: ['hex keys'],
    }),
    step(
      'td-keep-plates',
      'Keep plates off, and note their shims',
      'Left and right are not the same: mark them.',
      {
        tools: ['hex keys', 'marker'],
      },
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
      {
        tools: ['hex keys'],
      },
    ),
    step('td-off', 'Cross slide off', 'Draw it off to the back, onto wood.', {
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
            'A block or jack under the head, on the table, before any screw comes out. It stays until a later step takes it away.',
            {
              hold: true,
              keepsSafe: true,
              tools: ['hardwood block or jack'],
              aidsIn: ['block'],
              caution:
                'A released vertical axis drops. Keep hands out from under it; lift heavy castings with a hoist and trained help.',
            },
          ),
        ]
      : []),
    ...(axis.slide ? APART[axis.slide] : []).map(one =>
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
