import type { Node } from './formula'

/**
 * What a formula comes to.
 *
 * @returns null where a symbol has no value, or where it is more than a sum
 * @example reckon({ is: 'number', text: '2' }, () => null) // 2
 */
export function reckon(node: Node, valueFor: (symbol: string) => number | null): number | null {
  const of = (one: Node) => reckon(one, valueFor)
  const all = (nodes: readonly Node[]): number[] | null => {
    const values = nodes.map(of)
    return values.every(value => value !== null) ? (values as number[]) : null
  }
  switch (node.is) {
    case 'number':
      return Number(node.text)
    case 'symbol':
      return valueFor(node.name) ?? (node.name === 'pi' ? Math.PI : null)
    case 'group':
      return of(node.of)
    case 'size':
      return apply(all([node.of]), ([value]) => Math.abs(value as number))
    case 'negative':
      return apply(all([node.of]), ([value]) => -(value as number))
    case 'product':
      return apply(all(node.of), values => values.reduce((a, b) => a * b, 1))
    case 'quotient':
      return apply(all([node.over, node.under]), ([a, b]) => (a as number) / (b as number))
    case 'power':
      return apply(all([node.of, node.to]), ([a, b]) => (a as number) ** (b as number))
    case 'sum':
      if (node.of.some(({ sign }) => sign === '+/-')) return null
      return apply(all(node.of.map(({ node: one }) => one)), values =>
        values.reduce((sum, value, index) => sum + (node.of[index]?.sign === '-' ? -value : value), 0),
      )
    case 'call': {
      const plain = { sqrt: Math.sqrt, min: Math.min, max: Math.max }[node.name]
      return plain ? apply(all(node.of), values => plain(...(values as [number]))) : null
    }
    case 'relation':
      return null
  }
}
const apply = (values: number[] | null, work: (values: number[]) => number) => values && work(values)
