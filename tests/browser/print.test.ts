import { STAGE_WORDS, STAGES, type Stage } from '@/core/document/stages'
import { sheetsOf } from '@/core/sheets'
import { onPaper } from './files'
import { type Bench, withApp } from './harness'

const app = withApp({ env: { DUSK_DEMO: '1' } })
const DEMO = '/job/demo-skarrow-8/skarrow-x'

/** The words of every page, and how light each is, 1 being white. */
function pages(pdf: Uint8Array): { text: string; corner: number; mean: number }[] {
  const texts = onPaper('pdftotext', ['-layout', '-', '-'], pdf)
    .stdout.toString('utf8')
    .split('\f')
    .slice(0, -1)
  const images = onPaper('pdftoppm', ['-gray', '-r', '20', '-'], pdf).stdout
  let at = 0
  return texts.map(text => {
    // A head of three lines, then a byte a dot, then the next page.
    const head = /^P5\n(\d+) (\d+)\n255\n/.exec(images.toString('latin1', at, at + 30)) as RegExpExecArray
    const from = at + head[0].length
    at = from + Number(head[1]) * Number(head[2])
    const dots = images.subarray(from, at)
    return {
      text,
      corner: (dots[0] as number) / 255,
      mean: dots.reduce((sum, dot) => sum + dot, 0) / dots.length / 255,
    }
  })
}

/** Words that are pressed on the screen, to sort by them or to go there: on paper they are words. */
const WORDS: Partial<Record<Stage | 'machine', string[]>> = {
  size: ['Would give', 'Price'],
}

const FORMATS = ['a4', 'letter'] as const

/** Has a stage printed whole, as its button does: its pages. */
async function printStage(bench: Bench, stage: Stage | 'machine', format: (typeof FORMATS)[number]) {
  const { page } = bench
  const many = sheetsOf(stage).length > 1
  if (many) {
    await page.evaluate(() => {
      window.print = () => document.body.setAttribute('data-asked', '')
    })
    await bench.click('button', `Print all sheets of ${STAGE_WORDS[stage].label}`)
    await page.waitForSelector('[data-asked]')
    // What the file is called that it is printed to.
    expect(await page.title()).toMatch(new RegExp(`^${STAGE_WORDS[stage].label}, `))
  }
  const pdf = await page.pdf({ format, printBackground: true })
  if (many) {
    // Afterwards the one sheet is back.
    await page.waitForSelector('#sheet')
    await page.evaluate(() => document.body.removeAttribute('data-asked'))
  }
  return pages(pdf)
}

test('every stage prints on A4 and Letter: white, without the frame, with machine, axis and page on every page', async () => {
  const bench = await app.open(`${DEMO}/survey`)
  for (const stage of STAGES) {
    await bench.go(`${DEMO}/${stage}/${sheetsOf(stage)[0]?.id}`)
    await bench.page.waitForSelector('[data-sheet] section')
    const label = STAGE_WORDS[stage].label
    for (const format of FORMATS) {
      const all = await printStage(bench, stage, format)
      // The last page has more on it than its marks.
      expect([stage, format, (all.at(-1)?.text.replace(/\s+/g, ' ').length ?? 0) > 100]).toEqual([
        stage,
        format,
        true,
      ])
      for (const [index, { text, corner, mean }] of all.entries()) {
        expect(text).toContain(`Skarrow 8, axis X: Table · ${label}`)
        expect(text).toContain(`page ${index + 1} of ${all.length}`)
        // Frame and buttons stay on the screen.
        expect(text).not.toMatch(/Dusk Bench|in this browser|Print this sheet|Ways out/)
        expect(corner).toBe(1)
        expect(mean).toBeGreaterThan(0.75)
      }
      const words = all.map(({ text }) => text).join(' ')
      for (const word of WORDS[stage] ?? [])
        expect([stage, words]).toEqual([stage, expect.stringContaining(word)])
      for (const { title } of sheetsOf(stage).filter(({ id }) => id === 'travel' || id === 'goals'))
        expect(words).toContain(title)
    }
  }
  expect(bench.errors).toEqual([])
})

test('what is still to measure is named on paper', async () => {
  const bench = await app.open('/job/demo-skarrow-8/skarrow-z/survey/toMeasure')
  await bench.page.waitForSelector('#sheet li a')
  const names = await bench.page.$$eval('#sheet li a', links => links.map(link => link.textContent ?? ''))
  expect(names.length).toBeGreaterThan(2)
  const words = pages(await bench.page.pdf({ format: 'a4' }))
    .map(({ text }) => text)
    .join(' ')
  for (const name of names) expect(words).toContain(name)
})

test('a chart keeps the colours of its series on paper, and takes no more of a page than it needs', async () => {
  const bench = await app.open(`${DEMO}/size/breaksFirst`)
  const bar = '.recharts-bar-rectangle [fill="var(--dusk-colors-brass)"]'
  await bench.page.waitForSelector(bar)
  // What is half drawn is left out on paper, and for as long as it stays on paper.
  await bench.page.waitForSelector('#sheet [aria-busy]', { hidden: true })
  await bench.page.emulateMediaType('print')
  // On paper the chart is drawn anew, at the width of the page.
  const drawn = await bench.page.waitForFunction(
    selector => {
      const one = document.querySelector(selector)
      return one && getComputedStyle(one).fill
    },
    { polling: 50 },
    bar,
  )
  expect(await drawn.jsonValue()).not.toBe('rgb(255, 255, 255)')
  await bench.page.emulateMediaType()
  const [first] = pages(await bench.page.pdf({ format: 'a4' }))
  expect(first?.text).toContain('Screw bends out')
  expect(bench.errors).toEqual([])
})

test('the whole machine, the record and the work sheet print so too; a name with signs of its own does no harm', async () => {
  const bench = await app.open()
  await bench.sees('Long Tom 2400')
  const odd = 'Mill "8" \\\\ {bench} <b>'
  await bench.click('button', 'Rename Skarrow 8')
  await bench.fill('Name of the job', odd)
  await bench.sees(odd)
  await bench.go('/job/demo-skarrow-8/machine/overview')
  await bench.page.waitForSelector('[data-sheet] section')
  const machine = await printStage(bench, 'machine', 'a4')
  expect(machine.length).toBeGreaterThan(1)
  const words = machine.map(({ text }) => text).join(' ')
  expect(words).toContain('Order list')
  // Paper waits for the plan.
  expect(words).toContain('Everything is done on')
  expect(words).not.toContain('Laying the plan')
  // Names of axes are pressed to go to them; the list of the supplier's ways is no part of the list of orders.
  expect(words).toContain('Axis X: Table')
  expect(words).toMatch(/\bX +(Lost motion|Reversal)/)
  expect(words).not.toContain('The supplier today')
  for (const [path, head, least] of [
    ['record', `${odd}, axis X: Table`, 2],
    // Little is left to do on it.
    ['worksheet', `Work sheet: ${odd}, axis X`, 1],
  ] as const) {
    await bench.go(`${DEMO}/${path}`)
    await bench.page.waitForSelector('main h1')
    const all = pages(await bench.page.pdf({ format: 'letter' }))
    expect(all.length).toBeGreaterThanOrEqual(least)
    for (const [index, { text, corner }] of all.entries()) {
      expect(text).toContain(head)
      expect(text).toContain(`page ${index + 1} of ${all.length}`)
      expect(text).not.toContain('Print the')
      expect(corner).toBe(1)
    }
  }
  for (const { text } of machine) expect(text).toContain(odd)
})

test('paper waits for the plan however long that takes, and shows no work that is under way', async () => {
  const bench = await app.open('/', async page => {
    await page.evaluateOnNewDocument(() => {
      // Work beside the screen gets nothing to do before it is let go.
      const held: (() => void)[] = []
      const { postMessage } = Worker.prototype
      Worker.prototype.postMessage = function (this: Worker, ...args: unknown[]) {
        const send = () => (postMessage as (...all: unknown[]) => void).apply(this, args)
        if (document.documentElement.hasAttribute('data-let-go')) send()
        else held.push(send)
      } as typeof postMessage
      addEventListener('let-go', () => {
        document.documentElement.setAttribute('data-let-go', '')
        for (const send of held) send()
      })
    })
  })
  await bench.go('/job/demo-skarrow-8/machine/schedule')
  await bench.page.waitForSelector('[data-sheet] section')
  await bench.page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-asked', '')
  })
  await bench.sees('Laying the plan…')
  // One sheet waits, and so do all of them; what is printed by force says what is missing.
  await bench.click('button', 'Print this sheet')
  await bench.page.waitForSelector('[data-paper-waits]')
  await bench.click('button', 'Do not print')
  await bench.click('button', `Print all sheets of ${STAGE_WORDS.machine.label}`)
  await bench.page.waitForSelector('[data-paper-waits]')
  await bench.page.waitForFunction(
    count => document.querySelectorAll('[data-paper] > * > section').length >= count,
    {},
    sheetsOf('machine').length,
  )
  expect(await bench.page.$('[data-asked]')).toBeNull()
  const early = pages(await bench.page.pdf({ format: 'a4', printBackground: true }))
  const said = early.map(({ text }) => text).join(' ')
  expect(said).not.toContain('Laying the plan')
  expect(said).toContain('Not worked out yet when this was printed')
  await bench.page.waitForSelector('#sheet')

  await bench.click('button', `Print all sheets of ${STAGE_WORDS.machine.label}`)
  await bench.page.waitForSelector('[data-paper-waits]')
  await bench.page.evaluate(() => dispatchEvent(new Event('let-go')))
  await bench.page.waitForSelector('[data-asked]', { timeout: 0 })
  const words = pages(await bench.page.pdf({ format: 'a4', printBackground: true }))
    .map(({ text }) => text)
    .join(' ')
  expect(words).toContain('Everything is done on')
  expect(words).not.toMatch(/Laying the plan|Looking (for|further)|Not worked out yet/)
  expect(bench.errors).toEqual([])
})
