import type { Axis } from '../document/axis'
import { CATALOGUE } from '../machine/parts'
import type { CheckId } from '.'
import { evaluateAxis } from './evaluateAxis'
import { TWELVE_AXES } from './fixtures/twelveAxes'
import { remediesFor } from './remediesFor'

// Twelve kinds of axes, judged by hand first: what the app says of them must be what an engineer says.

test.each(TWELVE_AXES.map(one => [one.name, one] as const))('%s', (_, { axis, verdicts }) => {
  const context = evaluateAxis(axis, CATALOGUE, 'mm')
  for (const [kind, id] of Object.entries(axis.parts))
    if (id) expect(CATALOGUE[kind as keyof typeof axis.parts].has(id)).toBe(true)
  const given = Object.fromEntries(Object.entries(verdicts).map(([checkId, [state]]) => [checkId, state]))
  const said = Object.fromEntries(
    (Object.keys(verdicts) as CheckId[]).map(checkId => [checkId, context.finding(checkId)?.state ?? 'none']),
  )
  expect(said).toEqual(given)
  expect(Object.keys(given).length).toBeGreaterThan(0)
  // Whatever else is said of a whole drive, nothing of it is left open but what only the machine can tell.
  for (const { state, checkId } of context.findings)
    if (state === 'unknown') expect(['stopping.fixed', 'stopping.far']).toContain(checkId)
})

test('the head that nothing holds is held by a brake, by a counterbalance, or by a screw that locks', () => {
  const head = TWELVE_AXES.find(({ name }) => name === 'knee mill, head of 85 kg')?.axis
  if (!head) throw new Error('no such axis')
  const labels = remediesFor(head, CATALOGUE, 'mm', 'axis.unpoweredDrop').map(({ label }) => label)
  expect(labels[0]).toMatch(/^Spring-applied brake/)
  expect(labels[1]).toMatch(/^Counterbalance up to \d+ N$/)
  const over = TWELVE_AXES.find(({ name }) => name.startsWith('light head'))?.axis
  if (!over) throw new Error('no such axis')
  expect(remediesFor(over, CATALOGUE, 'mm', 'axis.unpoweredDrop').map(({ label }) => label)).toContainEqual(
    expect.stringMatching(/^Counterbalance down to [\d,]+ N$/),
  )
})

const SLIDING = 'Let the far end slide: hold the ends fixed-supported'

test('bearings that the stretch of a screw overloads are mended by letting its far end slide, where it may whip less', () => {
  const gantry = TWELVE_AXES.find(({ name }) => name === 'router, two screws of 2.4 m')?.axis
  if (!gantry) throw new Error('no such axis')
  // Slower, and on a motor that stalls before it bends the longer strut.
  const slow: Axis = {
    ...gantry,
    // Its place may be off by what the screw grows then.
    goals: { ...gantry.goals, topSpeedMmPerMin: 2000, accuracyTargetUm: 2000 },
    parts: { ...gantry.parts, motor: 'step-57-22', coupler: 'jaw-30-clamp' },
  }
  for (const checkId of ['bearing.life', 'bearing.preload'] as const) {
    const labels = (axis: Axis) => remediesFor(axis, CATALOGUE, 'mm', checkId).map(({ label }) => label)
    expect(labels(slow)).toContain(SLIDING)
    // At the wanted speed it would whip: that is no way out.
    expect(labels(gantry)).not.toContain(SLIDING)
  }
})
