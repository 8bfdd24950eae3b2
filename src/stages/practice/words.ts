import type { Noted, Setting, Settings } from '@/core/practice/trainer/trainingBench'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'

// What stands on the bench and in the notebook, in words.

export const PLACE_WORDS = {
  slide: 'on the slide',
  screwEnd: 'on the end of the screw',
  block: 'on the fixed block',
  nutFlange: 'on the flange of the nut',
  nearLine: 'on the screw, near the fixed block',
  farLine: 'on the screw, near the far block',
} as const

const BY: Record<Noted['by'], string> = {
  note: 'Needle',
  feel: 'Turned by hand',
  pull: 'Pulled along',
  rock: 'Rocked to the side',
  square: 'Along the square',
}

/** What was read, and how. */
export function notedWords(noted: Noted, units: UnitSystem): { what: string; how: string } {
  const { by, place, atMm, way, pushN, isSlack, isTurned } = noted
  const at = `at ${say(atMm, 'length', units)}`
  const pushed =
    pushN === 0 ? null : `${pushN > 0 ? 'pushed' : 'pulled'} with ${say(Math.abs(pushN), 'force', units)}`
  const from = way > 0 ? 'from below' : 'from above'
  switch (by) {
    case 'note':
      if (place === 'nearLine' || place === 'farLine')
        return {
          what: place === 'nearLine' ? 'Near the fixed block' : 'Near the far block',
          how: isTurned ? 'half a turn on' : 'at its mark',
        }
      return { what: BY.note, how: pushed ?? `${at}, ${from}` }
    case 'feel':
      return { what: BY.feel, how: `${at}, ${way > 0 ? 'up' : 'down'}${isSlack ? ', gib loose' : ''}` }
    case 'square':
      return { what: BY.square, how: isTurned ? 'turned over' : 'as it lies' }
    default:
      return { what: BY[by], how: at }
  }
}

/** What a reading came to. */
export const valueWords = ({ value, quantity }: Noted, units: UnitSystem): string =>
  value === null ? 'off its dial' : say(value, quantity, units)

const EIGHTHS = 8
/** Eighths of a turn as a fitter says them. @example eighthsWords(11) // '1 3/8' */
function eighthsWords(eighths: number): string {
  const [whole, rest] = [Math.floor(eighths / EIGHTHS), eighths % EIGHTHS]
  return [whole > 0 ? `${whole}` : null, rest > 0 ? `${rest}/${EIGHTHS}` : null].filter(Boolean).join(' ')
}
const moved = (um: number, more: string, less: string, units: UnitSystem) =>
  `${say(Math.abs(um), 'smallLength', units)} ${um > 0 ? more : less}`

/** What has been set so far, of what a lesson has. */
export function setWords(what: Setting, { [what]: by }: Settings, units: UnitSystem): string {
  switch (what) {
    case 'gib':
      return by === 0
        ? 'Gib as it was'
        : `Gib ${eighthsWords(Math.abs(by))} of a turn ${by > 0 ? 'in' : 'out'}`
    case 'locknut':
      return `Locknut at ${say(by, 'angle', units, 0)}`
    case 'nearShim':
      return by === 0 ? 'Fixed block as it was' : `Fixed block ${moved(by, 'up', 'down', units)}`
    case 'farShim':
      return by === 0 ? 'Far block as it was' : `Far block ${moved(by, 'up', 'down', units)}`
    case 'side':
      return by === 0 ? 'Gantry as it was' : `Side ${moved(by, 'up', 'down', units)}`
  }
}

export const SET_TITLES: Record<Setting, string> = {
  gib: 'The gib’s screw',
  locknut: 'The locknut',
  nearShim: 'Shims, fixed block',
  farShim: 'Shims, far block',
  side: 'One side of the gantry',
}

/** One press that sets something. */
export function stepWords(what: Setting, by: number, units: UnitSystem): string {
  const size = Math.abs(by)
  if (what === 'gib') return `${by > 0 ? 'In' : 'Out'} ${eighthsWords(size)}`
  if (what === 'locknut') return `${by > 0 ? '+' : '−'}${say(size, 'angle', units, 0)}`
  return `${by > 0 ? 'Up' : 'Down'} ${say(size, 'smallLength', units)}`
}

export const minutesWords = (minutes: number): string => `${Math.round(minutes)} min`
