import { longTom } from '../../../demo/longTom'
import { skarrow } from '../../../demo/skarrow'
import type { Axis } from '../../../document/axis'
import { EvaluationContext } from '../../../evaluation/context'
import { CATALOGUE } from '../../../machine/parts'
import { REDO_OF_FAULT } from '../../findFault/redo'
import { SHARE_WORDS } from '../../whereLost/words'
import { nutChoices } from '../proofs/nutChoices'
import { procedure } from './procedure'
import { REDONE, stepsToRedo } from './redo'

const [X] = skarrow().job.axes as [Axis]
const [gantry] = longTom().job.axes as [Axis]
const of = (axis: Axis) => {
  const steps = procedure(new EvaluationContext(axis, CATALOGUE)) ?? []
  const ticks = Object.fromEntries(steps.map(({ id }) => [id, '2026-11-20T10:00:00.000Z']))
  return { steps, ticks }
}

test('what is set again is opened, with the proof, and nothing that leans on it', () => {
  const { steps, ticks } = of(X)
  const ids = (what: keyof typeof REDONE, done: Axis['ticks'] = ticks) =>
    stepsToRedo(steps, { ...X, ticks: done }, what).map(({ id }) => id)
  expect(ids('locknut')).toEqual(['preload', 'proved'])
  expect(ids('hubs')).toEqual(['hub-screw', 'motor-hub', 'proved'])
  expect(ids('nutScrews', { 'torque-blocks': '2026-11-20T10:00:00.000Z' })).toEqual(['torque-blocks'])
  expect(ids('locknut', {})).toEqual([])
  // A mill has no second rail: nothing to open, and not the proof alone either.
  expect(ids('rails')).toEqual([])
})

test('of two screws both are set again', () => {
  const { steps, ticks } = of(gantry)
  expect(stepsToRedo(steps, { ...gantry, ticks }, 'locknut').map(({ id }) => id)).toEqual([
    'preload',
    'preload.2',
    'proved',
  ])
  expect(stepsToRedo(steps, { ...gantry, ticks }, 'locknut', 'second').map(({ id }) => id)).toEqual([
    'preload.2',
    'proved',
  ])
})

test('every step that a fault or a share leads to is a step of some drive', () => {
  const known = new Set([X, gantry].flatMap(axis => of(axis).steps.map(({ id }) => id)))
  for (const what of [
    ...Object.values(REDO_OF_FAULT),
    ...Object.values(SHARE_WORDS).flatMap(one => one.redo ?? []),
  ])
    for (const id of REDONE[what]) expect(known).toContain(id)
})

test('a nut with play gets the cheapest one of the same screw with less; one with preload a little more of it', () => {
  const choose = (screw: string, preloadN: number | null = null) =>
    nutChoices(new EvaluationContext({ ...X, preloadN, parts: { ...X.parts, screw } }, CATALOGUE))
  const [better] = choose('ball-20-5-single')
  const now = CATALOGUE.screw.get('ball-20-5-single')
  if (better?.kind !== 'part' || !now) throw new Error('no other nut')
  const next = CATALOGUE.screw.get(better.id)
  expect(next).toMatchObject({ nominalDiameterMm: 20, leadMm: 5, kind: now.kind })
  expect(next?.nutPlayUm).toBeLessThan(now.nutPlayUm)
  const [more] = choose('ball-20-5-double')
  if (more?.kind !== 'preload') throw new Error('no more preload')
  expect(more.toN / more.fromN).toBeCloseTo(1.3, 2)
  // At a tenth of its capacity there is no more.
  const most = 0.1 * (CATALOGUE.screw.get('ball-20-5-double')?.dynamicCapacityN ?? 0)
  expect(choose('ball-20-5-double', most).filter(({ kind }) => kind === 'preload')).toEqual([])
})
