import katex from 'katex'
import { type Piece, readFormula } from '@/core/calculation/formula'
import { textTex, toTex } from '@/core/calculation/formulaTex'
import type { Fields } from '@/core/field/field'

/** The symbols of a set of inputs or outputs. */
const symbolsOf = (fields: Fields) =>
  Object.values(fields).flatMap(field => (field.is === 'number' && field.symbol ? [field.symbol] : []))

/** The statements of a formula in pieces: mathematics, and the words between. */
export const statementsOf = (formula: string, inputs: Fields, outputs: Fields): Piece[][] =>
  readFormula(formula, [...symbolsOf(inputs), ...symbolsOf(outputs)])

/** Mathematics as MathML, by the package. */
export const mathMl = (tex: string): string =>
  katex.renderToString(`\\displaystyle ${tex}`, { output: 'mathml', throwOnError: false })

const pieceTex = (piece: Piece) => ('text' in piece ? textTex(piece.text) : toTex(piece.node))

/** Each statement of a formula as it is set in a book, its pieces as MathML. */
export const setStatements = (statements: readonly Piece[][]): string[][] =>
  statements.map(pieces => pieces.map(piece => mathMl(pieceTex(piece))))
