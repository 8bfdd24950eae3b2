import { explained, termsIn } from './terms'
import { TERM_WORDS } from './termWords'

test('words of the trade are found once each, in any case and number, and nothing else is changed', () => {
  const text = 'Gibs and the gib; a ball nut on its ways. The lead of the way that leads.'
  expect(
    explained(text)
      .map(({ text: part }) => part)
      .join(''),
  ).toBe(text)
  expect(termsIn(text)).toEqual(['ball nut', 'gib', 'lead', 'ways'])
})

test('a word inside another is not the word', () => {
  expect(termsIn('leading, always, a way to hold it, shimmer, misaligned')).toEqual([])
})

test('every term is explained in a sentence, without itself alone', () => {
  for (const [term, words] of Object.entries(TERM_WORDS)) {
    expect(words).toMatch(/^[A-Z].{20,}\.$/)
    expect(term).toBe(term.toLowerCase())
  }
})
