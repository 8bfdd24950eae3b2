import type { Browser } from 'puppeteer-core'
import { seeded } from '../endure/files'
import {
  goalsAddress,
  interleaved,
  killedTab,
  overtakenTab,
  powerLoss,
  reloadAndClose,
  twoTabs,
  wrongClock,
} from '../endure/tabs'
import { withApp } from './harness'

// The short form of `npm run endure`.

const app = withApp()
const random = seeded(5)

test('tabs that die, are reloaded and closed, or work side by side lose nothing that was typed', async () => {
  const address = await goalsAddress(app.context, app.url)
  for (const trial of [killedTab, killedTab, killedTab, reloadAndClose, reloadAndClose, twoTabs])
    expect(await trial(app.context, address, random)).toBeNull()
})

test('edits of two tabs in turns are all kept or asked about, and every question can be answered', async () => {
  const address = await goalsAddress(app.context, app.url)
  expect((await interleaved(app.context, address, random, 40)).wrong).toBeNull()
})

test('what was saved stands after the power went, and what was taken back stays so', async () => {
  expect(await powerLoss(app.url, random)).toBeNull()
})

test('a newer app beside an older tab, and clocks that are wrong, cost nothing', async () => {
  const browser = app.context.browser() as Browser
  expect(await overtakenTab(browser, app.url, random)).toBeNull()
  expect(await wrongClock(browser, app.url, random)).toBeNull()
})
