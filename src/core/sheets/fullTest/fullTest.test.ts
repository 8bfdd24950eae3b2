import fc from 'fast-check'
import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { runEdit } from '../../document/edit'
import type { Job } from '../../document/job'
import { numbered } from '../../field/field'
import { catalogueOf } from '../../machine/parts'
import type { CheckId } from '..'
import { evaluateAxis } from '../evaluateAxis'
import { bidirectional, targetsFor, unevenTargets } from './calculation'
import { jumpToTakeOut, type Moved } from './check'
import { shiftOf } from './counted'
import { courseOf, nextStop, progressOf, type Stop } from './course'
import {
  newFullTest,
  putJumpBack,
  removeFullTest,
  retakeReading,
  setTargets,
  startFullTest,
  takeOutJump,
  takeReadings,
} from './edits'
import { isQuick, oddStops } from './figures'
import type { FullTest } from './model'
import { letterOf, programRefusal, testProgram } from './program'
import { readingLines } from './readingsCsv'

const { job } = skarrow()
const [X] = job.axes as [Axis]
const [demo] = X.fullTests as [FullTest]
let count = 0
const id = () => `t${++count}`
const STAMP = { id: 'c', at: '2026-11-27T18:00:00.000Z' }
const given = { label: 'Again', startedAt: '2026-11-26T17:00:00.000Z', gaugeStepUm: 1 }
const fresh = (places: number[] = [0, 100, 203, 297, 400]) => newFullTest(undefined, places, given, id)
const judged = (test: FullTest, check: CheckId, units: 'mm' | 'inch' = 'mm') =>
  evaluateAxis({ ...X, fullTests: [test] }, catalogueOf(job), units).finding(check)
const read = (up: number[], down: number[], places = [0, 100, 203, 297, 400]): FullTest => ({
  ...fresh(),
  targets: numbered(
    'target',
    places.map(targetMm => ({ targetMm, positiveUm: up, negativeUm: down })),
  ),
})

describe('the targets', () => {
  test('are spread over the travel, rising, and meet the screw at another angle each', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 3000, noNaN: true }),
        fc.integer({ min: 2, max: 25 }),
        (travelMm, many) => {
          const places = unevenTargets(2, travelMm - 2, many, 5)
          expect(places).toHaveLength(many)
          expect(places).toEqual(places.toSorted((a, b) => a - b))
          expect(new Set(places).size).toBe(many)
          expect(places[0]).toBeCloseTo(2, 9)
          expect(places.at(-1) as number).toBeCloseTo(travelMm - 2, 1)
        },
      ),
    )
    const angles = unevenTargets(5, 400, 7, 5).map(mm => Math.round((((mm / 5) % 1) * 360) / 20))
    expect(new Set(angles).size).toBeGreaterThan(5)
  })
})

describe('the course of a test', () => {
  test('goes up over the targets and down again, run by run, and always knows the next place', () => {
    const test = { ...fresh([200, 0, 100]), runs: 2 }
    const course = courseOf(test).map(({ targetMm, way, run }) => `${way[0]}${run + 1} ${targetMm}`)
    expect(course).toEqual([
      'p1 0',
      'p1 100',
      'p1 200',
      'n1 200',
      'n1 100',
      'n1 0',
      'p2 0',
      'p2 100',
      'p2 200',
      'n2 200',
      'n2 100',
      'n2 0',
    ])
    expect(nextStop(test)).toMatchObject({ targetMm: 0, way: 'positiveUm', run: 0 })
    expect(progressOf(test)).toEqual({ taken: 0, all: 12 })
  })

  test('is broken off and taken up again at the same place; a column goes in where it was left', () => {
    const start = runEdit(job, startFullTest(X, { ...fresh(), runs: 2 }), { id: 'c', at: '' }).job
    const test = (of: Job) => of.axes[0]?.fullTests.at(-1) as FullTest
    const take = (of: Job, readings: number[]) =>
      runEdit(of, takeReadings(of.axes[0] as Axis, test(of).id, readings), { id: 'c', at: '' }).job
    let now = take(start, [1, 2, 3])
    expect(nextStop(test(now))).toMatchObject({ targetMm: 297, way: 'positiveUm', run: 0 })
    now = take(now, [4, 5, -5, -4])
    expect(nextStop(test(now))).toMatchObject({ targetMm: 203, way: 'negativeUm', run: 0 })
    // More than are left: what has no place is not taken.
    now = take(
      now,
      Array.from({ length: 40 }, () => 1),
    )
    expect(nextStop(test(now))).toBeNull()
    expect(progressOf(test(now))).toEqual({ taken: 20, all: 20 })
    expect(readingLines(test(now), 'mm', 'um').slice(0, 4)).toEqual([
      ['Target, mm', 'Way', 'Run', 'Reading, µm'],
      ['0', 'up', '1', '1'],
      ['100', 'up', '1', '2'],
      ['203', 'up', '1', '3'],
    ])
    const stop = courseOf(test(now))[1]
    if (!stop) throw new Error('no such stop')
    const again = runEdit(now, retakeReading(now.axes[0] as Axis, test(now).id, stop, 7, '7 in place of 2'), {
      id: 'c',
      at: '',
    })
    expect(test(again.job).targets[1]?.positiveUm[0]).toBe(7)
    expect(again.entry?.text).toBe('7 in place of 2')
    const gone = runEdit(now, removeFullTest(now.axes[0] as Axis, test(now).id), { id: 'c', at: '' }).job
    expect(gone.axes[0]?.fullTests).toEqual([demo])
  })

  test('with other targets keeps what was read at those that stay; the next test is set up as the one before', () => {
    const start = runEdit(job, setTargets(X, demo.id, [5, 200, 404.23], id), { id: 'c', at: '' }).job
    const [changed] = (start.axes[0] as Axis).fullTests as [FullTest]
    expect(changed.targets.map(({ positiveUm }) => positiveUm.length)).toEqual([5, 0, 5])
    const next = newFullTest(demo, [], given, id)
    expect(next).toMatchObject({ runs: 5, conditions: demo.conditions, finishedAt: null, label: 'Again' })
    expect(next.targets.map(({ targetMm, positiveUm }) => [targetMm, positiveUm.length])).toEqual(
      demo.targets.map(({ targetMm }) => [targetMm, 0]),
    )
    expect(next.targets.some(({ id: one }) => demo.targets.some(other => other.id === one))).toBe(false)
  })
})

describe('the program', () => {
  const plan = { ...fresh([0, 100]), runs: 2, overrunMm: 2, feedMmPerMin: 1270, dwellS: 4 }
  const of = (units: 'mm' | 'inch', axis = 'Y', dwellUnit: 'seconds' | 'milliseconds' = 'seconds') =>
    testProgram({ machine: 'Shed “mill” (8)', axis, letter: 'Y', dwellUnit, units, test: plan })

  test('comes to every target from its own side, stands, and ends where it began', () => {
    const lines = of('mm').trimEnd().split('\n')
    expect(lines.slice(4)).toEqual([
      'N10 G21 G90 G94',
      'N20 G17 G40 G49 G80 G54',
      'N30 G1 Y-2.000 F1270.000',
      'N40 G1 Y0.000 F1270.000',
      'N50 G4 P4.0 (run 1 up: read)',
      'N60 G1 Y100.000 F1270.000',
      'N70 G4 P4.0 (run 1 up: read)',
      'N80 G1 Y102.000 F1270.000',
      'N90 G1 Y100.000 F1270.000',
      'N100 G4 P4.0 (run 1 down: read)',
      'N110 G1 Y0.000 F1270.000',
      'N120 G4 P4.0 (run 1 down: read)',
      'N130 G1 Y-2.000 F1270.000',
      'N140 G1 Y0.000 F1270.000',
      'N150 G4 P4.0 (run 2 up: read)',
      'N160 G1 Y100.000 F1270.000',
      'N170 G4 P4.0 (run 2 up: read)',
      'N180 G1 Y102.000 F1270.000',
      'N190 G1 Y100.000 F1270.000',
      'N200 G4 P4.0 (run 2 down: read)',
      'N210 G1 Y0.000 F1270.000',
      'N220 G4 P4.0 (run 2 down: read)',
      'N230 G1 Y-2.000 F1270.000',
      'N240 M2',
    ])
    // What a controller would trip over is not in a comment.
    expect(lines[0]).toBe('(Shed  mill   8 , axis Y: Again)')
  })

  test('is in inches for a job in inches, its targets on round figures, and says in what a dwell counts', () => {
    expect(of('inch')).toContain('N10 G20 G90 G94\nN20 G17 G40 G49 G80 G54\nN30 G1 Y-0.0787 F50.0000\n')
    expect(of('inch')).toContain('Y3.9370 F50.0000')
    const places = targetsFor(X, 412.6, 9, 5, 'inch').map(mm => mm / 25.4)
    for (const place of places) expect(place * 100).toBeCloseTo(Math.round(place * 100), 6)
    expect(of('mm')).toContain('G4 P4.0 (run')
    expect(of('mm', 'Y', 'milliseconds')).toContain('G4 P4000 (run')
    expect(of('mm', 'Y', 'milliseconds')).toContain('(A dwell counts milliseconds here')
  })

  test('moves at the feed of the test alone: no rapid, not even the first', () => {
    expect(of('mm')).not.toMatch(/G0\b/)
  })

  test('is refused for an axis whose letter nobody has said, and is never written for another one', () => {
    const context = (axis: Axis) => evaluateAxis(axis, catalogueOf(job), 'mm')
    const gantry: Axis = { ...X, name: 'Gantry' }
    expect(letterOf(gantry)).toBeNull()
    expect(programRefusal(context(gantry), plan)).toMatch(/by which letter.*“Gantry” is none/)
    const named: Axis = { ...gantry, controller: { ...gantry.controller, letter: 'U' } }
    expect(letterOf(named)).toBe('U')
    expect(letterOf({ ...X, name: ' z ' })).toBe('Z')
  })

  test('goes nowhere beyond the travel: targets, the turns before and past them; unmeasured, it is refused', () => {
    const refused = (change: Partial<FullTest>, axis = X, units: 'mm' | 'inch' = 'mm') =>
      programRefusal(evaluateAxis(axis, catalogueOf(job), units), { ...fresh([5, 200, 404]), ...change })
    expect(refused({})).toBeNull()
    expect(refused({ overrunMm: 90 })).toMatch(
      /^The turn before the first target, at -85 mm, lies outside the travel/,
    )
    expect(refused({ overrunMm: 90 }, X, 'inch')).toMatch(/at -3\.3465 in/)
    expect(refused({ targets: fresh([5, 200, 450]).targets })).toMatch(/^A target, at 450 mm/)
    expect(refused({ targets: fresh([5, 200, 411.5]).targets })).toMatch(/^The turn past the last target/)
    const unmeasured: Axis = {
      ...X,
      dimensions: { ...X.dimensions, wayTravelMm: { value: null, provenance: 'assumed' } },
    }
    expect(refused({}, unmeasured)).toMatch(/^Measure first/)
    // The targets that are offered lie where the slide may go, whatever limits it.
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 3000, noNaN: true }),
        fc.integer({ min: 3, max: 25 }),
        (travelMm, many) => {
          for (const units of ['mm', 'inch'] as const) {
            const places = targetsFor(X, travelMm, many, 5, units)
            expect(Math.min(...places)).toBeGreaterThanOrEqual(0)
            expect(Math.max(...places)).toBeLessThanOrEqual(travelMm)
          }
        },
      ),
    )
  })
})

describe('what a full test says', () => {
  test('accuracy and reversal with what they are uncertain by, against the goals', () => {
    expect(judged(demo, 'prove.accuracy')).toMatchObject({ state: 'holds' })
    expect(judged(demo, 'prove.fullReversal')?.sentence).toContain('alike all along')
    const fine = read([2, 1, 2, 3, 2], [-2, -1, -2, -3, -2])
    expect(judged(fine, 'prove.fullReversal')?.state).toBe('holds')
    expect(judged(fine, 'prove.fullReversal', 'inch')?.sentence).toContain('thou')
    const worn = {
      ...fine,
      targets: fine.targets.map((one, index) =>
        index === 2 ? { ...one, positiveUm: [52, 51, 52, 53, 52] } : one,
      ),
    }
    expect(judged(worn, 'prove.fullReversal')?.sentence).toMatch(
      /Most is lost at 203 mm.*varies along the travel/,
    )
  })

  /** A sound test in which every reading from a place of the course on, or with its number, reads otherwise. */
  const moved = (by: (place: number) => number) => {
    const sound = read([2, 1, 2, 3, 2], [-2, -1, -2, -3, -2])
    const place = new Map(
      courseOf(sound).map(({ targetId, way, run }, index) => [`${targetId} ${way} ${run}`, index]),
    )
    const shifted = (id: string, way: 'positiveUm' | 'negativeUm', readings: readonly number[]) =>
      readings.map((one, run) => one + by(place.get(`${id} ${way} ${run}`) as number))
    return {
      ...sound,
      targets: sound.targets.map(one => ({
        ...one,
        positiveUm: shifted(one.id, 'positiveUm', one.positiveUm),
        negativeUm: shifted(one.id, 'negativeUm', one.negativeUm),
      })),
    }
  }

  test('a jump in its course is named by the reading it came with, a drift by its size; neither is judged', () => {
    const said = (by: (place: number) => number) => judged(moved(by), 'prove.fullReversal')
    expect(said(() => 0)?.state).toBe('holds')
    const last = courseOf(moved(() => 0)).length
    const jump = said(place => (place >= 20 ? 50 : 0))
    expect(jump).toMatchObject({ state: 'unknown' })
    expect(jump?.sentence).toMatch(/^From run 3 going up at .* on, everything reads 50 µm more/)
    const drift = said(place => Math.round((-40 * place) / last))
    expect(drift?.sentence).toMatch(
      /^From the first reading to the last everything comes to read (39|40|41)(\.\d)? µm less/,
    )
    // What is small against what is accepted decides nothing.
    expect(said(place => (place >= 20 ? 1 : 0))?.state).toBe('holds')
    // Where most is read in one run, order says nothing yet.
    const once = {
      ...moved(() => 0),
      targets: moved(() => 0).targets.map(one => ({ ...one, positiveUm: [2], negativeUm: [-2] })),
    }
    expect(judged(once, 'prove.fullReversal')?.sentence).toContain('readings are taken')
  })

  describe('a jump in its course', () => {
    const context = (test: FullTest) => evaluateAxis({ ...X, fullTests: [test] }, catalogueOf(job), 'mm')
    /** One cycle lost before the 21st reading of 50. */
    const jumped = moved(place => (place >= 20 ? 50 : 0))

    test('is taken out of all that follow at one press: nothing is typed again, and it can be counted again', () => {
      const jump = jumpToTakeOut(context(jumped)) as Moved
      expect(jump).toMatchObject({ is: 'jump', after: 30 })
      const { run, way, targetMm } = jump.from as Stop
      const on = { ...job, axes: [{ ...X, fullTests: [jumped] }] } as Job
      const axisOf = (one: Job) => one.axes[0] as Axis
      const shift = { id: 's', run, way, targetMm, byUm: Math.round(jump.byUm) }
      const { job: out, entry } = runEdit(on, takeOutJump(axisOf(on), jumped.id, shift, 'A jump.'), STAMP)
      const test = axisOf(out).fullTests[0] as FullTest
      expect(test.targets).toEqual(jumped.targets)
      expect(entry?.text).toBe('A jump.')
      expect(jumpToTakeOut(context(test))).toBeNull()
      // Both halves keep what they lose at a reversal; where the slide stood they tell no more.
      expect(judged(test, 'prove.fullReversal')).toMatchObject({ state: 'holds' })
      expect(judged(test, 'prove.fullReversal')?.sentence).toContain('A jump of 50 µm was taken out')
      expect(judged(test, 'prove.accuracy')?.state).not.toBe('holds')
      const { job: back } = runEdit(out, putJumpBack(axisOf(out), jumped.id, 's', 'Back.'), STAMP)
      expect(axisOf(back).fullTests[0]).toEqual(jumped)
    })

    test('leaves every reading before it as it is, wherever it is', () => {
      const places = courseOf(jumped)
      fc.assert(
        fc.property(
          fc.integer({ min: 1, max: places.length - 1 }),
          fc.integer({ min: -80, max: 80 }),
          (at, byUm) => {
            const { run, way, targetMm } = places[at] as (typeof places)[number]
            const test = { ...jumped, shifts: [{ id: 's', run, way, targetMm, byUm }] }
            for (const [index, stop] of places.entries())
              expect(shiftOf(test, stop)).toBe(index >= at ? byUm : 0)
          },
        ),
        { numRuns: 60 },
      )
    })

    test('one reading that is far off is no jump', () => {
      const slipped = moved(place => (place === 33 ? 200 : 0))
      expect(jumpToTakeOut(context(slipped))).toBeNull()
      expect(judged(slipped, 'prove.fullReversal')?.sentence).toContain('stands apart')
    })
  })

  test('a gauge that is read the other way is named by the sign of what is lost', () => {
    const reads = (up: number, down: number, gaugeMore: FullTest['gaugeMore'] = null) => ({
      ...read([up, up + 1, up, up + 1, up], [down, down - 1, down, down - 1, down]),
      gaugeMore,
    })
    const said = (test: FullTest) => judged(test, 'prove.fullReversal')?.sentence
    expect(said(reads(8, -8))).toContain('Coming up it reads more than coming down')
    expect(said(reads(-8, 8))).not.toContain('Coming up it reads more')
    expect(said(reads(8, -8, 'down'))).not.toContain('Coming up it reads more')
    expect(said(reads(8, -8, 'up'))).toContain('or the controller takes out more than is lost')
    expect(said(reads(-8, 8, 'down'))).toContain('or the controller takes out more than is lost')
  })

  test('fewer than five targets or runs are a quick test, which may fail and never holds', () => {
    expect(isQuick(read([2, 1], [-2, -1]).targets)).toBe(true)
    const quick = judged(read([2, 1, 2], [-2, -1, -2]), 'prove.fullReversal')
    expect(quick?.state).toBe('unknown')
    expect(quick?.sentence).toContain('A quick test so far')
    expect(judged(read([90, 91, 90], [-90, -91, -90]), 'prove.fullReversal')?.state).toBe('fails')
    expect(judged(fresh(), 'prove.accuracy')?.sentence).toContain('0 of 50 readings are taken')
  })

  test('a reading in another unit or apart from its like is named and stops the verdict; nothing is dropped', () => {
    const slipped = read([22, 23, 22, 24, 0.023], [-20, -21, -20, -22, -20])
    expect(judged(slipped, 'prove.accuracy')?.sentence).toMatch(
      /Run 5 going up at 0(\.0)? mm, .* finer than the gauge/,
    )
    const apart = read([22, 23, 22, 24, 220], [-20, -21, -20, -22, -20])
    expect(oddStops(apart)).toHaveLength(5)
    expect(judged(apart, 'prove.accuracy')?.sentence).toContain('stands apart')
    expect(apart.targets[0]?.positiveUm).toHaveLength(5)
    expect(judged({ ...demo, gaugeStepUm: null }, 'prove.accuracy')).toMatchObject({ state: 'unknown' })
  })

  test('the accuracy is never less than its parts', () => {
    const reading = fc.integer({ min: -200, max: 200 })
    const side = fc.array(reading, { minLength: 2, maxLength: 8 })
    fc.assert(
      fc.property(
        fc.array(fc.record({ positiveUm: side, negativeUm: side }), { minLength: 2, maxLength: 8 }),
        sides => {
          const figures = bidirectional({
            positions: sides.map((one, index) => ({ targetMm: index, ...one })),
          })
          const rounding = 1e-9
          expect(figures.accuracyUm).toBeGreaterThanOrEqual(figures.systematicDeviationUm - rounding)
          expect(figures.systematicDeviationUm).toBeGreaterThanOrEqual(
            figures.meanDeviationRangeUm - rounding,
          )
          expect(figures.repeatabilityUm).toBeGreaterThanOrEqual(figures.repeatabilityPositiveUm - rounding)
          expect(figures.reversalUm).toBeGreaterThanOrEqual(Math.abs(figures.meanReversalUm) - rounding)
        },
      ),
    )
  })
})
