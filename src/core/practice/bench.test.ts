import { blankRecord } from '../field/field'
import { gaugeLineUm } from '../units/gaugeLine'
import { BENCH_FIELDS, Benches, type BenchSetup, MOST_LINES, PracticeBench } from './bench'
import { answerBench, type BenchRequest, LONGEST_BODY } from './benchRequests'

const BLANK = blankRecord(BENCH_FIELDS) as BenchSetup
const readUm = (bench: PracticeBench) => gaugeLineUm(bench.read(), 'um') as number

test('a program moves it, and the gauge reads what is lost at a reversal', () => {
  const lost = (playUm: number) => {
    const bench = new PracticeBench({ ...BLANK, playUm })
    expect(bench.send('G21 G90 G94\nG1 X90 F500\nG1 X100 F500\nG4 P1\n')).toEqual(['ok', 'ok', 'ok', 'ok'])
    expect(bench.read(true)).toBe('+0.0000 mm')
    expect(bench.send('G1 X110 F500\nG1 X100 F500')).toEqual(['ok', 'ok'])
    return readUm(bench)
  }
  // Coming down it stands higher by the play, and by what friction winds up.
  expect(lost(40) - lost(0)).toBeGreaterThan(35)
  expect(lost(40) - lost(0)).toBeLessThan(45)
})

test('every line is answered: what is refused says why and changes nothing, an alarm is cleared', () => {
  const bench = new PracticeBench(BLANK)
  expect(bench.send('G1 X10 F100\nG7 X1\n?')).toEqual([
    'ok',
    'error: line 2 does not know G7',
    'idle X10.000',
  ])
  const [alarm, after] = bench.send('G1 X1000\nG1 X20')
  expect(alarm).toMatch(/^alarm: line 3 X would go to 1000\.000 mm/)
  expect(after).toMatch(/^error: line 4 stands in an alarm/)
  expect(bench.send('!\nG1 X20\n?')).toEqual(['ok', 'ok', 'idle X20.000'])
  expect(bench.send('?\n'.repeat(MOST_LINES + 1))).toEqual([
    `error: got ${MOST_LINES + 1} lines, takes up to ${MOST_LINES} at a time`,
  ])
})

test('a bench runs for a day of its own and no longer', () => {
  const bench = new PracticeBench(BLANK)
  expect(bench.send('G4 P50000\nG4 P50000\nG4 P1')).toEqual([
    'ok',
    'ok',
    'error: this bench has run for a day: open another',
  ])
})

describe('over a line', () => {
  let next = 0
  const asking =
    (benches: Benches) =>
    (method: string, id: string | null, body = '', nowMs = 0, isZeroed = false) =>
      answerBench(benches, { method, id, body, isZeroed } satisfies BenchRequest, () => `b${next++}`, nowMs)

  test('one is opened, given a program, and read', () => {
    const ask = asking(new Benches())
    const { status, text } = ask('POST', null, '{ "playUm": 20 }')
    expect(status).toBe(201)
    const id = text.trim()
    expect(ask('POST', id, 'G1 X50 F600\n?').text).toBe('ok\nidle X50.000\n')
    expect(ask('GET', id, '', 0, true).text).toBe('+0.0000 mm\n')
    expect(ask('PUT', id).status).toBe(405)
    expect(ask('GET', 'another').status).toBe(404)
  })

  test.each([
    ['{ "playUm": -1 }', 'error: playUm: got -1, takes a number from 0 to 1000 um\n'],
    [
      '{ "colour": 1 }',
      'error: colour: got 1, takes one of travelMm, leadMm, playUm, stepUm, topSpeedMmPerMin, seed\n',
    ],
    ['[]', 'error: body: got [], takes an object\n'],
    ['{', 'error: body: got "{", takes JSON, or nothing\n'],
  ])('%s is refused with what is taken', (body, text) => {
    expect(asking(new Benches())('POST', null, body)).toEqual({ status: 422, text })
  })

  test('bodies, benches and their rest are bounded', () => {
    const ask = asking(new Benches(2, 1000))
    expect(ask('POST', null, ' '.repeat(LONGEST_BODY + 1)).status).toBe(413)
    const open = (nowMs: number) => ask('POST', null, '', nowMs).text.trim()
    const [one, two] = [open(0), open(1)]
    // The one that was used last stays.
    expect(ask('GET', one, '', 2).status).toBe(200)
    const three = open(3)
    expect([one, two, three].map(id => ask('GET', id, '', 4).status)).toEqual([200, 404, 200])
    expect(ask('GET', one, '', 1003).status).toBe(200)
    expect(ask('GET', three, '', 1500).status).toBe(404)
  })
})
