import { choice, length, words } from './field'
import { readPastedRows } from './pasted'

const FIELDS = {
  label: words('Hole', 10),
  diameterMm: length('Hole as it is', [1, 100]),
  depthMm: length('Depth', [0, 500], { orNone: true }),
  use: choice('Use', ['clearance', 'seat'], { words: { seat: 'a seat' } }),
}

test('lines and columns go into the columns from one on, in the units of the job', () => {
  expect(
    readPastedRows(
      FIELDS,
      'diameterMm',
      [
        ['1/2', '', 'a seat'],
        ['12,7 mm', '30 mm', 'Clearance'],
      ],
      'inch',
    ),
  ).toEqual({
    ok: true,
    rows: [
      { diameterMm: 12.7, depthMm: null, use: 'seat' },
      { diameterMm: 12.7, depthMm: 30, use: 'clearance' },
    ],
  })
})

test.each([
  ['diameterMm', [['12'], ['wide']], 'Line 2 of what was pasted, hole as it is: Got “wide”. Takes a number'],
  ['diameterMm', [['500']], 'Got “500”. Takes 1 mm to 100 mm. Nothing was taken.'],
  ['diameterMm', [['']], 'Got “”. Takes a number.'],
  ['use', [['slot']], 'Got “slot”. Takes clearance, a seat.'],
  ['use', [['seat', '5']], 'has 2 columns; there are 1 from here on'],
  ['label', [['a name that is too long']], 'Takes 1 to 10 characters'],
])('from %s on, %j is refused as a whole, and the place is told', (from, cells, says) => {
  const read = readPastedRows(FIELDS, from, cells, 'mm')
  expect(read).toMatchObject({ ok: false, message: expect.stringContaining(says) })
})
