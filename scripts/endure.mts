import { parseArgs } from 'node:util'
import { startApp, startBrowser } from '../tests/browser/server'
import { damaged, seeded, soundFiles, tryFile } from '../tests/endure/files'
import {
  goalsAddress,
  interleaved,
  killedTab,
  overtakenTab,
  powerLoss,
  reloadAndClose,
  twoTabs,
  type Verdict,
  wrongClock,
} from '../tests/endure/tabs'

// What the app must outlive, many times over. A line a trial where something is wrong, and a line for all of a kind.

const { values } = parseArgs({
  options: {
    files: { type: 'string', default: '10000' },
    kills: { type: 'string', default: '200' },
    reloads: { type: 'string', default: '120' },
    tabs: { type: 'string', default: '50' },
    edits: { type: 'string', default: '500' },
    power: { type: 'string', default: '20' },
    newer: { type: 'string', default: '40' },
    clocks: { type: 'string', default: '40' },
    seed: { type: 'string', default: '1' },
    every: { type: 'boolean', default: false },
  },
})
const seed = Number(values.seed)
let failed = 0
/** A trial that takes longer hangs: edits in turns take the longest. */
const LONGEST_TRIAL_MS = 60_000 + 400 * Number(values.edits)

/** Does a trial many times, and says how many went wrong. */
async function times(name: string, count: number, trial: (random: () => number) => Promise<Verdict>) {
  const random = seeded(seed)
  let bad = 0
  const start = performance.now()
  for (let i = 1; i <= count; i++) {
    const late = new Promise<Verdict>(done => setTimeout(() => done('hangs'), LONGEST_TRIAL_MS).unref())
    const wrong = await Promise.race([trial(random), late]).catch(
      error => `broke: ${String(error).split('\n')[0]}`,
    )
    if (wrong) bad += 1
    if (wrong || values.every) console.log(`${name} ${i}: ${wrong ?? 'fine'}`)
  }
  failed += bad
  const tookS = (performance.now() - start) / 1000
  console.log(`${name}: ${count} tried, ${bad} wrong (seed ${seed}, ${tookS.toFixed(0)} s)`)
}

const files = soundFiles()
const outcomes = { refused: 0, taken: 0, bad: 0 }
let number = 0
await times('damaged files', Number(values.files), async random => {
  const { outcome, why } = tryFile(damaged(files[number++ % files.length] as string, random))
  outcomes[outcome] += 1
  return why || null
})
console.log(`  ${outcomes.refused} refused, ${outcomes.taken} taken`)

const app = await startApp()
const browser = await startBrowser()
try {
  const context = await browser.createBrowserContext()
  const address = await goalsAddress(context, app.url)
  await times('killed tabs', Number(values.kills), random => killedTab(context, address, random))
  await times('reload and close', Number(values.reloads), random => reloadAndClose(context, address, random))
  await times('two tabs', Number(values.tabs), random => twoTabs(context, address, random))
  let asked = 0
  const edits = Number(values.edits)
  if (edits > 0)
    await times(`two tabs, ${edits} edits in turns`, 1, async random => {
      const outcome = await interleaved(context, address, random, edits)
      asked = outcome.asked
      return outcome.wrong
    })
  console.log(`  ${asked} of them lost against the other tab, and were asked about`)
  await times('power that goes', Number(values.power), random => powerLoss(app.url, random))
  await times('a newer app beside', Number(values.newer), random => overtakenTab(browser, app.url, random))
  await times('wrong clocks', Number(values.clocks), random => wrongClock(browser, app.url, random))
} finally {
  await browser.close()
  app.stop()
}
process.exit(failed ? 1 : 0)
