import fc from 'fast-check'
import { runs } from '../calculation/fixtures/runs'
import { InputError } from '../calculation/inputError'
import type { Field, Fields, NumberField } from '../field/field'
import { fits } from '../field/fits'
import { takes, unitOf } from '../field/takes'
import { runCalculations } from '../formats/calculationRequests'
import { type Registered, registry } from './registry'

const all = [...registry.values()].map(calculation => [calculation.id, calculation] as const)

/** Any value that a field accepts, also at the edges of its range. */
function accepted(field: Field): fc.Arbitrary<unknown> {
  switch (field.is) {
    case 'number':
      return numbers(field)
    case 'choice':
      return fc.constantFrom(...field.of)
    case 'flag':
      return fc.boolean()
    case 'words':
      // Names come again, as those of places do.
      return fc.oneof(fc.constantFrom('a', 'b'), fc.string({ minLength: 1, maxLength: 80 }))
    case 'list':
      return fc.array(accepted(field.of), { minLength: field.least, maxLength: field.least + 4 })
    case 'record':
      return inputs(field.of)
    case 'map':
      return fc.dictionary(fc.constantFrom('a', 'b'), accepted(field.of), { minKeys: 2, maxKeys: 2 })
    default:
      throw new Error(`No calculation takes a ${field.is}.`)
  }
}
function numbers(field: NumberField): fc.Arbitrary<number> {
  const { min, over, max, below, whole, oneOf } = field
  if (oneOf) return fc.constantFrom(...oneOf)
  const low = over !== undefined ? over + 1e-6 : Math.max(min, -1e5)
  const high = below !== undefined ? below - 1e-6 : Math.min(max, Math.max(1e5, low + 1))
  if (whole) return fc.integer({ min: Math.ceil(low), max: Math.min(high, 1000) })
  const small = Math.min(high, Math.max(low, 0) + 50)
  return fc.oneof(
    fc.double({ min: low, max: high, noNaN: true }),
    fc.double({ min: Math.min(low, small), max: small, noNaN: true }),
    fc.constant(low),
    fc.constant(high),
  )
}
const inputs = (fields: Fields) =>
  fc.record(Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, accepted(field)])))

/** The largest and the smallest figures that there are, as a file may hold them. */
const EXTREMES = [1e308, 5e-324, -1e308, -5e-324]
/** Inputs of which some are such figures, where they are taken. */
const extremeInputs = (fields: Fields) =>
  fc
    .tuple(inputs(fields), fc.array(fc.nat(EXTREMES.length), { minLength: 12, maxLength: 12 }))
    .map(([given, which]) =>
      Object.fromEntries(
        Object.entries(given).map(([name, value], index) => {
          const extreme = EXTREMES[which[index % which.length] as number]
          return [name, extreme !== undefined && fits(fields[name] as Field, extreme) ? extreme : value]
        }),
      ),
    )

/** Every number somewhere in a value. */
function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value]
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(numbersIn) : []
}

/** What is in a value that is no plain data: it could go to no other thread, and to no page. */
function notPlain(value: unknown, path = ''): string[] {
  if (value === null || ['string', 'number', 'boolean', 'undefined'].includes(typeof value)) return []
  const isPlain = Array.isArray(value) || Object.getPrototypeOf(value) === Object.prototype
  return isPlain
    ? Object.entries(value as object).flatMap(([key, one]) => notPlain(one, `${path}.${key}`))
    : [path]
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
  test('is described by plain data', () => {
    const { title, formula, source, validity, inputs, outputs } = calculation
    expect(notPlain({ title, formula, source, validity, inputs, outputs })).toEqual([])
  })

  test('gives finite figures of its own names, or says which input has no meaning', () => {
    fc.assert(
      fc.property(fc.oneof(inputs(calculation.inputs), extremeInputs(calculation.inputs)), given => {
        let outputs: Record<string, unknown>
        try {
          outputs = calculation(given)
        } catch (error) {
          expect(error).toBeInstanceOf(InputError)
          expect((error as InputError).message).toMatch(/: got .+, takes .+/s)
          return
        }
        expect(Object.keys(outputs)).toEqual(Object.keys(calculation.outputs))
        for (const [name, field] of Object.entries(calculation.outputs))
          if (field.is !== 'number') expect(fits(field, outputs[name])).toBe(true)
        expect(numbersIn(outputs).filter(value => !Number.isFinite(value))).toEqual([])
      }),
      { numRuns: runs(200, 80) },
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
    for (const [name, field] of Object.entries(calculation.inputs)) {
      const wrong: unknown[] = [null, 'seven', Number.NaN, Number.POSITIVE_INFINITY, {}, [], '5']
      const optional = field.is === 'number' && field.default !== undefined
      for (const value of optional ? wrong : [undefined, ...wrong]) {
        if (fits(field, value)) continue
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
    for (const [name, field] of Object.entries(calculation.inputs)) {
      if (field.is !== 'number') continue
      const out = [field.over ?? field.min - 1e-3, field.below ?? field.max + 1e-3].filter(Number.isFinite)
      for (const value of out)
        expect(() => calculation({ ...given, [name]: value })).toThrow(
          `${name}: got ${value}, takes ${takes(field)}`,
        )
    }
  })

  test('has what the working panel and the reference need: title, formula, source, symbols, units', () => {
    expect(calculation.title).toMatch(/^[A-Z]/)
    for (const text of [calculation.formula, calculation.source, calculation.validity])
      expect(text.trim().length).toBeGreaterThan(5)
    const fields = Object.entries({ ...calculation.inputs, ...calculation.outputs })
    for (const [name, field] of fields) {
      expect(field.label.length).toBeGreaterThan(1)
      if (field.is === 'number') {
        expect(field.symbol?.length).toBeGreaterThan(0)
        unitIsInTheName(name, unitOf(field))
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
  'um/1000 h': /UmPer1000H$/,
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
  '1/min': /PerMinute$/,
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
  for (const id of ids) expect(id).toMatch(/^[a-z][A-Za-z]+\.[a-z][A-Za-z]+$/)
})
