import { DIMENSION_KEYS, DIMENSIONS } from '../../document/dimensions'
import {
  choice,
  choiceOrNone,
  length,
  type RowOf,
  record,
  rows,
  type ValueOf,
  words,
} from '../../field/field'

const LENGTH_KEYS = DIMENSION_KEYS.filter(key => DIMENSIONS[key].quantity === 'length')
const band = (label: string, symbol: string) => length(label, [0, 100], { orNone: true, symbol })
const limit = (label: string, symbol: string, blank: number) =>
  length(label, [-20_000, 20_000], { blank, symbol })

/** Links that add up; one that stands for a measured dimension takes its value. */
export const LINKS = rows('Link', {
  label: words('Link', 80),
  dimension: choiceOrNone('Taken from', DIMENSION_KEYS),
  /** None for a link that takes a measured dimension, and until it is entered. */
  nominalMm: length('Nominal', [-20_000, 20_000], { orNone: true, symbol: 'n' }),
  plusMm: band('Plus', '+'),
  minusMm: band('Minus', '-'),
  direction: choice('Makes it', [1, -1], { words: { 1: 'longer', [-1]: 'shorter' } }),
  distribution: choice('Spread', ['normal', 'uniform'], { words: { uniform: 'even' } }),
})
export type ChainLink = RowOf<typeof LINKS>

export const CHAIN = record('Chain of dimensions', {
  links: LINKS,
  lowerLimitMm: limit('At least', 'L', -0.05),
  upperLimitMm: limit('At most', 'U', 0.05),
})
export type Chain = ValueOf<typeof CHAIN>

/** The dimensions that a link may stand for. */
export const LINKABLE = LENGTH_KEYS

declare module '../../document/axis' {
  interface SheetFields {
    chain: Chain
  }
}
