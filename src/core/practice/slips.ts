import type { Slip } from '../simulate/axis/hand'

/** Each slip of a hand, as the rest of a sentence. */
export const SLIP_WORDS: Readonly<Record<Slip, string>> = {
  'creeping-base': 'the base of the gauge creeps',
  knock: 'the gauge is knocked once',
  'reversed-gauge': 'the dial reads the other way round',
  'lost-minus': 'minus signs are left out',
  'wrong-unit': 'they are typed in another unit',
  'slipped-digit': 'one is typed ten times too large',
  'kilograms-for-newtons': 'kilograms are typed for newtons',
}
