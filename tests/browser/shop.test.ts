import { downloads, pickFile } from './files'
import { Bench, withApp } from './harness'

// Making room at the machine: in inches, from nothing, in two tabs, with the keyboard, and kept.

const app = withApp()
const sheet = (title: string) => `section[aria-label="${title}"]`
const here = (bench: Bench) => new URL(bench.page.url()).pathname
const AROUND = sheet('Room around the nut')

async function atRoom(start: (bench: Bench) => Promise<unknown>): Promise<Bench> {
  const bench = await app.open()
  await start(bench)
  await bench.sheet('Room around the nut')
  return bench
}
const demo = (bench: Bench) => bench.openDemo()

/** Waits until the room around the nut is measured at as many places. */
const places = (bench: Bench, count: number) =>
  bench.page.waitForFunction(
    (of, wanted) => document.querySelectorAll(`${of} [aria-label^="Station"]`).length === wanted,
    { timeout: 10_000 },
    AROUND,
    count,
  )

test('a new job asks for what it lacks, sheet by sheet, and starts each from nothing', async () => {
  const bench = await atRoom(one => one.startJob('Barn mill'))
  await bench.sees('Nothing is measured yet: whether the nut fits is not known.', AROUND)
  for (const title of ['Travel budget', 'Cut list', 'Ends of the screw']) {
    await bench.sheet(title)
    await bench.sees('Choose a screw and its nut first.', sheet(title))
  }
  await bench.sheet('Room around the nut')
  expect(await bench.page.$('[data-check="room.section"]')).toBeNull()
  await bench.click('button', 'Another place along the screw')
  await places(bench, 1)
  await bench.sees('Choose a screw and its nut first.', AROUND)
  await bench.sheet('Holes to enlarge')
  await bench.click('button', 'Another hole')
  // What was just added is empty: nothing holds and nothing fails before it is measured.
  await bench.becomes('room.holes', 'unknown')
  await bench.sees('still to enter, hole as it is', sheet('Holes to enlarge'))
  expect(await bench.value('Hole as it is, hole 1')).toBe('')
  await bench.sheet('Bearing block')
  await bench.click('button', 'Measure the block')
  await bench.becomes('room.block', 'unknown')
  await bench.sees('Enter first: bearing block: depth of the bore', sheet('Bearing block'))
  expect(await bench.value('Depth of the bore')).toBe('')
  await bench.sheet('Screws')
  await bench.click('button', 'Another joint')
  await bench.becomes('room.joints', 'unknown')
  await bench.sees('to enter: grip', sheet('Screws'))
  await bench.sheet('Chain of dimensions')
  await bench.click('button', 'Another link')
  await bench.becomes('room.chain', 'unknown')
  for (const label of ['Link added', 'Joint added', 'Bearing block', 'Hole added', 'Station added'])
    await bench.click('button', `Undo: ${label}, axis X`)
  await bench.sheet('Room around the nut')
  await bench.sees('Nothing is measured yet', AROUND)
  expect(bench.errors).toEqual([])
})

test('in inches, fractions go in and every word of the stage comes out in inches', async () => {
  const bench = await atRoom(one => one.openDemo())
  await bench.click('button', 'Units: mm. Switch to inch')
  await bench.find('button', 'Units: inch. Switch to mm')
  await bench.fill('To the left, station 3', '1 1/16')
  expect(await bench.value('To the left, station 3')).toBe('1.0625')
  await bench.becomes('room.section', 'close')
  // 1 1/16 in is 26.99 mm; half a bracket of 60 mm and a gap of 1.5 mm leave 4.51 mm to cut.
  await bench.sees('0.178 in must go on the left', '[data-advice="room.section"]')
  await bench.sheet('Cut list')
  await bench.sees('Relieve the left wall from 8.4646 in to 13.5827 in along the screw', sheet('Cut list'))
  await bench.sees('Bore of the fixed block: bore a seat of 1.2598 in', sheet('Cut list'))
  await bench.sheet('Holes to enlarge')
  await bench.fill('Cutters at hand, in, with semicolons between them', '1 1/4; 1.5')
  await bench.sees('the cutter of 1.25 in opens it', sheet('Holes to enlarge'))
  // Millimetres stand only beside a field, as its other unit.
  for (const title of ['Travel budget', 'Cut list', 'Holes to enlarge', 'Room around the nut']) {
    await bench.sheet(title)
    expect((await bench.text(sheet(title))).replace(/^= .*$/gm, '')).not.toMatch(/\d mm\b/)
  }
  expect(bench.errors).toEqual([])
})

test('what is made is kept over a reload, with its undo, and goes with the job into its file and back', async () => {
  const bench = await atRoom(demo)
  await bench.fill('To the left, station 3', '20')
  await bench.becomes('room.section', 'fails')
  await bench.sheet('Screws')
  await bench.click('button', 'Change: Motor plate')
  await bench.choose('It goes into a', 'slot')
  await bench.sheet('Order list')
  await bench.choose('State of Marking dye and scriber', 'ordered')
  await bench.isSaved()
  await bench.reload()
  await bench.sees('Slot nuts M5, with spares', sheet('Order list'))
  await bench.axis('X')
  await bench.sheet('Room around the nut')
  await bench.becomes('room.section', 'fails')
  expect(await bench.value('To the left, station 3')).toBe('20')

  const saved = await downloads(bench.page)
  const place = here(bench)
  await bench.load('/')
  await bench.click('button', 'Export Skarrow 8')
  const { path, text } = await saved()
  const { job } = JSON.parse(text)
  expect(job.axes[0].section.stations[2].leftMm).toBe(20)
  expect(job.axes[0].joints[3]).toMatchObject({ label: 'Motor plate', slotNuts: true })
  expect(job.orders['use:dye']).toMatchObject({ state: 'ordered' })

  // On another machine of the shop, which has never seen the job.
  const other = await app.browser.createBrowserContext()
  const elsewhere = await Bench.open(other, app.url)
  await pickFile(elsewhere.page, path)
  await elsewhere.click('button', 'Import it')
  await elsewhere.sheet('Screws')
  await elsewhere.becomes('room.section', 'fails')
  await elsewhere.sees('5 M5 slot nuts', sheet('Screws'))
  expect(elsewhere.errors).toEqual([])
  await other.close()

  await bench.go(place)
  await bench.click('button', 'Undo: Marking dye and scriber: ordered')
  await bench.click('button', 'Undo: What the screws go into, axis X')
  await bench.click('button', 'Undo: To the left, station, axis X')
  await bench.becomes('room.section', 'holds')
  expect(bench.errors).toEqual([])
})

test('two tabs at once: what one measures shows in the other, and nothing that is typed is lost', async () => {
  const one = await atRoom(demo)
  const two = await app.open(here(one))
  await two.page.waitForSelector(AROUND)
  await two.page.bringToFront()
  await two.fill('To the right, station 2', '4x', null)
  // Left as it is and come back to, as with every look at another tab: it is still what was typed.
  await two.page.evaluate(() => {
    const field = document.activeElement as HTMLElement
    field.blur()
    field.focus()
  })
  await one.page.bringToFront()
  await one.fill('To the left, station 3', '28')
  await one.fill('To the right, station 2', '36')
  await one.isSaved()
  await two.page.bringToFront()
  await two.becomes('room.section', 'close')
  expect(await two.value('To the right, station 2')).toBe('4x')
  await two.sees('Another tab set this to 36 mm meanwhile', AROUND)
  await two.page.keyboard.press('Escape')
  expect(await two.value('To the right, station 2')).toBe('36')
  expect([...one.errors, ...two.errors]).toEqual([])
})

test('with the keyboard alone: a station is typed across, a joint opened, changed and closed', async () => {
  const bench = await atRoom(demo)
  const press = async (...keys: Parameters<Bench['page']['keyboard']['press']>[0][]) => {
    for (const key of keys) await bench.page.keyboard.press(key)
  }
  const focused = () =>
    bench.page.evaluate(() => {
      const element = document.activeElement as HTMLInputElement | null
      return element?.labels?.[0]?.textContent ?? element?.getAttribute('aria-label') ?? element?.textContent
    })
  await (await bench.find('button', 'Another place along the screw')).focus()
  await press('Enter')
  await places(bench, 6)
  await (await bench.find('textbox', 'Along the screw, station 6')).focus()
  await bench.typeReadings('Along the screw, station 6', [430, 29, 36, 35, 41, 13])
  expect(await focused()).toBe('Wall, right, station 6')
  await bench.becomes('room.section', 'close')
  await bench.sees('430 mm along the screw', '[data-advice="room.section"]')

  await bench.sheet('Screws')
  await (await bench.find('button', 'Change: Motor plate')).focus()
  await press('Enter')
  await bench.find('textbox', 'Grip')
  expect(await focused()).toBe('Close: Motor plate')
  await press('Tab')
  expect(await focused()).toBe('What is held')
  await bench.fill('Grip', '30')
  await bench.sees('4 × M5 × 40 mm', sheet('Screws'))
  await (await bench.find('button', 'Close: Motor plate')).focus()
  await press('Space')
  await bench.find('button', 'Change: Motor plate')
  expect(await bench.page.$(`${sheet('Screws')} input`)).toBeNull()
  expect(bench.errors).toEqual([])
})

test('the router: screws into slots bring their nuts, and its narrow Z must be cut', async () => {
  const bench = await app.open()
  await bench.click('button', 'Open the demo job Long Tom 2400')
  await bench.standsOnTheBench()
  await bench.sheet('Screws')
  await bench.sees('18 M6 slot nuts', sheet('Screws'))
  await bench.sheet('Order list')
  await bench.sees('Slot nuts M6, with spares', sheet('Order list'))
  await bench.axis('X')
  await bench.sheet('Cut list')
  await bench.sees('Seat of the fixed block, of both screws', sheet('Cut list'))
  await bench.axis('Z')
  await bench.becomes('room.section', 'close')
  await bench.sees('Relieve the ceiling from 5 mm to 253 mm along the screw', sheet('Cut list'))
  expect(bench.errors).toEqual([])
})

test('the carriage of the lathe cannot be cut as wished: its fitting is turned, and one undo turns it back', async () => {
  const bench = await app.open()
  await bench.click('button', 'Open the demo job Ostrey 254')
  await bench.standsOnTheBench()
  await bench.sheet('Cut list')
  await bench.becomes('room.section', 'fails')
  await bench.sees('not fit to cut', sheet('Cut list'))
  await bench.click('button', 'Ways out: Room around the nut')
  await bench.page.waitForSelector('::-p-xpath(//button[starts-with(@aria-label, "Apply: Grease fitting")])')
  await (
    await bench.page.$('::-p-xpath(//button[starts-with(@aria-label, "Apply: Grease fitting")])')
  )?.click()
  await bench.becomes('room.section', 'holds')
  await bench.lacks('not fit to cut', sheet('Cut list'))
  await bench.click('button', 'Undo it')
  await bench.becomes('room.section', 'fails')
  expect(bench.errors).toEqual([])
})

test('in an inch job every digit of a figure is in sight', async () => {
  const bench = await atRoom(one => one.openDemo())
  await bench.click('button', 'Units: mm. Switch to inch')
  const clipped = () =>
    bench.page.$$eval('#sheet input[data-quantity]', all =>
      (all as HTMLInputElement[])
        .filter(one => one.offsetParent && one.scrollWidth > one.clientWidth + 1)
        .map(one => `${one.labels?.[0]?.textContent}: ${one.value}`),
    )
  for (const [stage, sheet] of [
    ['room', 'nutRoom'],
    ['build', 'controller'],
    ['align', 'screwLine'],
    ['prove', 'reversal'],
  ]) {
    await bench.go(
      bench.page
        .url()
        .replace(/^https?:\/\/[^/]+/, '')
        .replace(/\/[^/]+\/[^/]+$/, `/${stage}/${sheet}`),
    )
    await bench.page.waitForSelector(`[data-sheet="${sheet}"] input[data-quantity]`)
    expect([sheet, await clipped()]).toEqual([sheet, []])
  }
})
