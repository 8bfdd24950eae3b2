import fc from 'fast-check'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import type { FullTest } from '../sheets/fullTest/model'
import { CsvFileError, writeCsv } from './csv'
import { readFullTestCsv, writeFullTestCsv } from './fullTestCsv'

const [X] = skarrow().job.axes as [Axis]
const [demo] = X.fullTests as [FullTest]
const empty: FullTest = {
  ...demo,
  targets: demo.targets.map(target => ({ ...target, positiveUm: [], negativeUm: [] })),
}
const ids = () => {
  let id = 0
  return () => `made-${++id}`
}
const bare = (targets: FullTest['targets']) =>
  targets.map(({ targetMm, positiveUm, negativeUm }) => ({ targetMm, positiveUm, negativeUm }))
const taken = (text: string, test = empty) => {
  const read = readFullTestCsv(text, test, ids())
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  return read
}

test.each(['comma', 'semicolon', 'tab'] as const)('what is written with %s comes back as it was', style => {
  const { targets, runs, taken: count } = taken(writeFullTestCsv(demo, 'mm', style))
  expect(bare(targets)).toEqual(bare(demo.targets))
  expect([runs, count]).toEqual([5, 70])
})

test('a figure keeps its sign, with either mark for its decimals, and what a spreadsheet would run is disarmed', () => {
  const cells = (style: 'comma' | 'semicolon') =>
    writeCsv(['a'], [[-5.5], [1e-7], ['=1+1'], ['-x'], ['@sum']], style)
      .split('\r\n')
      .slice(1, 6)
  expect(cells('comma')).toEqual(['-5.5', '1e-7', `"'=1+1"`, `"'-x"`, `"'@sum"`])
  expect(cells('semicolon')[0]).toBe('-5,5')
})

test('in inches it comes back to a thousandth of a micrometre', () => {
  const text = writeFullTestCsv(demo, 'inch', 'comma')
  expect(text.slice(1, 40)).toContain('targetIn,way,run,readingThou')
  for (const [index, { targetMm, positiveUm }] of taken(text).targets.entries()) {
    expect(targetMm).toBeCloseTo(demo.targets[index]?.targetMm as number, 6)
    for (const [run, um] of positiveUm.entries())
      expect(um).toBeCloseTo(demo.targets[index]?.positiveUm[run] as number, 3)
  }
})

test('a file of another bench, in its own units and order, brings its targets while nothing is read here', () => {
  const { targets, runs } = taken('run;way;targetIn;readingMm\n1;down;2;0,004\n1;up;2;0,006\n1;up;1;0,005\n')
  expect(runs).toBe(2)
  expect(bare(targets)).toEqual([
    { targetMm: 25.4, positiveUm: [5], negativeUm: [] },
    { targetMm: 50.8, positiveUm: [6], negativeUm: [4] },
  ])
})

test('once something is read, its readings go to the targets that stand, in place of what is there', () => {
  const first = demo.targets[0]?.targetMm as number
  const { targets } = taken(`targetMm,way,run,readingUm\n${first},up,2,77\n`, demo)
  expect(targets[0]?.positiveUm).toEqual([23, 77, 22, 23, 24])
  expect(demo.targets[0]?.positiveUm[1]).toBe(23)
  expect(() => taken('targetMm,way,run,readingUm\n33,up,1,5\n', demo)).toThrow(/33 mm, which is no target/)
})

test('what is wrong is said with its line and column, and nothing is taken', () => {
  const read = readFullTestCsv(
    'targetMm,way,run,readingUm\n5,up,1,6\nfar,up,1,6\n5,left,1,6\n5,up,0,6\n5,up,1.5,6\n5,up,2,90000000\n',
    empty,
    ids(),
  )
  expect(read).toMatchObject({
    ok: false,
    problems: [
      { line: 3, column: 'A targetMm', got: 'far' },
      { line: 4, column: 'B way', takes: 'up or down' },
      { line: 5, column: 'C run' },
      { line: 6, column: 'C run' },
      { line: 7, column: 'D readingUm' },
    ],
  })
  for (const [text, said] of [
    ['', 'empty'],
    ['a,b\n1,2\n', 'must name the columns'],
    ['targetMm,way,run,readingUm\n', 'no readings'],
    ['targetMm,way,run,readingUm\n5,up,2,6\n', 'run 2 without run 1'],
    ['targetMm,way,run,readingUm\n5,up,1,6\n5,up,1,7\n', 'twice'],
  ] as const)
    expect(() => readFullTestCsv(text, empty, ids())).toThrow(said)
})

test('no text breaks it: it is read, refused as a whole, or refused by lines', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 200 }), text => {
      try {
        const read = readFullTestCsv(`targetMm,way,run,readingUm\n${text}`, empty, ids())
        expect(typeof read.ok).toBe('boolean')
      } catch (error) {
        expect(error).toBeInstanceOf(CsvFileError)
      }
    }),
  )
})
