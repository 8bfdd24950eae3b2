import { unitWords } from './unitWords'

test.each([
  ['um', 'µm'],
  ['N/um', 'N/µm'],
  ['deg', '°'],
  ['m/s2', 'm/s²'],
  ['kg m2', 'kg·m²'],
  ['N m/rad', 'N·m/rad'],
  ['MPa m/min', 'MPa·m/min'],
  ['mm', 'mm'],
  ['1/K', '1/K'],
  ['1', ''],
])('%s is written %s', (unit, words) => {
  expect(unitWords(unit)).toBe(words)
})
