import { readJobFile } from '../formats/jobFile'
import { writeJobFile } from '../formats/writeJobFile'
import { CATALOGUE } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { SimulatedAxis } from '../simulate/axis/axis'
import { Hand } from '../simulate/axis/hand'
import { type Outcome, SHEETS_TRIED, sheetsFor, tryAll, tryOn } from './builder'
import { searchFor } from './faultSearch'
import { read } from './read'
import { summaryOf, truthWords, wrongOf } from './summary'
import { drawTrial, type FAULTS, type Trial } from './trial'

// A short form of `npm run prove`: that trials are what they say, and that whatever comes out is counted. How good the product
// is on them stands in the README, and is no test.

const SEEDS = Array.from({ length: 24 }, (_, index) => index + 1)
const TRIALS = SEEDS.map(seed => drawTrial(seed))

test('a seed is always the same axis, and different ones are of every kind', () => {
  for (const seed of SEEDS.slice(0, 6)) {
    const [one, other] = [drawTrial(seed), drawTrial(seed)]
    expect({ ...other, job: null, axis: null }).toEqual({ ...one, job: null, axis: null })
    expect(other.axis.parts).toEqual(one.axis.parts)
  }
  const many = Array.from({ length: 120 }, (_, index) => drawTrial(1000 + index))
  expect(new Set(many.map(({ axis }) => axis.ends)).size).toBe(4)
  expect(new Set(many.map(({ job }) => job.machineKind)).size).toBe(3)
  expect(new Set(many.map(({ job }) => job.units)).size).toBe(2)
  expect(many.some(({ axis }) => axis.drive.screws === 2)).toBe(true)
  expect(many.some(({ kind }) => kind.endsWith('counterbalanced'))).toBe(true)
  expect(new Set(many.flatMap(({ faults }) => faults)).size).toBeGreaterThan(16)
  expect(many.some(({ faults }) => faults.length === 0)).toBe(true)
})

test('a sound axis loses what Size reckons, and its drive is as stiff', () => {
  for (const { axis, job, figures } of TRIALS) {
    const found = evaluateAxis(axis, CATALOGUE, job.units).findings
    const reckonedUm = found.find(({ checkId }) => checkId === 'axis.lostMotion')?.figure?.value as number
    const sound = new SimulatedAxis(figures)
    const come = (fromMm: number) => {
      sound.moveTo(fromMm, 500)
      sound.moveTo(figures.travelMm, 500)
      return sound.offUm
    }
    const lostUm = come(figures.travelMm - 5) - come(figures.travelMm + 5)
    // A weight that keeps it on one flank shows less than friction both ways would.
    expect(Math.abs(lostUm)).toBeLessThan(1.25 * reckonedUm + 3)
    if (figures.weightN === 0) expect(Math.abs(lostUm)).toBeGreaterThan(0.6 * reckonedUm - 3)
  }
})

test('every table of every sheet is filled, and every reading is a number', () => {
  for (const trial of TRIALS.slice(0, 6))
    for (const sheet of sheetsFor(trial)) {
      const { plan } = SHEETS_TRIED[sheet]
      const planned = plan(trial.axis, trial)
      const filled = read(
        new SimulatedAxis(trial.figures, trial.causes),
        sheet,
        planned as never,
        new Hand(trial.seed, null),
      )
      const were = JSON.stringify(planned).match(/null|\[\]/g)?.length ?? 0
      expect(JSON.stringify(filled).match(/null|\[\]/g)?.length ?? 0).toBeLessThan(were)
      const columns = Object.entries(filled).filter(([key]) => key === 'stations' || key === 'targets')
      // What is read another way, and what is not asked of a place, stays empty.
      for (const [, rows] of columns)
        for (const row of rows as Record<string, unknown>[])
          for (const [key, value] of Object.entries(row))
            if (typeof value !== 'string' && !['slopeUmPerM', 'toNutMm'].includes(key))
              for (const one of [value].flat()) expect(Number.isFinite(one)).toBe(true)
    }
})

/** The first trial with a fault, one screw, read without a slip. */
function trialWith(fault: (typeof FAULTS)[number], is: (trial: Trial) => boolean = () => true): Trial {
  for (let seed = 1; seed < 4000; seed++) {
    const trial = drawTrial(seed)
    if (trial.faults[0] === fault && trial.slip === null && trial.axis.drive.screws === 1 && is(trial))
      return trial
  }
  throw new Error(`No trial has ${fault}.`)
}

test('a builder who does what the sheet of the five places says takes the play out, and is told that it holds', () => {
  for (const fault of ['nut-bracket-loose', 'fixed-bearing-play', 'coupler-play'] as const) {
    const { outcome, axis } = tryOn(
      trialWith(fault, ({ figures }) => figures.weightN === 0),
      'whereLost',
    )
    expect(outcome).toMatchObject({
      first: 'fails',
      last: 'holds',
      named: true,
      better: 1,
      worse: 0,
      falseProof: false,
    })
    expect(axis.lostRounds).toHaveLength(2)
  }
})

test('a wrong scale is set right, and a gib that is loose is set', () => {
  expect(tryOn(trialWith('scale-wrong'), 'scale').outcome).toMatchObject({ last: 'holds', falseProof: false })
  expect(tryOn(trialWith('gib-loose'), 'gib').outcome).toMatchObject({ last: 'holds', named: true })
})

test('a search asks its way to a fault that shows, and nobody searches on a sound axis', () => {
  expect(searchFor(trialWith('scale-wrong'))).toMatchObject({ found: 'scale-wrong' })
  expect(searchFor(trialWith('nut-play', ({ figures }) => figures.weightN === 0))?.found).toBe('nut-play')
  expect(searchFor(TRIALS.find(({ faults }) => faults.length === 0) as Trial)).toBeNull()
})

test('whatever was read goes into a job file, and comes back out of it', () => {
  for (const trial of TRIALS.slice(0, 8))
    for (const sheet of sheetsFor(trial)) {
      const { axis } = tryOn(trial, sheet)
      const text = writeJobFile({
        format: 'dusk-bench-job',
        job: { ...trial.job, axes: [axis] },
        entries: [],
        history: [],
      })
      expect(readJobFile(text).job.axes[0]).toEqual(JSON.parse(JSON.stringify(axis)))
    }
})

test('everything that comes out is counted, once', () => {
  const outcomes: Outcome[] = TRIALS.flatMap(trial =>
    sheetsFor(trial).map(sheet => tryOn(trial, sheet).outcome),
  )
  for (const { better, same, worse, rounds } of outcomes) {
    expect(rounds).toBeGreaterThanOrEqual(1)
    expect(better + same + worse).toBeLessThanOrEqual(rounds)
  }
  const tables = summaryOf(
    outcomes,
    TRIALS.flatMap(trial => searchFor(trial) ?? []),
    [],
    TRIALS.slice(0, 6).map(trial => tryAll(trial).outcome),
  )
  const bySlip = tables.find(({ title }) => title === 'By slip of the hand')
  expect(bySlip?.rows.reduce((sum, row) => sum + Number(row[1]), 0)).toBe(outcomes.length)
  expect(bySlip?.rows.reduce((sum, row) => sum + Number(row[3]), 0)).toBe(
    outcomes.reduce((sum, { worse }) => sum + worse, 0),
  )
  for (const { heads, rows } of tables) for (const row of rows) expect(row).toHaveLength(heads.length)
  for (const one of outcomes.filter(outcome => wrongOf(outcome) > 0))
    expect(truthWords(drawTrial(one.seed), one)).toContain(`Axis ${one.seed}`)
})
