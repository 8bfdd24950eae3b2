import type { Page } from 'puppeteer-core'
import { type Bench, withApp } from './harness'

const app = withApp({ env: { DUSK_DEMO: '1' } })

const BAND = '[data-rehearsal]'
const sheetOf = (stage: string, sheet: string, axis = 'skarrow-x') =>
  `/job/demo-skarrow-8/${axis}/${stage}/${sheet}`

/** Everything that the browser keeps of all jobs, as text. */
const keptIn = (page: Page): Promise<string> =>
  page.evaluate(
    () =>
      new Promise<string>((done, fail) => {
        const opening = indexedDB.open('dusk-bench')
        opening.onerror = () => fail(opening.error)
        opening.onsuccess = async () => {
          const db = opening.result
          const all = await Promise.all(
            [...db.objectStoreNames].map(
              name =>
                new Promise<unknown>(have => {
                  const asked = db.transaction(name).objectStore(name).getAll()
                  asked.onsuccess = () => have([name, asked.result])
                }),
            ),
          )
          db.close()
          done(JSON.stringify([all, { ...localStorage }]))
        }
      }),
  )

/** Opens the rehearsal of the sheet in hand. */
async function rehearse(bench: Bench) {
  // The sheet gone to may still be taking the place of the one before, with a button of its own.
  await bench.stands()
  await bench.click('button', 'What would I read if …')
  await bench.page.waitForSelector(`${BAND} section`)
}

/** What the sheet would say of the simulated table. */
const saidIn = (bench: Bench) => bench.text(`${BAND} section`)

test('what is supposed is read beside the real table, and nothing of it goes into the job', async () => {
  const bench = await app.open(sheetOf('prove', 'whereLost'))
  await bench.standsOnTheBench()
  const verdicts = () => bench.text('aside[aria-label="Verdicts"]')
  await bench.sees('Lost motion, measured')
  const before = { verdicts: await verdicts(), kept: await keptIn(bench.page) }

  await rehearse(bench)
  await bench.sees('Nothing of it goes into the job.', BAND)
  await bench.sees('No part loses more than Size reckons.', `${BAND} section`)
  // The causes that this sheet should find stand first.
  const causes = await bench.page.$$eval(`${BAND} select option`, all => all.map(one => one.textContent))
  expect(causes.slice(0, 2)).toEqual(['nothing were wrong', 'the nut had play'])

  await bench.choose('What would I read if', 'nut-play')
  await bench.fill('Play of the nut', '80')
  await bench.sees(/Nut and screw first/, `${BAND} section`)
  await bench.sees('Fails', `${BAND} section`)
  // Another hand reads a little otherwise, and it stays what it is.
  const readings = () =>
    bench.page.$$eval(`${BAND} [data-cell] input`, all => all.map(one => (one as HTMLInputElement).value))
  const first = await readings()
  expect(first.filter(one => one !== '').length).toBeGreaterThan(10)
  await bench.click('button', 'Read it once more')
  await bench.page.waitForFunction(
    (band: string, was: string) =>
      [...document.querySelectorAll(`${band} [data-cell] input`)]
        .map(one => (one as HTMLInputElement).value)
        .join() !== was,
    {},
    BAND,
    first.join(),
  )
  expect(await saidIn(bench)).toContain('Nut and screw first')

  // What its advice would do to the machine is done on the sheet itself.
  await bench.page.waitForSelector(`${BAND} section[aria-label="What mends it"] button`)
  await bench.page.click(`${BAND} section[aria-label="What mends it"] button`)
  await bench.sees('Not done: that would change the job.', BAND)

  // A reading typed there changes what is said there, and nothing else.
  const [cell] = await bench.page.$$(`${BAND} [data-cell] input`)
  await cell?.click({ count: 3 })
  await bench.page.keyboard.type('999')
  await bench.page.keyboard.press('Tab')
  await bench.page.waitForFunction(
    (band: string) =>
      (document.querySelector(`${band} [data-cell] input`) as HTMLInputElement).value === '999',
    {},
    BAND,
  )
  await bench.stands()
  expect(await verdicts()).toBe(before.verdicts)
  expect(await keptIn(bench.page)).toBe(before.kept)
  // Paper has none of it.
  await bench.page.emulateMediaType('print')
  expect(await bench.page.$eval(BAND, band => (band as HTMLElement).offsetHeight)).toBe(0)
  await bench.page.emulateMediaType()
  await bench.click('button', 'Put the rehearsal away')
  expect(await bench.page.$(BAND)).toBeNull()
  expect(bench.errors).toEqual([])
})

test('a slip of the hand is recognised by the sheet, and every sheet that is read can be rehearsed', async () => {
  const bench = await app.open(sheetOf('prove', 'reversal'))
  await bench.standsOnTheBench()
  await rehearse(bench)
  await bench.choose('And the hand that reads', 'creeping-base')
  await bench.sees(/everything comes to read|the base creeps/, BAND)
  for (const [stage, sheet] of [
    ['align', 'screwLine'],
    ['align', 'drag'],
    ['align', 'gib'],
    ['align', 'shafts'],
    ['prove', 'fullTest'],
    ['prove', 'zeroTime'],
    ['prove', 'circle'],
  ] as const) {
    await bench.go(sheetOf(stage, sheet))
    await bench.page.waitForSelector(`#sheet[data-sheet="${sheet}"]`)
    await rehearse(bench)
    expect(await saidIn(bench)).not.toBe('')
  }
  expect(bench.errors).toEqual([])
})

test('without a drive it says what it still needs', async () => {
  const bench = await app.open('/')
  await bench.startJob('Bare', 'router')
  const here = new URL(bench.page.url()).pathname.split('/').slice(0, 4).join('/')
  await bench.go(`${here}/prove/reversal`)
  await bench.click('button', 'What would I read if …')
  await bench.sees('Without it there is no axis to read on.', BAND)
  expect(bench.errors).toEqual([])
})

test('the likeliest faults are held against what this axis would read with each, and with none', async () => {
  const bench = await app.open(sheetOf('prove', 'findFault'))
  await bench.standsOnTheBench()
  await bench.click('button', 'Start a search')
  const fits = '[data-fit]'
  await bench.page.waitForSelector(`${fits}[data-fit="sound"]`)
  const said = await bench.page.$$eval(fits, all =>
    all.map(one => [one.getAttribute('data-fit'), one.querySelector('[data-fits]')?.textContent ?? '']),
  )
  expect(said).toHaveLength(4)
  const of = new Map(said as [string, string][])
  // It was read to lose 43.6 µm: a sound one does not.
  expect(of.get('sound')).toContain('Does not go with')
  expect(of.get('fixed-bearing-play')).toMatch(
    /Goes with all that was measured\. Play of the bearings: \d+ µm to \d+ µm\. Mended, a reversal would lose about [\d.]+ µm\./,
  )
  // The likeliest stand in the order of the ranking above.
  const ranked = await bench.page.$$eval('[data-suspect]', all =>
    all.map(one => one.getAttribute('data-suspect')),
  )
  expect(said.slice(0, 3).map(([id]) => id)).toEqual(ranked.slice(0, 3))
  expect(bench.errors).toEqual([])
})

test('where nothing was measured no figures are held against anything', async () => {
  const bench = await app.open('/')
  await bench.startJob('Bare', 'mill')
  const here = new URL(bench.page.url()).pathname.split('/').slice(0, 4).join('/')
  await bench.go(`${here}/prove/findFault`)
  await bench.click('button', 'Start a search')
  await bench.sees('What it may be')
  await bench.page.waitForFunction(
    () => document.querySelector('[aria-label="By the figures of this axis"]') === null,
  )
  expect(bench.errors).toEqual([])
})
