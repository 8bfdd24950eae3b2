import { withApp } from './harness'
import { copyJobs } from './measure'

const app = withApp()

test('a shop with many machines finds them by name and by what is next, in any order, and opens one', async () => {
  const bench = await app.open()
  await bench.openDemo()
  await bench.isSaved()
  await bench.load('/')
  await bench.sees('Needs next')
  await copyJobs(bench.page, 90)
  await bench.load('/')
  await bench.sees('90 of 90 jobs', '[aria-label="All jobs"]')
  // One a line, and only those that are in sight are laid out.
  const shown = () => bench.page.$$eval('tr[data-job]', rows => rows.map(row => row.textContent ?? ''))
  expect((await shown()).length).toBeLessThan(60)

  await bench.fill('Find a job', 'copy 77', null)
  await bench.sees('1 of 90 jobs')
  expect((await shown()).map(text => text.slice(0, 7))).toEqual(['Copy 77'])
  await bench.fill('Find a job', 'no such machine', null)
  await bench.sees('0 of 90 jobs')
  await bench.fill('Find a job', '', null)
  await bench.sees('90 of 90 jobs')

  await bench.click('button', 'Machine')
  await bench.page.waitForFunction(() =>
    document.querySelector('tr[data-job]')?.textContent?.startsWith('Copy 0'),
  )
  await bench.click('button', 'Machine')
  await bench.page.waitForFunction(() =>
    document.querySelector('tr[data-job]')?.textContent?.startsWith('Copy 89'),
  )

  // What is next is worked out one after another, and looked through as well.
  await bench.fill('Find a job', 'copy 8 fault', null)
  await bench.page.waitForFunction(
    () => /X: find the fault/.test(document.querySelector('tr[data-job]')?.textContent ?? ''),
    { polling: 200 },
  )
  await bench.fill('Find a job', 'copy 33', null)
  await bench.click('button', 'More of Copy 33')
  await bench.find('button', 'Duplicate Copy 33')
  await bench.click('link', 'Open Copy 33')
  await bench.standsOnTheBench()
  expect(bench.errors).toEqual([])
})
