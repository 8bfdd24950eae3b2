import { SHEETS } from '@/core/sheets'
import { downloads } from './files'
import { type Bench, withApp } from './harness'

const app = withApp({ env: { DUSK_DEMO: '1' } })

async function seeded(): Promise<Bench> {
  const bench = await app.open()
  await bench.sees('Long Tom 2400')
  return bench
}

/** What sticks out of a page at the right, where it can be scrolled to. */
const sticksOut = (bench: Bench) =>
  bench.page.evaluate(() => {
    const room = document.documentElement.clientWidth
    if (document.documentElement.scrollWidth <= room) return null
    const wide = [...document.querySelectorAll('body *')].filter(element => {
      if (element.getBoundingClientRect().right <= room + 1) return false
      for (let up = element.parentElement; up; up = up.parentElement)
        if (up !== document.body && getComputedStyle(up).overflowX !== 'visible') return false
      return true
    })
    return wide.slice(0, 3).map(element => element.outerHTML.slice(0, 160))
  })

test('no screen scrolls sideways on the narrowest phone', async () => {
  const bench = await seeded()
  await bench.page.setViewport({ width: 320, height: 640, isMobile: true, hasTouch: true })
  const axes = [
    'demo-skarrow-8/skarrow-x',
    'demo-ostrey-254/ostrey-x',
    'demo-long-tom-2400/long-tom-x',
  ] as const
  const ofAxis = SHEETS.filter(({ stage }) => stage !== 'machine')
  const paths = [
    '/',
    '/reference',
    ...axes.flatMap((axis, machine) =>
      ofAxis
        .filter(({ id }, number) => machine === (['cuts', 'screwLine'].includes(id) ? 0 : number % 3))
        .map(({ stage, id }) => `/job/${axis}/${stage}/${id}`),
    ),
    `/job/${axes[0]}/survey`,
    ...SHEETS.filter(({ stage }) => stage === 'machine').map(({ id }) => `/job/demo-skarrow-8/machine/${id}`),
    `/job/${axes[0]}/record`,
    `/job/${axes[0]}/worksheet`,
  ]
  const wide: unknown[] = []
  for (const path of paths) {
    await bench.go(path)
    const sheet = path.split('/')[5] ?? (path.includes('/machine/') && path.split('/')[4])
    await bench.page.waitForSelector(sheet ? `[data-sheet="${sheet}"] section` : 'h1')
    const out = await sticksOut(bench)
    if (out) wide.push(path, ...out)
  }
  expect(wide).toEqual([])
})

/** Drops a file on the page, as a hand does that drags it in. */
const drop = (bench: Bench, name: string, text: string) =>
  bench.page.evaluate(
    (called, holds) => {
      const dataTransfer = new DataTransfer()
      dataTransfer.items.add(new File([holds], called))
      for (const type of ['dragover', 'drop'])
        document.body.dispatchEvent(new DragEvent(type, { dataTransfer, bubbles: true, cancelable: true }))
    },
    name,
    text,
  )

test('a file dropped anywhere is taken, or it is said why not, and the page stays', async () => {
  const bench = await seeded()
  const exported = await downloads(bench.page)
  await bench.click('button', 'Export Skarrow 8')
  const { text } = await exported()

  await drop(bench, 'photo.jpg', 'x')
  await bench.sees('photo.jpg: takes a job file or a backup (.json).')
  await drop(bench, 'parts.csv', 'kind')
  await bench.sees('Open the job, and drop it there.')
  await drop(bench, 'skarrow.json', text)
  await bench.find('dialog', 'Import skarrow.json')
  await bench.click('button', 'Cancel')

  await bench.go('/job/demo-skarrow-8/skarrow-x/size/parts')
  await drop(bench, 'screws.csv', 'kind,id,name\n')
  await bench.find('dialog', 'Parts from screws.csv')
  await bench.page.keyboard.press('Escape')
  await drop(bench, 'skarrow.json', text)
  await bench.find('dialog', 'Import skarrow.json')
  await bench.click('button', 'Keep both')
  await bench.page.waitForFunction(() => !location.pathname.includes('demo-skarrow-8'))
  await bench.sees('Verdicts')
  expect(bench.errors).toEqual([])
})

test('without script the frame and its scheme stand there, by the system or as it was chosen', async () => {
  const bench = await seeded()
  const { page } = bench
  const canvas = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor)
  const [dusk, day] = ['rgb(20, 26, 35)', 'rgb(239, 237, 230)']
  const bySystem = (value: 'dark' | 'light') =>
    page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value }])
  const job = '/job/demo-skarrow-8/skarrow-x/size/parts'

  // The app follows the system until a scheme is chosen, also while it is open.
  await bySystem('light')
  await page.waitForSelector('html.day')
  await bySystem('dark')
  await page.waitForSelector('html.dusk')

  await page.setJavaScriptEnabled(false)
  await bench.load(job)
  await bench.sees('Make room')
  await bench.sees('needs its scripts')
  expect(await canvas()).toBe(dusk)
  await bySystem('light')
  expect(await canvas()).toBe(day)

  await page.setJavaScriptEnabled(true)
  await bench.load(job)
  await bench.click('button', 'Dusk scheme')
  await page.setJavaScriptEnabled(false)
  await bench.load('/')
  expect(await page.$eval('html', html => html.className)).toBe('dusk')
  expect(await canvas()).toBe(dusk)
})

test('in a browser of another language numbers and dates are said and read as people write them there', async () => {
  const bench = await app.open('/', async page => {
    const session = await page.createCDPSession()
    await session.send('Emulation.setLocaleOverride', { locale: 'de-DE' })
  })
  await bench.openDemo()
  const travel = 'Travel that the ways allow'
  await bench.comesTo(travel, '412,6')
  for (const [typed, stands] of [
    ['1 234,5', '1234,5'],
    ['1.234,5', '1234,5'],
    ['400,25', '400,25'],
    ['412.6', '412,6'],
    ['4e2', '400'],
  ] as const) {
    await bench.fill(travel, typed)
    expect(await bench.value(travel)).toBe(stands)
  }
  await bench.fill(travel, '99999')
  await bench.sees(/Takes 10 mm to 10\u202f000 mm/)
  await bench.page.keyboard.press('Escape')
  await bench.load('/')
  await bench.sees(new RegExp(`${new Date().getDate()}\\. [A-Z]\\S+ ${new Date().getFullYear()}`))
})

test('fields ask for the keys that they take', async () => {
  const bench = await seeded()
  const keys = async () =>
    (await bench.find('textbox', 'Travel that the ways allow')).evaluate(
      e => (e as unknown as HTMLInputElement).inputMode,
    )
  await bench.go('/job/demo-skarrow-8/skarrow-x/survey/geometry')
  expect(await keys()).toBe('decimal')
  await bench.click('button', 'Units: mm. Switch to inch')
  await bench.page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[data-quantity]')?.inputMode === 'text',
  )
})

test('with the colours of the system everything that is chosen or drawn can still be seen', async () => {
  const bench = await seeded()
  const session = await bench.page.createCDPSession()
  await session.send('Emulation.setEmulatedMedia', { features: [{ name: 'forced-colors', value: 'active' }] })
  await bench.go('/job/demo-skarrow-8/skarrow-x/size/parts')
  await bench.sees('Verdicts')
  const outlined = await bench.page.$$eval('[aria-current]', all =>
    all.map(one => getComputedStyle(one).outlineStyle),
  )
  expect(outlined.length).toBeGreaterThan(2)
  expect(new Set(outlined)).toEqual(new Set(['solid']))
})

test('on a phone and at 200 % zoom the frame folds by itself, the first field stands in the upper half, and all places stay in reach', async () => {
  const bench = await seeded()
  const axis = '/job/demo-skarrow-8/skarrow-x'
  for (const viewport of [
    { width: 390, height: 844, isMobile: true, hasTouch: true },
    { width: 640, height: 400, deviceScaleFactor: 2 },
  ]) {
    await bench.page.setViewport(viewport)
    // A screen that becomes a phone's is loaded anew.
    await bench.load(axis)
    for (const path of [
      'survey/dimensions',
      'survey/goals',
      'room/nutRoom',
      'align/screwLine',
      'prove/reversal',
    ]) {
      await bench.go(`${axis}/${path}`)
      await bench.page.waitForSelector('#sheet input, #sheet select')
      const top = await bench.page.$$eval('#sheet :is(input, select, button)', all =>
        Math.min(...all.map(one => one.getBoundingClientRect().top)),
      )
      expect([path, top < viewport.height / 2]).toEqual([path, true])
    }
    // Stages and sheets unfold, lead to their place, and fold again there.
    expect(await bench.page.$('nav[aria-label="Stages"]')).toBeNull()
    await bench.press('button[aria-label*="Unfold"]')
    await bench.page.waitForSelector('nav[aria-label="Stages"]')
    await bench.press('nav[aria-label="Stages"] a[data-rail="stage"][href*="/size"]')
    await bench.page.waitForSelector('nav[aria-label="Stages"]', { hidden: true })
    // What is next is one press away, and in words below the sheet.
    const next = await bench.page.$eval('[data-next]', line => line.textContent ?? '')
    await bench.press('a[aria-label^="Next: "]')
    await bench.page.waitForFunction(
      before => !location.pathname.endsWith('/size/parts') && before.includes('find the fault'),
      {},
      next,
    )
  }
  expect(await sticksOut(bench)).toBeNull()
  expect(bench.errors).toEqual([])
})

test('letters grow with those of the browser, and nothing sticks out then', async () => {
  const bench = await seeded()
  const session = await bench.page.createCDPSession()
  const heightOf = () => bench.page.$eval('#sheet label', label => label.getBoundingClientRect().height)
  await bench.go('/job/demo-skarrow-8/skarrow-x/survey/goals')
  await bench.page.waitForSelector('#sheet input')
  const before = await heightOf()
  await session.send('Page.setFontSizes', { fontSizes: { standard: 28 } })
  for (const path of ['survey/goals', 'size/parts', 'prove/reversal', 'build/steps']) {
    await bench.load(`/job/demo-skarrow-8/skarrow-x/${path}`)
    await bench.page.waitForSelector('#sheet section')
    if (path === 'survey/goals') expect(await heightOf()).toBeGreaterThan(1.5 * before)
    expect([path, await sticksOut(bench)]).toEqual([path, null])
  }
})

test('at the machine only the step or the readings in hand are shown, large; a gauge that types like a keyboard needs no field', async () => {
  const bench = await seeded()
  const { page } = bench
  const axis = '/job/demo-skarrow-8/skarrow-x'
  await page.setViewport({ width: 820, height: 1180, hasTouch: true })
  await bench.load(`${axis}/build/steps`)
  await bench.sees('Only holds, torques and cautions')
  const letterPx = () =>
    page.$eval('[data-step-in-hand] h3', head => {
      const { height } = head.getBoundingClientRect()
      return height
    })
  const before = await letterPx()
  await bench.click('button', 'At the machine: only what is in hand, large (M)')
  await page.waitForSelector('html[data-at-machine]')
  expect(await letterPx()).toBeGreaterThan(1.2 * before)
  const seen = () => bench.text('#sheet')
  expect(await seen()).toContain('Measure the lost motion')
  expect(await seen()).not.toContain('Only holds, torques and cautions')
  // It stays so wherever one goes, and when the tablet has let the tab go.
  await bench.load(`${axis}/align/screwLine`)
  await page.waitForSelector('html[data-at-machine] [data-advice]')
  expect(await seen()).not.toContain('Rounds so far')
  expect(await sticksOut(bench)).toBeNull()

  await bench.click('button', 'Start the next round')
  await bench.choose('Readings are typed in', 'mm')
  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  const cells = () =>
    page.$$eval('[data-turn] input[data-quantity="smallLength"]', all =>
      all.map(one => (one as HTMLInputElement).value),
    )
  const many = (await cells()).length
  const typed = Array.from({ length: many }, (_, at) => `0.${11 + at}1`)
  for (const line of typed) {
    await page.keyboard.type(line)
    await page.keyboard.press('Enter')
  }
  expect((await cells()).toSorted()).toEqual(typed.toSorted())
  // Its key pressed once too often: nothing is typed over, no button is pressed, and it is told.
  await page.keyboard.type('0.077')
  await page.keyboard.press('Enter')
  await bench.sees('Not taken: 0.077')
  expect((await cells()).toSorted()).toEqual(typed.toSorted())

  await bench.click('button', 'Back from the machine: all of the screen')
  await page.waitForSelector('html:not([data-at-machine])')
  await bench.sees('Rounds so far')
  expect(bench.errors).toEqual([])
})
