import { PART_KINDS, type PartKind } from '../../document/kinds'
import { checkPart } from '../../document/parts/checkPart'
import { fieldsOf } from '../../document/parts/fields'
import { cellsOf, curveText, readPart } from '../../document/parts/readPart'
import type { PartOf } from '../../document/parts/types'
import { SHOP_TO_START } from '../../document/shop'
import { CATALOGUE, catalogueOf, NO_OWN_PARTS } from '.'

const screws = [...CATALOGUE.screw.values()]
const bearings = [...CATALOGUE.bearing.values()]
const couplers = [...CATALOGUE.coupler.values()]
const belts = [...CATALOGUE.belt.values()]
const motors = [...CATALOGUE.motor.values()]

test('the list is large enough, and every part is named once', () => {
  const all = [...screws, ...bearings, ...couplers, ...belts, ...motors]
  expect(all.length).toBeGreaterThanOrEqual(300)
  expect(new Set(all.map(({ id }) => id)).size).toBe(all.length)
  expect(screws.some(({ kind }) => kind === 'sliding')).toBe(true)
  const names = all.map(({ name }) => name)
  expect(new Set(names).size).toBe(names.length)
})

test.each(screws.map(screw => [screw.id, screw] as const))('%s is a screw that can exist', (_, screw) => {
  expect(screw.rootDiameterMm).toBeLessThan(screw.nominalDiameterMm)
  expect(screw.nutBodyDiameterMm).toBeGreaterThan(screw.nominalDiameterMm)
  expect(screw.nutFlangeDiameterMm).toBeGreaterThan(screw.nutBodyDiameterMm)
  expect(screw.preloadN > 0 && screw.nutPlayUm > 0).toBe(false)
  if (screw.kind === 'ball') {
    expect(screw.staticCapacityN).toBeGreaterThan(screw.dynamicCapacityN ?? 0)
    expect(screw.preloadN).toBeLessThanOrEqual(0.1 * (screw.dynamicCapacityN ?? 0))
    expect(screw.pitchDiameterMm).toBeGreaterThan(screw.nominalDiameterMm)
  } else {
    expect(screw.dynamicCapacityN).toBeNull()
    expect(screw.pitchDiameterMm).toBeLessThan(screw.nominalDiameterMm)
  }
})

test('capacity and stiffness grow with the size of the screw', () => {
  const single = screws.filter(({ id }) => id.endsWith('-5-single'))
  for (const key of ['dynamicCapacityN', 'staticCapacityN', 'ratedStiffnessNPerUm', 'priceEur'] as const) {
    const values = single.map(screw => screw[key] ?? 0)
    expect(values).toEqual(values.toSorted((a, b) => a - b))
  }
})

test('couplers, bearings and motors that can exist', () => {
  for (const coupler of couplers) {
    expect(coupler.smallestBoreMm).toBeLessThan(coupler.largestBoreMm)
    expect(coupler.largestBoreMm).toBeLessThan(coupler.diameterMm * 0.7)
    expect(coupler.hubGapMm > 0).toBe(coupler.type === 'jaw')
  }
  for (const bearing of bearings) {
    expect(bearing.couplerSeatMm).toBeLessThan(bearing.boreMm)
    expect(bearing.blockHeightMm).toBeGreaterThan(2 * bearing.boreMm)
    expect(bearing.preloadN).toBeLessThan(0.25 * bearing.dynamicCapacityN)
    expect(bearing.ballDiameterMm).toBeLessThan(bearing.boreMm)
  }
  for (const motor of motors) {
    expect(motor.detentTorqueNm).toBeLessThan(motor.holdingTorqueNm)
    expect(motor.shaftMm).toBeLessThan(motor.frameMm / 3)
    const speeds = motor.curve?.map(({ speedRpm }) => speedRpm) ?? []
    expect(speeds).toEqual(speeds.toSorted((a, b) => a - b))
  }
})

describe.each(PART_KINDS)('a %s', kind => {
  const parts = [...CATALOGUE[kind].values()]
  const [part] = parts as [PartOf[PartKind], ...PartOf[PartKind][]]

  test('that ships is one that a builder could add: in range, and in keeping with itself', () => {
    for (const one of parts)
      expect({ id: one.id, wrong: checkPart(kind, one) }).toEqual({ id: one.id, wrong: [] })
  })

  test('has no figure beyond its range, nothing missing and nothing more', () => {
    for (const [name, field] of fieldsOf(kind)) {
      const wrongWith = (value: unknown) => checkPart(kind, { ...part, [name]: value }).map(one => one.field)
      expect(wrongWith(undefined)).toEqual([name])
      if (field.is !== 'number') continue
      expect(wrongWith(field.max * 1.001)).toEqual([name])
      if (field.min > 0) expect(wrongWith(field.min * 0.999)).toEqual([name])
      expect(wrongWith(Number.NaN)).toEqual([name])
      expect(wrongWith('5')).toEqual([name])
    }
    expect(checkPart(kind, { ...part, colour: 'red' })).toMatchObject([{ field: 'colour' }])
    expect(checkPart(kind, null)).toHaveLength(1)
    expect(checkPart(kind, { ...part, id: '=x' })).toMatchObject([{ field: 'id' }])
  })

  test('typed cell by cell, in either unit, is the part', () => {
    const cells = Object.fromEntries(
      fieldsOf(kind).map(([name]) => {
        const value = (part as unknown as Record<string, unknown>)[name]
        return [name, Array.isArray(value) ? curveText(value, '\n') : value === null ? '' : String(value)]
      }),
    )
    expect(readPart(kind, part.id, cells, 'as named').part).toEqual(part)
    const empty = readPart(kind, 'x', {}, 'mm').problems ?? []
    const needed = fieldsOf(kind).filter(([, field]) => field.is !== 'curve' && !('orNone' in field))
    expect(empty.map(({ field }) => field).toSorted()).toEqual(needed.map(([name]) => name).toSorted())
  })
})

test('a bare number in a form is in the units of the job', () => {
  const [screw] = screws as [PartOf['screw']]
  const cells = Object.fromEntries(Object.entries(screw).map(([name, value]) => [name, String(value)]))
  const read = (leadMm: string, units: 'mm' | 'inch') =>
    readPart('screw', 'x', { ...cells, leadMm }, units).problems?.find(({ field }) => field === 'leadMm')
  expect(read('5', 'mm')).toBeUndefined()
  expect(read('0.2', 'inch')).toBeUndefined()
  expect(read('0.2', 'mm')).toMatchObject({ got: '0.2', takes: 'a number from 0.5 mm to 100 mm' })
  expect(read('20', 'inch')).toMatchObject({ got: '20', takes: 'a number from 0.0197 in to 3.937 in' })
})

test('a field that is left as it stood keeps its last digit, and a broken rule speaks in the units of the job', () => {
  const [screw] = screws as [PartOf['screw']]
  const cells = cellsOf('screw', screw, 'inch')
  expect(readPart('screw', screw.id, cells, 'inch', screw as never).part).toEqual(screw)
  expect(readPart('screw', screw.id, cells, 'inch').part).not.toEqual(screw)
  const { leadMm: _, ...kept } = screw as unknown as Record<string, unknown>
  expect(readPart('screw', screw.id, { ...cells, leadMm: '3' }, 'inch', kept).problems).toEqual([
    { field: 'leadMm', got: '3', takes: 'at most 1.4173 in, three times the diameter' },
  ])
})

test('own parts stand before those that ship, and win where both have an id', () => {
  const [shipped] = couplers as [PartOf['coupler']]
  const own = {
    ...NO_OWN_PARTS,
    coupler: [
      { ...shipped, priceEur: 1 },
      { ...shipped, id: 'mine' },
    ],
  }
  const catalogue = catalogueOf({ ownParts: own, shop: SHOP_TO_START })
  expect([...catalogue.coupler.keys()].slice(0, 2)).toEqual([shipped.id, 'mine'])
  expect(catalogue.coupler.get(shipped.id)?.priceEur).toBe(1)
  expect(catalogue.coupler.size).toBe(couplers.length + 1)
  expect(catalogueOf({ ownParts: own, shop: SHOP_TO_START })).toBe(catalogue)
  const shop = { ...SHOP_TO_START, cutterSizesMm: [12] }
  expect(catalogueOf({ ownParts: own, shop }).shop).toBe(shop)
  expect(catalogueOf({ ownParts: NO_OWN_PARTS, shop: SHOP_TO_START })).toEqual(CATALOGUE)
})

test('belts that can exist: cords and pull grow with the width, and teeth with the pulley', () => {
  for (const belt of belts) {
    expect(belt.teethScrew).toBeGreaterThanOrEqual(belt.teethMotor)
    expect(belt.largestBoreMm).toBeLessThan((belt.pitchMm * belt.teethMotor) / Math.PI)
    expect(belt.screwPulleyInertiaKgM2).toBeGreaterThanOrEqual(belt.motorPulleyInertiaKgM2)
    // Cords that stretch by a few thousandths under their rated pull.
    expect(belt.ratedPullN / belt.cordStiffnessN).toBeLessThan(0.005)
  }
  const narrow = belts.find(({ id }) => id === 'belt-5-15-18-36')
  const wide = belts.find(({ id }) => id === 'belt-5-25-18-36')
  for (const key of ['ratedPullN', 'cordStiffnessN', 'massPerLengthKgPerM', 'priceEur'] as const)
    expect(wide?.[key]).toBeGreaterThan(narrow?.[key] ?? Number.POSITIVE_INFINITY)
})

test('what is larger of its kind bears more: bearings with their bore, couplers with their size', () => {
  for (const family of ['deep-groove', 'face', 'back', 'thrust']) {
    const own = bearings
      .filter(({ id }) => id.startsWith(`${family}-`))
      .toSorted((a, b) => a.boreMm - b.boreMm)
    for (const key of ['dynamicCapacityN', 'staticCapacityN', 'preloadN', 'priceEur'] as const)
      expect(own.map(one => one[key])).toEqual(own.map(one => one[key]).toSorted((a, b) => a - b))
  }
  for (const type of ['bellows', 'disc'] as const) {
    const own = couplers.filter(one => one.type === type).toSorted((a, b) => a.diameterMm - b.diameterMm)
    for (const key of ['ratedTorqueNm', 'torsionalStiffnessNmPerRad', 'inertiaKgM2'] as const)
      expect(own.map(one => one[key])).toEqual(own.map(one => one[key]).toSorted((a, b) => a - b))
  }
})

test('ground screws are truer, dearer and of the same thread', () => {
  const ground = screws.filter(({ id }) => id.startsWith('ground-'))
  expect(ground.length).toBeGreaterThan(20)
  for (const screw of ground) {
    expect(['P3', 'P5']).toContain(screw.toleranceClass)
    const rolled = CATALOGUE.screw.get(`ball-${screw.nominalDiameterMm}-${screw.leadMm}-double`)
    expect(screw.priceEur).toBeGreaterThan(rolled?.priceEur ?? 0)
  }
})
