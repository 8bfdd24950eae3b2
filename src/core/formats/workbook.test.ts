import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { skarrow } from '../demo/skarrow'
import { catalogueOf } from '../machine/parts'
import { orderList } from '../orders/orders'
import { ordersTable } from './ordersCsv'
import { type Table, writeWorkbook } from './workbook'

/** What another program reads in a workbook: its sheets, each row by row. */
async function readBack(tables: readonly Table[]): Promise<Record<string, (string | number | null)[][]>> {
  const path = join(mkdtempSync(join(tmpdir(), 'dusk-book-')), 'book.xlsx')
  writeFileSync(path, await writeWorkbook(tables))
  const script =
    'import json,sys,openpyxl\nb=openpyxl.load_workbook(sys.argv[1])\nprint(json.dumps({s.title:[[c.value for c in r] for r in s.rows] for s in b}))'
  const { stdout, stderr } = spawnSync('/usr/bin/python3', ['-W', 'ignore', '-c', script, path], {
    encoding: 'utf8',
  })
  expect(stderr).toBe('')
  return JSON.parse(stdout)
}

test('another program reads the order list: figures as figures, words as words, whatever stands in them', async () => {
  const { job } = skarrow()
  const table = ordersTable(orderList(job, catalogueOf(job)), 'Skarrow 8', '2026-12-01')
  const odd: Table = {
    name: 'A/B: [x]?*'.repeat(9),
    fields: ['what', 'sum'],
    rows: [
      ['=cmd()', 12.5],
      ['Фрезер Φρέζα 铣床', -3],
      ['', null],
    ],
  }
  const book = await readBack([table, odd])
  const [orders = [], other = []] = Object.values(book)
  expect(Object.keys(book).every(name => name.length <= 31)).toBe(true)
  expect(orders[0]).toEqual(table.fields)
  expect(orders).toHaveLength(table.rows.length + 1)
  const price = table.fields.indexOf('priceEur')
  expect(orders.slice(1).map(row => row[price])).toEqual(table.rows.map(row => row[price]))
  expect(other.slice(1, 3)).toEqual([
    ['=cmd()', 12.5],
    ['Фрезер Φρέζα 铣床', -3],
  ])
})
