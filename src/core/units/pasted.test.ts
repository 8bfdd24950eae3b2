import { readPasted } from './pasted'

const WITHIN = { min: -1000, max: 1000 }

test('a pasted column is read in the unit of its table, commas and units of its own too', () => {
  expect(readPasted(['5', '5,5', '', '-0.002 mm', '1 thou'], 'um', WITHIN)).toEqual({
    ok: true,
    valuesUm: [5, 5.5, null, -2, 25.4],
  })
  expect(readPasted(['0.5'], 'thou', WITHIN)).toEqual({ ok: true, valuesUm: [12.7] })
})

test('one line that cannot be read, or lies beyond all sense, says which, and nothing is taken', () => {
  expect(readPasted(['5', 'five'], 'um', WITHIN)).toMatchObject({
    ok: false,
    message: expect.stringMatching(/^Line 2 of what was pasted: Got “five”\. .*Nothing was taken\.$/),
  })
  expect(readPasted(['5', '2'], 'mm', WITHIN)).toEqual({
    ok: false,
    message: 'Line 1 of what was pasted: got 5, takes -1 to 1 mm. Nothing was taken.',
  })
})
