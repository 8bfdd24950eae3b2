import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { PartOf } from '@/core/document/parts/types'
import { writePartsCsv } from '@/core/formats/partsCsv'
import { CATALOGUE } from '@/core/machine/parts'
import { SHEETS } from '@/core/sheets'
import { onDisk, pickFile } from './files'
import { type Bench, withApp } from './harness'

const app = withApp()
const AXE = readFileSync(join(process.cwd(), 'node_modules/axe-core/axe.min.js'), 'utf8')
const SCREW = CATALOGUE.screw.get('ball-20-5-double') as PartOf['screw']

/**
 * What axe finds against WCAG 2 A and AA on the page as it is. Only colours differ between the schemes, so the second
 * one is looked at for contrast alone.
 *
 * @param within a part of the page; all of it where left out
 */
async function violations(bench: Bench, view: string, within?: string): Promise<string[]> {
  // Handed over the debugging protocol, so that the page's own policy stays as strict as it is.
  if (!(await bench.page.evaluate(() => 'axe' in window))) await bench.page.evaluate(AXE)
  const rules = await bench.page.evaluate(() =>
    localStorage.getItem('dusk-scheme') === 'day'
      ? ['color-contrast']
      : ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'],
  )
  return bench.page.evaluate(
    async (name, runOnly, part) => {
      const axe = (
        window as unknown as {
          axe: {
            run: (
              context: Document | string,
              options: object,
            ) => Promise<{
              violations: { id: string; nodes: { target: string[]; failureSummary: string }[] }[]
            }>
          }
        }
      ).axe
      const found = await axe.run(part ?? document, {
        runOnly,
        // Only what is wrong is put together, and no style sheet is fetched once more.
        resultTypes: ['violations'],
        preload: false,
      })
      return found.violations.flatMap(one =>
        one.nodes.map(
          node =>
            `${name}: ${one.id} at ${node.target.join(' ')}: ${node.failureSummary.replace(/\s+/g, ' ').slice(0, 300)}`,
        ),
      )
    },
    view,
    rules,
    within,
  )
}
const setScheme = (bench: Bench, scheme: string) =>
  bench.page.evaluate(value => localStorage.setItem('dusk-scheme', value), scheme)

test.each(['dusk', 'day'])('axe does see words that are too pale in the %s scheme', async scheme => {
  const bench = await app.open()
  await setScheme(bench, scheme)
  await bench.load('/')
  await bench.page.$eval('h1, h2, p', element => {
    const { style } = element as HTMLElement
    Object.assign(style, { color: 'rgb(120, 120, 120)', background: 'rgb(130, 130, 130)' })
  })
  expect((await violations(bench, 'pale')).join()).toContain('pale: color-contrast at')
})

/** So many sheets are gone through in one test. */
const AT_ONCE = 16
const SETS = Array.from({ length: Math.ceil(SHEETS.length / AT_ONCE) }, (_, index) => index * AT_ONCE)

/** Shows the page as it stands in the other scheme, as another tab would that changes it. */
async function showIn(bench: Bench, scheme: 'dusk' | 'day') {
  await bench.page.evaluate(newValue => {
    const key = 'dusk-scheme'
    localStorage.setItem(key, newValue)
    window.dispatchEvent(new StorageEvent('storage', { key, newValue }))
  }, scheme)
  await bench.page.waitForFunction(
    wanted => getComputedStyle(document.documentElement).colorScheme.includes(wanted),
    {},
    scheme === 'day' ? 'light' : 'dark',
  )
}

/** What is found on a view in either scheme, as it stands. */
async function inBoth(bench: Bench, view: string, within?: string): Promise<string[]> {
  const found: string[] = []
  for (const scheme of ['day', 'dusk'] as const) {
    await showIn(bench, scheme)
    found.push(...(await violations(bench, `${view}, ${scheme}`, within)))
  }
  return found
}

test.each(SETS)('axe finds nothing on the sheets from number %i on, in both schemes', async from => {
  const bench = await app.open()
  await setScheme(bench, 'dusk')
  await bench.load('/')
  await bench.openDemo()
  const found: string[] = []
  for (const [index, { title }] of SHEETS.slice(from, from + AT_ONCE).entries()) {
    await bench.sheet(title)
    await bench.stands()
    // The frame around them is the same for all: it is gone through once.
    const within = index === 0 ? undefined : '#sheet'
    found.push(...(await inBoth(bench, title, within)))
    if (title === 'Record') await bench.axis('X')
  }
  expect(found).toEqual([])
})

test('axe finds nothing on what opens over the sheets, in both schemes', async () => {
  const bench = await app.open()
  const found = await inBoth(bench, 'empty list')
  await bench.click('button', 'New job')
  await bench.find('textbox', 'Name of the machine')
  await bench.click('button', 'Start it')
  await bench.sees('Got nothing. Takes a name')
  found.push(...(await inBoth(bench, 'new job')))
  await bench.click('button', 'Cancel')
  await bench.page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  await bench.openDemo()
  await bench.sheet('Screws')
  await bench.click('button', 'Change: Motor plate')
  found.push(...(await inBoth(bench, 'an open joint')))
  await bench.sheet('Chain of dimensions')
  await bench.fill('At most', '2.4')
  await bench.sees('Leave it adjustable over 1.8 mm')
  await bench.click('button', 'Words on this sheet')
  found.push(...(await inBoth(bench, 'a chain to adjust, and its words')))
  await bench.sheet('Room to stop')
  await bench.click('button', 'Ways out: Room to stop at the far end')
  await bench.click('button', 'Apply: Kept clear at the far end up to 5.25 mm')
  await bench.sees('Applied: Kept clear at the far end up to 5.25 mm')
  found.push(...(await inBoth(bench, 'what was just applied')))
  await bench.click('button', 'Undo it')
  await bench.lacks('Applied: Kept clear', 'body')
  await bench.sheet('Cut list')
  await bench.click('link', 'Work sheet to print')
  await bench.sees('Cuts, in this order')
  found.push(...(await inBoth(bench, 'work sheet')))
  await bench.click('button', 'Back to making room')
  await bench.sheet('Parts of the drive')
  await bench.click('button', 'Ways out: Torque of the coupler')
  await bench.find('button', 'Apply: Sliding-disc coupler 33 mm, set screws')
  await bench.press('[data-part="nut"]')
  found.push(...(await inBoth(bench, 'ways out and sheet')))
  await bench.click('button', 'Working: Motor torque')
  await bench.sees('Torque asked of the motor', '[role=dialog]')
  found.push(...(await inBoth(bench, 'working')))
  await bench.click('button', 'Close')
  await bench.page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  await bench.click('button', 'Find and go (Ctrl K)')
  await bench.find('combobox', 'Find and go')
  found.push(...(await inBoth(bench, 'palette')))
  await bench.page.keyboard.press('Escape')
  await bench.page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  await bench.stage('Log')
  await bench.click('link', 'Record of axis X, to print')
  await bench.sees('Findings')
  found.push(...(await inBoth(bench, 'record')))
  await bench.click('button', 'Back to the log')
  await bench.page.waitForSelector('[data-sheet="log"]')
  await bench.sheet('Acceptance')
  await bench.click('link', 'The sheet, to print')
  await bench.sees('Handed over with')
  found.push(...(await inBoth(bench, 'acceptance')))
  expect(found).toEqual([])
})

test('axe finds nothing on the search, the duty and the reference, in both schemes', async () => {
  const bench = await app.open()
  await bench.load('/reference')
  await bench.sees('Forces along the axis')
  const found = await inBoth(bench, 'reference')
  await bench.load('/')
  await bench.openDemo()
  await bench.sheet('Duty')
  await bench.click('button', 'Make it my own')
  await bench.find('textbox', 'Force, work 1')
  found.push(...(await inBoth(bench, 'duty')))
  await bench.sheet('Schools side by side')
  await bench.click('button', 'Take instead: Sliding screw with a split nut')
  await bench.find('textbox', 'Why? It goes into the log')
  found.push(...(await inBoth(bench, 'taking a school')))
  await bench.click('button', 'Cancel')
  await bench.page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  await bench.sheet('Search the parts list')
  await bench.click('button', 'Search')
  await bench.sees(/of [\d,]+ drives \d+ hold and are beaten by nothing/i)
  await bench.press('section[aria-label="Search within"] summary')
  await bench.press('section[aria-label="Search the parts list"] [data-all] summary')
  await bench.page.waitForSelector('.recharts-scatter-symbol')
  found.push(...(await inBoth(bench, 'search')))
  expect(found).toEqual([])
})

test('axe finds nothing on the forms of parts and limits, in both schemes, right or wrong', async () => {
  const bench = await app.openDemo()
  await bench.sheet('Parts of the drive')
  const found: string[] = []
  const closed = async (button: string) => {
    await bench.click('button', button)
    await bench.page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  }
  await bench.click('button', 'Add one of your own')
  await bench.find('textbox', 'Lead')
  found.push(...(await inBoth(bench, 'empty part')))
  await bench.click('button', 'Add it')
  await bench.sees('fields are not right yet', '[role=dialog]')
  found.push(...(await inBoth(bench, 'wrong part')))
  await closed('Cancel')
  await pickFile(
    bench.page,
    onDisk(
      'attic.csv',
      writePartsCsv('screw', [
        { ...SCREW, id: 'a' },
        { ...SCREW, id: 'b', leadMm: 0 },
      ]),
    ),
    'input[aria-label="Parts file"]',
  )
  await bench.sees('1 new part, 1 row that is wrong', '[role=dialog]')
  found.push(...(await inBoth(bench, 'file of parts')))
  await bench.click('button', 'Take the one good part')
  await bench.sees('your own')
  found.push(...(await inBoth(bench, 'own part in the table')))
  await bench.click('button', 'Limit: Torque of the coupler')
  await bench.click('button', 'Hold it to this')
  await bench.sees('Takes a reason', '[role=dialog]')
  found.push(...(await inBoth(bench, 'limit')))
  expect(found).toEqual([])
})

test('axe finds nothing on a rehearsal, nor on the figures beside the ranking of faults, in both schemes', async () => {
  const bench = await app.openDemo()
  const found: string[] = []
  const place = new URL(bench.page.url()).pathname.split('/').slice(0, 4).join('/')
  await bench.go(`${place}/prove/whereLost`)
  await bench.click('button', 'What would I read if …')
  await bench.page.waitForSelector('[data-rehearsal] section')
  await bench.choose('What would I read if', 'nut-play')
  await bench.sees('Nut and screw first', '[data-rehearsal]')
  found.push(...(await inBoth(bench, 'rehearsal')))
  await bench.go(`${place}/prove/findFault`)
  await bench.click('button', 'Start a search')
  await bench.page.waitForSelector('[data-fit="sound"]')
  found.push(...(await inBoth(bench, 'figures')))
  expect(found).toEqual([])
})

test('axe finds nothing on the folded frame, at the machine, on the week and where one practises, in both schemes', async () => {
  const bench = await app.openDemo()
  const found: string[] = []
  const place = new URL(bench.page.url()).pathname.split('/').slice(0, 4).join('/')
  for (const scheme of ['dusk', 'day']) {
    await setScheme(bench, scheme)
    await bench.page.setViewport({ width: 640, height: 400 })
    await bench.load(`${place}/align/screwLine`)
    await bench.page.waitForSelector('[data-advice]')
    found.push(...(await violations(bench, `folded, ${scheme}`)))
    await bench.press('button[aria-label*="Unfold"]')
    await bench.page.waitForSelector('nav[aria-label="Stages"]')
    found.push(...(await violations(bench, `unfolded, ${scheme}`)))
    await bench.page.setViewport({ width: 1280, height: 800 })
    await bench.load(`${place}/build/steps`)
    await bench.click('button', 'At the machine: only what is in hand, large (M)')
    await bench.page.waitForSelector('html[data-at-machine] [data-step-in-hand]')
    found.push(...(await violations(bench, `at the machine, ${scheme}`)))
    await bench.click('button', 'Back from the machine: all of the screen')
    await bench.load('/week')
    await bench.page.waitForSelector('[data-day]')
    await bench.page.waitForSelector('progress', { hidden: true })
    found.push(...(await violations(bench, `week, ${scheme}`)))
    for (const [path, stands] of [
      ['/practice', '[data-lesson-line]'],
      ['/practice?lesson=own-slip&seed=2', '[data-notebook]'],
      ['/practice?lesson=gantry&seed=2', '[data-dial]'],
      ['/practice?lesson=find-it&seed=2', '[data-find-it]'],
    ] as const) {
      await bench.load(path)
      await bench.page.waitForSelector(stands)
      if (path.includes('own-slip')) await bench.click('button', 'Look at it')
      found.push(...(await violations(bench, `${path}, ${scheme}`)))
    }
  }
  expect(found).toEqual([])
})
