import { runs } from '@/core/calculation/fixtures/runs'
import { SHEETS } from '@/core/sheets'
import { addressOf } from '@/stages/job/place'
import { type Bench, withApp } from './harness'
import { DEMO_AXES, sheetSize } from './measure'

const app = withApp({ env: { DUSK_DEMO: '1' } })
const path = (bench: Bench) => new URL(bench.page.url()).pathname
const X = { jobId: 'demo-skarrow-8', axisId: 'skarrow-x' }
/** Parts that are taken one after another on the way to a drive: none, the search takes them all. */
const MOST_CLICKS = 15

/** The demo, at a place of it. */
async function at(place: string): Promise<Bench> {
  const bench = await app.open(place)
  await bench.page.waitForSelector('#sheet section')
  return bench
}

// The fullest axis and one that nothing was chosen for; one of each machine where all runs are asked for. The pictures' script
// prints all of them.
const MEASURED = ['skarrow-x', 'skarrow-z', 'ostrey-x', 'long-tom-x'].slice(0, runs(4, 2))

test('every sheet starts in sight, and is a screen or two high', async () => {
  const bench = await at(addressOf({ ...X, stage: 'survey' }))
  const wrong: string[] = []
  for (const [jobId, axisId] of DEMO_AXES.filter(([, axis]) => MEASURED.includes(axis))) {
    await bench.go(addressOf({ jobId, axisId, stage: 'survey' }))
    for (const { id, stage } of SHEETS) {
      // What is of the whole machine is the same for each of its axes.
      if (stage === 'machine' && !axisId.endsWith('x')) continue
      const { heightPx, firstFieldPx } = await sheetSize(
        bench.page,
        addressOf({ jobId, axisId, stage, sheet: id }),
        id,
      )
      if (heightPx > 1600) wrong.push(`${axisId} ${id} is ${heightPx} px high`)
      if (firstFieldPx > 800) wrong.push(`${axisId} ${id} starts at ${firstFieldPx} px`)
    }
  }
  expect(wrong).toEqual([])
  expect(bench.errors).toEqual([])
})

test('every entry of the rail has an address: back, forward, a bookmark, a second tab, a title', async () => {
  const bench = await at(addressOf({ ...X, stage: 'size' }))
  await bench.titled('In plain words, axis X, Skarrow 8')
  await bench.sheet('Duty')
  expect(path(bench)).toBe('/job/demo-skarrow-8/skarrow-x/size/duty')
  await bench.titled('Duty, axis X, Skarrow 8')
  await bench.sheet('Screws')
  await bench.sheet('Order list')
  expect(path(bench)).toBe('/job/demo-skarrow-8/machine/orders')
  await bench.titled('Order list, Machine, Skarrow 8')
  await bench.page.goBack()
  await bench.page.waitForSelector('[data-sheet="overview"]')
  await bench.page.goBack()
  await bench.page.waitForSelector('[data-sheet="fasteners"]')
  await bench.page.goForward()
  await bench.page.goForward()
  await bench.page.waitForSelector('[data-sheet="orders"]')
  // A second tab, opened from the link of a sheet, stands at that sheet.
  await bench.axis('X')
  await bench.stage('Align')
  const href = await bench.page.$eval('a[data-rail="sheet"]:not([aria-current])', link =>
    link.getAttribute('href'),
  )
  const second = await app.open(href ?? '')
  await second.page.waitForSelector('[data-sheet]')
  // An address of before, and one of a sheet that is not there, lead to the first one of their stage.
  for (const old of ['/size', '/size/travel']) {
    await bench.load(`/job/demo-skarrow-8/skarrow-x${old}`)
    await bench.page.waitForSelector('[data-sheet="inWords"]')
    expect(path(bench)).toBe('/job/demo-skarrow-8/skarrow-x/size/inWords')
  }
  expect([...bench.errors, ...second.errors]).toEqual([])
})

test('the line on top says what is next on the axis, and goes there', async () => {
  const bench = await at(addressOf({ jobId: X.jobId, axisId: 'skarrow-z', stage: 'room' }))
  await bench.sees(/Next\s+Z: 7 dimensions to measure/, '[data-next]')
  await bench.press('[data-next]')
  await bench.page.waitForSelector('[data-sheet="geometry"]')
  for (const [label, value] of [
    ['Between the inner faces of the bearing blocks', '430'],
    ['Thickness of the nut bracket', '20'],
    ['Screw axis to the top of the way', '58'],
  ] as const)
    await bench.fill(label, value)
  await bench.page.waitForSelector('[data-next="loads"]')
  await bench.sees('Z: 4 dimensions to measure', '[data-next]')
  await bench.press('[data-next]')
  await bench.page.waitForSelector('[data-sheet="loads"]')
  // The drive line shows which way is up, with the motor of this head on top.
  await bench.page.waitForSelector('[data-up="180"]')
})

test('the drive line stays in sight, folds by itself where nothing lies on it, and by hand it is remembered', async () => {
  const bench = await at(addressOf({ ...X, stage: 'room', sheet: 'nutRoom' }))
  const line = 'section[aria-label="Drive line"]'
  await bench.page.evaluate(() => window.scrollTo(0, document.body.scrollHeight))
  await bench.page.waitForFunction(() => window.scrollY > 200)
  const { top, bottom } = await bench.page.$eval(line, element => element.getBoundingClientRect().toJSON())
  expect(top).toBeGreaterThanOrEqual(57)
  expect(bottom).toBeLessThan(420)
  // Nothing of the log lies on it: a strip.
  await bench.stage('Log')
  await bench.page.waitForSelector(`${line}[data-folded]`)
  await bench.stage('Size')
  await bench.page.waitForSelector(`${line}:not([data-folded]) [data-drive-line]`)
  await bench.click('button', 'Fold the drive line')
  await bench.page.waitForSelector(`${line}[data-folded]`)
  await bench.reload()
  await bench.page.waitForSelector(`${line}[data-folded]`)
  await bench.click('button', 'Open the drive line')
  await bench.page.waitForSelector('[data-drive-line]')
})

test('a field that takes the keyboard is not under the drive line, nor under the bar at the foot', async () => {
  const bench = await at(addressOf({ ...X, stage: 'survey', sheet: 'goals' }))
  for (const viewport of [
    { width: 1280, height: 640 },
    { width: 820, height: 700, hasTouch: true },
  ]) {
    await bench.page.setViewport(viewport)
    await bench.go(addressOf({ ...X, stage: 'room', sheet: 'nutRoom' }))
    await bench.page.waitForSelector('#sheet input')
    const hidden = await bench.page.evaluate(async () => {
      const fields = [...document.querySelectorAll<HTMLElement>('#sheet input, #sheet select')]
      const under: string[] = []
      for (const field of [...fields, ...fields.toReversed()]) {
        field.focus()
        await new Promise(requestAnimationFrame)
        const { top, bottom } = field.getBoundingClientRect()
        const cover = document.querySelector('[data-top]')?.getBoundingClientRect().bottom ?? 0
        const foot = document.querySelector('[data-foot]')?.getBoundingClientRect().top ?? window.innerHeight
        if (top < cover - 1 || bottom > foot + 1) under.push(`${Math.round(top)} to ${Math.round(bottom)}`)
      }
      return under
    })
    expect(hidden).toEqual([])
  }
})

test('at 200 % zoom the first place of a round that is begun stands whole between what covers the sheet', async () => {
  const bench = await at(addressOf({ ...X, stage: 'survey', sheet: 'goals' }))
  await bench.page.setViewport({ width: 640, height: 400, deviceScaleFactor: 2 })
  for (const [stage, sheet, start] of [
    ['prove', 'oneTurn', 'Start a round'],
    ['align', 'screwLine', 'Start the next round'],
  ] as const) {
    await bench.go(addressOf({ ...X, stage, sheet }))
    await bench.click('button', start)
    await bench.page.waitForFunction(() => {
      const field = document.activeElement
      if (!field?.matches('[data-cell] input')) return false
      const { top, bottom } = field.getBoundingClientRect()
      const cover = document.querySelector('[data-top]')?.getBoundingClientRect().bottom ?? 0
      const foot = document.querySelector('[data-foot]')?.getBoundingClientRect().top ?? window.innerHeight
      return top >= cover && bottom <= foot && document.querySelector('[data-folded]') !== null
    })
  }
})

test('verdicts stand by how near they are; what waits is grouped, and leads to what it waits for', async () => {
  const bench = await at(addressOf({ ...X, stage: 'size', sheet: 'parts' }))
  const heads = () =>
    bench.page.$$eval('aside[aria-label="Verdicts"] h3:not(article h3)', all =>
      all.map(one => one.textContent),
    )
  expect(await heads()).toEqual(['Of this sheet', 'The rest of axis X'])
  await bench.sheet('Holes to enlarge')
  expect(await heads()).toEqual(['Of this sheet', 'Else under Make room', 'The rest of axis X'])
  await bench.press('[data-check="coupler.torque"] a')
  await bench.page.waitForSelector('[data-sheet="parts"]')
  await bench.axis('Z')
  await bench.sees(/A motor: \d+ wait for it/)
  await bench.sheet('Duty')
  await bench.click('link', 'Choose it: A motor')
  await bench.page.waitForSelector('[data-sheet="parts"]')
})

test('Machine: an overview at one scale, parts of one’s own, and the record of every axis', async () => {
  const bench = await at(addressOf({ ...X, stage: 'machine' }))
  const widths = await bench.page.$$eval('[data-overview] svg[viewBox]:not([viewBox="0 0 18 18"])', all =>
    all.map(svg => {
      const [, , widthMm] = (svg.getAttribute('viewBox') ?? '').split(' ').map(Number)
      return svg.getBoundingClientRect().width / (widthMm ?? 1)
    }),
  )
  expect(widths).toHaveLength(3)
  for (const scale of widths) expect(scale).toBeCloseTo(widths[0] ?? 0, 3)
  await bench.click('link', 'Next Y: to mend: motor torque')
  await bench.page.waitForSelector('[data-sheet="parts"]')
  expect(path(bench)).toContain('/skarrow-y/size/parts')
  await bench.sheet('Parts of your own')
  await bench.sees('None yet.')
  await bench.choose('Kind of part', 'brake')
  await bench.click('button', 'Add one of your own')
  await bench.fill('Name', 'Brake off the scrap heap', null)
  await bench.click('button', 'Add it')
  await bench.sees('fields are not right yet', '[role=dialog]')
  await bench.click('button', 'Cancel')
  await bench.sheet('Record')
  await bench.find('link', 'Record of axis Z, to print')
  await bench.click('link', 'Work sheet of axis X, to print')
  await bench.sees('Cuts, in this order')
  expect(bench.errors).toEqual([])
})

test('the palette finds sheets, verdicts, parts, calculations and jobs', async () => {
  const bench = await at(addressOf({ ...X, stage: 'survey' }))
  const find = async (typed: string, shows: string) => {
    await bench.click('button', 'Find and go (Ctrl K)')
    await bench.find('combobox', 'Find and go')
    await bench.page.keyboard.type(typed)
    await bench.sees(shows, '[role=dialog]')
    await bench.page.keyboard.press('Enter')
    await bench.page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  }
  await find('chain of', 'Chain of dimensions, Make room')
  await bench.page.waitForSelector('[data-sheet="chain"]')
  await find('torque of the coup', 'Torque of the coupler: fails')
  await bench.page.waitForSelector('[data-sheet="parts"]')
  await find('60 mm frame, 3.1', 'Stepper 60 mm frame, 3.1 N·m, 48 V, motor')
  await bench.find('button', 'Take Stepper 60 mm frame, 3.1 N·m, 48 V')
  await bench.click('button', 'Find and go (Ctrl K)')
  await bench.find('combobox', 'Find and go')
  await bench.page.keyboard.type('ostrey')
  await bench.sees('Ostrey 254', '[role=dialog]')
  await bench.page.keyboard.press('Enter')
  await bench.page.waitForFunction(() => location.pathname.includes('/demo-ostrey-254/'))
  await bench.standsOnTheBench()
  await bench.click('button', 'Find and go (Ctrl K)')
  await bench.find('combobox', 'Find and go')
  await bench.page.keyboard.type('critical speed of')
  await bench.sees('Critical speed of the screw', '[role=dialog]')
  await bench.page.keyboard.press('Enter')
  await bench.page.waitForFunction(() => location.hash === '#screw.criticalSpeed')
  expect(bench.errors).toEqual([])
})

test('the keyboard alone walks from survey to the printed record', async () => {
  const bench = await at(addressOf({ ...X, stage: 'survey' }))
  const inOrder = SHEETS.filter(({ stage }) => stage !== 'machine')
  for (const { id } of inOrder.slice(1)) {
    await bench.page.keyboard.press('j')
    await bench.page.waitForSelector(`[data-sheet="${id}"] section`)
    // The keyboard is at the sheet: its first field is a few stops on.
    expect(await bench.page.evaluate(() => document.activeElement?.id)).toBe('sheet')
  }
  await bench.page.keyboard.press('k')
  await bench.page.waitForSelector('[data-sheet="compensation"]')
  await bench.page.keyboard.press('j')
  await bench.page.waitForSelector('[data-sheet="log"] section')
  for (let i = 0; i < 4; i++) {
    await bench.page.keyboard.press('Tab')
    if (
      (await bench.page.evaluate(() => document.activeElement?.textContent)) === 'Record of axis X, to print'
    )
      break
  }
  await bench.page.keyboard.press('Enter')
  await bench.sees('Skarrow 8, axis X: Table')
  expect(bench.errors).toEqual([])
})

test('from an empty job to a drive of which all that is known holds, in a few clicks', async () => {
  const bench = await app.open()
  let clicks = 0
  const click = async (role: string, name: string) => {
    clicks += 1
    await bench.click(role, name)
  }
  const next = async (sheet: string) => {
    clicks += 1
    await bench.page.waitForSelector(`[data-next="${sheet}"]`)
    await bench.press('[data-next]')
    await bench.page.waitForSelector(`[data-sheet="${sheet}"]`)
  }
  await click('button', 'New job')
  await bench.fill('Name of the machine', 'Quay mill', null)
  await click('button', 'Start it')
  await bench.standsOnTheBench()
  // Typed one after another, with Enter between them.
  const type = async (first: string, values: readonly string[]) => {
    await (await bench.find('textbox', first)).focus()
    for (const value of values) {
      await bench.page.keyboard.type(value)
      await bench.page.keyboard.press('Enter')
    }
  }
  // As it stands, past what could be read from outside, then what shows once it is apart, then what is planned.
  await type('Incline of the axis', ['0', '', '', '410', '47.5', '548', '18'])
  await next('loads')
  await type('Moving mass, with the heaviest work', ['68', '0.1', '46'])
  await next('search')
  await click('button', 'Search')
  await bench.sees('are beaten by nothing')
  clicks += 1
  const take = '[aria-label="A handful of drives"] [data-picks*="far end held"] button'
  await bench.press(take)
  await bench.page.waitForFunction(
    selector => document.querySelector(selector)?.textContent === 'Taken',
    {},
    take,
  )
  // What is known of the drive holds; what is not is of the making, the build and the proof.
  await bench.page.waitForFunction(
    () => document.querySelectorAll('aside[aria-label="Verdicts"] [data-state="holds"]').length > 12,
  )
  expect(
    await bench.page.$$eval('aside[aria-label="Verdicts"] [data-check]', all =>
      all
        .filter(one => !['holds', 'unknown'].includes((one as HTMLElement).dataset.state ?? ''))
        .map(one => (one as HTMLElement).dataset.check),
    ),
  ).toEqual([])
  expect(clicks).toBeLessThanOrEqual(MOST_CLICKS)
  expect(bench.errors).toEqual([])
})

test('words of the trade explain themselves at a tap, in a note and for the whole sheet', async () => {
  const bench = await at(addressOf({ ...X, stage: 'align', sheet: 'shafts' }))
  await bench.click('button', 'coupler')
  await bench.sees(
    'coupler: What joins the shaft of the motor to the end of the screw.',
    'section[aria-label="As the coupler is judged by"]',
  )
  await bench.sheet('Loads')
  await bench.click('button', 'Words on this sheet')
  await bench.sees('A strip in the slide of a dovetail or box way, set so that the slide has no play.')
  expect(bench.errors).toEqual([])
})

test('what is assumed of the shop says so until it is typed; what an axis says of its higher end is kept', async () => {
  const bench = await at(addressOf({ ...X, stage: 'room', sheet: 'holes' }))
  await bench.sees('Assumed: a usual set.')
  await bench.fill('Cutters at hand, mm, with semicolons between them', '16; 20; 32; 40')
  await bench.lacks('Assumed: a usual set.', '#sheet')
  await bench.go(addressOf({ jobId: 'demo-long-tom-2400', axisId: 'long-tom-z', stage: 'survey' }))
  await bench.page.waitForSelector('[data-up="unknown"]')
  await bench.choose('Which end is higher', 'far')
  await bench.page.waitForSelector('[data-up="0"]')
  await bench.isSaved()
  await bench.reload()
  await bench.page.waitForSelector('[data-up="0"]')
  expect(bench.errors).toEqual([])
})
