import { evenRandom } from '../calculation/evenRandom'
import { runs } from '../calculation/fixtures/runs'
import { skarrow } from '../demo/skarrow'
import { newId } from '../document/id'
import { CATALOGUE, NO_OWN_PARTS } from '../machine/parts'
import { CsvFileError, figureIn, readCsv, writeCsv } from './csv'
import { readFullTestCsv } from './fullTestCsv'
import { readOrdersCsv } from './ordersCsv'
import { readPartsCsv, writePartsCsv } from './partsCsv'
import { decodeText, TextFileError } from './textFile'

const cellsOf = (text: string) => readCsv(text, 100, 'rows').rows.map(({ line, cells }) => [line, ...cells])

test.each<[string, string, unknown[][]]>([
  ['commas', 'a,b\n1,2\n', [[2, '1', '2']]],
  ['a mark at the start', '\ufeffa,b\n1,2\n', [[2, '1', '2']]],
  ['a line that says what separates', 'sep=;\r\na;b\r\n1,5;x\r\n', [[3, '1.5', 'x']]],
  ['the same in quotes', '"sep=|"\na|b\n1|2\n', [[3, '1', '2']]],
  ['the minus of typesetters', 'a,b\n\u22121.5,a \u2212 b\n', [[2, '-1.5', 'a \u2212 b']]],
  ['the same with a decimal comma', 'a;b\n\u22121,5;2\n', [[2, '-1.5', '2']]],
  ['empty lines', 'a,b\n\n1,2\n\n', [[3, '1', '2']]],
])('%s are read', (_, text, rows) => {
  expect(cellsOf(text)).toEqual(rows)
})

test.each([
  ['12.5', 12.5],
  ['-.5', -0.5],
  ['1e3', 1000],
  ['0x1F', null],
  ['0b11', null],
  ['Infinity', null],
  ['1e999', null],
  ['', null],
  [' ', null],
  ['12 mm', null],
])('%j as a figure is %s', (text, value) => {
  expect(figureIn(text)).toBe(value)
})

test('headings are known however they are written, in every file that is read', () => {
  const plan = { runs: 2, targets: [] }
  expect(readFullTestCsv('TARGETMM,Way,RUN,ReadingUm\n5,UP,1,3\n', plan, newId)).toMatchObject({
    ok: true,
    taken: 1,
  })
  expect(readOrdersCsv('KEY,State\nmotor-1,Ordered\n', new Set(['motor-1'])).states).toEqual([
    { key: 'motor-1', state: 'ordered' },
  ])
  const [coupler] = CATALOGUE.coupler.values()
  if (!coupler) throw new Error('no coupler')
  const text = writePartsCsv('coupler', [{ ...coupler, id: 'own-1' }])
  const [head = '', ...rest] = text.split('\r\n')
  const read = readPartsCsv([head.toUpperCase(), ...rest].join('\r\n'), NO_OWN_PARTS, CATALOGUE)
  expect(read.good.map(({ part }) => part)).toEqual([{ ...coupler, id: 'own-1' }])
})

test('a figure in sixteens is refused at its place, not taken for another', () => {
  const plan = { runs: 2, targets: [] }
  expect(readFullTestCsv('targetMm,way,run,readingUm\n0x10,up,1,3\n', plan, newId)).toMatchObject({
    ok: false,
    problems: [{ line: 2, column: 'A targetMm', got: '0x10' }],
  })
})

test('damaged files are refused in words or read, and take no time', () => {
  const { job } = skarrow()
  const parts = writePartsCsv('motor', [...CATALOGUE.motor.values()].slice(0, 12), 'semicolon')
  const orders = writeCsv(['key', 'what', 'state'], [['motor-1', 'Spindel Ø20', 'ordered']], 'comma')
  const readers = [
    (text: string) => readPartsCsv(text, job.ownParts, CATALOGUE),
    (text: string) => readOrdersCsv(text, new Set(['motor-1'])),
    (text: string) => readFullTestCsv(text, { runs: 2, targets: [] }, newId),
  ]
  const sound = [parts, orders, 'targetMm,way,run,readingUm\n5,up,1,3\n100,down,2,\u22124\n'].map(text =>
    new TextEncoder().encode(text),
  )
  const random = evenRandom(300)
  const pick = (most: number) => Math.floor(random() * most)
  let slowest = 0
  for (let trial = 0; trial < runs(10_000, 1200); trial++) {
    const which = trial % readers.length
    const bytes = Uint8Array.from(sound[which] as Uint8Array)
    for (let hits = 1 + pick(6); hits > 0; hits--)
      bytes[pick(bytes.length)] = pick(5) === 0 ? pick(256) : 32 + pick(95)
    // Time of the processor: a machine that is busy with something else is no fault of the reader's.
    const begun = process.cpuUsage()
    try {
      const read = readers[which]?.(decodeText(bytes.slice(0, 1 + pick(bytes.length + 40))))
      expect(JSON.stringify(read)).not.toContain('\ufffd')
    } catch (error) {
      if (!(error instanceof CsvFileError || error instanceof TextFileError)) throw error
    }
    slowest = Math.max(slowest, process.cpuUsage(begun).user / 1000)
  }
  expect(slowest).toBeLessThan(2000)
})
