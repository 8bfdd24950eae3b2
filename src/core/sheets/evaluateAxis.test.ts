import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import type { DimensionKey } from '../document/dimensions'
import { EvaluationContext } from '../evaluation/context'
import { type Finding, grade } from '../evaluation/finding'
import { remedied } from '../evaluation/remedy'
import { costWords } from '../machine/costs'
import { driveEur, driveHeightMm } from '../machine/drive/price'
import { lostMotionBudget } from '../machine/drive/stiffness'
import { CATALOGUE } from '../machine/parts'
import { stillToMeasure } from '../machine/stillToMeasure'
import { say } from '../units/print'
import type { CheckId } from '.'
import { LIMITS } from '.'
import { evaluateAxis } from './evaluateAxis'
import { registry } from './registry'
import { remediesFor } from './remediesFor'

const [X, _Y, Z] = skarrow().job.axes as [Axis, Axis, Axis]
const evaluate = (axis: Axis, units: 'mm' | 'inch' = 'mm') => evaluateAxis(axis, CATALOGUE, units)
const find = (axis: Axis, checkId: CheckId): Finding | undefined =>
  evaluate(axis).findings.find(one => one.checkId === checkId)
const goals = (axis: Axis, change: Partial<Axis['goals']>): Axis => ({
  ...axis,
  goals: { ...axis.goals, ...change },
})
const dimension = (axis: Axis, key: DimensionKey, value: number | null): Axis => ({
  ...axis,
  dimensions: { ...axis.dimensions, [key]: { value, provenance: 'measured' } },
})
const parts = (axis: Axis, change: Partial<Axis['parts']>): Axis => ({
  ...axis,
  parts: { ...axis.parts, ...change },
})

/** For each check an axis on which it holds, one on which it is close, and one on which it fails. */
const states: Record<string, [holds: Axis, close: Axis, fails: Axis]> = {
  'motor.torqueMargin': [goals(X, { cuttingForceN: 500 }), X, goals(X, { cuttingForceN: 2500 })],
  'screw.criticalSpeed': [X, goals(X, { topSpeedMmPerMin: 62_000 }), goals(X, { topSpeedMmPerMin: 80_000 })],
  'screw.buckling': [X, goals(X, { cuttingForceN: 30_000 }), goals(X, { cuttingForceN: 40_000 })],
  'nut.speedValue': [X, goals(X, { topSpeedMmPerMin: 14_000 }), goals(X, { topSpeedMmPerMin: 20_000 })],
  'screw.life': [X, goals(X, { wantedLifeHours: 40_000 }), goals(X, { wantedLifeHours: 100_000 })],
  'nut.staticSafety': [X, goals(X, { cuttingForceN: 11_000 }), goals(X, { cuttingForceN: 15_000 })],
  'nut.preload': [X, goals(X, { cuttingForceN: 2000 }), goals(X, { cuttingForceN: 3000 })],
  'bearing.preload': [X, goals(X, { cuttingForceN: 1900 }), goals(X, { cuttingForceN: 3000 })],
  'coupler.torque': [
    parts(X, { coupler: 'bellows-32' }),
    parts(X, { coupler: 'slit-32-clamp', motor: 'loop-57-20' }),
    X,
  ],
  'axis.lostMotion': [X, goals(X, { backlashTargetUm: 10 }), goals(X, { backlashTargetUm: 5 })],
  'room.travel': [X, goals(X, { wantedTravelMm: 420 }), goals(X, { wantedTravelMm: 450 })],
}

describe.each(Object.entries(states) as [CheckId, [Axis, Axis, Axis]][])(
  '%s',
  (checkId, [holds, close, fails]) => {
    test('can be seen to hold, to be close and to fail', () => {
      expect([holds, close, fails].map(axis => find(axis, checkId)?.state)).toEqual([
        'holds',
        'close',
        'fails',
      ])
    })

    test('opens to its working, and says what it rests on', () => {
      const { findings, figures } = evaluate(fails)
      const finding = findings.find(one => one.checkId === checkId) as Finding
      expect(finding.because.length).toBeGreaterThan(0)
      for (const name of finding.because) {
        const figure = figures[name]
        const calculate = registry.get(figure?.calculation ?? '')
        expect(calculate?.(figure?.inputs ?? {})).toEqual(figure?.outputs)
      }
      expect(finding.sentence).toMatch(/\d/)
    })

    test('has a way out that mends it, and that says what it does elsewhere', () => {
      for (const axis of [close, fails]) {
        const ways = remediesFor(axis, CATALOGUE, 'mm', checkId)
        expect(ways.length).toBeGreaterThan(0)
        for (const way of ways) {
          const after = evaluate(remedied(axis, way)).findings
          expect(after.find(one => one.checkId === checkId)?.state ?? 'holds').toBe('holds')
          for (const effect of way.effects) {
            expect(after.find(one => one.checkId === effect.checkId)?.state).toBe(effect.to)
            expect(find(axis, effect.checkId)?.state).toBe(effect.from)
          }
        }
      }
    })
  },
)

test('a solved way out is the smallest change: a little less does not mend it', () => {
  const axis = goals(X, { topSpeedMmPerMin: 20_000 })
  const way = remediesFor(axis, CATALOGUE, 'mm', 'nut.speedValue').find(({ label }) =>
    label.startsWith('Top speed'),
  )
  if (!way) throw new Error('no such way')
  const { topSpeedMmPerMin } = remedied(axis, way).goals
  // 0.9 of 60,000 over 20.5 mm, times the lead of 5 mm.
  expect(topSpeedMmPerMin).toBeLessThanOrEqual((0.9 * 60_000 * 5) / 20.5)
  expect(topSpeedMmPerMin).toBeGreaterThan(((0.9 * 60_000 * 5) / 20.5) * 0.99)
})

test('a way out says what it costs elsewhere, in figures that the changed axis has', () => {
  const merits = (axis: Axis) => {
    const t = new EvaluationContext(axis, CATALOGUE)
    return { eur: driveEur(t), heightMm: driveHeightMm(t), lostUm: lostMotionBudget(t).totalUm }
  }
  const said = remediesFor(X, CATALOGUE, 'mm', 'motor.torqueMargin').find(({ done }) =>
    done?.entry.startsWith('Chosen'),
  )
  if (!said) throw new Error('no such way')
  const [was, is] = [merits(X), merits(remedied(X, said))]
  expect(said.cost).toContain(`€${Math.round(is.eur - was.eur)} more`)
  const lower = was.lostUm - is.lostUm
  expect(said.cost).toContain(
    `loses ${say(Math.abs(lower), 'smallLength', 'mm')} ${lower > 0 ? 'less' : 'more'}`,
  )
  // A way back gives back what the way there costs.
  const changed = remedied(X, said)
  const there = costWords(
    new EvaluationContext(X, CATALOGUE),
    new EvaluationContext(changed, CATALOGUE),
    'mm',
  )
  const back = costWords(new EvaluationContext(changed, CATALOGUE), new EvaluationContext(X, CATALOGUE), 'mm')
  const turned = { more: 'less', less: 'more', higher: 'lower', lower: 'higher' }
  expect(back).toEqual(
    there.map(text => text.replace(/more|less|higher|lower/, word => turned[word as keyof typeof turned])),
  )
  const slower = remediesFor(goals(X, { topSpeedMmPerMin: 20_000 }), CATALOGUE, 'mm', 'nut.speedValue').find(
    ({ label }) => label.startsWith('Top speed'),
  )
  expect(slower?.cost).toMatch(/^a wish given up/)
  expect(costWords(new EvaluationContext(X, CATALOGUE), new EvaluationContext(X, CATALOGUE), 'mm')).toEqual(
    [],
  )
})

test('in an inch job sentences and ways out speak inches', () => {
  const { findings } = evaluate(X, 'inch')
  // Screws with a metric thread are sold by the millimetre everywhere.
  const sentences = findings.map(one =>
    one.sentence.replace(/M\d+ screws of \d+ mm|Take \d+ mm|[\d.]+ mm \([\d.]+ in\)/g, ''),
  )
  expect(sentences.join(' ')).not.toMatch(/\d (mm|N|µm)\b(?!·)/)
  const [way] = remediesFor(goals(X, { wantedTravelMm: 450 }), CATALOGUE, 'inch', 'room.travel')
  expect(way?.label).toMatch(/ in$/)
})

test('a coupler that does not fit the shafts fails by name', () => {
  expect(find(parts(X, { coupler: 'slit-19-set' }), 'coupler.bores')).toMatchObject({ state: 'fails' })
  expect(find(parts(X, { coupler: 'slit-19-set' }), 'coupler.bores')?.sentence).toContain(
    'the end of the screw is 10 mm',
  )
  expect(
    remediesFor(parts(X, { coupler: 'slit-19-set' }), CATALOGUE, 'mm', 'coupler.bores').length,
  ).toBeGreaterThan(0)
})

test('a plain nut is not held to a preload, a sliding one to no rolling life', () => {
  const plain = evaluate(parts(X, { screw: 'slide-20-4-plain' })).findings.map(one => one.checkId)
  expect(plain).not.toContain('nut.preload')
  expect(plain).not.toContain('screw.life')
  expect(plain).toContain('axis.lostMotion')
})

test('a vertical axis with a free-running screw drops, and the verdict says to support it', () => {
  const head = parts(Z, {
    screw: 'ball-20-10-double',
    bearing: 'back-12',
    coupler: 'bellows-32',
    motor: 'servo-60-400',
  })
  expect(find(head, 'axis.unpoweredDrop')).toMatchObject({ state: 'fails' })
  expect(find(head, 'axis.unpoweredDrop')?.sentence).toContain('Support the load')
  expect(find(X, 'axis.unpoweredDrop')).toBeUndefined()
})

test('a figure beyond all use is said in round words: a life without any cut, a head balanced to the newton', () => {
  const idle = goals(
    dimension(dimension(parts(X, { screw: 'ball-25-10-single' }), 'movingMassKg', 1), 'dragN', 1),
    {
      cuttingForceN: 0,
      accelerationMmPerS2: 10,
    },
  )
  const life = find(idle, 'screw.life')
  expect(life?.state).toBe('holds')
  expect(life?.sentence).toContain('good for more than 1,000,000 h of this work')
  expect(life?.figure?.value).toBe(1_000_000)
  const balanced = dimension(
    dimension(
      dimension(
        dimension(
          parts(Z, {
            screw: 'ball-20-5-double',
            bearing: 'back-12',
            coupler: 'bellows-32',
            motor: 'step-57-22',
          }),
          'movingMassKg',
          30,
        ),
        'lightestMassKg',
        30,
      ),
      'counterbalanceSpreadN',
      0,
    ),
    'counterbalanceN',
    294.2,
  )
  expect(find(balanced, 'axis.unpoweredDrop')).toMatchObject({ state: 'holds' })
  expect(find(balanced, 'axis.unpoweredDrop')?.sentence).toContain('more than 100 times, 2 wanted')
})

test('under a weight one flank carries: play of the nut counts only where a cut lifts the load, and that is said', () => {
  const head = (cuttingForceN: number, inclineDeg: number) =>
    goals(
      dimension(
        dimension(
          parts(Z, {
            screw: 'ball-20-5-single',
            bearing: 'back-12',
            coupler: 'bellows-32',
            motor: 'step-57-22',
          }),
          'movingMassKg',
          60,
        ),
        'inclineDeg',
        inclineDeg,
      ),
      { cuttingForceN },
    )
  const lost = (axis: Axis) => find(axis, 'axis.lostMotion')
  const um = (axis: Axis) => lost(axis)?.figure?.value ?? Number.NaN
  // Thirty micrometres of play in the nut: a light cut never lifts the 60 kg off its flank.
  expect(um(head(100, 90))).toBeLessThan(30)
  expect(lost(head(100, 90))?.sentence).toMatch(
    /one flank: their play only shows where a cut lifts with more than/,
  )
  expect(um(head(2000, 90))).toBeGreaterThan(30)
  expect(lost(head(2000, 90))?.sentence).toMatch(
    /A cut that lifts with more than [\d,]+ N turns the load round/,
  )
  // Level, it counts at any cut, and no lift is spoken of.
  expect(um(head(100, 0))).toBeGreaterThan(30)
  expect(lost(head(100, 0))?.sentence).not.toContain('lifts')
})

test('what is missing is named, and nothing is made up for it', () => {
  const open = evaluate(Z).findings
  expect(new Set(open.map(one => one.state))).toEqual(new Set(['unknown']))
  expect(find(Z, 'motor.torqueMargin')?.missing).toEqual({ part: 'motor' })
  const noMass = dimension(X, 'movingMassKg', null)
  expect(find(noMass, 'screw.life')).toMatchObject({
    state: 'unknown',
    missing: { dimension: 'movingMassKg' },
  })
  expect(find(noMass, 'nut.speedValue')?.state).toBe('holds')
})

test('blocks too close for the nut are said to be so', () => {
  expect(find(dimension(X, 'supportSpanMm', 60), 'screw.criticalSpeed')).toMatchObject({
    state: 'unknown',
    missing: null,
  })
  expect(find(dimension(X, 'supportSpanMm', 60), 'screw.criticalSpeed')?.sentence).toContain(
    'which the nut and what is kept clear take up',
  )
  expect(find(dimension(X, 'supportSpanMm', 60), 'room.travel')?.state).toBe('fails')
})

test('a finding rests on just what was read for it', () => {
  const rests = (checkId: CheckId) =>
    find(X, checkId)
      ?.restsOn.map(one => one.dimension)
      .toSorted()
  expect(rests('nut.speedValue')).toEqual([])
  expect(rests('room.travel')).toEqual(['bracketThicknessMm', 'supportSpanMm', 'wayTravelMm'])
  expect(rests('nut.staticSafety')).toContain('frictionCoefficient')
})

test('findings come worst first, and judging changes nothing', () => {
  const before = structuredClone(X)
  const order = evaluate(X).findings.map(one => one.state)
  expect(order).toEqual(
    [...order].sort(
      (a, b) =>
        ['fails', 'close', 'unknown', 'holds'].indexOf(a) - ['fails', 'close', 'unknown', 'holds'].indexOf(b),
    ),
  )
  expect(X).toEqual(before)
  expect(evaluate(X)).toEqual(evaluate(structuredClone(X)))
})

test('a figure at its limit holds; a hair beyond does not', () => {
  expect(grade(LIMITS['screw.buckling'], 0.8)).toBe('holds')
  expect(grade(LIMITS['screw.buckling'], 0.8001)).toBe('close')
  expect(grade(LIMITS['screw.buckling'], 1.0001)).toBe('fails')
  expect(grade(LIMITS['screw.life'], 1)).toBe('holds')
  expect(grade(LIMITS['screw.life'], 0.7999)).toBe('fails')
})

test('what an axis needs next follows the order of the work', () => {
  expect(stillToMeasure(X)).toEqual(['frictionCoefficient'])
})
