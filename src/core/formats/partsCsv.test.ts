import fc from 'fast-check'
import Papa from 'papaparse'
import { PART_KINDS, type PartKind } from '../document/kinds'
import { checkPart } from '../document/parts/checkPart'
import { fieldsOf } from '../document/parts/fields'
import { idFor } from '../document/parts/partId'
import type { OwnParts, PartOf } from '../document/parts/types'
import { CATALOGUE, MOST_SHOP_PARTS, NO_OWN_PARTS } from '../machine/parts'
import { CSV_STYLES, CsvFileError, type CsvStyle, tidyFigure } from './csv'
import { readPartsCsv, writePartsCsv } from './partsCsv'

const read = (text: string, own: OwnParts = NO_OWN_PARTS) => readPartsCsv(text, own, CATALOGUE)
const screw = CATALOGUE.screw.get('ball-20-5-double') as PartOf['screw']
const motor = CATALOGUE.motor.get('servo-60-400') as PartOf['motor']

/** A file of one kind, a row a part; each row may change cells of the part that it starts from. */
function fileOf(kind: PartKind, part: PartOf[PartKind], rows: Record<string, string>[]) {
  const [cells = {}] = Papa.parse<Record<string, string>>(
    writePartsCsv(kind, [part as never]).replace(/^\ufeff/, ''),
    { header: true },
  ).data
  return Papa.unparse(rows.map(row => ({ ...cells, id: '', ...row })))
}
const refusal = (text: string) => {
  try {
    read(text)
  } catch (error) {
    expect(error).toBeInstanceOf(CsvFileError)
    return (error as Error).message
  }
  return 'it was read'
}

const STYLES = Object.keys(CSV_STYLES) as CsvStyle[]

test.each(STYLES)('every part that ships reads back from its file as it stands, with %s', style => {
  for (const kind of PART_KINDS) {
    const parts = [...CATALOGUE[kind].values()]
    const file = read(writePartsCsv(kind, parts as never, style))
    expect(file).toMatchObject({ kind, wrong: [], leftOut: [] })
    expect(file.good.map(({ part }) => part)).toEqual(parts)
    expect(file.good.every(({ is }) => is === 'same')).toBe(true)
  }
})

test('a file survives a spreadsheet: no figure has the dust of binary sums, and its part is the same', () => {
  const own = { ...screw, id: 'mine', leadMm: 19.2 + 3e-15 + 1e-15 }
  expect(String(own.leadMm)).toBe('19.200000000000003')
  const text = writePartsCsv('screw', [own], 'semicolon')
  expect(text).toContain(';19,2;')
  expect(text).not.toMatch(/\d{15}/)
  expect(read(text, { ...NO_OWN_PARTS, screw: [own] }).good).toMatchObject([{ is: 'same' }])
})

test('in a file with decimal commas a point before three digits is refused with both of its readings', () => {
  const text = writePartsCsv('screw', [{ ...screw, id: 'mine', leadMm: 5.5 }], 'semicolon')
  const [problem] = read(text.replace(/(;5,5;)/, '$1').replace(/;182;/, ';1.182;')).wrong
  expect(problem).toMatchObject({ line: 2, got: '1.182 (or 1182)' })
})

test('any part that can be taken comes back from its file the same', () => {
  const text = fc.stringMatching(/^[\p{L}\p{N}][^\p{Cc}]{0,60}$/u).filter(value => value === value.trim())
  fc.assert(
    fc.property(
      text,
      text,
      fc.double({ min: 0.5, max: 50, noNaN: true }).map(tidyFigure),
      fc.double({ min: 0, max: 50_000, noNaN: true }).map(tidyFigure),
      fc.constantFrom(...STYLES),
      (name, maker, leadMm, priceEur, style) => {
        const part = { ...screw, id: 'mine', name, maker: maker.slice(0, 60).trim() || 'M', leadMm, priceEur }
        fc.pre(checkPart('screw', part).length === 0)
        const [row, ...more] = read(writePartsCsv('screw', [part], style)).good
        expect(more).toEqual([])
        expect(row).toMatchObject({ is: 'new', line: 2, part })
      },
    ),
    { numRuns: 200 },
  )
})

test('words that look like a figure with a comma stay as they were written', () => {
  const part = { ...screw, id: 'mine', name: '0', maker: '0,0', leadMm: 0.5, priceEur: 0 }
  const [row] = read(writePartsCsv('screw', [part], 'semicolon')).good
  expect(row?.part).toMatchObject({ name: '0', maker: '0,0', leadMm: 0.5 })
})

test('a new part gets an id of its name, a known one is changed, the same one stays', () => {
  const first = read(fileOf('screw', screw, [{ name: 'Bench find 20 x 5' }])).good[0]
  expect(first?.part.id).toBe('own-bench-find-20-x-5')
  const own = { ...NO_OWN_PARTS, screw: [first?.part as PartOf['screw']] }
  const { good } = read(
    fileOf('screw', screw, [
      { id: 'own-bench-find-20-x-5', name: 'Bench find 20 x 5' },
      { id: 'own-other', name: 'Other' },
    ]),
    own,
  )
  expect(good.map(({ is }) => is)).toEqual(['same', 'new'])
  const changed = read(fileOf('screw', screw, [{ id: 'own-bench-find-20-x-5', priceEur: '12' }]), own)
  expect(changed.good[0]).toMatchObject({ is: 'changed', part: { priceEur: 12 } })
  expect(idFor('Ball, screw!', new Set(['own-ball-screw']))).toBe('own-ball-screw-2')
})

test('rows that are wrong name line, column and rule, and the others can still be taken', () => {
  const file = read(
    fileOf('screw', screw, [
      { name: 'Fine one' },
      { name: 'No lead', leadMm: '0' },
      { name: 'Thick root', rootDiameterMm: '20' },
      { name: '=HYPERLINK("x")' },
      { name: 'Reckoned', priceEur: '=10*2' },
      { name: 'In words', leadMm: 'five' },
      { name: 'Twice', id: 'x1' },
      { name: 'Twice again', id: 'x1' },
      { name: 'Taken id', id: 'ball-20-5-single' },
    ]),
  )
  expect(file.good.map(({ part }) => part.name)).toEqual(['Fine one', 'Twice'])
  expect(file.wrong).toEqual([
    { line: 3, column: 'I leadMm', got: '0', takes: 'a number from 0.5 to 100 mm' },
    {
      line: 4,
      column: 'G rootDiameterMm',
      got: '20',
      takes: 'less than 20 mm, the diameter of the screw',
    },
    expect.objectContaining({ line: 5, column: 'B name', got: '=HYPERLINK("x")' }),
    expect.objectContaining({ line: 6, column: 'D priceEur', got: '=10*2' }),
    expect.objectContaining({ line: 7, column: 'I leadMm', got: 'five' }),
    { line: 9, column: 'A id', got: 'x1', takes: 'an id of its own: line 8 has this one' },
    expect.objectContaining({ line: 10, column: 'A id', got: 'ball-20-5-single' }),
  ])
  expect(file.wrong[2]?.takes).toContain('a formula is not worked out here')
})

test('a line is counted as an editor counts it, with blank lines and cells of several lines before it', () => {
  const [head, row = ''] = fileOf('screw', screw, [{ name: 'One' }]).split('\r\n')
  const file = read([head, '', row.replace('One', '"One\nbroken"'), row.replace('One', '')].join('\n'))
  expect(file.wrong.map(({ line }) => line)).toEqual([3, 5])
})

test('figures may carry a unit, a comma, or stand between semicolons', () => {
  const lead = (typed: string) => read(fileOf('screw', screw, [{ name: 'A', leadMm: typed }]))
  expect(lead('0.2 in').good[0]?.part).toMatchObject({ leadMm: 5.08 })
  expect(lead('5,5').good[0]?.part).toMatchObject({ leadMm: 5.5 })
  expect(lead('1/4 in').good[0]?.part).toMatchObject({ leadMm: 6.35 })
  expect(lead('5 kg').wrong[0]).toMatchObject({ column: 'I leadMm', got: '5 kg' })
  const semicolons = fileOf('screw', screw, [{ name: 'A', leadMm: '5,5' }])
    .replace('"5,5"', '5.5')
    .replaceAll(',', ';')
    .replace('5.5', '5,5')
  expect(read(semicolons).good[0]?.part).toMatchObject({ leadMm: 5.5 })
})

test('figures in the wrong unit are out of range, and a heading in another unit is named', () => {
  const metres = read(fileOf('screw', screw, [{ name: 'In metres', leadMm: '0.005' }]))
  expect(metres.wrong[0]).toMatchObject({ got: '0.005', takes: 'a number from 0.5 to 100 mm' })
  const kilo = read(fileOf('screw', screw, [{ name: 'In kN', staticCapacityN: '19.5' }]))
  expect(kilo.wrong[0]).toMatchObject({ got: '19.5', takes: 'a number from 200 to 3000000 N' })
  const inches = fileOf('screw', screw, [{ name: 'A' }]).replace('leadMm', 'leadIn')
  expect(refusal(inches)).toBe(
    'Line 1 lacks the column leadMm (leadIn stands there: give it in the unit of leadMm).',
  )
})

test('more cells than headings are not shifted into other fields', () => {
  const file = fileOf('screw', screw, [{ name: 'A' }])
  const { good, wrong } = read(file.replace('A,', 'A,B,C,'))
  expect(good).toEqual([])
  expect(wrong[0]?.takes).toContain('separate the columns by semicolons')
})

test('a column that is no field is left out and named', () => {
  const file = fileOf('screw', screw, [{ name: 'A', shelf: 'left' }])
  expect(read(file)).toMatchObject({ leftOut: ['shelf'], wrong: [], good: [{ part: { name: 'A' } }] })
})

test('a torque curve is read point by point, and must rise', () => {
  const curve = (typed: string) => read(fileOf('motor', motor, [{ name: 'M', curve: typed }]))
  expect(curve('0:3.8 3000:3').good[0]?.part).toMatchObject({
    curve: [
      { speedRpm: 0, torqueNm: 3.8 },
      { speedRpm: 3000, torqueNm: 3 },
    ],
  })
  expect(curve('').good[0]?.part).toMatchObject({ curve: null })
  expect(curve('0:3.8 3000:3 2000:2').wrong[0]).toMatchObject({
    line: 2,
    takes: 'speeds that rise: point 3 is at 2000 rpm, after 3000 rpm',
  })
  expect(curve('0:3.8').wrong[0]?.takes).toBe('two points or more')
  expect(curve('3.8 at 0').wrong[0]?.takes).toContain('0:2.2 600:1.9')
})

test.each([
  ['empty', '', 'The file is empty.'],
  ['of something else', 'date,note\n2026-11-02,oiled', 'Line 1 must name the fields of a part'],
  ['a picture', '\u0089PNG\u0000\u0001\u0002', 'Line 1 must name'],
  ['too large', ' '.repeat(9 * 1024 * 1024), 'The file has 9 MB; such a file has at most 8 MB'],
])('a file that is %s is refused whole', (_, text, reason) => {
  expect(refusal(text)).toContain(reason)
})

test('a file of 100,000 rows is refused, and at once', () => {
  const [head = '', row = ''] = writePartsCsv('coupler', [...CATALOGUE.coupler.values()].slice(0, 1)).split(
    '\r\n',
  )
  const long = `${head}\r\n${`${row}\r\n`.repeat(100_000)}`.slice(0, 8 * 1024 * 1024)
  expect(refusal(long)).toContain(`more than ${MOST_SHOP_PARTS} parts`)
})

test('no cell of a written file starts what a spreadsheet would run', () => {
  for (const kind of PART_KINDS) {
    const parts = [...CATALOGUE[kind].values()]
    const rows = Papa.parse<string[]>(writePartsCsv(kind, parts as never).slice(1)).data
    expect(rows.flat().filter(cell => /^[=+\-@\t\r]/.test(cell))).toEqual([])
    expect(rows[0]).toEqual(['id', ...fieldsOf(kind).map(([name]) => name)])
  }
})
