import { skarrow } from '@/core/demo/skarrow'
import type { Axis } from '@/core/document/axis'
import { MACHINE_KINDS, PART_KINDS } from '@/core/document/kinds'
import { STAGES } from '@/core/document/stages'
import { driveLine } from '@/core/drawing/driveLine'
import { EvaluationContext } from '@/core/evaluation/context'
import { CATALOGUE } from '@/core/machine/parts'
import { evaluateAxis, overlayFor } from '@/core/sheets/evaluateAxis'
import { newAxis, newJob } from '@/core/sheets/newJob'
import { overlayAt, overlayOf } from '@/core/sheets/overlay'
import type { UnitSystem } from '@/core/units/quantity'
import { addressOf, placeAt } from '../job/place'
import { OVERLAYS_ASKED } from '../sheets/overlays.generated'
import { columnHeads, partRows, rowsNamed } from '../sheets/parts/partRows'
import { keyName } from './useKeys'

const NONE = { own: [], shops: [] }
const [X, Y] = skarrow().job.axes as [Axis, Axis]
const bare = newAxis({ name: 'A', title: 'New' })
const overlay = (axis: Axis, stage: (typeof STAGES)[number], units: UnitSystem = 'mm') =>
  overlayOf(
    stage,
    evaluateAxis(axis, CATALOGUE, units),
    driveLine(new EvaluationContext(axis, CATALOGUE), 0.5),
    overlayFor,
  )
const texts = (axis: Axis, stage: (typeof STAGES)[number], units?: UnitSystem) => {
  const { marks, spans } = overlay(axis, stage, units)
  return [...marks.map(mark => `${mark.part}: ${mark.text}`), ...spans.map(span => span.label)]
}

describe('what each stage lays on the drive line', () => {
  test('survey: the span that everything hangs on, or that it is to be measured', () => {
    expect(texts(X, 'survey')).toEqual(['between the blocks 548.2 mm'])
    expect(texts(X, 'survey', 'inch')).toEqual(['between the blocks 21.5827 in'])
    const unmeasured: Axis = {
      ...X,
      dimensions: { ...X.dimensions, supportSpanMm: { value: null, provenance: 'assumed' } },
    }
    expect(texts(unmeasured, 'survey')).toEqual(['between the blocks: to measure'])
  })

  test('size: one finding a part, the worst, with its state', () => {
    const { marks } = overlay(X, 'size')
    expect(new Set(marks.map(mark => mark.part)).size).toBe(marks.length)
    expect(marks.find(mark => mark.part === 'coupler')).toEqual({
      part: 'coupler',
      state: 'fails',
      text: 'Torque of the coupler',
    })
    expect(marks.find(mark => mark.part === 'motor')?.state).toBe('close')
  })

  test('make room: what the screw allows, where it allows it', () => {
    const { spans, marks } = overlay(X, 'room')
    expect(marks).toEqual([{ part: 'nut', state: 'holds', text: 'travel 412.6 mm' }])
    const [allowed] = spans
    expect((allowed?.toMm ?? 0) - (allowed?.fromMm ?? 0)).toBeCloseTo(441.2, 9)
    expect(allowed?.label).toBe('the screw allows 441.2 mm')
  })

  test('build: how far the screws of each joint are done up, which comes with its sheet', async () => {
    const draw = await OVERLAYS_ASKED.steps?.()
    const texts = (axis: Axis) => {
      const context = evaluateAxis(axis, CATALOGUE, 'mm')
      const { marks } = overlayAt('steps', 'build', context, driveLine(context, 0.5), () => draw)
      return marks.map(mark => `${mark.part}: ${mark.text}`)
    }
    expect(overlay(X, 'build').marks).toEqual([])
    expect(texts(X)).toEqual([
      'motor: screws tight',
      'coupler: screws tight',
      'bearing: screws torqued',
      'nut: screws torqued',
      'far: screws torqued',
    ])
    expect(texts({ ...X, ticks: {} })).toEqual(texts(X).map(text => text.replace(/tight|torqued/, 'out')))
    // Of an evening that broke off: what is loose, and what was put in to help.
    expect(texts(Y)).toEqual(
      expect.arrayContaining([
        'bearing: screws loose',
        'nut: screws loose',
        'screw: still in: stop ties on the screw',
      ]),
    )
    expect(texts({ ...X, ends: 'fixed-free' }).join()).not.toContain('far:')
  })

  test('align: how the blocks stand, low where they must be raised', () => {
    const { bend, marks } = overlay(X, 'align')
    expect(marks.map(mark => mark.text)).toEqual(['1 µm high', '12 µm low'])
    // The screw of a head hangs before its column: nothing there is high or low.
    const upright = {
      ...X,
      dimensions: { ...X.dimensions, inclineDeg: { value: 90, provenance: 'measured' as const } },
    }
    expect(
      overlay(upright, 'align')
        .marks.map(mark => mark.text)
        .join(),
    ).toMatch(/too far out.*too far in/)
    expect(bend?.farUm).toBeLessThan(0)
    expect(overlay({ ...Y, dragRounds: [] }, 'align')).toEqual({
      marks: [],
      spans: [],
      zones: [],
      bend: null,
    })
  })

  test('prove: what the parts should lose where they lose it, and what was measured', () => {
    expect(texts(X, 'prove')).toEqual([
      'screw: twist and give under friction 5.1 µm',
      'motor: lag of the motor 4.4 µm',
      'way: measured 43.6 µm',
    ])
  })

  test('an axis of which nothing is known gets nothing wrong, in either system', () => {
    for (const stage of STAGES)
      for (const units of ['mm', 'inch'] as const) expect(() => overlay(bare, stage, units)).not.toThrow()
    expect(texts(bare, 'room')).toEqual([])
    expect(texts(bare, 'prove')).toEqual([])
  })
})

describe('the table of parts', () => {
  test('lists every part of a kind with its figures, in the units of the job', () => {
    for (const kind of PART_KINDS) {
      expect(partRows(CATALOGUE, kind, 'mm', NONE).map(({ id }) => id)).toEqual([...CATALOGUE[kind].keys()])
      expect(columnHeads(kind)).toHaveLength(2)
    }
    const row = partRows(CATALOGUE, 'screw', 'inch', NONE).find(({ id }) => id === 'ball-20-5-double')
    expect(row?.first).toEqual({ text: '0.1969 in', value: 5 })
  })

  test('is narrowed down by words of name and maker, in any order', () => {
    const rows = partRows(CATALOGUE, 'screw', 'mm', NONE)
    expect(rowsNamed(rows, ' DOUBLE 25 x ').every(({ name }) => /25 x \d+, double/.test(name))).toBe(true)
    expect(rowsNamed(rows, 'brackwater ground').length).toBeGreaterThan(5)
    expect(rowsNamed(rows, '')).toEqual(rows)
    expect(rowsNamed(rows, 'chalk')).toEqual([])
  })
})

describe('keys', () => {
  const press = (key: string, more: Partial<KeyboardEvent> = {}) =>
    keyName({ key, code: '', ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...more })
  test.each<[string, string]>([
    [press('z', { ctrlKey: true }), 'Ctrl Z'],
    [press('Z', { ctrlKey: true, shiftKey: true }), 'Ctrl Shift Z'],
    [press('z', { metaKey: true }), 'Ctrl Z'],
    [press('?', { shiftKey: true }), '?'],
    [press(']'), ']'],
    [press('n'), 'N'],
    [press('™', { altKey: true, code: 'Digit2' }), 'Alt 2'],
    [press('Enter'), 'Enter'],
  ])('are named as the help names them: %s', (name, expected) => {
    expect(name).toBe(expected)
  })
})

describe('addresses', () => {
  test('an address holds job, axis, stage and sheet, whatever their ids', () => {
    expect(addressOf({ jobId: 'a', axisId: 'b', stage: 'align' })).toBe('/job/a/b/align/screwLine')
    expect(addressOf({ jobId: 'a', axisId: 'b', stage: 'align', sheet: 'shafts' })).toBe(
      '/job/a/b/align/shafts',
    )
    expect(addressOf({ jobId: 'a', axisId: null, stage: 'align' })).toBe('/job/a')
    expect(addressOf({ jobId: 'a', axisId: 'b', stage: 'machine' })).toBe('/job/a/machine/overview')
    expect(addressOf({ jobId: 'a', axisId: 'b', stage: 'record' })).toBe('/job/a/b/record')
    expect(addressOf({ jobId: 'a/../b', axisId: '?#', stage: 'log' })).toBe('/job/a%2F..%2Fb/%3F%23/log/log')
    const part = { kind: 'screw', id: 'a b' } as const
    expect(addressOf({ jobId: 'a', axisId: 'b', stage: 'size', sheet: 'parts', part })).toBe(
      '/job/a/b/size/parts?part=screw%3Aa%20b',
    )
  })

  test.each<[string, object | null]>([
    ['/job/a/b/align/shafts', { jobId: 'a', axisId: 'b', stage: 'align', sheet: 'shafts' }],
    // A sheet of another stage, or one that there is not, is none: the first one opens.
    ['/job/a/b/align/travel', { jobId: 'a', axisId: 'b', stage: 'align', sheet: null }],
    ['/job/a/b/size', { jobId: 'a', axisId: 'b', stage: 'size', sheet: null }],
    ['/job/a/b/nowhere', { jobId: 'a', axisId: 'b', stage: 'survey', sheet: null }],
    ['/job/a', { jobId: 'a', axisId: null, stage: 'survey', sheet: null }],
    ['/job/a/machine/orders', { jobId: 'a', axisId: null, stage: 'machine', sheet: 'orders' }],
    // An axis that is called so, in a file from elsewhere.
    ['/job/a/machine/size/parts', { jobId: 'a', axisId: 'machine', stage: 'size', sheet: 'parts' }],
    ['/job/a/b/record', { jobId: 'a', axisId: 'b', stage: 'record', sheet: null }],
    ['/reference', null],
  ])('the address %s names a place', (path, place) => {
    expect(placeAt(path)).toEqual(place)
  })
})

test('a new job of each kind of machine has its usual axes, all of it assumed and nothing chosen', () => {
  const names = MACHINE_KINDS.map(kind => newJob('New', kind, 'mm', '2026-11-25T08:00:00.000Z'))
  expect(names.map(job => job.axes.map(axis => axis.name).join(''))).toEqual(['XYZ', 'ZX', 'XYZ'])
  for (const job of names)
    for (const axis of job.axes) {
      expect(new Set(Object.values(axis.dimensions).map(({ provenance }) => provenance))).toEqual(
        // Blocks and bracket are still to be made: they go by the plan.
        new Set(['planned', 'assumed']),
      )
      expect(Object.values(axis.parts)).toEqual([null, null, null, null, null, null])
      expect(axis.dimensions.supportSpanMm.value).toBeGreaterThan(axis.goals.wantedTravelMm)
      const open = evaluateAxis(axis, CATALOGUE, 'mm').findings
      expect(open.every(({ state, missing }) => state === 'unknown' && missing !== null)).toBe(true)
    }
})
