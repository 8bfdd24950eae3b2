import { CATALOGUE } from '.'

const screws = [...CATALOGUE.screw.values()]
const bearings = [...CATALOGUE.bearing.values()]
const couplers = [...CATALOGUE.coupler.values()]
const motors = [...CATALOGUE.motor.values()]

test('the list is large enough, and every part is named once', () => {
  expect(screws.length).toBeGreaterThanOrEqual(12)
  expect(screws.some(({ kind }) => kind === 'sliding')).toBe(true)
  expect(bearings.length).toBeGreaterThanOrEqual(6)
  expect(couplers.length).toBeGreaterThanOrEqual(8)
  expect(motors.length).toBeGreaterThanOrEqual(10)
  const names = [...screws, ...bearings, ...couplers, ...motors].map(({ name }) => name)
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
  }
  for (const motor of motors) {
    expect(motor.detentTorqueNm).toBeLessThan(motor.holdingTorqueNm)
    expect(motor.shaftMm).toBeLessThan(motor.frameMm / 3)
    const speeds = motor.curve?.map(({ speedRpm }) => speedRpm) ?? []
    expect(speeds).toEqual(speeds.toSorted((a, b) => a - b))
  }
})
