/** Words of the trade that can be explained: their explanations are in termWords. */
export const TERMS = [
  'apron',
  'dowel',
  'half nut',
  'keep plate',
  'normally closed',
  'strain relief',
  'slack',
  'backlash',
  'ball nut',
  'ball screw',
  'back-to-back',
  'face-to-face',
  'angular contact',
  'buckling',
  'bung',
  'closed loop',
  'counterbalance',
  'coupler',
  'detent',
  'duty',
  'engagement',
  'fixed end',
  'gantry',
  'gib',
  'grip',
  'hard stop',
  'hold point',
  'indicator',
  'inertia',
  'lead',
  'locknut',
  'lost motion',
  'critical speed',
  'microsteps',
  'pilot',
  'preload',
  'racking',
  'recess',
  'run-out',
  'service factor',
  'shim',
  'soft limit',
  'spigot',
  'stall',
  'saddle',
  'thou',
  'threadlocker',
  'ways',
  'whip',
  'wiper',
] as const
export type Term = (typeof TERMS)[number]

/** Longest first, so that "ball nut" is found before "nut"; plurals too, but for what would be a verb. */
const NAMES = TERMS.toSorted((a, b) => b.length - a.length)
const FOUND = new RegExp(
  `\\b(?:(${NAMES.filter(name => name !== 'lead').join('|')})(?:s|es)?|(lead))\\b`,
  'gi',
)

/** A stretch of a text: plain, or a word that can be explained. */
export interface Stretch {
  text: string
  /** The term that it is, where it is one. */
  term: Term | null
}

/**
 * A text with the words in it that can be explained, each where it comes first.
 *
 * @example explained('Set the gib.').map(({ term }) => term) // [null, 'gib', null]
 */
export function explained(text: string): Stretch[] {
  const stretches: Stretch[] = []
  const seen = new Set<Term>()
  let from = 0
  for (const match of text.matchAll(FOUND)) {
    const term = (match[1] ?? match[2] ?? '').toLowerCase() as Term
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
export const termsIn = (text: string): Term[] =>
  explained(text)
    .flatMap(({ term }) => term ?? [])
    .toSorted()
