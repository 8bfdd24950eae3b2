/** Words of the trade that a newcomer may not know, each in a sentence. */
export const TERMS: Readonly<Record<string, string>> = {
  backlash: 'What a screw can be turned without anything moving, when it changes direction.',
  'ball nut':
    'A nut that runs on balls in the groove of its screw: little friction, and it does not hold by itself.',
  'ball screw': 'A screw whose nut runs on balls: little friction, and a load can turn it backwards.',
  'back-to-back': 'Two angular contact bearings whose lines of force spread apart: stiff against tipping.',
  'face-to-face':
    'Two angular contact bearings whose lines of force cross: they forgive a shaft that is a little out of line.',
  'angular contact':
    'A ball bearing that also takes a push along its shaft, one way; two of them take it both ways.',
  buckling: 'A long screw under a push bends out sideways, all at once.',
  bung: 'A plug turned to fit an old hole, so that a pilot drill has metal to follow.',
  'closed loop': 'The motor tells where it stands and makes good what it has lost; an open loop only hopes.',
  counterbalance: 'A weight, spring or gas strut that carries a head, so that the screw need not.',
  coupler: 'What joins the shaft of the motor to the end of the screw.',
  detent: 'The torque with which a motor without current holds itself between steps.',
  duty: 'What a typical hour of work is made of: how hard, how fast, and for how much of it.',
  engagement: 'How much of a screw is really in the thread that holds it.',
  'fixed end': 'The end of the screw that is held along its length too, beside the motor.',
  gantry: 'A bridge that spans the work and travels along it, often on two screws.',
  gib: 'A strip in the slide of a dovetail or box way, set so that the slide has no play.',
  grip: 'The thickness that a screw goes through before it reaches its thread.',
  'hard stop': 'A block of metal that ends the travel when everything else has failed.',
  'hold point': 'A step that must be done and ticked before anything after it.',
  indicator:
    'A gauge with a needle or a display that shows how far its tip is moved, in hundredths or thous.',
  inertia: 'How hard something is to set turning and to stop.',
  lead: 'How far the nut travels for one turn of the screw.',
  locknut: 'A nut that clamps bearings on the screw and is then kept from turning.',
  'lost motion': 'All that is lost when an axis turns round: play, give and friction together.',
  'critical speed': 'The speed at which a turning screw starts to swing like a skipping rope.',
  microsteps: 'Parts of a full step that the driver makes with the currents of the motor.',
  pilot: 'The small drill that guides a hole cutter.',
  preload: 'A force that is set between balls and races, so that no play is left.',
  racking: 'One side of a gantry leads the other, and it stands askew.',
  recess: 'A pocket in a block that the nut may enter, to win travel.',
  'run-out': 'How far something that turns is off its own axis.',
  'service factor': 'How many times its usual torque a coupler should be able to take, for shocks.',
  shim: 'A thin sheet of known thickness that sets a height or a gap.',
  'soft limit': 'Where the controller itself ends the travel, before any switch.',
  spigot: 'The rim of a cover that reaches into a bore and holds what is in it.',
  stall: 'The motor cannot go on and stands still, or loses its place.',
  saddle: 'What slides between the bed of a machine and its table or cross slide.',
  thou: 'A thousandth of an inch, 25.4 µm.',
  threadlocker: 'A drop of resin that keeps a screw from coming loose; heat undoes it.',
  way: 'The surface that guides a slide: a dovetail, a box way, or a rail.',
  whip: 'A turning screw that swings like a skipping rope; it begins at the critical speed.',
  wiper: 'A lip on a nut or a slide that keeps swarf out.',
}

/** Longest first, so that "ball nut" is found before "nut"; plurals too. */
const NAMES = Object.keys(TERMS).toSorted((a, b) => b.length - a.length)
const FOUND = new RegExp(`\\b(${NAMES.join('|')})(?:s|es)?\\b`, 'gi')

/** A stretch of a text: plain, or a word that can be explained. */
export interface Stretch {
  text: string
  /** The term that it is, where it is one. */
  term: string | null
}

/**
 * A text with the words in it that can be explained, each where it comes first.
 *
 * @example explained('Set the gib.').map(({ term }) => term) // [null, 'gib', null]
 */
export function explained(text: string): Stretch[] {
  const stretches: Stretch[] = []
  const seen = new Set<string>()
  let from = 0
  for (const match of text.matchAll(FOUND)) {
    const term = (match[1] as string).toLowerCase()
    if (seen.has(term)) continue
    seen.add(term)
    if (match.index > from) stretches.push({ text: text.slice(from, match.index), term: null })
    stretches.push({ text: match[0], term })
    from = match.index + match[0].length
  }
  if (from < text.length) stretches.push({ text: text.slice(from), term: null })
  return stretches
}

/** The terms in a text, in the order of the alphabet. */
export const termsIn = (text: string): string[] =>
  explained(text)
    .flatMap(({ term }) => term ?? [])
    .toSorted()
