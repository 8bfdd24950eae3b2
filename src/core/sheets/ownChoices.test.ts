import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { applyChange, runEdit, takeBack } from '../document/edit'
import type { Job } from '../document/job'
import type { PartOf } from '../document/parts/types'
import { limitWords, setLimits } from '../evaluation/limitEdits'
import { limitsOf, limitsProblem } from '../evaluation/limits'
import { CATALOGUE, catalogueOf } from '../machine/parts'
import { putOwnPart, removeOwnPart, takeParts } from '../machine/parts/partEdits'
import type { CheckId } from '.'
import { LIMITS } from '.'
import type { LimitKey } from './'
import { evaluateAxis } from './evaluateAxis'
import { LIMIT_REASONS } from './reasons.generated'

const { job } = skarrow()
const stamp = { id: 'c', at: '2026-11-25T09:00:00.000Z' }
const axisOf = (one: Job) => one.axes[0] as Axis
const coupler = CATALOGUE.coupler.get('slit-32-clamp') as PartOf['coupler']
const strong = { ...coupler, id: 'own-strong', name: 'Strong coupler', ratedTorqueNm: 40 }

/** Runs a command, and shows that its change does and takes back exactly that. */
function done(before: Job, command: Parameters<typeof runEdit>[1]): Job {
  const { job: next, change } = runEdit(before, command, stamp)
  expect(takeBack(next, change)).toEqual(before)
  expect(applyChange(before, change)).toEqual(next)
  return next
}
const stateOf = (one: Job, checkId: CheckId) =>
  evaluateAxis(axisOf(one), catalogueOf(one), 'mm').findings.find(found => found.checkId === checkId)

describe('parts of the builder', () => {
  test('are added, changed and taken out, and what was chosen is open again', () => {
    const added = done(job, putOwnPart('coupler', strong, true))
    expect(added.ownParts.coupler).toEqual([strong])
    const changed = done(added, putOwnPart('coupler', { ...strong, priceEur: 5 }, false))
    expect(changed.ownParts.coupler).toEqual([{ ...strong, priceEur: 5 }])
    const chosen = done(changed, {
      label: 'chosen',
      run: draft => {
        axisOf(draft).parts.coupler = 'own-strong'
      },
    })
    expect(stateOf(chosen, 'coupler.torque')?.state).toBe('holds')
    const without = done(chosen, removeOwnPart('coupler', strong))
    expect(without.ownParts.coupler).toEqual([])
    expect(axisOf(without).parts.coupler).toBeNull()
  })

  test('come from a file with a patch for each, new ones after the others, known ones in place of the old', () => {
    const first = done(job, putOwnPart('coupler', strong, true))
    const { job: next, change } = runEdit(
      first,
      takeParts(
        'coupler',
        [
          { ...strong, priceEur: 7 },
          { ...strong, id: 'own-b' },
        ],
        'attic.csv',
      ),
      stamp,
    )
    expect(next.ownParts.coupler.map(({ id, priceEur }) => [id, priceEur])).toEqual([
      ['own-strong', 7],
      ['own-b', coupler.priceEur],
    ])
    expect(change.patches.map(({ path }) => path[2])).toEqual(['own-strong', 'own-b'])
    expect(takeBack(next, change)).toEqual(first)
  })
})

describe('limits of checks', () => {
  const own = { holds: 1.2, close: 1.5, because: 'A spare lies in the drawer.' }
  const set = (limits: typeof own | null, from = job) =>
    done(from, setLimits(axisOf(from), LIMITS['coupler.torque'], 'Torque of the coupler', limits, 'mm'))

  test('decide the verdict, its margin and its note, on this axis alone', () => {
    const before = stateOf(job, 'coupler.torque')
    const changed = set(own)
    expect(before).toMatchObject({ state: 'fails', limitKey: 'coupler.torque', ownLimits: null })
    expect(stateOf(changed, 'coupler.torque')).toMatchObject({ state: 'holds', ownLimits: own })
    // The margin counts from the limit at which the check holds: 1.2 in place of 0.8.
    expect(stateOf(changed, 'coupler.torque')?.margin).toBeCloseTo(((before?.margin ?? 0) * 1.2) / 0.8, 12)
    expect(changed.axes[1]).toEqual(job.axes[1])
    expect(set(null, changed)).toEqual(job)
  })

  test('of every check are in order, and say why they are so', () => {
    for (const key of Object.keys(LIMITS) as LimitKey[]) {
      const { holds, close, of } = LIMITS[key]
      expect({ key, problem: limitsProblem(LIMITS[key], holds, close) }).toEqual({ key, problem: null })
      expect({ key, said: LIMIT_REASONS[key].length > 30 && of.length > 10 }).toEqual({ key, said: true })
      expect(limitsOf(axisOf(job).limits[key], LIMITS[key])).toMatchObject({ holds, close })
    }
    expect(limitWords(LIMITS['axis.handwheel'], LIMITS['axis.handwheel'], 'inch')).toBe(
      'holds up to 6.7 lbf, close up to 13.5 lbf',
    )
  })

  test('are refused in the wrong order or out of range', () => {
    expect(limitsProblem(LIMITS['screw.buckling'], 0.9, 0.8)?.field).toBe('close')
    expect(limitsProblem(LIMITS['nut.staticSafety'], 1, 2)?.field).toBe('close')
    expect(limitsProblem(LIMITS['screw.buckling'], 0, 1)).toMatchObject({ field: 'holds' })
    expect(limitsProblem(LIMITS['screw.buckling'], 1, Number.NaN)).toMatchObject({ field: 'close' })
  })
})
