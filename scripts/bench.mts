import type { Axis } from '@/core/document/axis'
import { PART_KINDS, type PartKind } from '@/core/document/kinds'
import type { Catalogue, OwnParts } from '@/core/document/parts/types'
import { readPartsCsv, writePartsCsv } from '@/core/formats/partsCsv'
import { NOTHING_HERE } from '@/core/search/fixtures/lists'
import { inSeries, shopCatalogue } from '@/core/search/fixtures/shopCatalogue'
import { searchOutcome } from '@/core/search/outcome'
import { SEARCHED_KINDS } from '@/core/search/whyNot'
import { contributors } from '@/core/sheets/chain/inputs'
import { partRows, rowsNamed } from '@/stages/sheets/parts/partRows'

// Benchmarks: figures of this run on this machine, each beside a yardstick of the same run.

import { evenRandom } from '@/core/calculation/evenRandom'
import { longTom } from '@/core/demo/longTom'
import { skarrow } from '@/core/demo/skarrow'
import { STRATEGIES, simulatedSearch } from '@/core/diagnose/simulatedSearch'
import { applyChange, runEdit, stillApplies } from '@/core/document/edit'
import { setGoal } from '@/core/document/edits'
import { writeDxf } from '@/core/drawing/dxf'
import { pagesOf } from '@/core/drawing/pages'
import { writePdf } from '@/core/drawing/pdf'
import { writeSvg } from '@/core/drawing/svg'
import { EvaluationContext } from '@/core/evaluation/context'
import { numbered } from '@/core/field/field'
import { CATALOGUE, catalogueOf, NO_OWN_PARTS } from '@/core/machine/parts'
import { criticalSpeed } from '@/core/machine/sizing/screw'
import { planJob } from '@/core/planning/plan'
import { bestPlan } from '@/core/schedule/best'
import { enumerated } from '@/core/schedule/fixtures/enumerated'
import { randomPlan } from '@/core/schedule/fixtures/randomPlans'
import { problemOf } from '@/core/schedule/problem'
import { enumerateField } from '@/core/search/enumerate'
import { fieldOf } from '@/core/search/field'
import { handfulOf } from '@/core/search/handful'
import { searchDrives, searchField } from '@/core/search/search'
import { waysOut } from '@/core/search/waysOut'
import { type Supply, withinOf } from '@/core/search/within'
import { drawChain } from '@/core/sheets/chain/monteCarlo'
import { evaluateAxis } from '@/core/sheets/evaluateAxis'
import { type Path, placesOf, valueAt, withValueAt } from '@/core/sheets/fixtures/places'
import { worstSection } from '@/core/sheets/nutRoom/sections'
import { tightSpots } from '@/core/sheets/shared/rounds/tightSpots'
import { bracketTemplate } from '@/core/sheets/template/drawing'
import { SimulatedAxis } from '@/core/simulate/axis/axis'
import { TABLE } from '@/core/simulate/axis/table'
import { simPlay } from '@/core/simulate/play'
import { PLANTED, simulatedDrag } from '@/core/trial/dragAxis'
import { roundsToTarget } from '@/core/trial/lineAxis'
import { wronglyHolds } from '@/core/trial/reversalVerdict'
import { pdfFonts } from '../cli/pdfFonts'
import {
  demoAddress,
  firstPaint,
  fullTestKeyTimes,
  homeOpens,
  lessonsOpen,
  longestFrameWhileSearching,
  longestTaskOnSize,
  percentile,
  planAfterTick,
  readingKeyTimes,
  scriptKb,
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
const change = runEdit(job, setGoal(axis, 'cuttingForceN', 700), { id: 'c', at: '' }).change
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

/** The axis with one value other than it was: a number a little off, a part the next in the list; null where it is neither. */
function editedAt(of: Axis, path: Path): Axis | null {
  const value = valueAt(of, path)
  if (typeof value === 'number') return withValueAt(of, path, value * 1.001 || 1)
  if (path[0] !== 'parts' || value === null) return null
  const ids = [...CATALOGUE[path[1] as PartKind].keys()]
  return withValueAt(of, path, ids[(ids.indexOf(value as string) + 1) % ids.length])
}

/** After an edit of every field in turn: what is judged again, as a share of judging all, each beside the other. */
function reportEdits(of: Axis) {
  const cold = () => {
    const evaluation = evaluateAxis(of, CATALOGUE, 'mm')
    sink += evaluation.findings.length
    return evaluation
  }
  const before = cold()
  const edits = placesOf(of).flatMap(path => {
    const after = editedAt(of, path)
    return after ? [{ path, after }] : []
  })
  const timeOf = (work: () => unknown) => {
    const start = performance.now()
    work()
    return performance.now() - start
  }
  const warm = (after: Axis) => {
    sink += before.next(after).findings.length
  }
  for (const { after } of edits) for (let i = 0; i < 3; i++) warm(after)
  const shares = edits.map(({ path, after }) => ({
    path,
    share: Array.from({ length: 9 }, () => timeOf(() => warm(after)) / timeOf(cold)).toSorted(
      (a, b) => a - b,
    )[4] as number,
  }))
  const most = shares.reduce((worst, one) => (one.share > worst.share ? one : worst))
  console.log(
    `after an edit of any of ${shares.length} fields, judging again against judging all: ${(shares.reduce((sum, { share }) => sum + share, 0) / shares.length).toFixed(3)} on average (limit 0.25), at most ${most.share.toFixed(2)}, at ${most.path.join('.')} (limit 0.6)`,
  )
}

/** Nothing of one's own, nothing ordered. */
const NO_SUPPLY: Supply = { ownParts: NO_OWN_PARTS, orders: {}, today: '2026-12-01' }

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
  medianUs(() => evaluateAxis(axis, CATALOGUE, 'mm').findings, 300),
  '1000 us',
)
reportEdits(axis)
line(
  'check and apply one change to the job',
  medianUs(() => stillApplies(job, change) && applyChange(job, change), 300),
)
line(
  'remedies of one failing check',
  medianUs(() => waysOut(axis, CATALOGUE, NO_SUPPLY, 'mm', 'motor.torqueMargin'), 2),
  '40000 us',
)
/** A nut and bearings that both have play: no one part mends it. */
const twice: Axis = {
  ...axis,
  parts: { ...axis.parts, screw: 'ball-20-5-single', bearing: 'deep-groove-12', coupler: 'disc-34' },
  goals: { ...axis.goals, backlashTargetUm: 14 },
}
line(
  'ways out of two changes',
  medianUs(() => waysOut(twice, CATALOGUE, NO_SUPPLY, 'mm', 'axis.lostMotion'), 3),
  '150000 us',
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
  ({
    ...CATALOGUE,
    ...Object.fromEntries(
      PART_KINDS.map(kind => [
        kind,
        new Map([...CATALOGUE[kind]].filter((_, index) => index % every < 1) as [string, unknown][]),
      ]),
    ),
  }) as unknown as Catalogue

console.log('search')
searchDrives(axis, CATALOGUE)
const whole = searchDrives(axis, CATALOGUE)
console.log(
  `whole list: ${whole?.combinations.toLocaleString('en')} combinations, ${whole?.judged.toLocaleString('en')} judged, ${whole?.points.length} drives; one judged out of ${((whole?.combinations ?? 0) / (whole?.judged ?? 1)).toFixed(0)}; ${medianMs(() => searchDrives(axis, CATALOGUE), 5).toFixed(0)} ms (limit 1000 ms)`,
)
/** The whole search as the screen waits for it: laid out, searched, and its handful picked. */
function searchedWithin(searchWithin: Partial<Axis['searchWithin']>) {
  const of: Axis = { ...axis, searchWithin: { ...axis.searchWithin, ...searchWithin } }
  const field = fieldOf(of, CATALOGUE, withinOf(of, CATALOGUE, NO_SUPPLY))
  const points = searchField(field)?.points ?? []
  return { field, points, handful: handfulOf(field, of, CATALOGUE, points, 'mm') }
}
for (const [words, given] of [
  ['nothing', {}],
  ['its screw', { keepScrew: true }],
  ['its bearings', { keepBearing: true }],
  ['its motor', { keepMotor: true }],
  ['its ends', { keepEnds: true }],
  ['no belt', { transmission: 'direct' }],
  ['belts only', { transmission: 'belt' }],
  ['at most 400 euros', { mostPriceEur: 400 }],
  ['at most 60 mm', { mostHeightMm: 60 }],
  ['at most 5 kg', { mostMassKg: 5 }],
  ['here in 9 days', { mostDays: 9 }],
] as const) {
  const { field, points } = searchedWithin(given)
  const searchMs = medianMs(() => searchField(field), 5)
  const wholeMs = medianMs(() => searchedWithin(given), 5)
  console.log(
    `  keeping to ${words}: ${points.length} drives out of ${field.combinations.toLocaleString('en')}, searched in ${searchMs.toFixed(0)} ms, laid out and with its handful ${wholeMs.toFixed(0)} ms (limit 500 ms)`,
  )
}
/** A list as many times as long: the same from dearer and cheaper suppliers, or series whose figures are a few per cent apart. */
const LONGER: Readonly<Record<string, (times: number) => OwnParts>> = {
  'of more suppliers': times => shopCatalogue(5 * 120 * times, 1),
  'of more series': times => inSeries(times),
}
/** The longest list takes minutes, so it is searched when it is asked for: `BENCH_LONG=1 npm run bench`. */
const TIMES = process.env.BENCH_LONG ? [1, 2, 4, 8, 16] : [1, 2, 4, 8]
/** A parts list of these parts alone. */
const listOf = (parts: OwnParts): Catalogue => ({
  ...CATALOGUE,
  ...Object.fromEntries(
    SEARCHED_KINDS.map(kind => [kind, new Map(parts[kind].map(part => [part.id, part]))]),
  ),
})
for (const [words, longer] of Object.entries(LONGER)) {
  let shortMs = 0
  for (const times of TIMES) {
    const list = listOf(longer(times))
    const start = performance.now()
    const field = fieldOf(axis, list)
    const laidMs = performance.now() - start
    const result = searchField(field)
    const ms = performance.now() - start
    shortMs ||= ms
    console.log(
      `  a list ${times} times as long, ${words}: ${result?.combinations.toExponential(1)} drives, ${result?.points.length} beaten by nothing, laid out in ${laidMs.toFixed(0)} ms, in all ${ms.toFixed(0)} ms, ${(ms / shortMs).toFixed(1)} x`,
    )
  }
}
{
  const shopParts = shopCatalogue(20_000, 4)
  const texts = SEARCHED_KINDS.map(kind => writePartsCsv(kind, shopParts[kind] as never))
  const read = (text: string) => readPartsCsv(text, NO_OWN_PARTS, CATALOGUE)
  const readMs = medianMs(() => texts.map(read), 3)
  const list = catalogueOf({ ...job, shopParts })
  const rows = partRows(list, 'screw', 'mm', { own: [], shops: shopParts.screw })
  const filterMs = medianMs(() => rowsNamed(rows, '20 x 5 double s3 from 2'), 15)
  const start = performance.now()
  const outcome = searchOutcome(axis, list, { ...NOTHING_HERE, shopParts }, 'mm')
  console.log(
    `a shop's list of 20,000 parts (4 series of each part that ships, from about 8 suppliers each): read from CSV in ${readMs.toFixed(0)} ms, narrowed down by a name in ${filterMs.toFixed(1)} ms; ${outcome?.combinations.toExponential(1)} drives searched, with the handful, in ${(performance.now() - start).toFixed(0)} ms, ${outcome?.points.length} beaten by nothing`,
  )
}
for (const every of [16, 8, 5, 3, 2, 1.6]) {
  const field = fieldOf(axis, thinned(every))
  const { judged = 1 } = searchField(field) ?? {}
  const searchMs = medianMs(() => searchField(field), 15)
  const plainMs = medianMs(() => enumerateField(field), every > 2 ? 3 : 1)
  const count = field.screws.length * field.bearings.length * field.links.length * field.motors.length
  console.log(
    `  one part in ${every}: ${count.toLocaleString('en')} drives of parts that hold alone, ${judged.toLocaleString('en')} judged; judging each ${plainMs.toFixed(0)} ms, search ${searchMs.toFixed(2)} ms, ${(plainMs / searchMs).toFixed(0)} x`,
  )
}

console.log('making room')
const places = Array.from({ length: 500 }, (_, index) => ({
  positionMm: 10 + index,
  leftMm: 30 + (index % 7) / 10,
  rightMm: 34,
  ceilingMm: 33,
  floorMm: 40,
  wallLeftMm: 14,
  wallRightMm: 15,
  wallCeilingMm: 15,
  wallFloorMm: 20,
}))
const measured: Axis = {
  ...axis,
  section: { ...axis.section, stations: numbered('station', places) },
}
console.log(
  `section check over ${places.length} stations: ${medianMs(() => worstSection(new EvaluationContext(measured, CATALOGUE)), 41).toFixed(2)} ms (limit 5 ms)`,
)
const DRAWS = 1_000_000
const { chain } = axis
const links = contributors(axis, chain)
const drawsMs = medianMs(() => drawChain(links, chain, DRAWS, 7), 7)
const bareMs = medianMs(() => {
  const random = evenRandom(7)
  for (let i = 0; i < DRAWS; i++)
    for (const { distribution } of links)
      sink +=
        distribution === 'normal'
          ? Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
          : random()
}, 7)
console.log(
  `a million draws of ${links.length} links: ${drawsMs.toFixed(0)} ms (limit 500 ms); the same random numbers alone ${bareMs.toFixed(0)} ms, ${(drawsMs / bareMs).toFixed(1)} x (limit 3 x)`,
)

const template = bracketTemplate('Bench', axis.bracketHoles, { widthMm: 60, heightMm: 62 }, 36, 'mm')
const imprint = { machine: 'Bench', axis: 'X', date: '26 November 2026' }
const fonts = pdfFonts()
const timesMs: number[] = []
for (let i = 0; i < 9; i++) {
  const start = performance.now()
  writeSvg(template)
  writeDxf(template)
  await writePdf({ title: template.title }, pagesOf(template, 'a4', imprint, 'mm'), fonts)
  timesMs.push(performance.now() - start)
}
console.log(
  `a template as SVG, DXF and PDF together: ${(timesMs.toSorted((a, b) => a - b)[4] ?? Number.NaN).toFixed(0)} ms (limit 200 ms)`,
)

console.log('schedule')
{
  const { job: router } = longTom()
  const now = { day: '2026-11-26', minute: 17 * 60 }
  const catalogue = catalogueOf(router)
  const lay = () => {
    const start = performance.now()
    let firstMs = 0
    const plan = planJob(router, catalogue, now, {
      better: () => {
        firstMs ||= performance.now() - start
      },
      cancelled: () => performance.now() - start > 2000,
    })
    return { plan, firstMs, wholeMs: performance.now() - start }
  }
  lay()
  const { plan, firstMs, wholeMs } = lay()
  if (plan.kind === 'plan')
    console.log(
      `the plan of ${router.name}, ${plan.tasks.length} tasks: the first stands after ${firstMs.toFixed(0)} ms (limit 300 ms), the best after ${wholeMs.toFixed(0)} ms (limit 2000 ms), at most ${((100 * (plan.finishMinute - plan.boundMinute)) / plan.boundMinute).toFixed(1)} % over what is possible (limit 3 %)`,
    )
  const plans = Array.from({ length: 60 }, (_, seed) => randomPlan(seed + 4000, 8))
  const timeOf = (work: () => unknown, times: number) => {
    const start = performance.now()
    for (let i = 0; i < times; i++) sink += work() ? 1 : 0
    return (performance.now() - start) / times
  }
  const best = ({ tasks, windows }: (typeof plans)[number]) => bestPlan(problemOf(tasks, windows))
  // Warm, as a plan is that is laid anew after every tick.
  for (const plan of plans) timeOf(() => best(plan), 20)
  // One beside the other, plan by plan: a machine that is slowed for a while is slow for both.
  let bestMs = 0
  let allMs = 0
  for (const plan of plans) {
    bestMs += timeOf(() => best(plan), 5) / plans.length
    allMs += timeOf(() => enumerated(plan.tasks, plan.windows), 1) / plans.length
  }
  console.log(
    `plans of 8 tasks: ${bestMs.toFixed(2)} ms each, by trying everything ${allMs.toFixed(0)} ms: ${(allMs / bestMs).toFixed(0)} x (limit 100 x)`,
  )
}

console.log('align')
{
  const plantings = 2000
  const sound = 500
  const named = Array.from({ length: plantings }, (_, seed) => {
    const planted = PLANTED[seed % PLANTED.length] as (typeof PLANTED)[number]
    return tightSpots(simulatedDrag(seed + 1, planted))?.named === planted
  }).filter(Boolean).length
  const none = Array.from(
    { length: sound },
    (_, seed) => tightSpots(simulatedDrag(seed + 90_001, null))?.named === null,
  ).filter(Boolean).length
  console.log(
    `tight spots: of ${plantings} set-ups with one cause it is named in ${((100 * named) / plantings).toFixed(1)} % (limit 95 %), in ${sound} sound ones none in ${((100 * none) / sound).toFixed(1)} % (limit 95 %)`,
  )
  const lines = 2000
  const set = Array.from({ length: lines }, (_, seed) => roundsToTarget(seed + 1)).filter(
    rounds => rounds !== null,
  )
  console.log(
    `screw line: of ${lines} both blocks come within the target in at most 3 rounds in ${((100 * set.length) / lines).toFixed(1)} % (limit 95 %)`,
  )
}

console.log('simulation')
const POSITIONS = 1_000_000
const commandsMm = Array.from({ length: POSITIONS }, (_, index) => (index * 7) % TABLE.travelMm)
const movedMs = medianMs(() => {
  const simulated = new SimulatedAxis(TABLE, { playUm: { nut: 20 } })
  for (const mm of commandsMm) sink += simulated.moveTo(mm, 1000)
}, 7)
const playedMs = medianMs(() => {
  sink += simPlay.compute({ playUm: 20, commandUm: commandsMm }).positionUm.length
}, 7)
console.log(
  `a million positions of a simulated axis: ${movedMs.toFixed(0)} ms, ${(POSITIONS / movedMs / 1000).toFixed(1)} million a second (at least 2); the play operator alone ${playedMs.toFixed(0)} ms, ${(movedMs / playedMs).toFixed(1)} x (limit 3 x)`,
)

console.log('prove')
{
  const runs = 5000
  for (const strategy of STRATEGIES) {
    const random = evenRandom(20_261_127)
    const searches = Array.from({ length: runs }, () => simulatedSearch(random, strategy))
    const right = searches.filter(({ planted, named }) => planted === named).length
    const minutes = searches.reduce((sum, one) => sum + one.minutes, 0) / runs
    console.log(
      `fault found by ${strategy}: right in ${((100 * right) / runs).toFixed(1)} % of ${runs} searches, ${minutes.toFixed(1)} minutes each${strategy === 'information' ? ' (limits 92 %, 45 minutes)' : ''}`,
    )
  }
  for (const readings of [5, 10, 20, null]) {
    const random = evenRandom(20_261_128)
    const wrong = Array.from({ length: runs }, () => wronglyHolds(random, 5, 1, readings)).filter(Boolean)
    console.log(
      `a reversal at its target is let through, ${readings ? `${readings} readings a side` : 'looked at after each reading'}: ${((100 * wrong.length) / runs).toFixed(2)} % (limit 2.5 %)`,
    )
  }
}

const app = await startApp()
const browser = await startBrowser()
try {
  console.log('browser')
  const context = await browser.createBrowserContext()
  const totalKb = await scriptKb(context, await demoAddress(context, app.url))
  const appKb = await scriptKb(context, `${app.url}/no-such-page`)
  await context.close()
  console.log(
    `script transferred for the first job screen: ${totalKb.toFixed(0)} KB (limit 300 KB), of it for the empty page: ${appKb.toFixed(0)} KB`,
  )
  for (const { slowdown, emptyPage, bench } of await typingTimes(browser, app.url, [1, 4])) {
    const figures = (times: number[]) =>
      `median ${percentile(times, 0.5).toFixed(1)} ms, 95th percentile ${percentile(times, 0.95).toFixed(1)} ms`
    const atFour = (limitMs: number, times: number[], yardstick: number[]) =>
      slowdown === 4
        ? `; less the yardstick ${(percentile(times, 0.95) - percentile(yardstick, 0.95)).toFixed(1)} ms (limit ${limitMs} ms)`
        : ''
    console.log(
      `key stroke to what follows it, ${slowdown}x slower processor, ${bench.inPageMs.length} keys; the yardstick is one field on an empty page`,
    )
    console.log(
      `  verdict stands in the page: ${figures(bench.inPageMs)}${atFour(32, bench.inPageMs, emptyPage.inPageMs)}`,
    )
    console.log(`  the yardstick:              ${figures(emptyPage.inPageMs)}`)
    console.log(
      `  its frame is drawn:         ${figures(bench.drawnMs)}${atFour(50, bench.drawnMs, emptyPage.drawnMs)}`,
    )
    console.log(`  the yardstick:              ${figures(emptyPage.drawnMs)}`)
  }
  const { jobMs, bareMs: plainMs } = await firstPaint(browser, app.url)
  console.log(
    `first paint of a job, 4x slower processor: ${jobMs.toFixed(0)} ms; a page of one word with the same styles and scripts ${plainMs.toFixed(0)} ms, ${(jobMs / plainMs).toFixed(2)} x (limit 1.3 x)`,
  )
  const tasks = await longestTaskOnSize(browser, app.url)
  const worst = tasks.reduce((most, one) => (one.ms > most.ms ? one : most))
  console.log(
    `longest task while a sheet of Size comes up, 4x slower processor: ${worst.ms.toFixed(0)} ms on ${worst.sheet} (limit 200 ms)`,
  )
  const demo = await startApp({ env: { DUSK_DEMO: '1' } })
  const [{ tasks: planned, standsMs }, reading, full] = await (async () =>
    [
      await planAfterTick(browser, demo.url),
      await readingKeyTimes(browser, demo.url, 4),
      await fullTestKeyTimes(browser, demo.url, 4),
    ] as const)().finally(demo.stop)
  console.log(
    `after a tick in a plan of ${planned} tasks a new one stands on the screen after ${standsMs.toFixed(0)} ms (limit 300 ms)`,
  )
  console.log(
    `key stroke in a table of readings, 4x slower processor, on ${reading.sheet}: 95th percentile ${percentile(reading.inPageMs, 0.95).toFixed(0)} ms until the advice stands in the page (limit 50 ms), ${percentile(reading.drawnMs, 0.95).toFixed(0)} ms until it is drawn`,
  )
  console.log(
    `Enter behind a reading of a full test of 20 targets and 10 runs, 4x slower processor: 95th percentile ${percentile(full.inPageMs, 0.95).toFixed(0)} ms until it stands at its place (limit 50 ms), ${percentile(full.drawnMs, 0.95).toFixed(0)} ms until it is drawn`,
  )
  const few = await homeOpens(browser, app.url, 5)
  const many = await homeOpens(browser, app.url, 50)
  console.log(
    `the list of jobs, each of 6 axes: 5 jobs ${few.toFixed(0)} ms, 50 jobs ${many.toFixed(0)} ms, ${(many / few).toFixed(2)} x (limit 1.5 x)`,
  )
  const lessons = await lessonsOpen(browser, app.url)
  const slowest = lessons.reduce((most, one) => (one.ms > most.ms ? one : most))
  console.log(
    `a lesson opens, 4x slower processor: ${slowest.ms.toFixed(0)} ms at most, ${slowest.lesson} (limit 300 ms); the first, with its script, ${lessons[0]?.ms.toFixed(0)} ms`,
  )
  const { longestMs, searchMs } = await longestFrameWhileSearching(browser, app.url)
  console.log(
    `while a search of ${searchMs.toFixed(0)} ms runs beside the screen, the longest time between two frames: ${longestMs.toFixed(0)} ms (limit 50 ms)`,
  )
} finally {
  await browser.close()
  app.stop()
}
