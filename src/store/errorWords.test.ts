import { errorWords } from './errorWords'

test.each([
  [
    new DOMException('Failed to execute requestPort', 'NotFoundError'),
    'It is not there any more, or none was chosen.',
  ],
  [new DOMException('0x8007', 'EncodingError'), 'The app made a mistake there; it was not you.'],
  [
    new TypeError("Cannot read properties of undefined (reading 'x')"),
    'The app made a mistake there; it was not you.',
  ],
  [new Error('The port sends nothing.'), 'The port sends nothing.'],
  ['odd', 'odd'],
  [{}, 'The app made a mistake there; it was not you.'],
])('%s is said in words', (error, words) => {
  expect(errorWords(error)).toBe(words)
})
