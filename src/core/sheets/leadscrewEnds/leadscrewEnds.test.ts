import fc from 'fast-check'
import { ostrey } from '../../demo/ostrey'
import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { boundsOf, type Mark } from '../../drawing/drawing'
import { EvaluationContext } from '../../evaluation/context'
import { NotKnown } from '../../evaluation/notKnown'
import { CATALOGUE } from '../../machine/parts'
import { screwDrawing, screwSteps, totalLengthMm } from './drawing'

const [X] = skarrow().job.axes as [Axis]
const crossSlide = ostrey().job.axes.find(({ name }) => name === 'X') as Axis
const stepsOf = (axis: Axis) => screwSteps(new EvaluationContext(axis, CATALOGUE))
const withParts = (parts: Partial<Axis['parts']>): Axis => ({ ...X, parts: { ...X.parts, ...parts } })
const withSpan = (value: number | null): Axis => ({
  ...X,
  dimensions: { ...X.dimensions, supportSpanMm: { value, provenance: 'measured' } },
})
const screws = [...CATALOGUE.screw.keys()]
const bearings = [...CATALOGUE.bearing.keys()]

test('the screw is as much longer as its blocks stand further apart, and nothing else changes', () => {
  fc.assert(
    fc.property(fc.integer({ min: 200, max: 3000 }), fc.integer({ min: 1, max: 500 }), (spanMm, moreMm) => {
      const [short, long] = [stepsOf(withSpan(spanMm)), stepsOf(withSpan(spanMm + moreMm))]
      expect(totalLengthMm(long) - totalLengthMm(short)).toBeCloseTo(moreMm, 9)
      const others = (steps: typeof short) => steps.filter(({ name }) => name !== 'Screw thread')
      expect(others(long)).toEqual(others(short))
    }),
  )
})

test('whatever the screw and its bearings, the ends slip into what they carry', () => {
  fc.assert(
    fc.property(fc.constantFrom(...screws), fc.constantFrom(...bearings), (screw, bearing) => {
      const part = CATALOGUE.bearing.get(bearing)
      const steps = stepsOf(withParts({ screw, bearing }))
      const [journal, thread, seat] = steps
      // The nut of the bearings and the bearings themselves must pass over the journal, not the other way round.
      expect(journal?.diameterMm).toBe(part?.couplerSeatMm)
      expect(journal?.diameterMm).toBeLessThanOrEqual(thread?.diameterMm ?? 0)
      expect(thread?.diameterMm).toBe(seat?.diameterMm)
      expect(seat?.lengthMm).toBe(part?.blockLengthMm)
      for (const { diameterMm, lengthMm, tolerance } of steps) {
        expect(diameterMm).toBeGreaterThan(0)
        expect(lengthMm).toBeGreaterThan(0)
        expect(tolerance).not.toBe('')
      }
      const far = steps.at(-1)
      expect(far?.diameterMm).toBeLessThanOrEqual(seat?.diameterMm ?? 0)
    }),
  )
})

test('the journal says what its hub asks for', () => {
  const noteWith = (coupler: string) => stepsOf(withParts({ coupler }))[0]?.note
  const hubs = new Map([...CATALOGUE.coupler.values()].map(({ id, hub }) => [hub, id]))
  expect(noteWith(hubs.get('clamp') ?? '')).toBe('no flat: the hub clamps')
  expect(noteWith(hubs.get('set-screw') ?? '')).toBe('a flat for each set screw')
  expect(stepsOf(crossSlide)[0]).toMatchObject({
    name: 'Journal for the pulley',
    note: 'flat or keyway for the pulley',
    lengthMm: (CATALOGUE.belt.get(crossSlide.parts.belt ?? '')?.widthMm ?? 0) + 6,
  })
})

test('the thread of the locknut is fine, and finer the smaller it is', () => {
  const pitchOf = (bearing: string) => {
    const note = stepsOf(withParts({ bearing }))[1]?.note ?? ''
    const [, bore, pitch] = /^M(\d+) x ([\d.]+),/.exec(note) ?? []
    return { boreMm: Number(bore), pitchMm: Number(pitch) }
  }
  const sorted = bearings.map(pitchOf).toSorted((a, b) => a.boreMm - b.boreMm)
  for (const [index, { boreMm, pitchMm }] of sorted.entries()) {
    // Coarser than any fine thread would weaken the end: below a sixth of the diameter throughout.
    expect(pitchMm).toBeLessThan(boreMm / 6)
    expect(pitchMm).toBeGreaterThanOrEqual(sorted[index - 1]?.pitchMm ?? 0)
  }
})

test('a part or a span that is not known is asked for', () => {
  const missing = (axis: Axis) => {
    try {
      return stepsOf(axis).length
    } catch (error) {
      return error instanceof NotKnown ? error.missing : error
    }
  }
  expect(missing(withParts({ screw: null }))).toEqual({ part: 'screw' })
  expect(missing(withParts({ coupler: null }))).toEqual({ part: 'coupler' })
  expect(missing(withSpan(null))).toEqual({ dimension: 'supportSpanMm' })
})

test('a short thread is drawn whole, a long one broken off, both with every figure written', () => {
  const drawn = (axis: Axis) => {
    const steps = stepsOf(axis)
    const { marks } = screwDrawing('Screw', steps, 'mm')
    const edges = marks.filter(({ layer }) => layer === 'edge')
    const { left, right } = boundsOf(edges)
    const texts = marks.flatMap((mark: Mark) => (mark.is === 'text' ? [mark.text] : []))
    return { steps, widthMm: right - left, texts, edges: edges.length }
  }
  const short = drawn(withSpan(30))
  const long = drawn(withSpan(900))
  expect(short.widthMm).toBeCloseTo(totalLengthMm(short.steps), 9)
  expect(long.widthMm).toBeCloseTo(totalLengthMm(long.steps) - 900 + 40, 9)
  // Two lines show the break.
  expect(long.edges).toBe(short.edges + 2)
  for (const { steps, texts } of [short, long]) {
    expect(texts).toContain(`whole length ${Math.round(totalLengthMm(steps) * 100) / 100} mm`)
    for (const { diameterMm, tolerance, thread } of steps) {
      const size = thread ? `${thread} - ${tolerance}` : `Ø ${diameterMm} mm ${tolerance}`
      expect(texts.filter(text => text.startsWith(size))).not.toEqual([])
    }
  }
})

test('a handwheel that is kept has its journal beyond the far bearing: seat, thread, and a screw that much longer', () => {
  for (const ends of ['fixed-supported', 'fixed-fixed', 'supported-supported'] as const) {
    const bare: Axis = { ...X, ends, drive: { ...X.drive, handwheelKept: false } }
    const kept: Axis = { ...bare, drive: { ...bare.drive, handwheelKept: true } }
    const [without, withWheel] = [stepsOf(bare), stepsOf(kept)]
    const [seat, thread] = withWheel.slice(-2)
    expect(withWheel.slice(0, -2)).toEqual(without)
    expect(seat).toMatchObject({ name: 'Seat of the handwheel', lengthMm: X.driveSizes.handwheelHubMm })
    expect(thread?.name).toBe('Thread for the nut of the handwheel')
    // The wheel slips over its thread, and both pass through the bearing before them.
    expect(thread?.diameterMm).toBeLessThan(seat?.diameterMm ?? 0)
    expect(seat?.diameterMm).toBeLessThan(without.at(-1)?.diameterMm ?? 0)
    expect(totalLengthMm(withWheel)).toBe(
      totalLengthMm(without) + (seat?.lengthMm ?? 0) + (thread?.lengthMm ?? 0),
    )
  }
})

test('no figure of the drawing stands on another or on a line up or down, in millimetres or inches', () => {
  for (const units of ['mm', 'inch'] as const)
    for (const axis of [X, crossSlide]) {
      const { marks } = screwDrawing('Screw', stepsOf(axis), units)
      const texts = marks.flatMap(mark => (mark.is === 'text' ? [mark] : []))
      for (const one of texts) {
        const { left, right, bottom, top } = boundsOf([one])
        for (const mark of marks)
          if (mark.is === 'line' && mark.x1 === mark.x2 && mark.x1 > left && mark.x1 < right)
            expect([
              one.text,
              Math.max(mark.y1, mark.y2) <= bottom || Math.min(mark.y1, mark.y2) >= top,
            ]).toEqual([one.text, true])
      }
      for (const [index, one] of texts.entries())
        for (const other of texts.slice(index + 1)) {
          const [a, b] = [boundsOf([one]), boundsOf([other])]
          expect(a.right <= b.left || b.right <= a.left || a.top <= b.bottom || b.top <= a.bottom).toBe(true)
        }
    }
})
