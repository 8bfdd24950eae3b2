import { skarrow } from '../demo/skarrow'
import { diagnosis } from '../diagnose/diagnosis'
import type { Axis } from '../document/axis'
import { catalogueOf } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { isKept } from '../trial/limits'
import { drawTrial } from '../trial/trial'
import { rehearsalOf } from './rehearse'
import { byFiguresTable, type FigureSearch, figuresHeldTo, searchedByFigures } from './searchByFigures'
import { twinOf } from './twin'
import type { WhatIfId } from './whatIfs'

const AT = '2026-12-02T08:00:00.000Z'
const LATER = '2026-12-02T09:00:00.000Z'
const { job } = skarrow()
const X = {
  ...(job.axes[0] as Axis),
  faultSearches: [],
  tests: [],
  fullTests: [],
  pushRounds: [],
  gibRounds: [],
}

/** The axis as somebody read it who has a fault. */
function read(
  id: WhatIfId | null,
  size: number,
  names: readonly ('reversal' | 'whereLost' | 'drag')[],
): Axis {
  let axis: Axis = X
  for (const name of names) {
    const { axis: next, table } = rehearsalOf(
      job,
      axis,
      name,
    )({ whatIf: id && { id, size }, slip: null, seed: 4 }, AT)
    axis = { ...axis, [table]: next[table] }
  }
  return axis
}
const searched = (axis: Axis, withTwin: boolean) =>
  diagnosis(
    evaluateAxis(axis, catalogueOf(job), 'mm'),
    { answers: [{ id: 'a', check: 'complaint', outcome: 'binds-or-stalls', at: AT }] },
    withTwin ? twinOf(job, axis, LATER) : null,
  )

test('figures tell a gib that is tight at the far end, which in words feels like ways that close up', () => {
  const axis = read('gib-tight-high', 250, ['drag'])
  const likeliest = (withTwin: boolean) => searched(axis, withTwin).suspects[0]?.faultId
  expect([likeliest(false), likeliest(true)]).toEqual(['ways-not-parallel', 'gib-tight'])
})

test('a block that figures blame as surely as can be is not slackened before the gib was let loose', () => {
  // Near its block a gib that is tight there takes the very same.
  const { clearing, found, next, suspects } = searched(read('gib-tight-low', 250, ['drag']), true)
  expect(suspects[0]?.faultId).toBe('fixed-block-off')
  expect([found, clearing, next[0]?.check]).toEqual([null, 'gib-slack', 'gib-slack'])
})

test('what figures speak against can be said all the same', () => {
  const axis = read('nut-play', 200, ['reversal', 'whereLost'])
  const { next, besides, answered } = searched(axis, true)
  const byWords = searched(axis, false).next.map(({ check }) => check)
  const left = [...next, ...besides].map(({ check }) => check)
  expect(new Set(left).size).toBe(left.length)
  for (const check of byWords) expect(left).toContain(check)
  for (const { check } of answered) expect(left).not.toContain(check)
})

test('a play of a part is named by its figures whatever its size', () => {
  for (const size of [60, 200, 800]) {
    const { suspects, soundProbability } = searched(read('nut-play', size, ['reversal', 'whereLost']), true)
    expect([size, suspects[0]?.faultId]).toEqual([size, 'nut-play'])
    expect(soundProbability).toBeLessThan(0.01)
  }
})

test('figures of a sound axis make it likelier sound, and find nothing', () => {
  const sound = searched(read(null, 0, ['reversal', 'whereLost', 'drag']), true)
  const bare = searched(X, false)
  expect(sound.found).toBeNull()
  expect(sound.soundProbability).toBeGreaterThan(bare.soundProbability)
})

test('both searches of a trial are told in a table, of faulty and of sound axes', () => {
  const seeds = [2, 3, 4, 5, 6, 7, 8]
  const all = seeds.flatMap(seed => searchedByFigures(drawTrial(seed)) ?? [])
  expect(all.length).toBeGreaterThan(2)
  const { heads, rows } = byFiguresTable(all)
  expect(rows.map(([name]) => name)).toEqual(['the table', 'figures too'])
  for (const row of rows) expect(row).toHaveLength(heads.length)
  const faulty = all.filter(({ fault }) => fault !== null).length
  expect(rows[1]?.[1]).toContain(`of ${faulty} `)
})

test('a fault counts as named where a check shows it, and a sound axis as touched where one is named', () => {
  const came = { found: 'nut-play', nothingShows: false, minutes: 20 }
  const one = (fault: string | null, byFigures: typeof came | object): FigureSearch => ({
    fault,
    byTable: came,
    byFigures: { ...came, ...byFigures },
  })
  const held = figuresHeldTo([
    one('nut-play', {}),
    one('gib-loose', { minutes: 40 }),
    one('bent-screw', { found: null, nothingShows: true, minutes: 90 }),
    one(null, {}),
    one(null, { found: null, nothingShows: true }),
  ])
  expect(held.map(({ part, of }) => [part, of])).toEqual([
    [1, 2],
    [150, 3],
    [1, 2],
  ])
  expect(held.some(isKept)).toBe(false)
  expect(figuresHeldTo([]).every(isKept)).toBe(true)
})
