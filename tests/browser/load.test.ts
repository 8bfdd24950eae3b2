import { runs } from '@/core/calculation/fixtures/runs'
import { skarrow } from '@/core/demo/skarrow'
import type { Axis } from '@/core/document/axis'
import { SCREW_ENDS } from '@/core/document/kinds'
import { STAGE_WORDS, STAGES } from '@/core/document/stages'
import { CATALOGUE } from '@/core/machine/parts'
import { sheetsOf } from '@/core/sheets'
import { evaluateAxis } from '@/core/sheets/evaluateAxis'
import { newAxis, newJob } from '@/core/sheets/newJob'
import { procedure } from '@/core/sheets/shared/steps/procedure'
import type { Bench } from './harness'
import { withApp } from './harness'

const app = withApp()
const measured = (value: number) => ({ value, provenance: 'measured' as const })

/** A head with a brake, built to its end; the table of the demo with each way of holding its ends, in inches. */
function trials() {
  const job = { ...newJob('Upright trials', 'mill', 'inch', '2026-11-20T08:00:00.000Z'), id: 'trials' }
  const fresh = newAxis({ name: 'Z', title: 'Head', slide: 'head' })
  const head: Axis = {
    ...fresh,
    id: 'head',
    dimensions: {
      ...fresh.dimensions,
      inclineDeg: measured(90),
      movingMassKg: measured(85),
      lightestMassKg: measured(78),
      counterbalanceN: measured(0),
    },
    parts: {
      screw: 'ball-25-5-double',
      bearing: 'back-17',
      coupler: 'bellows-55',
      belt: null,
      motor: 'step-86-85',
      brake: 'brake-60',
    },
  }
  const steps = procedure(evaluateAxis(head, CATALOGUE, 'inch')) ?? []
  const built: Axis = {
    ...head,
    driveMountedAt: '2026-11-21T08:30:00.000Z',
    ticks: Object.fromEntries(
      steps.map(({ id }, index) => [id, new Date(Date.UTC(2026, 10, 21, 8, index)).toISOString()]),
    ),
  }
  const [table] = skarrow().job.axes as [Axis]
  const held = SCREW_ENDS.map(
    (ends, index): Axis => ({
      // What its builder noted of a far block goes where there is none.
      ...(ends === 'fixed-free' ? JSON.parse(JSON.stringify(table).replaceAll('far block', 'block')) : table),
      id: ends,
      name: 'UVWX'[index] ?? 'A',
      ends,
      joints: table.joints.filter(({ holds }) => ends !== 'fixed-free' || holds !== 'farBlock'),
    }),
  )
  // A name that no controller knows.
  return { ...job, axes: [built, { ...(held[0] as Axis), name: 'Gantry' }, ...held.slice(1)] }
}

const imported = (bench: Bench) =>
  bench.importJob({ format: 'dusk-bench-job', job: trials(), entries: [], history: [] })
const AT = '/job/trials'

test('a coupler that is done up again on a head: supported first, proved after, whatever is undone between', async () => {
  const bench = await app.open()
  await imported(bench)
  await bench.go(`${AT}/head/build/steps`)
  await bench.sees('held by its own drive', '[data-load]')
  // What readings say to loosen frees it: that is said where they are read.
  await bench.go(`${AT}/head/align/screwLine`)
  await bench.sees('Nothing is noted to support the head', '[data-load-notice]')

  await bench.go(`${AT}/head/build/steps`)
  await bench.press('[data-part="motor"] summary')
  await bench.press('[data-step="hub-screw"] button')
  await bench.sees('Coupler on the screw', '[data-step-in-hand]')
  await bench.press('::-p-xpath(//*[@data-step-in-hand]//button[starts-with(., "Open it again")])')
  await bench.sees('Nothing that is proved holds the head', '[data-load="free"]')
  await bench.sees('Support the load on a block', '[data-step-in-hand="support"]')
  // The coupler itself is not offered, and says why.
  await bench.press('[data-part="motor"] summary')
  await bench.press('[data-step="hub-screw"] button')
  await bench.sees('First the hold point “Support the load on a block”', '[data-step-in-hand="hub-screw"]')
  await bench.click('button', 'Done')
  await bench.sees('First tick the hold point “Support the load on a block”', '[role="alert"]')
  await bench.click('button', 'Show it')
  await bench.click('button', 'Done')
  await bench.sees('The head is supported: block under the load', '[data-load="supported"]')
  await bench.sees('Coupler on the screw', '[data-step-in-hand="hub-screw"]')
  // A support whose tick is taken back is asked for again.
  await bench.click('button', 'Undo: Support the load on a block: done, axis Z')
  await bench.sees('Nothing that is proved holds the head', '[data-load="free"]')
  await bench.click('button', 'Done')
  // The part has to be here, and a torque that nobody knows is not ticked.
  await bench.press('[data-step-in-hand="hub-screw"] button[aria-label^="It is here"]')
  await bench.click('button', 'Done')
  await bench.sees('The torque of “Coupler or pulley on the screw” is not known', '[role="alert"]')
  await bench.click('button', 'Done otherwise')
  await bench.fill('How it was done', 'By feel, with the short key', null)
  await bench.click('button', 'Done so')
  await bench.sees('stays up without power', '[data-step-in-hand]')
  await bench.click('button', 'Done')
  await bench.sees('Take the support away', '[data-step-in-hand]')
  await bench.click('button', 'Done')
  await bench.sees('held by its own drive', '[data-load="held"]')
  expect(bench.errors).toEqual([])
})

// Every way of holding the ends where all runs are asked for; else a free far end and a held one. Paper and pictures of the
// demo show the usual one.
const ENDS = SCREW_ENDS.slice(0, runs(SCREW_ENDS.length, 2))

test.each(ENDS)(
  'every sheet of an axis held %s is drawn and printed without an error, and of a free end none speaks of a far block',
  async ends => {
    const bench = await app.open()
    await imported(bench)
    for (const stage of STAGES) {
      const sheets = sheetsOf(stage)
      if (stage === STAGES[0]) await bench.go(`${AT}/${ends}/${stage}/${sheets[0]?.id}`)
      else await bench.stage(STAGE_WORDS[stage].label)
      await bench.page.waitForSelector(sheets.map(({ id }) => `[data-sheet="${id}"] section`).join())
      // All sheets of the stage under one another, as they are printed.
      if (sheets.length > 1) {
        await bench.page.evaluate(() => {
          document.body.removeAttribute('data-asked')
          window.print = () => document.body.setAttribute('data-asked', '')
        })
        await bench.click('button', `Print all sheets of ${STAGE_WORDS[stage].label}`)
        await bench.page.waitForSelector('[data-asked]', { timeout: 0 })
      }
      const broken = await bench.page.$$eval('svg *', all =>
        all
          .flatMap(one => [...one.attributes].map(({ value }) => value))
          .filter(value => /NaN|Infinity/.test(value)),
      )
      expect([stage, broken]).toEqual([stage, []])
      const text = await bench.text(sheets.length > 1 ? '[data-paper]' : '#sheet')
      await bench.page.evaluate(() => window.dispatchEvent(new Event('afterprint')))
      if (ends !== 'fixed-free' || stage === 'log') continue
      expect([stage, /.{40}(\bfar block|both blocks).{10}/is.exec(text)?.[0] ?? 'none']).toEqual([
        stage,
        'none',
      ])
    }
    expect(bench.errors).toEqual([])
  },
  240_000,
)

test('no program is written for an axis whose letter nobody has said, nor beyond its travel', async () => {
  const bench = await app.open()
  await imported(bench)
  await bench.go(`${AT}/fixed-free/prove/fullTest`)
  await bench.fill('Name of the test', 'Letters', null)
  await bench.click('button', 'Start a full test')
  await bench.sees('Full test: Letters')
  await bench.unfold('Plan and program')
  await bench.sees(
    'by which letter the controller knows this axis: “Gantry” is none',
    '[data-program-refused]',
  )
  await bench.click('link', 'Go to First moves')
  await bench.choose('Letter in the controller', 'U')
  await bench.go(`${AT}/fixed-free/prove/fullTest`)
  await bench.unfold('Plan and program')
  await bench.sees(/N30 G1 U/, '[data-program]')
  await bench.fill('Past the last target by', '90 mm')
  await bench.sees('lies outside the travel', '[data-program-refused]')
  expect(bench.errors).toEqual([])
})
