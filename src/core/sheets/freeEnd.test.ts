import { demoJobs } from '../demo'
import { diagnosis } from '../diagnose/diagnosis'
import type { Axis } from '../document/axis'
import { SCREW_ENDS } from '../document/kinds'
import { driveLine } from '../drawing/driveLine'
import { numbered } from '../field/field'
import { CATALOGUE } from '../machine/parts'
import type { SheetId } from '.'
import { evaluateAxis, overlayFor } from './evaluateAxis'
import { overlayOf } from './overlay'
import { driveOrders } from './parts/orders'
import { judgePlane, lineSetting } from './screwLine/judgePlane'
import { procedure } from './shared/steps/procedure'
import type { DrawOverlay } from './sheet'
import { stepsOverlay } from './steps/overlay'

// A free far end has no far block: nothing speaks of one, draws one or orders one, whatever was read before the ends were changed.

const AXES = demoJobs().flatMap(({ job }) => job.axes)
const free = (axis: Axis): Axis => ({ ...axis, ends: 'fixed-free' })
const [X] = AXES as [Axis]
const FAR = /\bfar block|both blocks|far bearing/i

/** A far end that stands 0.33 mm low, as the readings of a round have it. */
const low: Axis = {
  ...free(X),
  rounds: X.rounds.map(round => ({
    ...round,
    clampedAtMm: 40,
    stations: numbered(
      'place',
      [40, 180, 320, 460].map(positionMm => ({
        positionMm,
        heightUm: -((positionMm - 40) * 0.72),
        sideUm: 0,
      })),
    ),
  })),
}

test('no verdict speaks of a far block, however far off the readings say its place is', () => {
  for (const axis of [...AXES.map(free), low])
    for (const { checkId, sentence } of evaluateAxis(axis, CATALOGUE, 'inch').findings)
      expect(`${checkId}: ${sentence}`).not.toMatch(FAR)
})

test('the line of the screw moves the fixed block alone', () => {
  const round = low.rounds.at(-1)
  if (!round) throw new Error('no round')
  const held: Axis = { ...low, ends: 'fixed-supported' }
  const movesOf = (axis: Axis) => {
    const context = evaluateAxis(axis, CATALOGUE, 'mm')
    const advice = judgePlane(round, 'height', lineSetting(context, 548.2), 20, 1)
    return 'moves' in advice ? advice.moves.map(({ block }) => block) : []
  }
  expect(movesOf(low)).not.toContain('far')
  expect(movesOf(held)).toContain('far')
})

test('no step, order line or paper speaks of a far block, and each holds on to what is there', () => {
  for (const axis of AXES.map(free)) {
    const context = evaluateAxis(axis, CATALOGUE, 'mm')
    const text = JSON.stringify([
      (procedure(context) ?? []).map(({ title, how, caution }) => [title, how, caution]),
      driveOrders(axis, CATALOGUE, 'mm').map(({ what }) => what),
    ])
    expect(FAR.exec(text)?.[0]).toBeUndefined()
  }
})

/** What draws the overlay of each sheet, those that come when they are asked for among them. */
const drawerOf = (sheet: SheetId): DrawOverlay | undefined =>
  sheet === 'steps' ? stepsOverlay : overlayFor(sheet)

test('whatever is laid on the drive line lies on a part that is drawn, with each way of holding the ends', () => {
  for (const ends of SCREW_ENDS)
    for (const axis of [...AXES, low].map((one): Axis => ({ ...one, ends }))) {
      const context = evaluateAxis(axis, CATALOGUE, 'mm')
      const line = driveLine(context, 0.5)
      const drawn = new Set(line.boxes.map(({ part }) => part))
      for (const stage of ['size', 'room', 'build', 'align', 'prove'] as const)
        for (const { part } of overlayOf(stage, context, line, drawerOf).marks ?? [])
          expect([ends, drawn.has(part)]).toEqual([ends, true])
    }
})

test('no fault is sought in a block that is not there, and no answer offers one', () => {
  const context = evaluateAxis(low, CATALOGUE, 'mm')
  const found = diagnosis(context, { answers: [] })
  expect(found.suspects.map(({ faultId }) => faultId)).not.toContain('far-block-off')
  expect(found.next.flatMap(({ outcomes }) => outcomes.map(({ outcome }) => outcome))).not.toContain(
    'far-end',
  )
})

test('it says how far it hangs, and how fast it may turn', () => {
  const sentence = evaluateAxis(free(X), CATALOGUE, 'mm').finding('screw.criticalSpeed')?.sentence
  expect(sentence).toMatch(/Nothing holds its far end.*stand free and hang by [\d.]+ µm/)
  const upright: Axis = {
    ...free(X),
    dimensions: { ...X.dimensions, inclineDeg: { value: 90, provenance: 'measured' } },
  }
  expect(evaluateAxis(upright, CATALOGUE, 'mm').finding('screw.criticalSpeed')?.sentence).toMatch(
    /of it stand free\./,
  )
})
