import { inflateSync } from 'node:zlib'
import DxfParser from 'dxf-parser'
import fc from 'fast-check'
import { PDFDocument } from 'pdf-lib'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { EvaluationContext } from '../evaluation/context'
import { CATALOGUE } from '../machine/parts'
import { screwDrawing, screwSteps, totalLengthMm } from '../sheets/leadscrewEnds/drawing'
import { bracketTemplate, CHECK_BAR_MM } from '../sheets/template/drawing'
import type { BracketHole } from '../sheets/template/model'
import { boundsOf, type Mark } from './drawing'
import { writeDxf } from './dxf'
import { sheetFor, writePdf } from './pdf'
import { writeSvg } from './svg'

const [X] = skarrow().job.axes as [Axis]
const outline = { widthMm: 60, heightMm: 62 }
const template = bracketTemplate('Skarrow 8, X: nut bracket', X.bracketHoles, outline, 36, 'mm')
const POINTS_PER_MM = 72 / 25.4

const hole: fc.Arbitrary<BracketHole> = fc.record({
  id: fc.uuid(),
  label: fc.constantFrom('1', 'A & B', 'top <left>'),
  xMm: fc.double({ min: -200, max: 200, noNaN: true }),
  yMm: fc.double({ min: -200, max: 200, noNaN: true }),
  diameterMm: fc.double({ min: 0.5, max: 40, noNaN: true }),
})
interface Entity {
  type: string
  layer: string
  center: { x: number; y: number }
  radius: number
  vertices: { x: number; y: number }[]
}
/** The drawing operators of a PDF's page. */
function operatorsOf(bytes: Uint8Array): string {
  const raw = Buffer.from(bytes)
  const texts: string[] = []
  for (let at = raw.indexOf('stream\n'); at >= 0; at = raw.indexOf('stream\n', at + 1)) {
    const end = raw.indexOf('endstream', at)
    try {
      texts.push(inflateSync(raw.subarray(at + 7, end)).toString('latin1'))
    } catch {
      // A stream that is not packed holds no drawing.
    }
  }
  return texts.join('\n')
}
/** The straight lines of a PDF's page, in points: what its drawing operators say. */
function linesOf(bytes: Uint8Array): { x1: number; y1: number; x2: number; y2: number }[] {
  const number = '(-?[\\d.]+)'
  const pattern = new RegExp(
    `${number} ${number} m\\s+(?:${number} ${number} m\\s+)?${number} ${number} l`,
    'g',
  )
  return [...operatorsOf(bytes).matchAll(pattern)].map(([, a, b, c, d, x2, y2]) => ({
    x1: Number(c ?? a),
    y1: Number(d ?? b),
    x2: Number(x2),
    y2: Number(y2),
  }))
}

const entitiesOf = (text: string) => (new DxfParser().parseSync(text)?.entities ?? []) as unknown as Entity[]

test('a DXF opens in a parser with every hole at its place, to a thousandth', () => {
  fc.assert(
    fc.property(fc.array(hole, { minLength: 1, maxLength: 12 }), holes => {
      const circles = entitiesOf(writeDxf(bracketTemplate('T', holes, outline, 36, 'mm'))).filter(
        ({ type, layer }) => type === 'CIRCLE' && layer === 'edge',
      )
      // The bore of the nut comes first.
      expect(circles[0]).toMatchObject({ center: { x: 0, y: 0 }, radius: 18 })
      expect(circles).toHaveLength(holes.length + 1)
      for (const [index, { xMm, yMm, diameterMm }] of holes.entries()) {
        const found = circles[index + 1]
        expect(Math.abs((found?.center.x ?? 1e9) - (xMm ?? 0))).toBeLessThan(0.001)
        expect(Math.abs((found?.center.y ?? 1e9) - (yMm ?? 0))).toBeLessThan(0.001)
        expect(Math.abs((found?.radius ?? 1e9) - (diameterMm ?? 0) / 2)).toBeLessThan(0.001)
      }
    }),
    { numRuns: 30 },
  )
})

test('a DXF is in millimetres and holds the outline and the bar to check', () => {
  const text = writeDxf(template)
  expect(new DxfParser().parseSync(text)?.header).toMatchObject({ $INSUNITS: 4 })
  const lines = entitiesOf(text).filter(({ type }) => type === 'LINE')
  const lengths = lines.map(({ vertices: [a, b] }) =>
    Math.hypot((a?.x ?? 0) - (b?.x ?? 0), (a?.y ?? 0) - (b?.y ?? 0)),
  )
  expect(lengths.filter(length => Math.abs(length - CHECK_BAR_MM) < 1e-6)).toHaveLength(1)
  expect(lengths.filter(length => Math.abs(length - 62) < 1e-6)).toHaveLength(2)
})

test('an SVG is at full size: its sheet in millimetres is its view', () => {
  const svg = writeSvg(template)
  const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg) ?? []
  const [, viewWidth, viewHeight] = /viewBox="[-\d.]+ [-\d.]+ ([\d.]+) ([\d.]+)"/.exec(svg) ?? []
  expect([viewWidth, viewHeight]).toEqual([width, height])
  const { left, right } = boundsOf(template.marks)
  expect(Number(width)).toBeCloseTo(right - left + 20, 3)
  expect(svg.match(/<circle class="edge"/g)).toHaveLength(7)
  // Up is up: the first hole stands over the axis, where SVG counts downward.
  expect(svg).toContain('cx="0" cy="-23.5" r="2.75"')
  expect(writeSvg(bracketTemplate('A & B <c>', [], outline, 20, 'mm'))).toContain(
    '<title>A &amp; B &lt;c&gt;</title>',
  )
})

test('a PDF has one sheet that printers take, and its bar is 100 mm long on it', async () => {
  const bytes = await writePdf(template)
  const pdf = await PDFDocument.load(bytes)
  expect(pdf.getPageCount()).toBe(1)
  const { width, height } = pdf.getPage(0).getSize()
  expect([width / POINTS_PER_MM, height / POINTS_PER_MM].map(Math.round)).toEqual([210, 297])
  // What is drawn, as the page's own operators say it.
  const level = linesOf(bytes).filter(({ y1, y2 }) => Math.abs(y1 - y2) < 1e-3)
  const lengthsMm = level.map(({ x1, x2 }) => Math.abs(x1 - x2) / POINTS_PER_MM)
  expect(lengthsMm.filter(mm => Math.abs(mm - CHECK_BAR_MM) < 0.001)).toHaveLength(1)
  expect(lengthsMm.filter(mm => Math.abs(mm - 60) < 0.001)).toHaveLength(2)
  expect(pdf.getTitle()).toBe('Skarrow 8, X: nut bracket')
  const long = await writePdf(bracketTemplate('Žluť', [], { widthMm: 700, heightMm: 900 }, 36, 'mm'))
  const sheet = (await PDFDocument.load(long)).getPage(0).getSize()
  expect(sheet.width / POINTS_PER_MM).toBeGreaterThanOrEqual(720)
})

test('a hole in a PDF is a ring that is drawn round, not a disc that is filled', async () => {
  const operators = operatorsOf(await writePdf(template)).split(/\s*\n\s*/)
  const curves = operators.filter(one => one.endsWith(' c')).length
  // The bore and six holes, four curves each.
  expect(curves).toBe(4 * (1 + X.bracketHoles.length))
  expect(operators.filter(one => /^(f\*?|F|B\*?|b\*?)$/.test(one))).toEqual([])
})

test('the sheet is the smallest that holds the drawing', () => {
  expect(sheetFor(100, 100)).toEqual([210, 297])
  expect(sheetFor(250, 200)).toEqual([297, 210])
  expect(sheetFor(250, 280)).toEqual([297, 420])
  expect(sheetFor(900, 100)).toEqual([900, 100])
})

describe('the ends of the screw', () => {
  const steps = screwSteps(new EvaluationContext(X, CATALOGUE))

  test('follow from coupler, bearings and span', () => {
    const bearing = CATALOGUE.bearing.get(X.parts.bearing ?? '')
    const coupler = CATALOGUE.coupler.get(X.parts.coupler ?? '')
    expect(steps.map(({ name }) => name)).toEqual([
      'Journal for the coupler',
      'Thread for the locknut',
      'Bearing seat',
      'Screw thread',
      'Seat of the far bearing',
    ])
    expect(steps[0]).toMatchObject({
      diameterMm: bearing?.couplerSeatMm,
      lengthMm: (coupler?.lengthMm ?? 0) / 2,
    })
    expect(steps[2]).toMatchObject({
      diameterMm: bearing?.boreMm,
      lengthMm: bearing?.blockLengthMm,
      tolerance: 'h5',
    })
    expect(steps[3]?.lengthMm).toBe(X.dimensions.supportSpanMm.value)
    expect(totalLengthMm(steps)).toBeCloseTo(
      steps.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
      9,
    )
  })

  test('each way to hold the ends has its own far end', () => {
    const far = (ends: Axis['ends']) => screwSteps(new EvaluationContext({ ...X, ends }, CATALOGUE)).slice(4)
    expect(far('fixed-free')).toEqual([])
    expect(far('fixed-fixed').map(({ name }) => name)).toEqual([
      'Bearing seat, far end',
      'Thread for the locknut, far end',
    ])
    expect(far('fixed-supported')).toHaveLength(1)
  })

  test('are drawn at full size, but for the thread, which is broken off', () => {
    const { marks } = screwDrawing('Screw', steps, 'mm')
    const seat = steps[2]
    const tall = (mark: Mark) =>
      mark.is === 'line' && mark.layer === 'edge' && mark.x1 === mark.x2 ? Math.abs(mark.y1 - mark.y2) : 0
    expect(marks.map(tall)).toContain(seat?.diameterMm)
    const { left, right } = boundsOf(marks.filter(({ layer }) => layer === 'edge'))
    expect(right - left).toBeCloseTo(totalLengthMm(steps) - (steps[3]?.lengthMm ?? 0) + 40, 9)
  })
})
