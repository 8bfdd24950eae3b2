import { withApp } from './harness'

const app = withApp()
const SEARCH = 'section[aria-label="Search the parts list"]'
const WORDS = 'section[aria-label="In plain words"]'

test('a search over the whole parts list fills the axis, and one undo takes it back', async () => {
  const bench = await app.openDemo()
  await bench.sheet('Search the parts list')
  await bench.click('button', 'Search')
  await bench.sees(/Of \d{2,3},\d{3},\d{3} drives \d+ hold and are beaten by nothing/, SEARCH)
  // A handful first; the cloud and the table are folded.
  await bench.page.waitForSelector('[data-picks*="far end held"]')
  expect(await bench.page.$(`${SEARCH} .recharts-scatter-symbol`)).toBeNull()
  await bench.press(`${SEARCH} [data-all] summary`)
  await bench.page.waitForSelector(`${SEARCH} .recharts-scatter-symbol`)

  // The one with most in hand: everything that the axis asks of its drive holds; whether its nut goes into the casting is another thing.
  await bench.choose('First', 'margin')
  const most = '[aria-label="Drives that nothing beats"]'
  const first = await bench.page.$eval(`${most} tbody td`, cell => cell.textContent ?? '')
  await bench.press(`${most} tbody button`)
  await bench.find('button', `Take the drive: ${first}`)
  await bench.sheet('In plain words')
  await bench.sees(/Everything holds\.|This drive works, but is close in room around the nut\./, WORDS)
  // The result is there when one comes back.
  await bench.sheet('Search the parts list')
  await bench.sees('are beaten by nothing', SEARCH)
  await bench.sheet('What you want from it')
  await bench.fill('Top speed', '2900')
  await bench.sheet('Search the parts list')
  await bench.sees('What is asked of the axis has changed since', SEARCH)
  await bench.click('button', 'Undo: Top speed, axis X')
  for (const check of ['motor.torqueMargin', 'axis.positionBudget', 'axis.lostMotion'])
    await bench.becomes(check, 'holds')
  await bench.stage('Log')
  await bench.sees('Taken from the search:')
  await bench.click('button', 'Undo: Drive taken, axis X')
  await bench.becomes('coupler.torque', 'fails')
  expect(bench.errors).toEqual([])
})

test('a search says why a part is not among its drives, and why nothing holds', async () => {
  const bench = await app.openDemo()
  await bench.sheet('Search the parts list')
  await bench.click('button', 'Search')
  await bench.sees('are beaten by nothing', SEARCH)
  await bench.choose('Kind of part', 'motor')
  await bench.choose('Part', 'step-42-03-24')
  await bench.click('button', 'Ask')
  await bench.sees('Nothing that goes with it holds. Nearest:', SEARCH)
  await bench.sees('Motor torque', SEARCH)

  await bench.sheet('What you want from it')
  await bench.fill('Top speed', '90000')
  await bench.sheet('Search the parts list')
  await bench.click('button', 'Search again')
  await bench.sees('No drive holds within that.', SEARCH)
  await bench.sees('Speed of the nut', SEARCH)
})

test('a search keeps to what is given, says so with its answer, and what one thing less would bring', async () => {
  const bench = await app.openDemo()
  await bench.sheet('Search the parts list')
  await bench.sees('It keeps to nothing: the whole list', SEARCH)
  await bench.press(`${SEARCH} [aria-label="Search within"] summary`)
  const tick = (label: string) => bench.press(`${SEARCH} ::-p-xpath(.//label[starts-with(., "${label}")])`)
  await tick('Keep this motor')
  await bench.choose('Between motor and screw', 'direct')
  await bench.sees('with the motor you have, Stepper 57 mm frame, 2.2 N·m, 48 V; without a belt', SEARCH)
  await bench.click('button', 'Search')
  await bench.sees(/With the motor you have, .*; without a belt: of [\d,]+ drives \d+ hold/, SEARCH)
  const taken = await bench.page.$$eval(`${SEARCH} [data-picks]`, cards =>
    cards.map(card => card.textContent ?? ''),
  )
  for (const card of taken) {
    expect(card).toContain('Stepper 57 mm frame, 2.2 N·m, 48 V')
    expect(card).not.toContain('Toothed belt')
  }
  await bench.fill('Price, at most', '50')
  await bench.sees('What is asked of the axis has changed since', SEARCH)
  await bench.click('button', 'Search again')
  await bench.sees('No drive holds within that.', SEARCH)
  await bench.sees(/not for at most €50: \d+ (hold|would be close), from €\d+/, SEARCH)
  // It is kept with the axis.
  await bench.isSaved()
  await bench.reload()
  await bench.sheet('Search the parts list')
  await bench.sees('for at most €50', SEARCH)
  expect(bench.errors).toEqual([])
})

test('work that goes to and fro says what its strokes come to, and what breaks first stands on one scale', async () => {
  const bench = await app.openDemo()
  await bench.sheet('Duty')
  await bench.click('button', 'Make it my own')
  const DUTY = 'section[aria-label="Duty"]'
  await bench.fill('Stroke, to and fro, work 1', '60')
  await bench.sees(/strokes a minute, up to/, DUTY)
  await bench.fill('Speeding up, work 1', '4000')
  await bench.sees('It speeds up harder than the', DUTY)
  await bench.sheet('What breaks first')
  await bench.sees(/In a slow crash the coupler is turned beyond its rating at/, '#sheet')
  await bench.sees('Bearings open', '#sheet')
  expect(bench.errors).toEqual([])
})

test('a search can be stopped, and nothing is changed', async () => {
  const bench = await app.openDemo()
  await bench.sheet('Search the parts list')
  await bench.click('button', 'Search')
  // Pressed at once, before the parts are through.
  await bench.page.waitForSelector(`${SEARCH} progress`)
  await bench.page.$$eval(`${SEARCH} button`, buttons =>
    (buttons as HTMLButtonElement[]).find(({ textContent }) => textContent === 'Stop')?.click(),
  )
  await bench.sees('Stopped. Nothing was changed.', SEARCH)
  await bench.becomes('coupler.torque', 'fails')
  await bench.click('button', 'Search')
  await bench.sees('are beaten by nothing', SEARCH)
  expect(bench.errors).toEqual([])
})

test('a belt, a kept handwheel and a second screw are judged, drawn and built', async () => {
  const bench = await app.openDemo()
  await bench.sheet('Kind of drive')
  await bench.choose('Motor to screw', 'belt')
  await bench.becomes('belt.pull', 'unknown')
  await bench.sheet('Parts of the drive')
  await bench.click('button', 'Belt not chosen yet')
  await bench.take('Toothed belt 5 mm, 15 mm wide, 24 to 48 teeth')
  await bench.becomes('belt.mesh', 'holds')
  expect(await bench.page.$('[data-check="coupler.torque"]')).toBeNull()
  expect(await bench.page.$('[data-part="belt"]')).not.toBeNull()

  await bench.sheet('Kind of drive')
  await bench.choose('Handwheel', 'kept')
  await bench.becomes('axis.handwheel', 'holds')
  await bench.fill('Handwheel, middle to grip', '12')
  await bench.becomes('axis.handwheel', 'close')

  await bench.sheet('In plain words')
  await bench.sees(/costs €\d+/, WORDS)
  const one = Number(/costs €(\d+)/.exec(await bench.text(WORDS))?.[1])
  await bench.sheet('Kind of drive')
  await bench.choose('Screws', '2')
  await bench.sheet('In plain words')
  await bench.sees(/costs €\d+/, WORDS)
  await bench.page.waitForFunction(
    (selector, dear) =>
      Number(/costs €(\d+)/.exec(document.querySelector(selector)?.textContent ?? '')?.[1]) > dear,
    {},
    WORDS,
    1.9 * one,
  )
  await bench.sheet('Kind of drive')
  await bench.fill('Load off the middle of the gantry, at most', '400')
  await bench.sees(
    'load off the middle of the gantry, at most is 400 mm; it takes a number from 0 up to 300 mm, at a screw',
  )
  await bench.fill('Load off the middle of the gantry, at most', '100')
  await bench.becomes('screw.buckling', 'holds')

  await bench.stage('Build')
  // Two motors are tried alone before their belts join them to their screws.
  await (await bench.page.waitForSelector('[data-part="moves"] summary'))?.click()
  await bench.sees('Tension the belt and tighten the motor face screws')
  expect(bench.errors).toEqual([])
})

test('a belt turns the nut: the screw cannot whip, its bearings go over the nut, and no steps are made up', async () => {
  const bench = await app.openDemo()
  await bench.sheet('Kind of drive')
  await bench.choose('Motor to screw', 'nut')
  await bench.sees('count its weight as moved', 'section[aria-label="Kind of drive"]')
  await bench.becomes('bearing.seat', 'fails')
  await bench.sheet('Parts of the drive')
  await bench.click('button', 'Belt not chosen yet')
  await bench.take('Toothed belt 5 mm, 15 mm wide, 24 to 48 teeth')
  await bench.click('button', 'Bearings Angular contact pair, back-to-back, 12 mm')
  await bench.take('Bearing pair for a nut that turns, 36 mm')
  await bench.becomes('bearing.seat', 'holds')
  await bench.becomes('screw.criticalSpeed', 'holds')
  await bench.sheet('Search the parts list')
  await bench.sees('takes the place of the nut that turns now', SEARCH)
  await bench.stage('Build')
  await bench.sees('the steps for a nut that turns on a standing screw are not written here')
  await bench.click('button', 'Undo: Bearing pair for a nut that turns, 36 mm chosen, axis X')
  expect(bench.errors).toEqual([])
})

test('a duty table of one’s own: its shares must add up, and it can be reckoned again', async () => {
  const bench = await app.openDemo()
  await bench.sheet('Duty')
  await bench.click('button', 'Make it my own')
  await bench.fill('Share of the time, work 1', '60')
  await bench.sees(/Share of the time: got 13\d(\.\d)?% in all, takes 100 %/)
  await bench.fill('Force, work 1', '9000')
  await bench.fill('Share of the time, work 1', '22.5')
  await bench.becomes('screw.life', 'fails')
  await bench.isSaved()
  await bench.reload()
  expect(await bench.value('Force, work 1')).toBe('9000')
  await bench.click('button', 'Another kind of work')
  await bench.find('textbox', 'Force, work 9')
  await bench.click('button', 'Reckon it again')
  await bench.becomes('screw.life', 'holds')
})

test('the reference lists every calculation with its formula, and is reached from the help', async () => {
  const bench = await app.openDemo()
  await bench.click('button', 'Help and keys (?)')
  await bench.click('link', 'Reference of every calculation')
  await bench.sees('screw.criticalSpeed')
  await bench.page.waitForSelector('article math')
  const entries = await bench.page.$$eval('article', all => all.map(({ id }) => id))
  expect(entries).toEqual(
    expect.arrayContaining(['cutting.milling', 'belt.tension', 'axis.stallThrust', 'bearing.life']),
  )
})

test('the force of a cut is reckoned from tool and material, and taken into the goals', async () => {
  const bench = await app.openDemo()
  await bench.sheet('What you want from it')
  await bench.click('button', 'Force from the cut')
  await bench.choose('Material', 'aluminium')
  // Kienzle by hand: hm 0.0339 mm, kc 1632 N/mm2, vf 360 mm/min, P 0.176 kW, Ft 140 N.
  await bench.sees(/1(39|40|41) N along the cut at 360 mm\/min, 0\.1[78] kW at the cutter/, '[role=dialog]')
  await bench.fill('Teeth', '0')
  await bench.sees('Got 0. Takes 1 to 40.', '[role=dialog]')
  await bench.fill('Teeth', '3')
  await bench.click('button', 'Take force and feed')
  expect(await bench.value('Feed while cutting')).toBe('360')
  expect(Number(await bench.value('Cutting force along the axis'))).toBeLessThan(200)
  await bench.click('button', 'Undo: Force of the cut, axis X')
  await bench.comesTo('Cutting force along the axis', '850')
})

test('schools stand side by side: one is taken with its reason, which goes to the log', async () => {
  const bench = await app.openDemo()
  await bench.sheet('Schools side by side')
  const panel = 'section[aria-label="Schools side by side"]'
  await bench.sees('self-locking', panel)
  await bench.click('button', 'Take instead: Oversize balls in a single nut')
  await bench.fill('Why? It goes into the log', 'Shorter nut, same play')
  await bench.becomes('coupler.torque', 'holds')
  await bench.sees('Ball screw 20 x 5, oversize balls', panel)
  await bench.click('button', 'Keep this one')
  await bench.sees('Four is the most', panel)
  await bench.click('button', 'Drop Sliding screw with a split nut')
  await bench.sees('Keep this one', panel)
  await bench.stage('Log')
  await bench.sees('Because: Shorter nut, same play')
  expect(bench.errors).toEqual([])
})

test('the lathe and the router can be opened from an empty store, each at its own kind of drive', async () => {
  const bench = await app.open()
  await bench.click('button', 'Open the demo job Long Tom 2400')
  await bench.standsOnTheBench()
  await bench.becomes('screw.criticalSpeed', 'close')
  await bench.sheet('Kind of drive')
  expect(await bench.value('Between the two screws')).toBe('1240')
  await bench.axis('Z')
  await bench.sheet('Parts of the drive')
  await bench.becomes('axis.unpoweredDrop', 'fails')
  await bench.sees('Support the load before working under it.')
  // A brake is a part like any other: the way out puts it in, and it can be chosen by hand.
  await bench.click('button', 'Ways out: When power goes')
  await bench.click('button', 'Apply: Spring-applied brake 1.5 N·m, 24 V')
  await bench.becomes('axis.unpoweredDrop', 'holds')
  await bench.find('button', 'Brake Spring-applied brake 1.5 N·m, 24 V')
  expect(bench.errors).toEqual([])
})
