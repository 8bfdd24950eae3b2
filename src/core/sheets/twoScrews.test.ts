import { longTom } from '../demo/longTom'
import type { Axis } from '../document/axis'
import { blankRow, numbered } from '../field/field'
import { CATALOGUE } from '../machine/parts'
import type { CheckId } from '.'
import { evaluateAxis } from './evaluateAxis'
import { screwRounds } from './screwLine/rounds'
import { lastRound } from './shared/rounds/rounds'
import { axisOfScrew } from './shared/rounds/screws'
import { LOST_ROUNDS } from './whereLost/model'

// Two screws drive the gantry: each is set by itself, then the two are squared.

const [gantry] = longTom().job.axes as [Axis]
const find = (axis: Axis, check: CheckId) => evaluateAxis(axis, CATALOGUE, 'mm').finding(check)
const [first, second] = gantry.rounds as [Axis['rounds'][number], Axis['rounds'][number]]

test('the worse of the two is said, with the screw that it is of', () => {
  const height = find(gantry, 'align.height')
  expect(height?.state).toBe('fails')
  expect(height?.sentence).toMatch(/^Second screw: .*Raise the far block by 29\d/)
  const swapped = {
    ...gantry,
    rounds: [
      { ...second, screw: 'first' },
      { ...first, screw: 'second' },
    ],
  } as Axis
  expect(find(swapped, 'align.height')?.sentence).toMatch(/^First screw: .*Raise the far block by 29\d/)
})

test('both in line is in line; half an axis is not', () => {
  const both = { ...gantry, rounds: [first, { ...first, id: 'b', screw: 'second' as const }] }
  expect(find(both, 'align.height')?.state).toBe('holds')
  const half = find({ ...gantry, rounds: [first] }, 'align.height')
  expect(half?.state).toBe('unknown')
  expect(half?.sentence).toContain('The second screw has no round yet')
  const bad = find({ ...gantry, rounds: [second] }, 'align.height')
  expect(bad?.state).toBe('fails')
  expect(bad?.sentence).toContain('The first screw has no round yet')
})

test('the working holds the figures of both', () => {
  const t = evaluateAxis(gantry, CATALOGUE, 'mm')
  t.finding('align.height')
  expect(Object.keys(t.figures)).toEqual(expect.arrayContaining(['first.line.height', 'second.line.height']))
})

test('an axis of one screw reads all its rounds, whatever they are marked as', () => {
  const one = { ...gantry, drive: { ...gantry.drive, screws: 1 as const } }
  expect(find(one, 'align.height')?.sentence).toMatch(/^Lower the fixed block .*Raise the far block/)
  expect(lastRound(screwRounds, axisOfScrew(gantry, 'first'))?.id).toBe(first.id)
})

test('a screw that was turned by itself after squaring: home, and square again', () => {
  const turned = (done: string | null, startedAt: string): Axis => ({
    ...gantry,
    rounds: [...gantry.rounds, { ...second, id: 't', startedAt, done }],
  })
  expect(find(turned('far block raised', '2026-11-23T10:00:00.000Z'), 'align.square')?.sentence).toContain(
    'since then: far block raised. Home again',
  )
  // Before it was squared, or only read.
  for (const axis of [
    turned('far block raised', '2026-11-20T10:00:00.000Z'),
    turned(null, '2026-11-23T10:00:00.000Z'),
  ])
    expect(find(axis, 'align.square')?.sentence).not.toContain('since then')
})

test('the five places and the pushes are of one screw each: the one that is loose is named', () => {
  const places = (screw: 'first' | 'second', endUm: number) =>
    blankRow(LOST_ROUNDS, screw, {
      startedAt: '2026-11-25T17:00:00.000Z',
      screw,
      gaugeStepUm: 1,
      forceN: 400,
      motorRadiusMm: 50,
      screwRadiusMm: 50,
      stations: numbered(
        screw,
        [0, 1, 0].map(() => ({
          motorHubUm: 2,
          screwHubUm: 4,
          screwEndUm: endUm,
          nutFlangeUm: endUm + 4,
          slideUm: endUm + 5,
        })),
      ),
    })
  const lost = (...rounds: Axis['lostRounds']) => find({ ...gantry, lostRounds: rounds }, 'prove.whereLost')
  expect(lost(places('first', 5), places('second', 5))?.sentence).toMatch(/^Both screws; of the/)
  expect(lost(places('first', 5), places('second', 160))?.sentence).toMatch(
    /^Second screw: .*Most in the fixed bearings/,
  )
  expect(lost(places('first', 5))?.sentence).toContain('The second screw has no round yet')
})
