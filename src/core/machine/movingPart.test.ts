import { inItsWord, movingPart } from './movingPart'

test.each([
  ['Table', 'table'],
  ['Quill head', 'quill head'],
  ['Cross slide', 'cross slide'],
  ['Gantry, long way', 'gantry'],
  ['Carriage across the gantry', 'carriage'],
  ['Spindle', 'spindle'],
  ['A', 'slide'],
])('%s moves its %s', (title, part) => {
  expect(movingPart({ title })).toBe(part)
  expect(inItsWord('Pull the slide. A slide stays.', { title })).toBe(`Pull the ${part}. A slide stays.`)
})
