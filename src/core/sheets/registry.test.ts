import fc from 'fast-check'
import { InputError } from '../calculation/inputError'
import { describe as describeSpec, fits, type NumberSpec, type Spec, type Specs } from '../calculation/spec'
import { runCalculations } from '../formats/calculationRequests'
import { type Registered, registry } from './registry'

const all = [...registry.values()].map(calculation => [calculation.id, calculation] as const)

/** Any value that a spec accepts, also at the edges of its range. */
function accepted(spec: Spec): fc.Arbitrary<unknown> {
  switch (spec.kind) {
    case 'number':
      return numbers(spec)
    case 'choice':
      return fc.constantFrom(...spec.of)
    case 'flag':
      return fc.boolean()
    case 'words':
      return fc.string({ minLength: 1, maxLength: 80 })
    case 'list':
      return fc.array(accepted(spec.of), { minLength: spec.atLeast, maxLength: spec.atLeast + 4 })
    case 'record':
      return inputs(spec.of)
  }
}
function numbers({ min, over, max, below, integer, oneOf }: NumberSpec): fc.Arbitrary<number> {
  if (oneOf) return fc.constantFrom(...oneOf)
  const low = min ?? (over !== undefined ? over + 1e-6 : -1e5)
  const high = max ?? (below !== undefined ? below - 1e-6 : Math.max(1e5, low + 1))
  if (integer) return fc.integer({ min: Math.ceil(low), max: Math.min(high, 1000) })
  const small = Math.min(high, Math.max(low, 0) + 50)
  return fc.oneof(
    fc.double({ min: low, max: high, noNaN: true }),
    fc.double({ min: Math.min(low, small), max: small, noNaN: true }),
    fc.constant(low),
    fc.constant(high),
  )
}
const inputs = (specs: Specs) =>
  fc.record(Object.fromEntries(Object.entries(specs).map(([name, spec]) => [name, accepted(spec)])))

/** Every number somewhere in a value. */
function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value]
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(numbersIn) : []
}

/** The first inputs of random ones that a calculation takes. */
function someInputs(calculation: Registered): Record<string, unknown> {
  for (const sample of fc.sample(inputs(calculation.inputs), { numRuns: 500, seed: 7 })) {
    try {
      calculation(sample)
      return sample
    } catch (error) {
      if (!(error instanceof InputError)) throw error
    }
  }
  throw new Error(`No random inputs suit ${calculation.id}.`)
}

describe.each(all)('%s', (id, calculation) => {
  test('gives finite figures of its own names, or says which input has no meaning', () => {
    fc.assert(
      fc.property(inputs(calculation.inputs), given => {
        let outputs: Record<string, unknown>
        try {
          outputs = calculation(given)
        } catch (error) {
          expect(error).toBeInstanceOf(InputError)
          expect((error as InputError).message).toMatch(/: got .+, takes .+/s)
          return
        }
        expect(Object.keys(outputs)).toEqual(Object.keys(calculation.outputs))
        for (const [name, spec] of Object.entries(calculation.outputs))
          if (spec.kind !== 'number') expect(fits(spec, outputs[name])).toBe(true)
        expect(numbersIn(outputs).filter(value => !Number.isFinite(value))).toEqual([])
      }),
      { numRuns: 200 },
    )
  })

  test('gives the same again, and leaves what it was given as it was', () => {
    const given = someInputs(calculation)
    const before = structuredClone(given)
    expect(calculation(given)).toEqual(calculation(given))
    expect(given).toEqual(before)
  })

  test('refuses, by name, every input that is missing, of another kind or not finite', () => {
    const given = someInputs(calculation)
    for (const [name, spec] of Object.entries(calculation.inputs)) {
      const wrong: unknown[] = [null, 'seven', Number.NaN, Number.POSITIVE_INFINITY, {}, [], '5']
      const optional = spec.kind === 'number' && spec.default !== undefined
      for (const value of optional ? wrong : [undefined, ...wrong]) {
        if (fits(spec, value)) continue
        expect(() => calculation({ ...given, [name]: value })).toThrow(`${name}: got`)
        const [answer] = runCalculations(
          JSON.stringify([{ calculation: id, inputs: { ...given, [name]: value } }]),
        )
        expect(answer).toHaveProperty('error', expect.stringContaining(`${name}: got`))
      }
    }
  })

  test('refuses values just out of range, with the range', () => {
    const given = someInputs(calculation)
    for (const [name, spec] of Object.entries(calculation.inputs)) {
      if (spec.kind !== 'number') continue
      const out = [
        spec.min !== undefined && spec.min - 1e-3,
        spec.over !== undefined && spec.over,
        spec.max !== undefined && spec.max + 1e-3,
        spec.below !== undefined && spec.below,
      ].filter(value => value !== false)
      for (const value of out)
        expect(() => calculation({ ...given, [name]: value })).toThrow(
          `${name}: got ${value}, takes ${describeSpec(spec)}`,
        )
    }
  })

  test('has what the working panel and the reference need: title, formula, source, symbols, units', () => {
    expect(calculation.title).toMatch(/^[A-Z]/)
    for (const text of [calculation.formula, calculation.source, calculation.validity])
      expect(text.trim().length).toBeGreaterThan(5)
    const specs = Object.entries({ ...calculation.inputs, ...calculation.outputs })
    for (const [name, spec] of specs) {
      expect(spec.label.length).toBeGreaterThan(1)
      if (spec.kind === 'number') {
        expect(spec.symbol.length).toBeGreaterThan(0)
        expect(spec.unit.length).toBeGreaterThan(0)
        unitIsInTheName(name, spec.unit)
      }
    }
  })
})

/** What a quantity's name ends with, by its unit. */
const ENDINGS: Record<string, RegExp> = {
  mm: /Mm$/,
  mm2: /Mm2$/,
  um: /Um$/,
  N: /N$/,
  'N m': /Nm$/,
  kg: /Kg$/,
  'kg m2': /KgM2$/,
  rpm: /(Rpm|speed)$/i,
  deg: /Deg$/,
  h: /Hours$/,
  min: /Minutes?$/,
  km: /Km$/,
  s: /S$/,
  MPa: /Mpa$/,
  'm/min': /MPerMin$/,
  'MPa m/min': /MpaMPerMin$/,
  'mm/min': /MmPerMin$/,
  'mm/s': /MmPerS$/,
  'mm/s2': /MmPerS2$/,
  'm/s2': /MPerS2$/,
  'rad/s2': /RadPerS2$/,
  'N/um': /NPerUm$/,
  'um/m': /UmPerM$/,
  'um/mm': /UmPerMm$/,
  A: /A$/,
  V: /V$/,
  mH: /Mh$/,
  Hz: /Hz$/,
  kW: /Kw$/,
  K: /K$/,
  '1/K': /PerK$/,
  'N/mm2': /NPerMm2$/,
  'kg/m': /KgPerM$/,
  '1/mm': /PerMm$/,
  '1/s': /(PerS|Hz)$/,
  'km/h': /KmPerHour$|kmPerHour$/,
  'N m/rad': /NmPerRad$/,
}
function unitIsInTheName(name: string, unit: string) {
  const ending = ENDINGS[unit]
  if (ending) expect(name).toMatch(ending)
  else expect(['1', 'mm rpm']).toContain(unit)
}

test('ids are a group and a name, and stand once', () => {
  const ids = all.map(([id]) => id)
  expect(new Set(ids).size).toBe(ids.length)
  for (const id of ids)
    expect(id).toMatch(
      /^(motion|cutting|screw|nut|bearing|coupler|belt|motor|drive|axis|travel|clearance|hole|fit|fastener|thread|stackup|limits|align|prove|diagnose|schedule|cable|lube|controller|survey|drag|gib|shaft|joint)\.[a-z][A-Za-z]+$/,
    )
})
