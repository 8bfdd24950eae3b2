import { calculation } from '../../calculation/calculation'
import { given, length, slope, smallLength } from '../../field/field'
import { READING } from '../../readings/model'

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
    firstUm: given(READING, { symbol: 'first', label: 'rise over the length' }),
    turnedUm: given(READING, { symbol: 'turned', label: 'rise over it, turned over' }),
    lengthMm: length('length of the edge', { over: 0 }, { symbol: 'L' }),
  },
  outputs: {
    axisUm: smallLength('axis', {}, { symbol: 'axis' }),
    squareUm: smallLength("the square's own error", {}, { symbol: 'square' }),
    axisUmPerM: slope('axis over a metre', {}, { symbol: 'slope' }),
  },
  compute: ({ firstUm, turnedUm, lengthMm }) => ({
    axisUm: (firstUm - turnedUm) / 2,
    squareUm: (firstUm + turnedUm) / 2,
    axisUmPerM: (((firstUm - turnedUm) / 2) * 1000) / lengthMm,
  }),
})
