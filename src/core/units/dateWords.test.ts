import { dayWords, momentWords, setDateLocale, timeWords } from './dateWords'

afterEach(() => setDateLocale('en-GB'))

/** Noon by the clock of this machine, wherever it stands. */
const noon = new Date(2026, 10, 2, 12, 30, 15).toISOString()

test.each([
  ['en-GB', '2 Nov 2026', '2 Nov 2026 12:30', '12:30:15'],
  ['en-US', 'Nov 2, 2026', 'Nov 2, 2026 12:30 PM', '12:30:15 PM'],
  ['de-DE', '2. Nov. 2026', '2. Nov. 2026 12:30', '12:30:15'],
  ['ja-JP', '2026年11月2日', '2026年11月2日 12:30', '12:30:15'],
])('in %s a day is %s', (locale, day, moment, time) => {
  setDateLocale(locale)
  const plain = (text: string) => text.replace(/\u202f/g, ' ')
  expect(plain(dayWords(noon))).toBe(day)
  expect(plain(momentWords(noon))).toBe(moment)
  expect(plain(timeWords(noon))).toBe(time)
})
