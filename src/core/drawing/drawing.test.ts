import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { inflateSync } from 'node:zlib'
import fontkit from '@pdf-lib/fontkit'
import DxfParser from 'dxf-parser'
import fc from 'fast-check'
import { PDFDocument, PDFName } from 'pdf-lib'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { EvaluationContext } from '../evaluation/context'
import { CATALOGUE } from '../machine/parts'
import { screwDrawing, screwSteps, totalLengthMm } from '../sheets/leadscrewEnds/drawing'
import { bracketTemplate } from '../sheets/template/drawing'
import type { BracketHole } from '../sheets/template/model'
import type { UnitSystem } from '../units/quantity'
import { boundsOf, type Drawing, type Mark, type Rectangle, textBox, words } from './drawing'
import { writeDxf } from './dxf'
import { writeDxfR12 } from './dxfR12'
import { touches } from './label'
import { FONT_SHARE, textWidthMm } from './letterWidths'
import { framed, type Page, type Paper, pagesOf } from './pages'
import { missingWords, writePdf } from './pdf'
import { writeSvg } from './svg'

const [X] = skarrow().job.axes as [Axis]
const outline = { widthMm: 60, heightMm: 62 }
const template = bracketTemplate('Skarrow 8, X: nut bracket', X.bracketHoles, outline, 36, 'mm')
const IMPRINT = { machine: 'Skarrow 8', axis: 'X', date: '26 November 2026' }
const sheet = framed(template, IMPRINT, 'mm')
const POINTS_PER_MM = 72 / 25.4

const face = (family: string, letters: string) =>
  new Uint8Array(
    readFileSync(
      createRequire(__filename).resolve(`@fontsource/${family}/files/${family}-${letters}-400-normal.woff`),
    ),
  )
const fonts = [
  face('atkinson-hyperlegible', 'latin'),
  face('atkinson-hyperlegible', 'latin-ext'),
  face('noto-sans', 'greek'),
  face('noto-sans', 'cyrillic'),
]

const folder = mkdtempSync(join(tmpdir(), 'dusk-drawing-'))
let files = 0
const onDisk = (bytes: Uint8Array): string => {
  files += 1
  const path = join(folder, `${files}.pdf`)
  writeFileSync(path, bytes)
  return path
}
const run = (tool: string, args: string[]): Buffer => execFileSync(tool, args, { maxBuffer: 1e9 })

/** Whether a place of the drawing, in millimetres, has ink within a tenth of a millimetre on the sheet as a printer gets it. */
function ink(bytes: Uint8Array, { origin, heightMm }: Page): (xMm: number, yMm: number) => boolean {
  const DOTS_PER_MM = 600 / 25.4
  const picture = run('pdftoppm', ['-gray', '-r', '600', '-f', '1', '-l', '1', onDisk(bytes)])
  const [head = '', width = ''] = /^P5\s+(\d+)\s+\d+\s+\d+\s/.exec(picture.toString('latin1', 0, 60)) ?? []
  const columns = Number(width)
  const dot = (x: number, y: number) => picture[head.length + y * columns + x] ?? 255
  return (xMm, yMm) => {
    const x = Math.round((xMm + origin.x) * DOTS_PER_MM)
    const y = Math.round((heightMm - yMm - origin.y) * DOTS_PER_MM)
    for (let dx = -2; dx <= 2; dx++)
      for (let dy = -2; dy <= 2; dy++) if (dot(x + dx, y + dy) < 128) return true
    return false
  }
}

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

test('a DXF is metric, knows how far it reaches, and has axes in a line of their own', () => {
  const text = writeDxf(sheet)
  const { left, bottom, right, top } = boundsOf(sheet.marks)
  const parsed = new DxfParser().parseSync(text)
  expect(parsed?.header).toMatchObject({
    $INSUNITS: 4,
    $MEASUREMENT: 1,
    $EXTMIN: { x: left, y: bottom },
    $EXTMAX: { x: right, y: top },
  })
  const { lineType, layer } = (parsed?.tables ?? {}) as unknown as {
    lineType: { lineTypes: Record<string, { pattern: number[] }> }
    layer: { layers: Record<string, object> }
  }
  expect(lineType.lineTypes.CENTER?.pattern).toEqual([4, -1, 1, -1])
  expect(Object.keys(layer.layers)).toEqual(expect.arrayContaining(['edge', 'centre', 'words']))
  // The reader does not tell which line a layer has.
  expect(text).toMatch(/\n2\ncentre\n70\n0\n62\n4\n6\nCENTER\n/)
  const lines = entitiesOf(text).filter(({ type }) => type === 'LINE')
  const lengths = lines.map(({ vertices: [a, b] }) =>
    Math.hypot((a?.x ?? 0) - (b?.x ?? 0), (a?.y ?? 0) - (b?.y ?? 0)),
  )
  expect(lengths.filter(length => Math.abs(length - 100) < 1e-6)).toHaveLength(1)
  // Both edges of the outline, and the dimension line beside them.
  expect(lengths.filter(length => Math.abs(length - 62) < 1e-6)).toHaveLength(3)
})

test('an SVG is at full size: its sheet in millimetres is its view', () => {
  const svg = writeSvg(sheet)
  const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg) ?? []
  const [, viewWidth, viewHeight] = /viewBox="[-\d.]+ [-\d.]+ ([\d.]+) ([\d.]+)"/.exec(svg) ?? []
  expect([viewWidth, viewHeight]).toEqual([width, height])
  const { left, right } = boundsOf(sheet.marks)
  expect(Number(width)).toBeCloseTo(right - left + 20, 3)
  expect(svg.match(/<circle class="edge"/g)).toHaveLength(7)
  expect(svg).toContain('This bar is 100 mm')
  expect(svg).toContain('26 November 2026')
  // Up is up: the first hole stands over the axis, where SVG counts downward.
  expect(svg).toContain('cx="0" cy="-23.5" r="2.75"')
  expect(writeSvg(bracketTemplate('A & B <c>', [], outline, 20, 'mm'))).toContain(
    '<title>A &amp; B &lt;c&gt;</title>',
  )
})

test('texts are as wide as their font makes them', async () => {
  const pdf = await PDFDocument.create()
  pdf.registerFontkit(fontkit)
  const font = await pdf.embedFont(fonts[0] as Uint8Array)
  for (const text of ['Ø 12.5 h5', 'pilot Ø 6 mm, 1.6 mm off the middle', 'WWW', 'iii', 'M15 x 1']) {
    const asSet = (font.widthOfTextAtSize(text, 2.5 * FONT_SHARE) * 1000) / 1000
    // Letters that lean on each other take a little less.
    expect(textWidthMm(text, 2.5)).toBeGreaterThan(asSet - 0.02)
    expect(textWidthMm(text, 2.5)).toBeLessThan(asSet * 1.06 + 0.02)
  }
  expect(textWidthMm('漢', 2)).toBeCloseTo(2 * FONT_SHARE, 9)
})

describe('a DXF of release 12', () => {
  test('has every line, circle and text at its place, in plain letters', () => {
    const odd = { ...sheet, marks: [...sheet.marks, words(0, 0, 'Ø 12 ±0.01 · Fräse 漢')] }
    const text = writeDxfR12(odd)
    expect(text).toMatch(/^[\x20-\x7e\r\n]*$/)
    expect(text).toContain('%%c 12 %%p0.01 - Frase ?')
    const parsed = new DxfParser().parseSync(text)
    expect(parsed?.header).toMatchObject({ $ACADVER: 'AC1009' })
    const entities = entitiesOf(text)
    const count = (type: string) => entities.filter(one => one.type === type).length
    expect([count('LINE'), count('CIRCLE'), count('TEXT')]).toEqual(
      ['line', 'circle', 'text'].map(is => odd.marks.filter(mark => mark.is === is).length),
    )
    const circles = entities.filter(({ type }) => type === 'CIRCLE')
    const drawn = odd.marks.filter(mark => mark.is === 'circle')
    for (const [index, { x, y, r }] of drawn.entries())
      expect([circles[index]?.center.x, circles[index]?.center.y, circles[index]?.radius]).toEqual([
        expect.closeTo(x, 5),
        expect.closeTo(y, 5),
        expect.closeTo(r, 5),
      ])
  })
})

test('a DXF of 2000 keeps to the letters that its code page has, others by their code points', () => {
  const text = writeDxf({ title: 'T', marks: [words(0, 0, 'Ø 12 · Фреза')] })
  expect(text).toMatch(/^[\x20-\x7e\r\n]*$/)
  expect(text).toContain('\\U+00D8 12 \\U+00B7 \\U+0424')
  expect(new DxfParser().parseSync(text)?.header).toMatchObject({
    $ACADVER: 'AC1015',
    $DWGCODEPAGE: 'ANSI_1252',
  })
})

describe('a PDF', () => {
  const written = (drawing: Drawing, paper: Paper = 'a4', units: UnitSystem = 'mm') =>
    writePdf({ title: drawing.title, author: 'Mo' }, pagesOf(drawing, paper, IMPRINT, units), fonts)
  const pdfOf = async (...of: Parameters<typeof written>) => (await written(...of)).bytes

  test('has one sheet that printers take, and its bar is as long as it says', async () => {
    const bytes = await pdfOf(template)
    const pdf = await PDFDocument.load(bytes)
    expect(pdf.getPageCount()).toBe(1)
    const { width, height } = pdf.getPage(0).getSize()
    expect([width / POINTS_PER_MM, height / POINTS_PER_MM].map(Math.round)).toEqual([210, 297])
    // What is drawn, as the page's own operators say it.
    const lengthsMm = async (bytes: Uint8Array) =>
      linesOf(bytes)
        .filter(({ y1, y2 }) => Math.abs(y1 - y2) < 1e-3)
        .map(({ x1, x2 }) => Math.abs(x1 - x2) / POINTS_PER_MM)
    const metric = await lengthsMm(bytes)
    expect(metric.filter(mm => Math.abs(mm - 100) < 0.001)).toHaveLength(1)
    // Both edges of the outline, and the dimension line under them.
    expect(metric.filter(mm => Math.abs(mm - 60) < 0.001)).toHaveLength(3)
    expect(pdf.getTitle()).toBe('Skarrow 8, X: nut bracket')
    const inches = await lengthsMm(await pdfOf(template, 'letter', 'inch'))
    expect(inches.filter(mm => Math.abs(mm - 101.6) < 0.001)).toHaveLength(1)
  })

  test('says what it is and whose, and asks the printer not to scale it', async () => {
    const pdf = await PDFDocument.load(await pdfOf(template))
    expect([pdf.getTitle(), pdf.getAuthor()]).toEqual(['Skarrow 8, X: nut bracket', 'Mo'])
    const { catalog } = pdf
    expect(catalog.getViewerPreferences()?.getPrintScaling()).toBe('None')
    expect(catalog.get(PDFName.of('Lang'))?.toString()).toBe('(en)')
  })

  test('carries its fonts, with letters of other scripts, and a question mark only where no font has one', async () => {
    const odd = bracketTemplate('Łódź Станок Φρέζα: Ø 漢', [], outline, 36, 'mm')
    const { bytes, missing } = await written(odd)
    // What is missing is told, not left to be found.
    expect(missing).toEqual(['漢'])
    expect(missingWords(missing)).toContain('No font here has 漢')
    expect(missingWords([])).toBeNull()
    const said = run('pdftotext', [onDisk(bytes), '-']).toString()
    expect(said).toContain('Łódź Станок Φρέζα: Ø ?')
    const listed = run('pdffonts', [onDisk(bytes)])
      .toString()
      .split('\n')
      .slice(2)
      .filter(Boolean)
    expect(listed.length).toBeGreaterThanOrEqual(3)
    for (const line of listed) expect(line).toMatch(/yes\s+(yes|no)\s+yes/)
  })

  test('has ink where it must have some and none where it must not: rings, crosses to punch, white between', async () => {
    const DIAMETERS = [3.3, 4.2, 5, 5.5, 6.8, 12]
    const holes = DIAMETERS.map((diameterMm, index) => ({
      id: `${index}`,
      label: `${index + 1}`,
      xMm: -50 + 20 * index,
      yMm: 31,
      diameterMm,
    }))
    const drawing = bracketTemplate('T', holes, { widthMm: 140, heightMm: 100 }, 36, 'mm')
    const [page] = pagesOf(drawing, 'a4', IMPRINT, 'mm') as [Page]
    const isInk = ink(await pdfOf(drawing), page)
    for (const { xMm, yMm, diameterMm } of [...holes, { xMm: 0, yMm: 0, diameterMm: 36 }]) {
      expect(isInk(xMm, yMm)).toBe(true)
      const at = (deg: number, share: number): [number, number] => [
        xMm + (diameterMm / 2) * share * Math.cos((deg * Math.PI) / 180),
        yMm + (diameterMm / 2) * share * Math.sin((deg * Math.PI) / 180),
      ]
      for (const deg of [30, 60, 120, 210, 300]) {
        expect(isInk(...at(deg, 1))).toBe(true)
        expect(isInk(...at(deg, 0.6))).toBe(false)
      }
    }
    expect(isInk(60, -40)).toBe(false)
  })

  test('of a drawing too large for a sheet comes on several that overlap, and none of it is lost', async () => {
    const wide = bracketTemplate('T', [], { widthMm: 420, heightMm: 300 }, 36, 'mm')
    for (const paper of ['a4', 'letter'] as const) {
      const pages = pagesOf(wide, paper, IMPRINT, 'mm')
      expect(pages.length).toBeGreaterThan(3)
      const shown = pages.map(({ window, origin }) => ({
        left: window.left - origin.x,
        right: window.right - origin.x,
        bottom: window.bottom - origin.y,
        top: window.top - origin.y,
      }))
      const { left, bottom, right, top } = boundsOf(wide.marks)
      // Every point of the drawing is on a sheet; what two sheets share is wide enough to glue.
      for (let x = left; x <= right; x += 5)
        for (let y = bottom; y <= top; y += 5)
          expect(shown.some(one => one.left <= x && x <= one.right && one.bottom <= y && y <= one.top)).toBe(
            true,
          )
      const [first, second] = shown as [Rectangle, Rectangle]
      expect(first.right - second.left).toBeCloseTo(12, 9)
      const said = pages.map(({ frame }) => frame.flatMap(mark => (mark.is === 'text' ? [mark.text] : [])))
      for (const [index, texts] of said.entries()) {
        expect(texts.join()).toContain('This bar is 100 mm')
        expect(texts).toContain(`${index + 1} of ${pages.length}`)
        expect(texts.join()).toContain('26 November 2026')
      }
      // At least two crosses lie in what the first two share.
      const joins = pages[0]?.marks.filter(
        mark =>
          mark.is === 'line' &&
          mark.layer === 'words' &&
          mark.x1 === mark.x2 &&
          mark.x1 > second.left &&
          mark.x1 < first.right &&
          mark.y1 > first.bottom &&
          mark.y2 < first.top,
      )
      expect(joins?.length).toBeGreaterThanOrEqual(2)
    }
    const pdf = await PDFDocument.load(await pdfOf(wide))
    expect(pdf.getPageCount()).toBe(pagesOf(wide, 'a4', IMPRINT, 'mm').length)
  })
})

test('no label lies on an edge, a cross or another label, wherever there is room for it', () => {
  const spots = fc.uniqueArray(fc.integer({ min: 0, max: 24 }), { minLength: 1, maxLength: 9 })
  fc.assert(
    fc.property(spots, fc.double({ min: 2.5, max: 8, noNaN: true }), (places, diameterMm) => {
      const holes = places.map((place, index) => ({
        id: `${index}`,
        label: `${index + 1}`,
        xMm: -80 + 40 * (place % 5),
        yMm: -80 + 40 * Math.floor(place / 5),
        diameterMm,
      }))
      const { marks } = bracketTemplate('T', holes, { widthMm: 230, heightMm: 230 }, 20, 'mm')
      for (const mark of marks)
        if (mark.is === 'text' && mark.text.includes('Ø'))
          expect(marks.filter(other => other !== mark && touches(other, textBox(mark)))).toEqual([])
    }),
    { numRuns: 40 },
  )
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
