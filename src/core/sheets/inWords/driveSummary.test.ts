import { demoJobs } from '../../demo'
import type { Axis } from '../../document/axis'

import { CATALOGUE } from '../../machine/parts'
import { evaluateAxis } from '../evaluateAxis'
import { newAxis } from '../newJob'
import { driveSummary } from './driveSummary'

const axes = demoJobs().flatMap(({ job }) => job.axes)
const named = (id: string) => axes.find(axis => axis.id === id) as Axis
const said = (axis: Axis, units: 'mm' | 'inch' = 'mm') =>
  driveSummary(axis, evaluateAxis(axis, CATALOGUE, units).findings, units)

test('says what does not hold, what is generous and what is assumed', () => {
  const [first, generous, assumed, ...more] = said(named('skarrow-x'))
  expect(first).toBe('This drive does not hold: torque of the coupler. Its ways out are in the verdicts.')
  expect(generous).toMatch(/^Generous: buckling of the screw, .* and .*, up to 28 times over\.$/)
  expect(assumed).toBe('Still assumed: friction of the ways. Measure before you order.')
  expect(more).toEqual([])
})

test('says what limits a drive that holds, in the words of its verdict, and claims nothing cheaper that it has not tried', () => {
  const x = named('skarrow-x')
  const sound: Axis = {
    ...x,
    goals: { ...x.goals, accuracyTargetUm: 200, cuttingForceN: 500 },
    parts: { ...x.parts, coupler: 'disc-34', motor: 'step-60-31' },
  }
  const [limits, generous] = said(sound)
  const { findings } = evaluateAxis(sound, CATALOGUE, 'mm')
  const limit = findings.find(({ sentence }) => limits?.endsWith(sentence))
  expect(limits).toMatch(/^Everything holds\. What limits this axis is /)
  for (const finding of findings)
    if (finding.ofDrive && finding.rankMargin !== null && finding.margin !== null)
      expect(limit?.margin ?? 0).toBeLessThanOrEqual(finding.margin)
  expect(generous).toMatch(/^Generous: /)
  expect(generous).not.toMatch(/cheaper/)
})

test('says what is close, and asks for what is missing', () => {
  expect(said(named('ostrey-x'))[0]).toContain('close in')
  expect(said(newAxis({ name: 'A', title: 'New' }))).toEqual([
    'The drive cannot be judged as a whole yet. Choose a motor first.',
  ])
})

test('is short: at most four sentences, none of them with a long list, in either system', () => {
  for (const axis of axes)
    for (const units of ['mm', 'inch'] as const) {
      const sentences = said(axis, units)
      expect(sentences.length).toBeGreaterThan(0)
      expect(sentences.length).toBeLessThanOrEqual(4)
      for (const sentence of sentences) expect(sentence.length).toBeLessThan(420)
    }
})
