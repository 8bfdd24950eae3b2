import DxfParser from 'dxf-parser'
import { PDFDocument } from 'pdf-lib'
import { downloads, onDisk, pickFile } from './files'
import { type Bench, withApp } from './harness'

const app = withApp()
const sheet = (title: string) => `section[aria-label="${title}"]`
const AROUND = sheet('Room around the nut')
const ORDERS = sheet('Order list')

async function atRoom(): Promise<Bench> {
  const bench = await app.openDemo()
  await bench.sheet('Room around the nut')
  return bench
}

test('the room around the nut is measured, judged, drawn, and mended by a way out', async () => {
  const bench = await atRoom()
  await bench.becomes('room.section', 'holds')
  await bench.fill('To the left, station 3', '28')
  await bench.becomes('room.section', 'close')
  await bench.sees(/must go on the left, 280 mm along the screw/, '[data-advice="room.section"]')
  await bench.page.waitForSelector(`${AROUND} [data-cut="left"]`)
  await bench.sheet('Cut list')
  await bench.sees('Relieve the left wall from 215 mm to 345 mm along the screw', sheet('Cut list'))
  await bench.sheet('Room around the nut')
  await bench.fill('Wall, left, station 3', '7')
  await bench.becomes('room.section', 'fails')
  await bench.sees('Not fit to cut', '[data-advice="room.section"]')
  await bench.sheet('Cut list')
  await bench.sees('not fit to cut', sheet('Cut list'))

  // The fitting stands above, where it is tight; on the left it would be in the way too.
  await bench.sheet('Room around the nut')
  await bench.fill('To the left, station 3', '33')
  await bench.fill('Bracket, width across the screw', '0')
  await bench.fill('Bracket, height across the screw', '0')
  await bench.fill('Stands out, part that stands out 1', '4.5')
  await bench.becomes('room.section', 'holds')
  await bench.choose('Where, part that stands out 1', 'ceiling')
  await bench.becomes('room.section', 'close')
  await bench.click('button', 'Ways out: Room around the nut')
  await bench.click('button', 'Apply: Grease fitting on the right')
  await bench.becomes('room.section', 'holds')
  expect(
    await (await bench.find('combobox', 'Where, part that stands out 1')).evaluate(
      e => (e as unknown as HTMLSelectElement).value,
    ),
  ).toBe('right')
  await bench.click('button', 'Undo it')
  await bench.becomes('room.section', 'close')
  expect(bench.errors).toEqual([])
})

test('the rail says how each sheet stands, and goes there', async () => {
  const bench = await atRoom()
  const states = () =>
    bench.page.$$eval('a[data-rail="sheet"]', all =>
      Object.fromEntries(
        all.map(one => [one.textContent, one.querySelector('svg')?.getAttribute('aria-label') ?? null]),
      ),
    )
  expect(await states()).toMatchObject({ 'Travel budget': 'Holds', Screws: 'Close', 'Cut list': null })
  await bench.fill('To the left, station 3', '20')
  await bench.becomes('room.section', 'fails')
  await bench.page.waitForSelector('a[data-rail="sheet"][aria-current] svg[aria-label="Fails"]')
  expect(await states()).toMatchObject({ 'Room around the nut': 'Fails' })
  for (const title of Object.keys(await states())) await bench.sheet(title)
  expect(bench.errors).toEqual([])
})

test('wrong figures say so beside their cell, and a station less is taken back', async () => {
  const bench = await atRoom()
  await bench.fill('To the right, station 1', 'wide')
  await bench.sees('Got “wide”. Takes a number or a fraction', AROUND)
  expect(await bench.value('To the right, station 1')).toBe('wide')
  await bench.sheet('Holes to enlarge')
  await bench.fill('Cutters at hand, mm, with semicolons between them', '16; 20; x')
  await bench.sees('Got “x”.', sheet('Holes to enlarge'))
  await bench.fill('Cutters at hand, mm, with semicolons between them', '16; 20')
  await bench.becomes('room.holes', 'fails')
  await bench.sees('no cutter at hand is so large', '[data-check="room.holes"]')
  await bench.sheet('Order list')
  await bench.sees('Hole cutter, 24 mm or a little more', ORDERS)
  await bench.axis('X')
  await bench.sheet('Room around the nut')
  await bench.click('button', 'Take out station 5')
  await bench.page.waitForFunction(
    selector => document.querySelectorAll(selector).length === 4,
    {},
    `${AROUND} [aria-label^="Station"]`,
  )
  await bench.click('button', 'Undo: Station taken out, axis X')
  await bench.page.waitForFunction(
    selector => document.querySelectorAll(selector).length === 5,
    {},
    `${AROUND} [aria-label^="Station"]`,
  )
  expect(bench.errors).toEqual([])
})

test('the nut is run along the drive line by its arrow keys and by hand', async () => {
  const bench = await atRoom()
  await bench.sheet('Travel budget')
  const nutAt = () =>
    bench.page.$eval('[data-part="nut"] rect', element => element.getBoundingClientRect().left)
  const start = await nutAt()
  await bench.page.$eval('[data-part="nut"]', element => (element as SVGElement).focus())
  for (let i = 0; i < 4; i++) await bench.page.keyboard.press('ArrowRight')
  await bench.page.waitForFunction(
    before =>
      (document.querySelector('[data-part="nut"] rect')?.getBoundingClientRect().left ?? 0) > before + 20,
    {},
    start,
  )
  const box = await (await bench.page.$('[data-part="nut"]'))?.boundingBox()
  if (!box) throw new Error('the nut is not drawn')
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await bench.page.mouse.move(x, y)
  await bench.page.mouse.down()
  await bench.page.mouse.move(x - 120, y, { steps: 6 })
  await bench.page.mouse.up()
  expect(await nutAt()).toBeLessThan(start - 20)
  // Dragging is not picking: no sheet has opened.
  expect(await bench.page.$('aside[aria-label^="Sheet"]')).toBeNull()
  await bench.sees('As it is', sheet('Travel compared'))
  // What is kept clear is hatched at both ends, and only where something is kept clear.
  const zones = () => bench.page.$$eval('[data-drive-line] [data-zone]', all => all.length)
  expect(await zones()).toBe(2)
  await bench.fill('Kept clear at the far end', '0')
  await bench.page.waitForFunction(() => document.querySelectorAll('[data-zone]').length === 1)
  expect(bench.errors).toEqual([])
})

test('block, screws and chain are judged; the chain is drawn a million times', async () => {
  const bench = await atRoom()
  await bench.sheet('Bearing block')
  await bench.becomes('room.block', 'holds')
  await bench.fill('Spacer between the outer rings', '7.9')
  await bench.becomes('room.block', 'fails')
  await bench.sees('the pair stays loose', '[data-advice="room.block"]')
  await bench.fill('Spacer between the inner rings', '7.9')
  await bench.becomes('room.block', 'close')
  await bench.sees('Shim under the spigot, onto the outer ring, with', '[data-advice="room.block"]')
  await bench.fill('Land at the other face, bearing 1', '2.32')
  await bench.sees('which calipers cannot tell apart', sheet('Bearing block'))
  await bench.sees(
    'At the shoulder: in with the face without the mark towards the cover',
    sheet('Bearing block'),
  )
  await bench.sheet('Screws')
  await bench.click('button', 'Ways out: Screws of the joints')
  await bench.click('button', 'Apply: Take screws of the right length')
  await bench.becomes('room.joints', 'holds')
  await bench.sheet('Chain of dimensions')
  await bench.fill('At most', '2.4')
  await bench.becomes('room.chain', 'close')
  await bench.sees('Shims: 4 × 0.5 mm make any thickness up to 1.8 mm', sheet('Chain of dimensions'))
  await bench.sees('5.5 mm wide and 7.3 mm long for M5', sheet('Chain of dimensions'))
  await bench.click('button', 'Draw it a million times')
  await bench.sees(/[\d.]+% of 1,000,000 fall within the limits/, sheet('Chain of dimensions'))
  await bench.sees('What drives it: Motor shaft beyond its face', sheet('Chain of dimensions'))
  expect(bench.errors).toEqual([])
})

test('a joint is changed in its place; one with slot nuts brings its nuts onto the order list', async () => {
  const bench = await atRoom()
  const screws = sheet('Screws')
  await bench.sheet('Screws')
  await bench.click('button', 'Change: Motor plate')
  await bench.fill('Depth of the thread', '4')
  await bench.becomes('room.joints', 'fails')
  await bench.sees('Motor plate: no screw that is sold holds in it', '[data-check="room.joints"]')
  await bench.click('button', 'Working of the screws')
  await bench.sees('Engagement of a screw', '[role=dialog]')
  await bench.click('button', 'Close')
  await bench.choose('It goes into a', 'slot')
  await bench.sees('5 M5 slot nuts', screws)
  await bench.becomes('room.joints', 'close')
  await bench.sheet('Order list')
  await bench.sees('Slot nuts M5, with spares', ORDERS)
  await bench.axis('X')
  await bench.sheet('Screws')
  await bench.click('button', 'Change: Motor plate')
  await bench.fill('How many', '8')
  await bench.sees('9 M5 slot nuts', screws)
  await bench.click('button', 'Take out: Motor plate')
  await bench.find('button', 'Change: Nut to its bracket')
  await bench.lacks('Motor plate', screws)
  await bench.click('button', 'Another joint with slot nuts')
  await bench.find('textbox', 'What is held')
  await bench.sees('Slot nuts 4', screws)
  expect(bench.errors).toEqual([])
})

test('template and screw are taken away in three formats that open', async () => {
  const bench = await atRoom()
  await bench.sheet('Drilling template')
  const saved = await downloads(bench.page)
  const file = async (name: string) => {
    await bench.click('button', name)
    return saved()
  }
  const dxf = await file('Save as DXF: Skarrow 8, X: nut bracket')
  const circles = (new DxfParser().parseSync(dxf.text)?.entities ?? []).filter(
    ({ type }) => type === 'CIRCLE',
  )
  expect(circles).toHaveLength(7)
  expect(circles[1]).toMatchObject({ center: { x: 0, y: 23.5 }, radius: 2.75 })
  const svg = await file('Save as SVG: Skarrow 8, X: nut bracket')
  expect(svg.name).toBe('skarrow-8-x-nut-bracket.svg')
  expect(svg.text).toMatch(/^<\?xml[\s\S]*width="[\d.]+mm"/)
  await bench.sheet('Ends of the screw')
  const pdf = await file('Save as PDF: Skarrow 8, X: screw')
  expect((await PDFDocument.load(new Uint8Array(pdf.bytes))).getPageCount()).toBe(1)
  // Its fonts are in it: the app's own came from this server.
  expect(pdf.bytes.toString('latin1')).toContain('AtkinsonHyperlegible')
  expect(bench.errors).toEqual([])
})

test('a bearing block to make asks for what it needs, and is taken away as a body', async () => {
  const bench = await atRoom()
  await bench.sheet('Bearing block')
  const saved = await downloads(bench.page)
  await bench.page.$$eval('details', all => {
    for (const one of all) if (one.textContent?.startsWith('A block to make')) one.open = true
  })
  await bench.fill('Width of the block', '')
  await bench.sees('block to make: width of the block', sheet('Bearing block'))
  await bench.fill('Width of the block', '50')
  await bench.sees(
    'It cannot be made like this. The hole of 5.5 mm, -23 mm to the right and 23 mm up, reaches over the edge',
    sheet('Bearing block'),
  )
  await bench.lacks('STL', `${sheet('Bearing block')} details[open]`)
  await bench.fill('Width of the block', '70')
  // What is saved is what is drawn.
  await bench.page.waitForFunction(() =>
    [...document.querySelectorAll('svg text')].some(({ textContent }) => textContent === '70 mm'),
  )
  await bench.click('button', 'Save as STL: Skarrow 8, X: bearing block')
  const { name, bytes } = await saved()
  expect(name).toBe('skarrow-8-x-bearing-block.stl')
  // Header, count, and fifty bytes a triangle.
  expect(bytes.length).toBe(84 + 50 * bytes.readUInt32LE(80))
  const xs = Array.from({ length: bytes.readUInt32LE(80) }, (_, index) =>
    bytes.readFloatLE(84 + 50 * index + 12),
  )
  expect([Math.min(...xs), Math.max(...xs)]).toEqual([-35, 35])
  expect(bench.errors).toEqual([])
})

test('orders are priced by a supplier that can fail, tracked, and kept', async () => {
  const bench = await atRoom()
  await bench.sheet('Order list')
  await bench.click('button', 'Ask for prices')
  await bench.sees(/It has all \d+\./, ORDERS)
  const days = () =>
    bench.page.$eval('[data-order="part:back-12"] td:nth-child(6)', cell => cell.textContent ?? '')
  await bench.page.waitForFunction(
    () => Number(document.querySelector('[data-order="part:back-12"] td:nth-child(6)')?.textContent) > 0,
  )
  const usual = Number(await days())
  expect(usual).toBeGreaterThan(0)
  await bench.choose('The supplier today', 'late')
  await bench.click('button', 'Ask for prices')
  await bench.page.waitForFunction(
    before =>
      Number(document.querySelector('[data-order="part:back-12"] td:nth-child(6)')?.textContent) > before,
    {},
    usual,
  )
  const late = await days()
  await bench.choose('The supplier today', 'has part of it')
  await bench.click('button', 'Ask for prices')
  await bench.sees(/It has \d+ of \d+; what it lacks stays as it was\./, ORDERS)
  await bench.choose('The supplier today', 'down')
  const { errors } = bench
  await bench.click('button', 'Ask for prices')
  await bench.sees('The supplier does not answer. Nothing was changed', ORDERS)
  expect([late, String(usual)]).toContain(await days())
  // The browser itself notes the refused question; nothing else went wrong.
  expect(errors.filter(error => !error.includes('/api/supplier'))).toEqual([])

  const line = 'State of Angular contact pair, back-to-back, 12 mm'
  await bench.choose(line, 'ordered')
  const saved = await downloads(bench.page)
  await bench.click('button', 'Save the list')
  const { text, name } = await saved()
  expect(name).toBe('skarrow-8-orders.csv')
  expect(text).toMatch(/part:back-12,.*,ordered,Skarrow 8,/)
  await bench.click('button', 'Save as a workbook (XLSX)')
  const book = await saved()
  expect(book.name).toBe('skarrow-8-orders.xlsx')
  // A workbook is a packed folder.
  expect(book.bytes.subarray(0, 2).toString('latin1')).toBe('PK')
  const noted = text
    .replace(/(part:back-12,.*),ordered/, '$1,arrived')
    .replace(/(use:dye,.*),arrived/, '$1,gone')
  await pickFile(bench.page, onDisk('noted.csv', noted), 'input[aria-label="Order file"]')
  await bench.sees(/lines noted\. 1 are wrong; line \d+, column J state: got gone, takes one of open/, ORDERS)
  // The list follows when what was taken in has settled.
  const state = await bench.find('combobox', line)
  await bench.page.waitForFunction(select => (select as HTMLSelectElement).value === 'arrived', {}, state)
})

test('the work sheet for the machine is a page to print', async () => {
  const bench = await atRoom()
  await bench.sheet('Cut list')
  await bench.click('link', 'Work sheet to print')
  await bench.sees('Work sheet: Skarrow 8, axis X')
  for (const text of [
    'Cuts, in this order',
    'Bore of the fixed block: bore a seat of 32 mm',
    'Whole length',
    'M8 × 35',
    'Still to come',
  ])
    await bench.sees(text)
  await bench.click('button', 'Back to making room')
  await bench.page.waitForSelector(sheet('Cut list'))
  expect(bench.errors).toEqual([])
})
