import type { PartKind } from '../../document/kinds'

import { checkPart } from '../../document/parts/checkPart'
import { curveBreaks } from '../../document/parts/rules'
import type { PartOf } from '../../document/parts/types'
import { CATALOGUE } from '.'

/** A part that ships, with some figures changed. */
const changed = <K extends PartKind>(kind: K, id: string, change: Partial<PartOf[K]>) => ({
  ...(CATALOGUE[kind] as ReadonlyMap<string, PartOf[K]>).get(id),
  ...change,
})
const ball = (change: Partial<PartOf['screw']>) => changed('screw', 'ball-20-5-double', change)
const slide = (change: Partial<PartOf['screw']>) => changed('screw', 'slide-20-4-plain', change)
const pair = (change: Partial<PartOf['bearing']>) => changed('bearing', 'back-12', change)
const coupler = (change: Partial<PartOf['coupler']>) => changed('coupler', 'slit-32-clamp', change)
const belt = (change: Partial<PartOf['belt']>) => changed('belt', 'belt-5-15-18-36', change)
const motor = (change: Partial<PartOf['motor']>) => changed('motor', 'step-57-22', change)

test.each<[PartKind, object, field: string, takes: string]>([
  ['screw', ball({ rootDiameterMm: 20 }), 'rootDiameterMm', 'less than 20 mm, the diameter of the screw'],
  ['screw', ball({ pitchDiameterMm: 26 }), 'pitchDiameterMm', 'below 26 mm'],
  ['screw', ball({ leadMm: 61 }), 'leadMm', 'at most 60 mm, three times the diameter'],
  ['screw', ball({ dynamicCapacityN: null, preloadN: 0 }), 'dynamicCapacityN', 'which a ball screw has'],
  ['screw', ball({ preloadN: 1181 }), 'preloadN', 'at most 1180 N, a tenth of the dynamic capacity'],
  ['screw', ball({ nutPlayUm: 5 }), 'nutPlayUm', '0: a preloaded nut has no play'],
  ['screw', ball({ nutBodyDiameterMm: 20 }), 'nutBodyDiameterMm', 'more than 20 mm'],
  ['screw', ball({ nutFlangeDiameterMm: 35 }), 'nutFlangeDiameterMm', 'at least 36 mm'],
  ['screw', slide({ pitchDiameterMm: 20 }), 'pitchDiameterMm', 'between the root of 15.5 mm and the 20 mm'],
  ['screw', slide({ dynamicCapacityN: 5000 }), 'dynamicCapacityN', 'nothing: a sliding nut wears'],
  ['screw', slide({ preloadN: 10, nutPlayUm: 0 }), 'preloadN', '0: a sliding nut has no preload of balls'],
  ['bearing', pair({ couplerSeatMm: 12 }), 'couplerSeatMm', 'less than 12 mm, the bore'],
  ['bearing', pair({ ballDiameterMm: 12 }), 'ballDiameterMm', 'less than 12 mm, the bore'],
  ['bearing', pair({ blockHeightMm: 12 }), 'blockHeightMm', 'more than 12 mm, the bore'],
  ['bearing', pair({ preloadN: 9000 }), 'preloadN', 'four tenths of the dynamic capacity'],
  ['coupler', coupler({ largestBoreMm: 32 }), 'largestBoreMm', 'to less than 32 mm, the diameter'],
  ['coupler', coupler({ smallestBoreMm: 17 }), 'largestBoreMm', 'from 17 mm, the smallest bore'],
  ['coupler', coupler({ hubGapMm: 1 }), 'hubGapMm', 'only a jaw coupler has a gap'],
  ['belt', belt({ largestBoreMm: 29 }), 'largestBoreMm', 'less than 28.6 mm, the pitch diameter of 18 teeth'],
  ['belt', belt({ largestScrewBoreMm: 58 }), 'largestScrewBoreMm', 'the pitch diameter of 36 teeth'],
  ['belt', belt({ cordStiffnessN: 5000 }), 'cordStiffnessN', 'cords stretch little'],
  ['motor', motor({ shaftMm: 57 }), 'shaftMm', 'less than 57 mm, the frame'],
  ['motor', motor({ detentTorqueNm: 2.2 }), 'detentTorqueNm', 'less than 2.2 N·m, the holding torque'],
  ['motor', motor({ driveCurrentA: 4.3 }), 'driveCurrentA', 'at most 4.2 A, the rated current'],
  ['motor', motor({ curve: [{ speedRpm: 0, torqueNm: 1 }] }), 'curve', 'two points or more'],
])('a %s is not taken with %j', (kind, part, field, takes) => {
  const problems = checkPart(kind, part)
  expect(problems.map(problem => problem.field)).toEqual([field])
  expect(problems[0]?.takes).toContain(takes)
})

test('what stands just inside a rule is taken', () => {
  for (const [kind, part] of [
    ['screw', ball({ leadMm: 60, preloadN: 1180, rootDiameterMm: 19.99 })],
    ['screw', slide({ pitchDiameterMm: 19.9 })],
    ['bearing', pair({ couplerSeatMm: 11.9, blockHeightMm: 12.1 })],
    ['coupler', coupler({ largestBoreMm: 31.9 })],
    ['motor', motor({ driveCurrentA: 4.2, detentTorqueNm: 2.19 })],
  ] as const)
    expect(checkPart(kind, part)).toEqual([])
})

test('a rule speaks in inches where the job does', () => {
  expect(checkPart('screw', ball({ rootDiameterMm: 20 }), 'inch')[0]?.takes).toBe(
    'less than 0.7874 in, the diameter of the screw',
  )
  expect(checkPart('screw', ball({ preloadN: 1181 }), 'inch')[0]?.takes).toContain('at most 265.3 lbf')
})

test('a curve must rise from point to point, however far', () => {
  const at = (...speeds: number[]) => speeds.map(speedRpm => ({ speedRpm, torqueNm: 1 }))
  expect(curveBreaks(at(0, 1, 2000))).toBeNull()
  expect(curveBreaks(at(0, 100, 100))).toBe('speeds that rise: point 3 is at 100 rpm, after 100 rpm')
  expect(curveBreaks(at(500, 100))).toContain('point 2 is at 100 rpm')
})
