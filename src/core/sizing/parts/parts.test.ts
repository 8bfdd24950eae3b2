import { CATALOGUE } from '.'

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

test('every field of every part is a figure or a word that can be', () => {
  for (const part of [...screws, ...bearings, ...couplers, ...belts, ...motors] as object[])
    for (const [name, value] of Object.entries(part)) {
      if (typeof value === 'string')
        expect({ name, value: value.length > 0 && value.length <= 80 }).toEqual({ name, value: true })
      else if (typeof value === 'number')
        expect({ name, fine: Number.isFinite(value) && value >= 0 }).toEqual({ name, fine: true })
      else expect(['dynamicCapacityN', 'curve']).toContain(name)
    }
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
