import fc from 'fast-check'
import { decodeText, ENCODINGS, TextFileError, UnsureTextError } from './textFile'

const bytes = (...given: number[]) => new Uint8Array(given)
const wide = (text: string, isBig: boolean, mark = true) => {
  const little = Buffer.from((mark ? '\ufeff' : '') + text, 'utf16le')
  return new Uint8Array(isBig ? little.swap16() : little)
}
const LINES = 'name;priceEur\r\nKugelgewindespindel Ø20;129,50\r\nΔοκιμή ±0.01;1\r\n'

test.each([
  ['UTF-8', new TextEncoder().encode(LINES)],
  ['UTF-8 with its mark', new TextEncoder().encode(`\ufeff${LINES}`)],
  ['UTF-16, little end first', wide(LINES, false)],
  ['UTF-16, big end first', wide(LINES, true)],
  ['UTF-16 without its mark', wide(LINES, false, false)],
  ['UTF-16 without its mark, big end first', wide(LINES, true, false)],
])('%s is read as it was meant', (_, file) => {
  expect(decodeText(file)).toBe(LINES)
})

test('a file that is not Unicode is asked about with a sample of each way, and read as it is said', () => {
  // "Spindel Ø20 für Fräse" as a program of ten years ago saves it.
  const file = bytes(...Buffer.from('name\nSpindel Ø20 für Fräse\n', 'latin1'))
  let asked: UnsureTextError | undefined
  try {
    decodeText(file)
  } catch (error) {
    asked = error as UnsureTextError
  }
  expect(asked).toBeInstanceOf(UnsureTextError)
  expect(Object.keys(asked?.samples ?? {})).toEqual(Object.keys(ENCODINGS))
  expect(asked?.samples['windows-1252']).toBe('Spindel Ø20 für Fräse')
  expect(asked?.samples['windows-1251']).toBe('Spindel Ш20 fьr Frдse')
  expect(decodeText(file, 'windows-1252')).toBe('name\nSpindel Ø20 für Fräse\n')
})

test('a way that has not every letter of the file is none, and the others are still asked', () => {
  // Greek has no letter at the place of Ò.
  const file = bytes(...Buffer.from('Òx', 'latin1'))
  let asked: UnsureTextError | undefined
  try {
    decodeText(file)
  } catch (error) {
    asked = error as UnsureTextError
  }
  expect(Object.keys(asked?.samples ?? {})).toEqual(['windows-1252', 'windows-1250', 'windows-1251'])
  expect(() => decodeText(file, 'windows-1253')).toThrow('letters that windows-1253 does not have')
})

test.each([
  ['a picture', bytes(0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13), 'no text'],
  ['a text that ends in half a letter', wide('Fräse', false).slice(0, -1), 'torn'],
  [
    'a text in which letters were lost before',
    new TextEncoder().encode('a\nFr\ufffdse X'),
    'Line 2 has a sign',
  ],
])('%s is refused in words', (_, file, words) => {
  expect(() => decodeText(file)).toThrow(TextFileError)
  expect(() => decodeText(file)).toThrow(words)
})

test('whatever the bytes, no letter is lost in silence', () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 200 }), file => {
      try {
        expect(decodeText(file)).not.toContain('\ufffd')
      } catch (error) {
        expect(error).toBeInstanceOf(TextFileError)
      }
    }),
  )
})
