import fc from 'fast-check'
import { runs } from '../calculation/fixtures/runs'
import type { Axis } from '../document/axis'
import type { Finding } from '../evaluation/finding'
import { remedied } from '../evaluation/remedy'
import { CATALOGUE } from '../machine/parts'
import { evaluateAxis } from './evaluateAxis'
import { strained } from './fixtures/strainedAxes'
import { remediesFor } from './remediesFor'

// Drives that nobody would build, ten thousand of them where there is time, and what must be true of every one.

const SEED = 20_261_126
const drives = fc.sample(strained, { numRuns: runs(10_000, 1500), seed: SEED })

/** What an inch job must not say, but for what is sold by the millimetre: its screws, bores and threads. */
const METRIC = /\d (mm|µm|N|N·m|mm\/min|mm\/s²|kg|MPa|m\/min)\b(?!·)/
const SOLD = /M\d+ screws of \d+ mm|Take \d+ mm|[\d.]+ mm \([\d.]+ in\)/g
const INCHES = /\d (in|thou|lbf|lbf·in|in\/min|psi)\b/

test('no figure of any drive is endless or none, and every sentence is finite and in the units of its job', () => {
  // Looked at one by one and asserted at once: an assertion costs more than a sentence.
  const wrong: string[] = []
  for (const [index, axis] of drives.entries()) {
    const units = index % 2 ? 'inch' : 'mm'
    for (const { checkId, sentence, figure, limit, use, margin, rankMargin } of evaluateAxis(
      axis,
      CATALOGUE,
      units,
    ).findings) {
      const numbers = [figure?.value, limit?.value, use, margin, rankMargin].filter(one => one != null)
      if (!numbers.every(Number.isFinite) || /NaN|Infinity|undefined|null|\[object/.test(sentence))
        wrong.push(`${checkId}: ${sentence} ${numbers.join(' ')}`)
      const bare = units === 'inch' ? sentence.replace(SOLD, '') : sentence
      if ((units === 'inch' ? METRIC : INCHES).test(bare)) wrong.push(`${checkId}: ${sentence}`)
    }
  }
  expect(wrong).toEqual([])
})

test('no way out makes another check fail, none mends by not applying, and each is worth its name', () => {
  let tried = 0
  for (const axis of drives.slice(0, runs(80, 24))) {
    const before = evaluateAxis(axis, CATALOGUE, 'mm')
    const failed = new Set(
      before.findings.flatMap(({ checkId, state }) => (state === 'fails' ? checkId : [])),
    )
    for (const { checkId, state } of before.findings) {
      if (state !== 'fails' && state !== 'close') continue
      for (const remedy of remediesFor(axis, CATALOGUE, 'mm', checkId)) {
        tried++
        const after = evaluateAxis(remedied(axis, remedy), CATALOGUE, 'mm')
        expect([checkId, remedy.label, after.finding(checkId)?.state]).toEqual([
          checkId,
          remedy.label,
          'holds',
        ])
        const broken = after.findings.filter(one => one.state === 'fails' && !failed.has(one.checkId))
        expect([checkId, remedy.label, broken.map(one => one.checkId)]).toEqual([checkId, remedy.label, []])
      }
    }
  }
  expect(tried).toBeGreaterThan(runs(250, 75))
})

const scaled = {
  mass: (axis: Axis, by: number): Axis => {
    const { movingMassKg } = axis.dimensions
    return {
      ...axis,
      dimensions: {
        ...axis.dimensions,
        movingMassKg: { ...movingMassKg, value: (movingMassKg.value ?? 1) * by },
      },
    }
  },
  cut: (axis: Axis, by: number): Axis => ({
    ...axis,
    goals: { ...axis.goals, cuttingForceN: axis.goals.cuttingForceN * by },
  }),
  speed: (axis: Axis, by: number): Axis => ({
    ...axis,
    goals: { ...axis.goals, topSpeedMmPerMin: axis.goals.topSpeedMmPerMin * by },
  }),
  warmth: (axis: Axis, by: number): Axis => ({
    ...axis,
    goals: { ...axis.goals, temperatureRiseK: axis.goals.temperatureRiseK * by },
  }),
}
/** Where the load of an inclined axis turns round its play shows at once: that jump is in the machine. */
const TURNS_ROUND = ['axis.lostMotion', 'axis.positionBudget']

test.each(Object.entries(scaled))(
  'a finely stepped %s changes no verdict to and fro, nor by a leap',
  (_, step) => {
    const wrong: string[] = []
    for (const axis of drives.slice(200, runs(320, 230))) {
      const seen = new Map<string, Finding[]>()
      for (let i = 0; i <= 20; i++)
        for (const finding of evaluateAxis(step(axis, 1 + i / 1000), CATALOGUE, 'mm').findings)
          seen.set(finding.checkId, [...(seen.get(finding.checkId) ?? []), finding])
      for (const [checkId, findings] of seen) {
        const states = findings.map(({ state }) => state).filter((state, at, all) => state !== all[at - 1])
        if (states.length !== new Set(states).size) wrong.push(`${checkId} goes ${states.join(', ')}`)
        if (TURNS_ROUND.includes(checkId)) continue
        for (const [at, { margin }] of findings.entries()) {
          const before = findings[at - 1]?.margin
          // A thousandth of the input moves no margin by a twentieth; one that is next to nothing, not by much.
          if (margin != null && before != null && margin < 900 && before < 900)
            if (Math.abs(margin - before) >= 0.05 * Math.max(before, 1))
              wrong.push(`${checkId} leaps from ${before} to ${margin}`)
        }
      }
    }
    expect(wrong).toEqual([])
  },
)
