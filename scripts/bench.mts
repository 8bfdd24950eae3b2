// Benchmarks: figures of this run on this machine, each beside a yardstick of the same run.

import { setGoal } from '@/core/job/commands'
import { skarrow } from '@/core/job/demo/skarrow'
import { applyChange, runCommand, stillApplies } from '@/core/job/edit'
import type { Axis } from '@/core/job/types'
import { CATALOGUE, type Catalogue } from '@/core/sizing/parts'
import { criticalSpeed } from '@/core/sizing/screw'
import { fieldOf, searchDrives, searchField } from '@/core/sizing/search/search'
import { evaluateAxis } from '@/core/verdicts/evaluateAxis'
import { waysOut } from '@/core/verdicts/waysOut'
import {
  longestFrameWhileSearching,
  percentile,
  transferredScripts,
  typingTimes,
} from '../tests/browser/measure'
import { startApp, startBrowser } from '../tests/browser/server'

/** Median time of a call in microseconds, over many rounds after warming up. */
function medianUs(work: () => unknown, calls: number): number {
  for (let i = 0; i < calls; i++) work()
  const rounds = Array.from({ length: 21 }, () => {
    const start = performance.now()
    for (let i = 0; i < calls; i++) work()
    return ((performance.now() - start) * 1000) / calls
  })
  return rounds.toSorted((a, b) => a - b)[10] ?? Number.NaN
}

const { job } = skarrow()
const axis = job.axes[0] as Axis
const inputs = { rootDiameterMm: 17, freeLengthMm: 500, ends: 'fixed-free' as const }
const change = runCommand(job, setGoal(axis, 'cuttingForceN', 700), { id: 'c', at: '' }).change
/** What is worked out goes here, so that no work is left out as useless. */
let sink = 0
const plainUs = medianUs(() => {
  inputs.freeLengthMm = 500 + (sink % 2)
  sink += criticalSpeed.compute(inputs).criticalSpeedRpm
}, 20_000)
const line = (name: string, us: number, limit?: string) =>
  console.log(
    `${name.padEnd(52)} ${us.toFixed(us < 10 ? 2 : 0).padStart(8)} us  ${(us / plainUs).toFixed(0).padStart(8)} x plain${limit ? `   (limit ${limit})` : ''}`,
  )

console.log('core')
line('one plain calculation (critical speed), the yardstick', plainUs)
line(
  'the same with its inputs checked',
  medianUs(() => {
    sink += criticalSpeed(inputs).criticalSpeedRpm
  }, 20_000),
)
line(
  'evaluate one axis, all checks',
  medianUs(() => evaluateAxis(axis, CATALOGUE, 'mm'), 300),
  '1000 us',
)
line(
  'check and apply one change to the job',
  medianUs(() => stillApplies(job, change) && applyChange(job, change), 300),
)
line(
  'ways out of one failing check',
  medianUs(() => waysOut(axis, CATALOGUE, 'mm', 'motor.torqueMargin'), 2),
)

/** Median time of a call in milliseconds. */
function medianMs(work: () => unknown, rounds: number): number {
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  })
  return times.toSorted((a, b) => a - b)[rounds >> 1] ?? Number.NaN
}

/** A parts list with every so many parts of each kind: small enough to try every combination. */
const thinned = (every: number): Catalogue =>
  Object.fromEntries(
    Object.entries(CATALOGUE).map(([kind, parts]) => [
      kind,
      new Map([...(parts as ReadonlyMap<string, unknown>)].filter((_, index) => index % every === 0)),
    ]),
  ) as unknown as Catalogue

console.log('search')
searchDrives(axis, CATALOGUE)
const whole = searchDrives(axis, CATALOGUE)
console.log(
  `whole list: ${whole?.combinations.toLocaleString('en')} combinations, ${whole?.judged.toLocaleString('en')} judged, ${whole?.points.length} drives; one judged out of ${((whole?.combinations ?? 0) / (whole?.judged ?? 1)).toFixed(0)}; ${medianMs(() => searchDrives(axis, CATALOGUE), 5).toFixed(0)} ms (limit 1000 ms)`,
)
for (const every of [16, 12, 9, 7]) {
  const field = fieldOf(axis, thinned(every))
  const { judged = 1 } = searchField(field) ?? {}
  const quickMs = medianMs(() => searchField(field), 5)
  const plainMs = medianMs(() => searchField(field, { prune: false }), 3)
  console.log(
    `  every ${every}th part: ${field.combinations.toLocaleString('en')} combinations; one judged out of ${(field.combinations / judged).toFixed(0)}; each tried that its parts allow ${plainMs.toFixed(1)} ms, search ${quickMs.toFixed(2)} ms, ${(plainMs / quickMs).toFixed(1)} x`,
  )
}

const app = await startApp()
const browser = await startBrowser()
try {
  console.log('browser')
  const { totalKb, appKb } = await transferredScripts(browser, app.url)
  console.log(
    `script transferred for the first job screen: ${totalKb.toFixed(0)} KB (limit 350 KB), of it for the empty page: ${appKb.toFixed(0)} KB`,
  )
  for (const { slowdown, emptyPage, bench } of await typingTimes(browser, app.url, [1, 4])) {
    const figures = (times: number[]) =>
      `median ${percentile(times, 0.5).toFixed(1)} ms, 95th percentile ${percentile(times, 0.95).toFixed(1)} ms`
    const limit = slowdown === 4 ? ' (limit 50 ms at the 95th percentile)' : ''
    console.log(
      `key stroke to what follows it, ${slowdown}x slower processor, ${bench.inPageMs.length} keys; the yardstick is one field on an empty page`,
    )
    console.log(`  verdict stands in the page: ${figures(bench.inPageMs)}${limit}`)
    console.log(`  the yardstick:              ${figures(emptyPage.inPageMs)}`)
    console.log(`  its frame is drawn:         ${figures(bench.drawnMs)}`)
    console.log(`  the yardstick:              ${figures(emptyPage.drawnMs)}`)
  }
  const { longestMs, searchMs } = await longestFrameWhileSearching(browser, app.url)
  console.log(
    `while a search of ${searchMs.toFixed(0)} ms runs beside the screen, the longest time between two frames: ${longestMs.toFixed(0)} ms (limit 50 ms)`,
  )
} finally {
  await browser.close()
  app.stop()
}
