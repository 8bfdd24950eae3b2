// A formula as people write it, read into what it says. Things side by side are multiplied; a product and a quotient are worked from left to right.

/** What a formula says, as a tree. */
export type Node =
  | { is: 'number'; text: string }
  | { is: 'symbol'; name: string }
  | { is: 'call'; name: string; of: Node[] }
  | { is: 'group'; of: Node }
  | { is: 'size'; of: Node }
  | { is: 'negative'; of: Node }
  | { is: 'product'; of: Node[] }
  | { is: 'quotient'; over: Node; under: Node }
  | { is: 'power'; of: Node; to: Node }
  | { is: 'sum'; of: { sign: Sign; node: Node }[] }
  | { is: 'relation'; left: Node; sign: string; right: Node }
type Sign = '+' | '-' | '+/-'

/** A stretch of a formula: mathematics, or the words between it. */
export type Piece = { text: string } | { node: Node }

const FUNCTIONS = ['sqrt', 'sin', 'cos', 'tan', 'asin', 'acos', 'atan', 'min', 'max', 'sum', 'mean', 'Phi']
/** Greek letters by their names, as formulas have them. */
export const GREEK = [
  'alpha',
  'beta',
  'delta',
  'eta',
  'lambda',
  'mu',
  'nu',
  'phi',
  'pi',
  'rho',
  'sigma',
  'tau',
  'theta',
]
/** Words that join mathematics, and are none. */
const JOINTS =
  'until|then|and|when|where|else|with|for|up to|times|of|from|by|against|the|within|past|in|it|over|both|as|on|or'
const WORDS = new RegExp(`(?:^|(?<=\\s))(${JOINTS})(?=\\s|$)`)

type Token = { is: 'number' | 'name' | 'sign'; text: string }

const NUMBER = /^\d+(?:\.\d+)?(?:e-?\d+)?/
/** A name goes on over digits, dashes and primes; a sign right behind it, without a space, belongs to it: `x+`. */
const NAME = /^[A-Za-z][A-Za-z0-9_.]*'?(?:[+-](?![\w(]))?/
const SIGN = /^(?:\+\/-|>=|<=|[-+*/^()|,=<>])/

class Unread extends Error {}

function tokensOf(text: string, symbols: readonly string[]): Token[] {
  const tokens: Token[] = []
  let rest = text.trim()
  while (rest !== '') {
    // A symbol of the calculation may be more than one word: "motor share".
    const own = symbols.find(symbol => rest.startsWith(symbol) && !/^[\w']/.test(rest.slice(symbol.length)))
    const number = NUMBER.exec(rest)?.[0]
    const name = own ?? NAME.exec(rest)?.[0].replace(/\.$/, '')
    const sign = SIGN.exec(rest)?.[0]
    const found: Token | null = number
      ? { is: 'number', text: number }
      : name
        ? { is: 'name', text: name }
        : sign
          ? { is: 'sign', text: sign }
          : null
    if (!found) throw new Unread(rest)
    if (found.is === 'name' && !own && JOINTS.split(/[| ]/).includes(found.text)) throw new Unread(found.text)
    tokens.push(found)
    rest = rest.slice(found.text.length).trimStart()
  }
  // A word may stand for a thing, as in "total = nut + bearing"; words side by side are prose.
  for (const [index, token] of tokens.entries()) {
    const isWord = token.is === 'name' && !symbols.includes(token.text) && !isSymbol(token.text)
    const beside = [tokens[index - 1], tokens[index + 1]]
    if (isWord && (tokens.length === 1 || beside.some(one => one && one.is !== 'sign')))
      throw new Unread(token.text)
  }
  return tokens
}

/** Short names are symbols, and Greek letters and functions are; longer ones are words. */
const isSymbol = (name: string) =>
  name.length <= 3 ||
  FUNCTIONS.includes(name) ||
  GREEK.includes(name.replace(/['_].*$/, '').replace(/^d(?=[A-Z])/, '')) ||
  /^[A-Za-z]{1,2}_[A-Za-z]+$/.test(name)

class Reader {
  private place = 0
  constructor(private readonly tokens: readonly Token[]) {}

  whole(): Node {
    const left = this.sum()
    const sign = this.take('=', '>=', '<=', '<', '>')
    const node: Node = sign ? { is: 'relation', left, sign, right: this.sum() } : left
    if (this.place < this.tokens.length) throw new Unread(this.tokens[this.place]?.text)
    return node
  }

  private sum(): Node {
    const first: Node = this.take('-') ? { is: 'negative', of: this.product() } : this.product()
    const of: { sign: Sign; node: Node }[] = [{ sign: '+', node: first }]
    for (let sign = this.take('+', '-', '+/-'); sign; sign = this.take('+', '-', '+/-'))
      of.push({ sign: sign as Sign, node: this.product() })
    return of.length === 1 ? first : { is: 'sum', of }
  }

  private product(): Node {
    let left = this.power()
    for (;;) {
      if (this.take('/')) left = { is: 'quotient', over: left, under: this.power() }
      else if (this.take('*') || this.startsFactor()) {
        const next = this.power()
        left = { is: 'product', of: left.is === 'product' ? [...left.of, next] : [left, next] }
      } else return left
    }
  }

  private power(): Node {
    const of = this.atom()
    if (!this.take('^')) return of
    return {
      is: 'power',
      of,
      to: this.take('-') ? { is: 'negative', of: this.atom() } : this.atom(),
    }
  }

  private atom(): Node {
    const token = this.tokens[this.place]
    if (!token) throw new Unread('the end')
    if (token.is === 'number') {
      this.place++
      return { is: 'number', text: token.text }
    }
    if (token.is === 'name') {
      this.place++
      const isCall = FUNCTIONS.includes(token.text)
      if (!isCall) return { is: 'symbol', name: token.text }
      if (!this.take('(')) return { is: 'call', name: token.text, of: [this.product()] }
      const of = [this.sum()]
      while (this.take(',')) of.push(this.sum())
      this.must(')')
      return { is: 'call', name: token.text, of }
    }
    if (this.take('(')) {
      const of = this.sum()
      this.must(')')
      return { is: 'group', of }
    }
    if (this.take('|')) {
      const of = this.sum()
      this.must('|')
      return { is: 'size', of }
    }
    throw new Unread(token.text)
  }

  private startsFactor(): boolean {
    const token = this.tokens[this.place]
    return token !== undefined && (token.is !== 'sign' || token.text === '(')
  }

  private take(...signs: string[]): string | null {
    const token = this.tokens[this.place]
    if (token?.is !== 'sign' || !signs.includes(token.text)) return null
    this.place++
    return token.text
  }

  private must(sign: string) {
    if (!this.take(sign)) throw new Unread(this.tokens[this.place]?.text ?? 'the end')
  }
}

/** Commas that stand in no bracket part a statement. */
function atCommas(text: string): string[] {
  const parts: string[] = []
  let depth = 0
  let from = 0
  for (const [place, letter] of [...text].entries()) {
    if (letter === '(') depth++
    if (letter === ')') depth--
    if (letter === ',' && depth === 0) {
      parts.push(text.slice(from, place))
      from = place + 1
    }
  }
  return [...parts, text.slice(from)].map(part => part.trim())
}

function piecesOf(untrimmed: string, symbols: readonly string[]): Piece[] {
  const text = untrimmed.trim()
  if (text === '') return []
  try {
    return [{ node: new Reader(tokensOf(text, symbols)).whole() }]
  } catch (error) {
    if (!(error instanceof Unread)) throw error
  }
  const label = /^(.+?): (.+)$/.exec(text)
  if (label)
    return [...piecesOf(label[1] as string, symbols), { text: ':' }, ...piecesOf(label[2] as string, symbols)]
  const parts = atCommas(text)
  if (parts.length > 1)
    return parts.flatMap((part, index) => [...(index > 0 ? [{ text: ',' }] : []), ...piecesOf(part, symbols)])
  const word = WORDS.exec(text)
  if (!word) return [{ text }]
  const before = text.slice(0, word.index)
  const after = text.slice(word.index + word[0].length)
  return [...piecesOf(before, symbols), { text: word[0] }, ...piecesOf(after, symbols)]
}

/**
 * Reads a formula, statement by statement; what is no mathematics stays words.
 *
 * @param symbols of the calculation's inputs and outputs
 * @returns one list of pieces for each statement
 * @example readFormula('n = v / Ph', ['n', 'v', 'Ph']).length // 1
 */
export const readFormula = (formula: string, symbols: readonly string[]): Piece[][] => {
  const longestFirst = symbols.filter(Boolean).toSorted((a, b) => b.length - a.length)
  return formula.split(';').map(statement => piecesOf(statement, longestFirst))
}
