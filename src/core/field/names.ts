import type { Field } from './field'

/**
 * What says whether a name is taken in a map.
 *
 * @example namesOf(map('Orders', flag('Ordered'), /^[\p{L}]+$/u))('Mühle') // true
 */
export function namesOf({
  pattern,
}: Pick<Extract<Field, { is: 'map' }>, 'pattern'>): (name: string) => boolean {
  const taken = new RegExp(pattern, 'u')
  return name => taken.test(name)
}
