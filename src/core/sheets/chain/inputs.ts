import type { Axis } from '../../document/axis'
import { filled } from '../../evaluation/filled'
import { NotKnown } from '../../evaluation/notKnown'
import type { Contributor } from './calculation'
import { type Chain, type ChainLink, LINKS } from './model'

const place = (label: string) => ({ sheet: 'chain', stage: 'room', name: label }) as const

/** A link with the value of the dimension that it stands for. @throws NotKnown while that is not known */
export function linkValueMm(axis: Axis, link: ChainLink): number {
  const { dimension, label } = link
  if (!dimension) return filled(link, ['nominalMm'], LINKS.of, place(label)).nominalMm
  const { value } = axis.dimensions[dimension]
  if (value === null) throw new NotKnown({ dimension })
  return value
}

/** The links of a chain as the calculation takes them. @throws NotKnown naming the link that is not entered yet */
export const contributors = (axis: Axis, { links }: Chain): Contributor[] =>
  links.map(link => {
    const nominalMm = linkValueMm(axis, link)
    const { plusMm, minusMm } = filled(link, ['plusMm', 'minusMm'], LINKS.of, place(link.label))
    const { direction, distribution } = link
    return { nominalMm, plusMm, minusMm, direction, distribution }
  })
