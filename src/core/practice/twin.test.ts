import { runs } from '../calculation/fixtures/runs'
import { ostrey } from '../demo/ostrey'
import { skarrow } from '../demo/skarrow'
import { measuredIn } from '../diagnose/measured'
import { fitsOf, type Twin } from '../diagnose/twin'
import type { Axis } from '../document/axis'
import type { Job } from '../document/job'
import { catalogueOf } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import type { FaultId } from '../sheets/findFault/words'
import { newJob } from '../sheets/newJob'
import { rehearsalOf } from './rehearse'
import { twinOf } from './twin'
import { WHAT_IFS, type WhatIfId } from './whatIfs'

const AT = '2026-12-02T09:00:00.000Z'
const LATER = '2026-12-02T10:00:00.000Z'
const READ = ['reversal', 'whereLost', 'pushPull', 'lostSteps', 'scale', 'gib', 'zeroTime', 'drag'] as const

/** An axis of a demo job with all figures read on it by another hand, with a cause or sound. */
function readWith(job: Job, axis: Axis, whatIf: { id: WhatIfId; size: number } | null): Axis {
  let now: Axis = { ...axis, faultSearches: [] }
  for (const name of READ) {
    const { axis: read, table } = rehearsalOf(job, axis, name)({ whatIf, slip: null, seed: 77 }, AT)
    now = { ...now, [table]: read[table] }
  }
  return now
}
const offOf = (twin: Twin, faultId: FaultId | null) =>
  fitsOf(twin, [faultId]).flatMap(({ rows }) => rows.filter(({ isOff }) => isOff).map(({ id }) => id))

const CASES = [skarrow().job, ostrey().job].slice(0, runs(2, 1)).flatMap(job => {
  const [axis] = job.axes as [Axis]
  return [[job.name, job, axis] as const]
})

describe.each(CASES)('%s', (_, job, axis) => {
  test('a sound axis reads as a sound one does, and not as one with play', () => {
    const twin = twinOf(job, readWith(job, axis, null), LATER) as Twin
    expect(twin.measured.length).toBeGreaterThan(8)
    expect(offOf(twin, null)).toEqual([])
    const [nut] = fitsOf(twin, ['nut-play'])
    // Nobody is told a size of what is not there.
    expect(nut?.size === null || nut?.size.low === undefined || nut.size.high < 20).toBe(true)
  })

  test.each([
    ['nut-play', 60],
    ['fixed-bearing-play', 45],
    ['nut-bracket-loose', 80],
  ] as const)('%s of %d um is told with its size; its like do not go with the readings', (id, size) => {
    const twin = twinOf(job, readWith(job, axis, { id, size }), LATER) as Twin
    const [fit] = fitsOf(twin, [id])
    expect(fit?.rows.filter(({ isOff }) => isOff)).toEqual([])
    expect(fit?.size).not.toBeNull()
    expect(fit?.size?.low).toBeLessThan(size)
    expect(fit?.size?.high).toBeGreaterThan(size)
    expect(offOf(twin, null)).toContain('reversal')
    const others = (['nut-play', 'fixed-bearing-play', 'nut-bracket-loose'] as const).filter(
      one => one !== id,
    )
    for (const other of others) expect(offOf(twin, other)).not.toEqual([])
  })
})

test('every fault of the table is foretold for every figure that can be had with it', () => {
  const [job] = [skarrow().job]
  const twin = twinOf(job, readWith(job, job.axes[0] as Axis, null), LATER) as Twin
  const ids = twin.measured.map(({ id }) => id).toSorted()
  expect(Object.keys(twin.sound.reads)).toEqual(expect.arrayContaining(ids))
  for (const { sizes } of [...twin.faults, { sizes: [twin.sound] }])
    for (const { reads, spread, share } of sizes) {
      expect(Object.keys(reads).length).toBeGreaterThan(ids.length / 2)
      expect(Object.values(reads).every(Number.isFinite)).toBe(true)
      expect(spread).toBeGreaterThan(0)
      expect(share).toBeGreaterThan(0)
    }
  // Steps that are lost as it warms up are no growth: it is not compared with that of a sound axis.
  const [lost, sound] = fitsOf(twin, ['lost-steps', null])
  const comparedIn = (fit: typeof lost) => fit?.rows.map(({ id }) => id)
  expect(comparedIn(lost)).not.toContain('growth')
  expect(comparedIn(sound)).toContain('growth')
  for (const { sizes } of twin.faults)
    expect(sizes.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
  expect(WHAT_IFS['nut-play'].label).toMatch(/play/)
})

test('there is none before anything was measured, nor of what was read before the last mending', () => {
  const job = newJob('Bare', 'mill', 'mm', AT)
  expect(twinOf(job, job.axes[0] as Axis, LATER)).toBeNull()
  const { job: demo } = skarrow()
  const axis = readWith(demo, demo.axes[0] as Axis, null)
  expect(
    twinOf(demo, { ...axis, touched: { at: LATER, what: 'the locknut' } as Axis['touched'] }, LATER),
  ).toBeNull()
})

test('the drag of the demo saddle is foretold for the whole axis, whatever its last round was to be read with', () => {
  const { job } = skarrow()
  const twin = twinOf(job, job.axes[1] as Axis, LATER) as Twin
  const drag = twin.measured.filter(({ id }) => id.startsWith('drag.') && id !== 'drag.ways')
  expect(drag).toHaveLength(3)
  for (const { sizes } of [...twin.faults, { sizes: [twin.sound] }])
    for (const { reads } of sizes) expect(reads['drag.middle']).toBeGreaterThan(0.02)
  // It binds near its fixed block: that goes with the readings better than a nut with play.
  const off = (id: FaultId) => offOf(twin, id).length
  expect(off('fixed-block-off')).toBeLessThanOrEqual(off('nut-play'))
})

test.each([
  ['nut-play', 60],
  ['coupler-play', 35],
  ['preload-high', 2.2],
  ['fixed-block-off', 260],
  ['bent-screw', 170],
] as const)('%s reads between simulated sizes as it does where it is simulated', (id, planted) => {
  const [job] = [skarrow().job]
  const [axis] = job.axes as [Axis]
  const read = readWith(job, axis, { id, size: planted })
  const twin = twinOf(job, read, LATER) as Twin
  const simulated = (size: number) => {
    const tables = READ.map(name => {
      const { axis: of, table } = rehearsalOf(
        job,
        read,
        name,
      )({ whatIf: { id, size }, slip: null, seed: 1 }, LATER)
      return [table, of[table]]
    })
    const now: Axis = { ...read, ...Object.fromEntries(tables) }
    return measuredIn(evaluateAxis(now, catalogueOf(job), job.units), null).flatMap(({ figures }) => figures)
  }
  // What does not go with the readings at all need not be known that well.
  const goesWith = twin.faults
    .find(one => one.id === id)
    ?.sizes.filter(({ reads }) =>
      twin.measured.every(
        ({ id: of, value }) => Math.abs((reads[of] ?? value) - value) < 10 * (twin.scales[of] as number),
      ),
    )
  const off = (goesWith ?? [])
    .filter((_, index) => index % 4 === 1)
    .flatMap(({ size, reads }) =>
      simulated(size).flatMap(({ id: of, value }) =>
        reads[of] === undefined ? [] : [Math.abs(reads[of] - value) / (twin.scales[of] as number)],
      ),
    )
  expect(off.length).toBeGreaterThan(15)
  expect(Math.max(...off)).toBeLessThan(0.75)
})
