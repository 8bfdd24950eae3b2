import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { CATALOGUE } from '../machine/parts'
import { SHEETS } from '../sheets'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { newAxis } from '../sheets/newJob'
import { countWords } from './finding'
import { stateCounts, verdictGroups } from './verdictGroups'

const findingsOf = (axis: Axis) => evaluateAxis(axis, CATALOGUE, 'mm').findings
const { axes } = skarrow().job
const all = [...axes, newAxis({ name: 'A', title: 'New' })].map(findingsOf)

test('every finding stands once, at every sheet, and in its group', () => {
  for (const findings of all)
    for (const { id, stage } of SHEETS) {
      const groups = verdictGroups(findings, id, stage)
      const { sheet, stage: ofStage, rest, waiting } = groups
      const known = [sheet, ofStage, rest].flatMap(({ open, holds }) => [...open, ...holds])
      const open = waiting.flatMap(one => one.findings)
      expect([...known, ...open].map(({ checkId }) => checkId).toSorted()).toEqual(
        findings.map(({ checkId }) => checkId).toSorted(),
      )
      expect(sheet.open.concat(sheet.holds).every(one => one.sheet === id)).toBe(true)
      expect(ofStage.open.concat(ofStage.holds).every(one => one.stage === stage && one.sheet !== id)).toBe(
        true,
      )
      expect(rest.open.concat(rest.holds).every(one => one.stage !== stage)).toBe(true)
      expect(
        [sheet, ofStage, rest].flatMap(({ holds }) => holds).every(({ state }) => state === 'holds'),
      ).toBe(true)
      expect(open.every(({ state, missing }) => state === 'unknown' && missing !== null)).toBe(true)
    }
})

test('what is not known stands by what it waits for: that of the sheet first, then the most', () => {
  const findings = findingsOf(newAxis({ name: 'A', title: 'New' }))
  const { waiting } = verdictGroups(findings, 'geometry', 'survey')
  expect(waiting[0]).toMatchObject({ what: 'A screw and its nut', missing: { part: 'screw' } })
  const counts = waiting.map(one => one.findings.length)
  expect(counts).toEqual(counts.toSorted((a, b) => b - a))
  const atStopping = verdictGroups(findings, 'stopping', 'room').waiting
  expect(atStopping[0]?.findings.every(({ sheet }) => sheet === 'stopping')).toBe(true)
})

test('states are counted, worst first, in words that agree with their number', () => {
  const states = (['holds', 'fails', 'holds', 'close', 'fails'] as const).map(state => ({ state }))
  expect(stateCounts(states).map(({ state, count }) => countWords(state, count))).toEqual([
    '2 fail',
    '1 close',
    '2 hold',
  ])
  expect(countWords('fails', 1)).toBe('1 fails')
  expect(countWords('unknown', 3)).toBe('3 not known yet')
  expect(stateCounts([])).toEqual([])
})
