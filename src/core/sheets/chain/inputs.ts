import type { Axis } from '../../document/axis'
import type { Contributor } from './calculation'
import type { Chain, ChainLink } from './model'

/** A link with the value of the dimension that it stands for, where that is known. */
export const linkValueMm = (axis: Axis, { dimension, nominalMm }: ChainLink): number =>
  (dimension ? axis.dimensions[dimension].value : null) ?? nominalMm

/** The links of a chain as the calculation takes them. */
export const contributors = (axis: Axis, { links }: Chain): Contributor[] =>
  links.map(link => ({
    nominalMm: linkValueMm(axis, link),
    plusMm: link.plusMm,
    minusMm: link.minusMm,
    direction: link.direction,
    distribution: link.distribution,
  }))
