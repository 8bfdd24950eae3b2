import { AT_95 } from '../../calculation/studentLaw'
import type { Axis } from '../../document/axis'
import type { DimensionKey } from '../../document/dimensions'
import { filled } from '../../evaluation/filled'
import { NotKnown } from '../../evaluation/notKnown'
import { type Expected, expectedUntilRead } from '../../machine/castings'
import type { Contributor } from './calculation'
import { type Chain, type ChainLink, LINKS } from './model'

const place = (label: string) => ({ sheet: 'chain', stage: 'room', name: label }) as const

/**
 * What a dimension that nobody has read here yet brings into the chain: what the machines before were read to, and how far the
 * next may lie from it, as a normal spread that is as likely to hold it.
 */
function asExpected(axis: Axis, link: ChainLink): Contributor | null {
  const { dimension, direction } = link
  const expected = dimension && expectedUntilRead(axis, dimension)
  if (!expected) return null
  const bandMm = (3 / AT_95) * expected.halfWidth
  return {
    nominalMm: axis.dimensions[dimension].value ?? expected.mean,
    plusMm: Math.max(bandMm, link.plusMm ?? 0),
    minusMm: Math.max(bandMm, link.minusMm ?? 0),
    direction,
    distribution: 'normal',
  }
}

/** What the machines before make one expect of the dimensions of a chain that nobody has read here yet. */
export const expectedIn = (axis: Axis, { links }: Chain): Expected[] =>
  [...new Set(links.flatMap(({ dimension }) => dimension ?? []))].flatMap(
    key => expectedUntilRead(axis, key) ?? [],
  )

/** A link as it is entered, or with the value of the dimension that it stands for. @throws NotKnown while that is not known */
function asEntered(axis: Axis, link: ChainLink): Contributor {
  const { dimension, label, direction, distribution } = link
  const name = place(label)
  const nominalMm = dimension
    ? axis.dimensions[dimension].value
    : filled(link, ['nominalMm'], LINKS.of, name).nominalMm
  if (nominalMm === null) throw new NotKnown({ dimension: dimension as DimensionKey })
  const { plusMm, minusMm } = filled(link, ['plusMm', 'minusMm'], LINKS.of, name)
  return { nominalMm, plusMm, minusMm, direction, distribution }
}

/** The links of a chain as the calculation takes them. @throws NotKnown naming the link that is not known yet */
export const contributors = (axis: Axis, { links }: Chain): Contributor[] =>
  links.map(link => asExpected(axis, link) ?? asEntered(axis, link))
