import type { LogEntry } from '@/core/document/job'
import { newJob } from '@/core/sheets/newJob'
import { type Bench, withApp } from './harness'

const app = withApp()
const MANY = 100_000
const KINDS = ['note', 'step', 'part', 'test'] as const

/** A job whose log is as long as a file may have it: a line every ten minutes of two years. */
function longLog() {
  const job = { ...newJob('Long log', 'mill', 'mm', '2024-12-02T08:00:00.000Z'), id: 'long-log' }
  const from = Date.parse('2024-12-02T08:00:00.000Z')
  const entries = Array.from(
    { length: MANY },
    (_, index): LogEntry => ({
      id: `line-${index}`,
      jobId: job.id,
      axisId: job.axes[0]?.id ?? null,
      at: new Date(from + index * 600_000).toISOString(),
      kind: KINDS[index % KINDS.length] as LogEntry['kind'],
      text:
        index === 777 ? 'Swarf in the far bearing, washed out' : `Line ${index}: read and noted at the bench`,
      closes: null,
      hidden: false,
    }),
  )
  return { format: 'dusk-bench-job' as const, job, entries, history: [] }
}
const lines = (bench: Bench) => bench.page.$$eval('[data-line]', all => all.map(one => one.textContent ?? ''))

test('a log of 100,000 lines is drawn a screen at a time, and one line of it is found', async () => {
  const bench = await app.open()
  await bench.importJob(longLog())
  await bench.stage('Log')
  await bench.sees('100,000 lines', '#sheet')
  const first = await lines(bench)
  expect(first[0]).toContain('Line 99999')
  expect(first.length).toBeLessThan(60)
  // The page stays a page, and the list is gone through by the keyboard.
  expect(await bench.page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThan(3000)
  await bench.page.focus('[aria-label="Lines of the log"]')
  await bench.page.keyboard.press('End')
  await bench.page.waitForFunction(() =>
    [...document.querySelectorAll('[data-line]')].some(one => one.textContent?.includes('Line 0:')),
  )
  expect((await lines(bench)).length).toBeLessThan(60)
  await bench.fill('Words in it', 'BEARING swarf', null)
  await bench.sees('1 of 100,000 lines', '#sheet')
  expect(await lines(bench)).toEqual([expect.stringContaining('washed out')])
  await bench.choose('Kind', 'part')
  await bench.sees('No line goes with all of that.')
  await bench.click('button', 'Show all again')
  await bench.sees('100,000 lines', '#sheet')
  expect(bench.errors).toEqual([])
})

test('a line is worded otherwise and keeps what it said; taken back, and taken out', async () => {
  const bench = await app.openDemo()
  await bench.stage('Log')
  await bench.fill('What happened', 'Foil under the far block', null)
  await bench.page.$$eval('input[type=radio][value=fix]', ([radio]) => (radio as HTMLInputElement).click())
  await bench.click('button', 'Enter it')
  await bench.sees('Temporary fixes still open: 3')
  await bench.click('button', 'Word otherwise: Foil under the far block')
  await bench.fill('As it should say', '', null)
  await bench.click('button', 'Keep it so')
  await bench.sees('got nothing, takes 1 to 4000 characters')
  await bench.fill('As it should say', 'Foil of 0.05 under the far block', null)
  await bench.click('button', 'Keep it so')
  await bench.sees(/Until .* it said: Foil under the far block/)
  // It is one fix, under its new words.
  await bench.sees('Temporary fixes still open: 3')
  await bench.find('button', 'Mended: Foil of 0.05 under the far block')
  await bench.isSaved()
  await bench.reload()
  await bench.sees(/Until .* it said: Foil under the far block/)
  await bench.page.keyboard.down('Control')
  await bench.page.keyboard.press('z')
  await bench.page.keyboard.up('Control')
  await bench.find('button', 'Mended: Foil under the far block')
  await bench.lacks('it said: Foil', '#sheet')
  await bench.click('button', 'Delete: Foil under the far block')
  await bench.sees('Temporary fixes still open: 2')
  expect(bench.errors).toEqual([])
})

test('the log is looked through by axis and day', async () => {
  const bench = await app.openDemo()
  await bench.stage('Log')
  await bench.page.waitForSelector('[data-line]')
  const own = await lines(bench)
  await bench.choose('Axis', 'all')
  await bench.page.waitForFunction(
    before => document.querySelectorAll('[data-line]').length > before,
    {},
    own.length - 1,
  )
  const all = await lines(bench)
  expect(all.some(line => /note, X|part, Y|step, Y|test, X|machine/.test(line))).toBe(true)
  await bench.page.$eval('input[type=date]', element => {
    const setter = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set
    setter?.call(element, '2100-01-01')
    element.dispatchEvent(new Event('input', { bubbles: true }))
  })
  await bench.sees('No line goes with all of that.')
  await bench.click('button', 'Show all again')
  await bench.page.waitForSelector('[data-line]')
  expect(bench.errors).toEqual([])
})
