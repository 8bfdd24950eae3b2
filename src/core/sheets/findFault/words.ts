import type { Stage } from '../../document/stages'
import type { SheetId } from '../../evaluation/ids'

/** A fault in the words of the shop: what is done about it and where, and the check that shows whether it helped. */
const fault = <const S extends Stage, const Id extends string>(
  name: string,
  mend: string,
  stage: S,
  sheet: Id,
  again: CheckName,
) => ({ name, mend, at: { stage, sheet }, again })

/** The faults in the words of the shop. */
export const FAULT_WORDS = {
  'nut-play': fault(
    'Play in the nut',
    'Give the nut its preload back: the next size of balls, or a double nut with a spacer. A worn screw shows more play in the middle of its travel than at its ends.',
    'size',
    'parts',
    'reversal',
  ),
  'fixed-bearing-play': fault(
    'The fixed bearings give along the screw',
    'See that the pair stands the right way round and that the cover clamps the outer rings, then take up the locknut by a few degrees until the play at the end of the screw is gone.',
    'align',
    'preload',
    'screw-end',
  ),
  'coupler-slip': fault(
    'A hub slips on its shaft',
    'Degrease shaft and bore, put the hub where it grips on its whole length, and do its clamp screw up to the torque of its sheet. Paint a line across hub and shaft.',
    'align',
    'shafts',
    'hub-marks',
  ),
  'coupler-play': fault(
    'The coupler has play, or a split web',
    'Put in another: a clamp coupler without play, large enough for the torque and with its misalignment within its sheet.',
    'size',
    'parts',
    'hub-rock',
  ),
  'belt-slack': fault(
    'The belt is slack',
    'Tighten it to its note, both strands alike, and see that neither pulley creeps on its shaft.',
    'align',
    'shafts',
    'belt-note',
  ),
  'nut-bracket-loose': fault(
    'The nut moves in its bracket, or the bracket under the slide',
    'Do the screws of the nut and of the bracket up to their torque. When it is true, dowel the bracket.',
    'build',
    'steps',
    'nut-flange',
  ),
  'block-loose': fault(
    'A bearing block moves on the casting',
    'Clean under its feet, see that no shim is loose or too small, and do its screws up to their torque.',
    'build',
    'steps',
    'block',
  ),
  'gib-loose': fault(
    'The gib is slack',
    'Set it by its plays: to the tightest place of the travel, then lock it.',
    'align',
    'gib',
    'side-rock',
  ),
  'gib-tight': fault(
    'The gib is too tight, or dry',
    'Oil the ways, slack the gib, and set it again by its plays.',
    'align',
    'gib',
    'drag-along',
  ),
  'gib-walks': fault(
    'The gib walks with the slide',
    'Lock the tapered gib at both ends: its screw must hold it to and fro.',
    'align',
    'gib',
    'drag-ways',
  ),
  'fixed-block-off': fault(
    'The fixed block is off the line of the nut',
    'Read the line of the screw near that block, and shift or shim the block by what it says.',
    'align',
    'screwLine',
    'drag-along',
  ),
  'far-block-off': fault(
    'The far block is off the line of the nut',
    'Read the line of the screw, run the nut to that end, and tighten the block where the screw lets it stand.',
    'align',
    'screwLine',
    'drag-along',
  ),
  'nut-off-line': fault(
    'The nut is off the line of the screw, or its flange is not square',
    'Sweep the face under the flange and shim it; shim the bracket to the height of the screw.',
    'align',
    'flange',
    'drag-along',
  ),
  'bent-screw': fault(
    'The screw or a journal is bent',
    'Read its run-out at journals and free end: have it straightened by someone who does that, or replace it.',
    'align',
    'runOut',
    'drag-turn',
  ),
  'ways-not-parallel': fault(
    'Rails or ways are not parallel, or worn in the middle',
    'Read the rails against each other; shim the second one to the first. Worn ways want scraping.',
    'align',
    'rails',
    'drag-along',
  ),
  'dirt-in-nut': fault(
    'A chip or a hurt ball track in the nut',
    'Take the nut off onto its sleeve, never off the end, and wash it. A dent in the track stays: replace the nut.',
    'build',
    'steps',
    'drag-turn',
  ),
  'preload-high': fault(
    'Bearings or nut are preloaded too much',
    'Slack the locknut and set it again by its turn; of a double nut take out the thick spacer.',
    'align',
    'preload',
    'drag-along',
  ),
  'lost-steps': fault(
    'The motor loses steps',
    'Less acceleration or top speed, more current if motor and drive allow it, and see that nothing binds.',
    'size',
    'figures',
    'fast-return',
  ),
  'scale-wrong': fault(
    'Steps a millimetre or microsteps are set wrong',
    'Set the steps that a measured long move gives.',
    'prove',
    'scale',
    'long-move',
  ),
  'warm-growth': fault(
    'The screw grows as it runs',
    'Stretch a screw that is held at both ends by what it will grow; of one held at one end, zero it warm, and run it slower.',
    'size',
    'lostMotion',
    'warm-return',
  ),
  'axes-not-square': fault(
    'The axes, or the two sides of a gantry, are not square',
    'Square them by diagonals or a square turned over, then cut the circle again.',
    'align',
    'square',
    'square',
  ),
  'compensation-wrong': fault(
    'The controller compensates a play that is gone, or with the wrong sign',
    'Set its backlash compensation to nothing, measure, and enter what is left, last of all.',
    'build',
    'controller',
    'reversal',
  ),
} as const
export type FaultId = keyof typeof FAULT_WORDS

interface CheckWords {
  title: string
  /** How it is made, in a sentence or two. */
  how: string
  /** What each outcome looks like. */
  outcomes: Readonly<Record<string, string>>
  /** The sheet whose readings answer it, where there is one. */
  at?: { stage: Stage; sheet: SheetId }
}

/** The checks, by the names that the table has for them, in the words of the shop. */
export const CHECK_WORDS = {
  complaint: {
    title: 'What is wrong with it?',
    how: 'What you would say of it over the bench.',
    outcomes: {
      'reverses-short': 'It comes short when it reverses',
      'binds-or-stalls': 'It binds, labours or stalls',
      'drifts-or-jumps': 'It drifts off, or jumps',
      'wrong-size': 'What it cuts is the wrong size',
      'out-of-square': 'What it cuts is out of square',
      'rocks-or-chatters': 'It rocks or chatters',
    },
  },
  reversal: {
    title: 'Slow reversal in the middle',
    how: 'Come to a place of the middle from both sides, slowly, a few times each, and read.',
    outcomes: { small: 'Within what is accepted', large: 'More than is accepted' },
    at: { stage: 'prove', sheet: 'reversal' },
  },
  'screw-end': {
    title: 'Indicator on the end of the screw',
    how: 'Motor powered and still. Push and pull the slide hard, the tip on the end of the screw, the base on the bed.',
    outcomes: { still: 'It stands still', moves: 'It moves along' },
    at: { stage: 'prove', sheet: 'whereLost' },
  },
  block: {
    title: 'Indicator on the fixed block',
    how: 'The same push and pull, the tip on the block itself, the base on the casting beside it.',
    outcomes: { still: 'It stands still', moves: 'It moves' },
    at: { stage: 'prove', sheet: 'pushPull' },
  },
  'nut-flange': {
    title: 'Indicator between nut flange and slide',
    how: 'The same push and pull, the base on the slide, the tip on the flange of the nut.',
    outcomes: { still: 'They move as one', moves: 'One moves against the other' },
    at: { stage: 'prove', sheet: 'whereLost' },
  },
  'nut-screw': {
    title: 'Indicator between nut and screw',
    how: 'Hold the screw by its hub. Push and pull the slide, the base on the nut, the tip on the end of the screw.',
    outcomes: { still: 'They move as one', moves: 'The nut moves along the screw' },
    at: { stage: 'prove', sheet: 'whereLost' },
  },
  'hub-marks': {
    title: 'Lines across hubs and shafts',
    how: 'Draw a fine line across each hub and its shaft, make twenty fast reversals, and look. Hands off while it moves.',
    outcomes: { 'in-line': 'The lines are whole', shifted: 'A line is parted' },
  },
  'hub-rock': {
    title: 'Rock the motor against the held screw',
    how: 'Power off and locked out. Hold the screw and rock the motor’s shaft to and fro by hand.',
    outcomes: { together: 'They turn as one', 'motor-first': 'The motor turns a little first' },
    at: { stage: 'prove', sheet: 'whereLost' },
  },
  'belt-note': {
    title: 'Pluck the belt',
    how: 'Power off. Pluck the free strand and compare its note with the one that is reckoned for it.',
    outcomes: { 'right-or-no-belt': 'Its note is right, or there is no belt', low: 'Its note is low' },
    at: { stage: 'align', sheet: 'shafts' },
  },
  'side-rock': {
    title: 'Push the slide sideways',
    how: 'Indicator at a corner of the slide, across the ways. Push and pull there by hand.',
    outcomes: { solid: 'It is solid', rocks: 'It rocks' },
    at: { stage: 'align', sheet: 'gib' },
  },
  'drag-along': {
    title: 'Drag along the travel',
    how: 'Turn the screw through the travel both ways with a torque driver, a scale on a lever, or a drill whose clutch is known.',
    outcomes: {
      'even-light': 'Light all along',
      'even-heavy': 'Heavy all along',
      'fixed-end': 'Tight near the fixed block',
      'far-end': 'Tight near the far block',
      'both-ends': 'Tight at both ends',
      along: 'It grows along the travel, or is tight in places',
    },
    at: { stage: 'align', sheet: 'drag' },
  },
  'drag-ways': {
    title: 'Drag one way against the other',
    how: 'The same drag, at the same places, to and fro.',
    outcomes: { alike: 'Alike both ways', 'tighter-one-way': 'Tighter one way' },
    at: { stage: 'align', sheet: 'drag' },
  },
  'drag-turn': {
    title: 'Drag over one turn of the screw',
    how: 'Turn the screw slowly once round at one place and read every eighth of a turn.',
    outcomes: { even: 'Even', 'once-a-turn': 'Tight once a turn', rough: 'Rough, here and there' },
    at: { stage: 'align', sheet: 'drag' },
  },
  'gib-slack': {
    title: 'The same drag with the gib slacked',
    how: 'Slack the gib and read the drag along again. Secure a slide that can fall or slip first.',
    outcomes: { 'as-before': 'As before', falls: 'It falls off' },
    at: { stage: 'align', sheet: 'drag' },
  },
  'nut-off': {
    title: 'Screw and nut alone',
    how: 'Unbolt the nut from the slide and turn the screw. Support a head or a table on a slope first, and keep the nut on its screw.',
    outcomes: { light: 'Light', 'stays-heavy': 'It stays heavy' },
    at: { stage: 'align', sheet: 'drag' },
  },
  'fast-return': {
    title: 'Back to zero after twenty fast moves',
    how: 'Zero it, make twenty fast moves, come back from the same side, and read. Stand clear while it moves.',
    outcomes: {
      exact: 'It comes back',
      'whole-cycles': 'Off by whole cycles of four steps',
      off: 'Off by something else',
    },
    at: { stage: 'prove', sheet: 'lostSteps' },
  },
  'warm-return': {
    at: { stage: 'prove', sheet: 'zeroTime' },
    title: 'Back to zero cold and warm',
    how: 'Read zero cold, run the axis half an hour, and read it again from the same side.',
    outcomes: { same: 'The same', drifted: 'It has drifted' },
  },
  'long-move': {
    title: 'A long move, from one side',
    how: 'Measure some places over most of the travel, each approached from the same side.',
    outcomes: {
      right: 'As commanded',
      'in-proportion': 'Off in proportion to the way',
      scattered: 'Off here and there',
    },
    at: { stage: 'prove', sheet: 'scale' },
  },
  square: {
    title: 'Squareness',
    how: 'Diagonals, a square turned over, or a circle that it cut, measured across.',
    outcomes: { square: 'Square', out: 'Out of square' },
    at: { stage: 'align', sheet: 'square' },
  },
  'compensation-off': {
    title: 'The reversal with compensation off',
    how: 'Note what the controller compensates, set it to nothing, and read the reversal again.',
    outcomes: { 'as-before': 'As before', other: 'Otherwise than before' },
  },
} as const satisfies Readonly<Record<string, CheckWords>>
export type CheckName = keyof typeof CHECK_WORDS

/** A check as it is named within a sentence. */
export const checkName = (check: CheckName): string =>
  check === 'complaint' ? 'the complaint' : CHECK_WORDS[check].title.toLowerCase()

/** An outcome of a check in words. */
export const outcomeWords = (check: CheckName, outcome: string): string =>
  (CHECK_WORDS[check].outcomes as Readonly<Record<string, string>>)[outcome] ?? outcome
