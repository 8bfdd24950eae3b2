import { GREEK, type Node } from './formula'

// A formula that was read, as TeX: with its symbols, or with numbers put in for them.

const TEX_FUNCTIONS: Record<string, string> = {
  sin: '\\sin',
  cos: '\\cos',
  tan: '\\tan',
  asin: '\\arcsin',
  acos: '\\arccos',
  atan: '\\arctan',
  min: '\\min',
  max: '\\max',
  sum: '\\sum',
  mean: '\\operatorname{mean}',
  Phi: '\\Phi',
}

/** Words within TeX, whatever characters they have. */
export const textTex = (text: string): string =>
  `\\text{${text.replace(/[\\^~]/g, ' ').replace(/[#$%&_{}]/g, '\\$&')}}`

/**
 * A symbol as TeX: a letter with the rest below it.
 *
 * @example symbolTex('Ph') // 'P_{h}'
 */
export function symbolTex(name: string): string {
  if (name.includes(' ')) return textTex(name)
  const prime = name.endsWith("'") ? "'" : ''
  const bare = prime ? name.slice(0, -1) : name
  const greek = GREEK.find(letter => bare === letter || bare.startsWith(`${letter}_`))
  if (greek) return `\\${greek}${prime}${below(bare.slice(greek.length + 1))}`
  if (/^d[A-Z]$/.test(bare)) return `\\Delta ${bare.slice(1)}${prime}`
  // A word that stands for a thing is a word.
  if (/^[a-z]{3,}$/.test(bare)) return textTex(bare)
  return `${bare.slice(0, 1)}${prime}${below(bare.slice(1).replace(/^_/, ''))}`
}
const below = (text: string) => (text === '' ? '' : `_{${text.length > 2 ? `\\text{${text}}` : text}}`)

/** What stands for a symbol: its number, or nothing where it has none and stays as it is. */
export type PutIn = (symbol: string) => string | null

const isNumeral = (node: Node, putIn: PutIn | null): boolean =>
  node.is === 'number' ||
  (node.is === 'symbol' && putIn?.(node.name) != null) ||
  (node.is === 'power' && isNumeral(node.of, putIn)) ||
  node.is === 'quotient'

/**
 * A formula as TeX.
 *
 * @param putIn the numbers for its symbols; left out, the symbols stand
 * @example toTex({ is: 'quotient', over: { is: 'symbol', name: 'v' }, under: { is: 'symbol', name: 'Ph' } }) // '\\frac{v}{P_{h}}'
 */
export function toTex(node: Node, putIn: PutIn | null = null): string {
  const tex = (of: Node): string => toTex(of, putIn)
  switch (node.is) {
    case 'number':
      return numeral(node.text)
    case 'symbol': {
      const number = putIn?.(node.name)
      return number == null ? symbolTex(node.name) : numeral(number)
    }
    case 'call': {
      if (node.name === 'sqrt') return `\\sqrt{${tex(node.of[0] as Node)}}`
      return `${TEX_FUNCTIONS[node.name]}\\left(${node.of.map(tex).join(',\\;')}\\right)`
    }
    case 'group':
      return `\\left(${tex(node.of)}\\right)`
    case 'size':
      return `\\left|${tex(node.of)}\\right|`
    case 'negative':
      return `-${tex(node.of)}`
    case 'product':
      return node.of
        .map((one, index) => {
          const before = node.of[index - 1]
          const joint = !before ? '' : isNumeral(one, putIn) && isNumeral(before, putIn) ? '\\cdot ' : '\\,'
          return joint + tex(one)
        })
        .join('')
    case 'quotient':
      return `\\frac{${tex(bare(node.over))}}{${tex(bare(node.under))}}`
    case 'power': {
      const base = tex(node.of)
      // What is put in may be negative or a power of ten: it is raised as a whole.
      const whole = node.of.is === 'symbol' && /[-×]/.test(putIn?.(node.of.name) ?? '')
      return `${whole ? `\\left(${base}\\right)` : `{${base}}`}^{${tex(bare(node.to))}}`
    }
    case 'sum':
      return node.of
        .map(({ sign, node: one }, index) =>
          index === 0 ? tex(one) : `${sign === '+/-' ? '\\pm' : sign} ${tex(one)}`,
        )
        .join(' ')
    case 'relation': {
      const sign = { '>=': '\\ge', '<=': '\\le' }[node.sign] ?? node.sign
      return `${toTex(node.left)} ${sign} ${tex(node.right)}`
    }
  }
}
const bare = (node: Node) => (node.is === 'group' ? node.of : node)
/**
 * A number as it is printed, as TeX: thousands are parted by commas, which TeX would set as a list.
 *
 * @example numeral('1.2 × 10^-5') // '1.2\\cdot 10^{-5}'
 */
export const numeral = (text: string): string =>
  text.replaceAll(',', '{,}').replace(/(?:e| × 10\^)(-?\d+)$/, '\\cdot 10^{$1}')
