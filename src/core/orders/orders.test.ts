import fc from 'fast-check'
import Papa from 'papaparse'
import { demoJobs } from '../demo'
import { applyChange, runEdit, takeBack } from '../document/edit'
import type { Job } from '../document/job'
import { ORDER_STATES } from '../document/job'
import { CSV_STYLES, type CsvStyle, tableCsv } from '../formats/csv'
import { ordersTable, readOrdersCsv } from '../formats/ordersCsv'
import { catalogueOf } from '../machine/parts'
import { jobSchema } from '../sheets/schema'
import { setOrderStates, takeQuotes } from './orderEdits'
import { neededItems, orderList, withSpares } from './orders'
import { answerSupplier, answerText, LONGEST_QUESTION, MOODS, quotesFor } from './supplier'

const jobs = demoJobs().map(({ job }) => job)
const [skarrow, , longTom] = jobs as [Job, Job, Job]
const listOf = (job: Job) => orderList(job, catalogueOf(job))
const line = (job: Job, key: string) => listOf(job).find(one => one.key === key)
const stamp = { id: 'c', at: '2026-11-25T09:00:00.000Z' }

describe('the order list', () => {
  test('has every chosen part once, for each screw of its axes', () => {
    expect(line(skarrow, 'part:ball-20-5-double')).toMatchObject({
      count: 2,
      axes: ['X', 'Y'],
      neededBy: 'build',
      state: 'arrived',
    })
    expect(line(longTom, 'part:ball-25-10-single')).toMatchObject({ count: 2, axes: ['X'] })
    for (const job of jobs) {
      const keys = listOf(job).map(({ key }) => key)
      expect(new Set(keys).size).toBe(keys.length)
    }
  })

  test('has screws that are lacking, with spares, and none that came with the part and hold', () => {
    // Four of the fixed block came with it and hold; the two of the far block and four of the plate must be bought.
    const screws = listOf(skarrow).filter(({ key }) => key.startsWith('screw:'))
    expect(screws.map(({ key, count }) => [key, count])).toEqual(
      expect.arrayContaining([
        ['screw:M8 x 35 8.8', 3],
        ['screw:M5 x 25 8.8', 7],
      ]),
    )
    expect(screws.some(({ key }) => key.startsWith('screw:M8 x 40'))).toBe(false)
    expect([1, 4, 10, 11, 40].map(withSpares)).toEqual([2, 5, 11, 13, 44])
  })

  test('has a tap for each thread that is cut, and nuts instead where screws go into slots', () => {
    const router = longTom
    const items = neededItems(router, catalogueOf(router))
    const of = (key: string) => items.find(item => item.key === key)
    // Sixteen screws into slot nuts, and spares.
    expect(of('nut:M6')).toMatchObject({ count: 18, neededBy: 'build', axes: ['X'] })
    expect(of('tap:M6')).toMatchObject({ count: 1, neededBy: 'room', axes: ['X', 'Y'] })
    const [x] = router.axes
    if (!x) throw new Error('the demo has no axis')
    const slotsOnly = { ...x, joints: x.joints.filter(one => one.slotNuts) }
    const fewer = neededItems({ ...router, axes: [slotsOnly] }, catalogueOf(router))
    expect(fewer.some(({ key }) => key.startsWith('tap:'))).toBe(false)
  })

  test('has bar for each bung that guides a pilot drill, and none for a hole that is not there yet', () => {
    expect(line(skarrow, 'bar:25.4')).toMatchObject({ count: 1, neededBy: 'room', axes: ['X'] })
    const [axis] = skarrow.axes
    const [hole] = axis?.holes ?? []
    if (!axis || !hole) throw new Error('the demo has no hole')
    const withHoles = (holes: (typeof hole)[]): Job => ({
      ...skarrow,
      axes: [{ ...axis, holes }],
    })
    expect(line(withHoles([hole, { ...hole, id: 'another', label: 'Another' }]), 'bar:25.4')?.count).toBe(2)
    const keys = listOf(withHoles([{ ...hole, existingDiameterMm: 0 }])).map(({ key }) => key)
    expect(keys.filter(key => key.startsWith('bar:'))).toEqual([])
  })

  test('has a cutter where no cutter at hand will do', () => {
    const poor: Job = { ...skarrow, shop: { ...skarrow.shop, cutterSizesMm: [16] } }
    // The seat can be bored; only what something passes through needs a cutter.
    expect(
      neededItems(poor, catalogueOf(poor)).flatMap(({ key }) => (key.startsWith('cutter:') ? key : [])),
    ).toEqual(['cutter:24'])
    expect(neededItems(skarrow, catalogueOf(skarrow)).some(({ key }) => key.startsWith('cutter:'))).toBe(
      false,
    )
  })

  test('has shim stock where none at hand makes what a block is short of', () => {
    const [axis] = skarrow.axes
    const block = axis?.block
    if (!axis || !block) throw new Error('the demo has no block')
    const loose: Job = {
      ...skarrow,
      shop: { ...skarrow.shop, shimStockMm: [0.5] },
      axes: [{ ...axis, block: { ...block, outerSpacerMm: 7.94 } }],
    }
    expect(neededItems(loose, catalogueOf(loose)).map(({ key }) => key)).toContain('shim:0.05')
    expect(neededItems(skarrow, catalogueOf(skarrow)).some(({ key }) => key.startsWith('shim:'))).toBe(false)
  })

  test('keeps states and prices through undo, and the document stays valid', () => {
    const quotes = quotesFor(listOf(skarrow), 'as usual')
    const { job: priced } = runEdit(skarrow, takeQuotes(quotes), stamp)
    expect(listOf(priced).every(({ leadDays }) => leadDays !== null)).toBe(true)
    const ordered = runEdit(
      priced,
      setOrderStates([{ key: 'part:back-12', what: 'Bearings', state: 'ordered' }]),
      stamp,
    )
    expect(line(ordered.job, 'part:back-12')).toMatchObject({
      state: 'ordered',
      leadDays: expect.any(Number),
    })
    expect(takeBack(ordered.job, ordered.change)).toEqual(priced)
    expect(applyChange(priced, ordered.change)).toEqual(ordered.job)
    expect(() => jobSchema.validateSync(ordered.job, { strict: true })).not.toThrow()
    expect(() =>
      jobSchema.validateSync(
        { ...skarrow, orders: { 'part:x': { state: 'lost', priceEur: 1, leadDays: 1, dueDay: null } } },
        { strict: true },
      ),
    ).toThrow('orders.part:x.state')
  })
})

describe('the made-up supplier', () => {
  const items = listOf(skarrow)

  test('answers the same every time, and a part at about the price of its sheet', () => {
    expect(quotesFor(items, 'as usual')).toEqual(quotesFor(items, 'as usual'))
    const screw = quotesFor(items, 'as usual').find(({ key }) => key === 'part:ball-20-5-double')
    expect(screw?.priceEur).toBeGreaterThanOrEqual(182 * 0.9)
    expect(screw?.priceEur).toBeLessThanOrEqual(182 * 1.1)
  })

  test('is late, has part of it, or is down', () => {
    const usual = quotesFor(items, 'as usual')
    for (const [index, quote] of quotesFor(items, 'late').entries())
      expect(quote.leadDays).toBeGreaterThan(usual[index]?.leadDays ?? 0)
    const some = quotesFor(items, 'has part of it')
    expect(some.length).toBeGreaterThan(0)
    expect(some.length).toBeLessThan(items.length)
    const asked = items.map(({ key, sheetEur }) => ({ key, sheetEur }))
    expect(answerSupplier({ mood: 'down', items: asked })).toMatchObject({ status: 503 })
    expect(answerSupplier({ mood: 'as usual', items: asked })).toEqual({
      status: 200,
      body: { quotes: usual },
    })
  })

  test.each([
    undefined,
    null,
    5,
    {},
    { mood: 'glad', items: [] },
    { mood: MOODS[0], items: [{ key: 1 }] },
    { mood: MOODS[0], items: new Array(501).fill({ key: 'a', sheetEur: null }) },
  ])('says what is wrong with the question %j', asked => {
    const { status, body } = answerSupplier(asked)
    expect(status).toBe(400)
    expect('error' in body && body.error.length).toBeGreaterThan(5)
  })
})

describe('an order list as a file', () => {
  const lines = listOf(skarrow)
  const known = new Set(lines.map(({ key }) => key))

  test('comes back with the states that were noted in it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...ORDER_STATES), { minLength: lines.length, maxLength: lines.length }),
        fc.constantFrom(...(Object.keys(CSV_STYLES) as CsvStyle[])),
        (states, style) => {
          const noted = lines.map((one, index) => ({ ...one, state: states[index] ?? 'open' }))
          expect(
            readOrdersCsv(tableCsv(ordersTable(noted, 'Skarrow 8', '2026-11-26'), style), known),
          ).toEqual({
            states: noted.map(({ key, state }) => ({ key, state })),
            wrong: [],
          })
        },
      ),
      { numRuns: 20 },
    )
  })

  test('says of which machine it is, from which day, how long each screw is, and what all of it costs', () => {
    const text = tableCsv(ordersTable(lines, 'Skarrow 8', '2026-11-26'), 'semicolon')
    const rows = Papa.parse<Record<string, string>>(text.replace('\ufeff', ''), {
      header: true,
      delimiter: ';',
      skipEmptyLines: true,
    }).data
    expect(new Set(rows.map(({ machine, date }) => `${machine} ${date}`))).toEqual(
      new Set(['Skarrow 8 2026-11-26']),
    )
    const figure = (text = '') => Number(text.replace(',', '.'))
    const last = rows.at(-1)
    expect(last?.what).toMatch(/^Total, without \d+ of unknown price$/)
    const priced = rows.slice(0, -1).filter(({ priceEur }) => priceEur !== '')
    expect(figure(last?.sumEur)).toBeCloseTo(
      priced.reduce((sum, { priceEur, count }) => sum + figure(priceEur) * Number(count), 0),
      6,
    )
    // As the sheet of its ends draws it: 20.5 + 13 + 44 + 548.2 + 14.
    expect(rows.find(({ lengthsMm }) => lengthsMm !== '')?.lengthsMm).toContain('X 639.7')
  })

  test('has no cell that a spreadsheet would run, and says which line is wrong', () => {
    const hostile = [{ ...(lines[0] as (typeof lines)[number]), what: '=cmd()' }]
    expect(tableCsv(ordersTable(hostile, '=8', '2026-11-26'))).toContain("'=cmd()")
    const text = tableCsv(ordersTable(lines, 'Skarrow 8', '2026-11-26'))
      .replace(',arrived', ',lost')
      .replace('part:back-12', 'part:nowhere')
    const { states, wrong } = readOrdersCsv(text, known)
    expect(states).toHaveLength(lines.length - 2)
    expect(wrong).toEqual([
      {
        line: 2,
        column: 'J state',
        got: 'lost',
        takes: 'one of open, ordered, arrived, missing',
      },
      expect.objectContaining({ got: 'part:nowhere', takes: 'a key of this list' }),
    ])
    expect(() => readOrdersCsv(' '.repeat(9 * 1024 * 1024), known)).toThrow('The file has 9 MB')
    expect(() => readOrdersCsv('key,state\n'.repeat(5002), known)).toThrow('more than 5000 rows')
    expect(readOrdersCsv('key;state\nuse:dye;Ordered\nuse:dye;open\n', known)).toEqual({
      states: [{ key: 'use:dye', state: 'ordered' }],
      wrong: [{ line: 3, column: 'A key', got: 'use:dye', takes: 'each key once: line 2 has this one' }],
    })
    expect(() => readOrdersCsv('a,b\n1,2', known)).toThrow('Line 1 must name the columns key and state')
  })
})

test('a question over the wire is JSON, within bounds, and answered with what is wrong where it is not', () => {
  const sound = JSON.stringify({ mood: 'as usual', items: [{ key: 'constructor:x', sheetEur: null }] })
  const answer = answerText('application/json; charset=utf-8', sound)
  expect(answer.status).toBe(200)
  // A name that every object has is a thing like any other.
  expect(answer.body).toMatchObject({ quotes: [{ key: 'constructor:x', priceEur: expect.any(Number) }] })
  expect(answerText('text/plain', sound).status).toBe(415)
  expect(answerText(null, sound).status).toBe(415)
  expect(answerText('application/json', ' '.repeat(LONGEST_QUESTION + 1)).status).toBe(413)
  expect(answerText('application/json', '{').status).toBe(400)
  expect(answerText('application/json', '').status).toBe(400)
  expect(answerText('application/json', `${'['.repeat(5000)}${']'.repeat(5000)}`)).toMatchObject({
    status: 400,
    body: { error: expect.stringContaining('levels') },
  })
  expect(answerText('application/json', '{"__proto__":{}}').status).toBe(400)
})
