import { searchVerdict } from '@/core/practice/trainer/findIt'
import { LESSONS, lessonOf } from '@/core/practice/trainer/lessons'
import { FAULTS } from '@/core/sheets/findFault/table'
import { FAULT_WORDS } from '@/core/sheets/findFault/words'
import { downloads, pickFile } from './files'
import { type Bench, withApp } from './harness'

const app = withApp()

const VERDICT = '[data-lesson-verdict]'
const NOTEBOOK = '[data-notebook]'
const lessonAt = (id: string, seed: number) => app.open(`/practice?lesson=${id}&seed=${seed}`)
const readings = (bench: Bench) =>
  bench.page.$$eval(`${NOTEBOOK} tbody tr`, rows => rows.length).catch(() => 0)
/** Where a part of the picture stands. */
const nutAt = (bench: Bench) =>
  bench.page.$eval(
    '[data-machine] g[transform^="translate"]',
    group => group.getAttribute('transform') as string,
  )

/** Reads a reversal three times each way, as its lesson says. */
async function readReversal(bench: Bench) {
  await bench.click('button', 'To 200 mm')
  await bench.click('button', 'Set it to zero')
  for (let times = 0; times < 3; times++)
    for (const [there, back] of [
      ['up', 'down'],
      ['down', 'up'],
    ]) {
      await bench.click('button', `Drive ${there} by 5 mm`)
      await bench.click('button', `Drive ${back} by 5 mm`)
      await bench.click('button', 'Note the needle')
    }
}

test('who never held an indicator reads a reversal, is told what was missed, sees it, and gets it right', async () => {
  const bench = await app.open('/practice')
  await bench.sees('0 of 10 done')
  await bench.fill('Your name', 'Ines Aldermoor', null)
  await bench.click('button', 'Keep my progress')
  await bench.sees('Forget Ines Aldermoor', '[data-who]')
  await bench.click('link', 'Practise: Read a reversal')
  await bench.sees('What does the slide lose')
  // Each machine has its number in the address, and is another one the next time.
  await bench.page.waitForFunction(() => /lesson=reversal&seed=\d+$/.test(location.href))

  await bench.click('button', 'Look at it')
  await bench.sees('4 things were missed', VERDICT)
  await readReversal(bench)
  // What was said before was about less.
  await bench.lacks('things were missed', 'main')
  expect(await readings(bench)).toBe(6)
  const read = await bench.page.$$eval(`${NOTEBOOK} tbody tr`, rows => rows.map(row => row.textContent ?? ''))
  const um = (way: string) => {
    const all = read.filter(line => line.includes(way)).map(line => Number(line.match(/(-?\d+)\s*µm/)?.[1]))
    return all.reduce((sum, value) => sum + value, 0) / all.length
  }
  const lost = Math.abs(um('from below') - um('from above'))
  await bench.fill('Lost when it turns round', String(Math.round(lost / 2)))
  await bench.click('button', 'Look at it')
  await bench.sees('One thing was missed', VERDICT)
  await bench.sees('That is half of it', VERDICT)
  await bench.click('button', 'Show it: The figure')
  expect(await bench.page.$$eval(`${NOTEBOOK} [data-marked]`, rows => rows.length)).toBe(6)
  await bench.fill('Lost when it turns round', String(Math.round(lost)))
  await bench.click('button', 'Look at it')
  await bench.sees('Done: nothing was missed.', VERDICT)

  await bench.click('button', 'All lessons')
  await bench.sees('1 of 10 done')
  await bench.sees(/done, in \d+ min at best/, '[data-lesson-line="reversal"]')
  // Somebody else begins anew, and who was there first finds what was done.
  await bench.choose('At the bench', 'somebody else')
  await bench.fill('Your name', 'Anders Grimsby-Holt', null)
  await bench.click('button', 'Keep my progress')
  await bench.sees('0 of 10 done')
  await bench.reload()
  await bench.sees('Forget Anders Grimsby-Holt', '[data-who]')
  await bench.page.select('[data-who] select', (await idOf(bench, 'Ines Aldermoor')) as string)
  await bench.sees('1 of 10 done')
  expect(bench.errors).toEqual([])
})

const idOf = (bench: Bench, name: string) =>
  bench.page.$$eval(
    '[data-who] option',
    (options, text) => options.find(one => one.textContent === text)?.getAttribute('value'),
    name,
  )

test('a link opens the same machine for somebody else, and a page that is loaded anew has what was done', async () => {
  const bench = await lessonAt('tight-spot', 7)
  await bench.sees('machine 7')
  await bench.click('button', 'To 0 mm')
  await bench.click('button', 'Towards the high end')
  const first = await bench.text('[data-last-reading]')
  await bench.reload()
  await bench.sees(first, '[data-last-reading]')
  // Somebody else's browser has nothing of it.
  const other = await lessonAt('tight-spot', 7)
  await other.page.evaluate(() => localStorage.clear())
  await other.load('/practice?lesson=tight-spot&seed=7')
  expect(await readings(other)).toBe(0)
  await other.click('button', 'To 0 mm')
  await other.click('button', 'Towards the high end')
  await other.sees(first, '[data-last-reading]')
  await other.click('button', 'Begin again')
  await other.sees('Nothing is noted yet.')
  await other.load('/practice?lesson=nonsense')
  await other.sees('There is no such lesson')
  await other.load('/practice?lesson=reversal&seed=-3')
  await other.page.waitForFunction(() => /seed=\d+$/.test(location.href))
  expect([...bench.errors, ...other.errors]).toEqual([])
})

test('the machine goes as it is sent and the reading does not wait for it; where motion is not wanted it is there at once', async () => {
  const bench = await lessonAt('lost-cycle', 3)
  const before = await nutAt(bench)
  const seen = await bench.page.evaluate(async () => {
    const nut = document.querySelector('[data-machine] g[transform^="translate"]') as SVGGElement
    const press = (text: string) =>
      [...document.querySelectorAll('button')].find(one => one.textContent?.trim() === text)?.click()
    press('To 220 mm')
    const places = new Set<string>()
    const begun = performance.now()
    while (performance.now() - begun < 1500) {
      places.add(nut.getAttribute('transform') as string)
      await new Promise(requestAnimationFrame)
      if (places.size === 3) press('Note the needle')
    }
    return { places: [...places], noted: document.querySelectorAll('[data-notebook] tbody tr').length }
  })
  expect(seen.places.length).toBeGreaterThan(5)
  expect(seen.noted).toBeGreaterThanOrEqual(1)
  expect(seen.places.at(-1)).not.toBe(before)
  await bench.page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }])
  const jumped = await bench.page.evaluate(async () => {
    const nut = document.querySelector('[data-machine] g[transform^="translate"]') as SVGGElement
    const places = new Set<string>([nut.getAttribute('transform') as string])
    const button = [...document.querySelectorAll('button')].find(
      one => one.textContent?.trim() === 'To 20 mm',
    )
    button?.click()
    for (let frame = 0; frame < 30; frame++) {
      await new Promise(requestAnimationFrame)
      places.add(nut.getAttribute('transform') as string)
    }
    return places.size
  })
  expect(jumped).toBe(2)
  expect(bench.errors).toEqual([])
})

test('every lesson shows a good way on its machine, with what its readings come to, and gives the builder his own back', async () => {
  const bench = await app.open('/practice', page =>
    page.evaluateOnNewDocument(() => {
      // A second takes a tenth of one.
      const later = window.setTimeout
      window.setTimeout = ((work: TimerHandler, ms = 0) => later(work, ms / 10)) as typeof window.setTimeout
    }),
  )
  for (const { id, title } of LESSONS) {
    await bench.go(`/practice?lesson=${id}&seed=4`)
    await bench.sees(title, 'h1')
    const own = await readings(bench)
    await bench.click('button', 'Show me a good way')
    await bench.sees('That was a good way', '[data-showing]')
    const exercise = lessonOf(id)?.of(4)
    expect(await readings(bench)).toBe(exercise?.bench(exercise.best).noted.length)
    await bench.click('button', 'Back to my own')
    expect(await readings(bench)).toBe(own)
  }
  expect(bench.errors).toEqual([])
})

test('by the keyboard alone, in inches', async () => {
  const bench = await app.open('/practice')
  await bench.fill('Your name', 'Ines', 'Enter')
  await bench.choose('Reads in', 'inch')
  // It shows what is kept, once it is kept.
  await bench.stands()
  await bench.page.waitForFunction(() =>
    [...document.querySelectorAll<HTMLSelectElement>('[data-who] select')].some(
      ({ value }) => value === 'inch',
    ),
  )
  await bench.go('/practice?lesson=gantry&seed=5')
  const press = async (name: string) => {
    const button = await bench.find('button', name)
    await button.focus()
    await bench.page.keyboard.press('Enter')
  }
  await press('As the square lies')
  await press('Turned over')
  await bench.sees(/thou|in/, NOTEBOOK)
  await press('Up 3.94 thou')
  await bench.lacks('Gantry as it was', '[data-set="side"]')
  expect(await readings(bench)).toBe(2)
  expect(bench.errors).toEqual([])
})

test('a hidden fault: checks cost their minutes, and the way taken is laid beside a good one', async () => {
  const seed = 3
  const verdictOf = (id: (typeof FAULTS)[number]['id']) => searchVerdict(seed, [], id)
  const fault = FAULTS.map(({ id }) => id).find(id => verdictOf(id).wasRight) as (typeof FAULTS)[number]['id']
  const { best, bestMinutes } = verdictOf(fault)
  const bench = await app.open(`/practice?lesson=find-it&seed=${seed}`)
  await bench.sees('0 min on the clock')
  const offered = await bench.page.$$eval('[data-check-asked]', all =>
    all.map(one => one.getAttribute('aria-label')),
  )
  // Which check tells most is not given away by their order.
  expect(offered[0]).not.toContain(best[0]?.title)
  for (const { title, minutes, outcome } of best) {
    await bench.click('button', `${title}, ${minutes} min`)
    await bench.sees(outcome, '[data-made]')
  }
  await bench.sees(`${bestMinutes} min on the clock`)
  await bench.reload()
  await bench.sees(`${bestMinutes} min on the clock`)
  await bench.choose('What is wrong with it', fault)
  await bench.click('button', 'That is it')
  await bench.sees(`Right: ${FAULT_WORDS[fault].name}`, '[data-search-verdict="found"]')
  await bench.sees(`Your way took ${bestMinutes} min; a good one takes ${bestMinutes} min.`)
  for (const name of ['Your way', 'A good way'])
    expect(await bench.page.$$eval(`section[aria-label="${name}"] li`, lines => lines.length)).toBe(
      best.length,
    )
  await bench.click('button', 'All lessons')
  await bench.sees('1 of 1 found.')

  await bench.go(`/practice?lesson=find-it&seed=${seed + 1}`)
  await bench.sees('0 min on the clock')
  const wrong = FAULTS.map(({ id }) => id).find(id => !searchVerdict(seed + 1, [], id).wasRight) as string
  await bench.choose('What is wrong with it', wrong)
  await bench.click('button', 'That is it')
  await bench.sees('It was not', '[data-search-verdict="missed"]')
  await bench.click('button', 'All lessons')
  await bench.sees('1 of 2 found.')
  expect(bench.errors).toEqual([])
})

test('whoever is forgotten is asked about first; what was practised comes back from a backup', async () => {
  const bench = await lessonAt('gantry', 2)
  await bench.click('button', 'Look at it')
  await bench.sees('missed', VERDICT)
  await bench.click('button', 'All lessons')
  await bench.sees('tried once', '[data-lesson-line="gantry"]')
  // Somebody who has no job has something to back up all the same.
  const saved = await downloads(bench.page)
  await bench.load('/')
  await bench.click('button', 'Back up all jobs')
  const { path } = await saved()
  await bench.load('/practice')
  await bench.click('button', 'Forget Builder')
  await bench.click('button', 'Keep it')
  await bench.sees('tried once', '[data-lesson-line="gantry"]')
  await bench.click('button', 'Forget Builder')
  await bench.click('button', 'Forget it for good')
  await bench.sees('not tried yet', '[data-lesson-line="gantry"]')
  await bench.load('/')
  await pickFile(bench.page, path)
  await bench.sees('What Builder practised comes along')
  await bench.click('button', 'Import it')
  await bench.load('/practice')
  await bench.sees('tried once', '[data-lesson-line="gantry"]')
  expect(bench.errors).toEqual([])
})
