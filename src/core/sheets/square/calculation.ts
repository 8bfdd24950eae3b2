import { calculation } from '../../calculation/calculation'
import { inputOf } from '../../calculation/inputOf'
import { number } from '../../calculation/spec'
import { READING } from '../../machine/readings'

/**
 * Square of two axes by a square that is read, turned over and read again: its own error falls out.
 *
 * @example squareReversal({ firstUm: -37.9, turnedUm: 64.2, lengthMm: 240 }) // { axisUm: -51.05, squareUm: 13.15, axisUmPerM: -212.7 }
 */
export const squareReversal = calculation({
  id: 'align.squareReversal',
  title: 'Square turned over',
  formula: 'axis = (first - turned) / 2; square = (first + turned) / 2; slope = 1000 axis / L',
  source: 'Reversal',
  validity: 'The same edge both times, over the same length',
  inputs: {
    firstUm: inputOf(READING, 'first', 'rise over the length'),
    turnedUm: inputOf(READING, 'turned', 'rise over it, turned over'),
    lengthMm: number('length of the edge', 'L', 'mm', { over: 0 }),
  },
  outputs: {
    axisUm: number('axis', 'axis', 'um', {}),
    squareUm: number("the square's own error", 'square', 'um', {}),
    axisUmPerM: number('axis over a metre', 'slope', 'um/m', {}),
  },
  compute: ({ firstUm, turnedUm, lengthMm }) => ({
    axisUm: (firstUm - turnedUm) / 2,
    squareUm: (firstUm + turnedUm) / 2,
    axisUmPerM: (((firstUm - turnedUm) / 2) * 1000) / lengthMm,
  }),
})
