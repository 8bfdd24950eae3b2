import { ostrey } from '../../demo/ostrey'
import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { runEdit } from '../../document/edit'
import type { Mark } from '../../drawing/drawing'
import { LABEL_SHEET_IDS, LABEL_SHEETS, labelPages } from '../../drawing/labels'
import { PAPERS } from '../../drawing/pages'
import { CATALOGUE } from '../../machine/parts'
import { evaluateAxis } from '../evaluateAxis'
import { thingsOf } from '../shared/steps/bags'
import { teardown } from '../shared/steps/procedure'
import { baggedOf, bagsOf, missingOf, uncounted } from './bags'
import { setBagged, setSlide } from './edits'
import { bagLabels } from './labels'

const { job } = skarrow()
const [X, Y, Z] = job.axes as [Axis, Axis, Axis]
const STAMP = { id: 'c', at: '2026-11-26T19:00:00.000Z' }
const order = (axis: Axis) => teardown(evaluateAxis(axis, CATALOGUE, 'mm')).map(({ id }) => id)
const inOrder = (axis: Axis, ...wanted: string[]) => {
  const places = wanted.map(id => order(axis).indexOf(id))
  expect(places).not.toContain(-1)
  expect(places).toEqual(places.toSorted((a, b) => a - b))
}

describe('the order in which an axis comes apart', () => {
  test('a table: gib slack before its screw moves it, the bracket before it is backed off, two people for the rest', () => {
    inOrder(
      X,
      'isolate',
      'td-photo',
      'td-lock',
      'td-gib',
      'td-wheel',
      'td-race',
      'td-bracket',
      'td-back-off',
      'td-off',
      'td-nut',
      'clean',
    )
  })
  test('a saddle: guards, the nut from behind, both gib screws, the screw wound out, off', () => {
    inOrder(Y, 'td-guards', 'td-nut-screws', 'td-gib', 'td-screw-out', 'td-off')
  })
  test('a head: carried and its springs unloaded before any screw', () => {
    inOrder(Z, 'support', 'td-hang', 'td-springs', 'td-gib', 'td-nut')
  })
  test('a lathe: the half nut first, the apron propped; the cross slide keeps its wheel', () => {
    const [carriage, slide] = ostrey().job.axes as [Axis, Axis]
    inOrder(carriage, 'td-half-nut', 'td-apron', 'td-lead-screw', 'td-keep-plates')
    inOrder(slide, 'td-wheel', 'td-gib', 'td-nut', 'td-off')
    expect(thingsOf(slide).find(({ id }) => id === 'wheel')?.backAt).toBe('wheel-back')
    expect(thingsOf(carriage).find(({ id }) => id === 'wheel')?.backAt).toBeNull()
  })
  test('what nobody has named has only what every axis has', () => {
    const { axes } = runEdit(job, setSlide(Z, null), STAMP).job
    expect(order(axes[2] as Axis)).toEqual(['isolate', 'support', 'clean'])
    expect(thingsOf({ ...Z, slide: null })).toEqual([])
  })
})

describe('bags', () => {
  test('what is found again is held against what went in', () => {
    expect(missingOf(Y)).toEqual(['Y3: 1 of 4 gib screws of both ends missing'])
    expect(missingOf(X)).toEqual([])
    const { axes } = runEdit(
      job,
      setBagged(Y, { id: 'gib-screws', what: 'Gib screws' }, { foundCount: null }),
      STAMP,
    ).job
    expect(uncounted(axes[1] as Axis)).toEqual(['Y3: gib screws of both ends'])
    expect(missingOf(axes[1] as Axis)).toEqual([])
  })
  test('nothing is kept of a thing that nobody counts', () => {
    const { axes } = runEdit(job, setBagged(Y, { id: 'key', what: 'Key' }, { count: null }), STAMP).job
    expect(axes[1]?.bagged.key).toBeUndefined()
  })
  test('what the plan does not know of lies in its bag with the rest', () => {
    const own = { id: 'own-1', bag: 3, what: 'Shim, 0.2 mm', count: 2, from: 'behind the gib', foundCount: 1 }
    const axis = { ...Y, ownBagged: [own] }
    expect(
      bagsOf(axis)
        .find(({ name }) => name === 'Y3')
        ?.things.map(({ what }) => what),
    ).toContain('Shim, 0.2 mm')
    expect(missingOf(axis)).toContain('Y3: 1 of 2 shim, 0.2 mm missing')
    expect(baggedOf(axis).length).toBe(baggedOf(Y).length + 1)
  })
})

describe('labels', () => {
  const labels = bagLabels(job.name, Y)
  const texts = (marks: readonly Mark[]) => marks.flatMap(mark => (mark.is === 'text' ? [mark] : []))

  test('say job, axis, bag, what, how many and where from; uncounted ones leave a line to write on', () => {
    expect(labels[2]).toEqual({
      head: 'Y3',
      title: 'Skarrow 8, axis Y',
      lines: ['1 × Gib (side of the saddle)', '4 × Gib screws of both ends (both ends of the gib)'],
    })
    expect(bagLabels(job.name, { ...Y, bagged: {} })[0]?.lines[0]).toMatch(/^___ ×/)
  })

  test.each(LABEL_SHEET_IDS)('lie at true size on %s, each within its own edges and on the paper', id => {
    const { paper, columns, rows, widthMm, heightMm } = LABEL_SHEETS[id]
    const many = Array.from({ length: columns * rows + 1 }, () => labels[2] as (typeof labels)[number])
    const pages = labelPages(many, id, true)
    expect(pages).toHaveLength(2)
    const [first] = pages
    if (!first) throw new Error('no page')
    expect([first.widthMm, first.heightMm]).toEqual([PAPERS[paper].widthMm, PAPERS[paper].heightMm])
    const edges = first.frame.flatMap(mark => (mark.is === 'line' ? [mark] : []))
    expect(edges).toHaveLength(4 * columns * rows)
    const [bottom, right] = edges
    expect((bottom?.x2 ?? 0) - (bottom?.x1 ?? 0)).toBeCloseTo(widthMm, 9)
    expect((right?.y2 ?? 0) - (right?.y1 ?? 0)).toBeCloseTo(heightMm, 9)
    for (const { x1, x2, y1, y2 } of edges) {
      for (const x of [x1, x2]) expect(x >= -1e-9 && x <= first.widthMm + 1e-9).toBe(true)
      for (const y of [y1, y2]) expect(y >= -1e-9 && y <= first.heightMm + 1e-9).toBe(true)
    }
    // Each text lies within the label whose lower left corner is the nearest before it.
    const lefts = [...new Set(edges.map(({ x1 }) => x1))].toSorted((a, b) => a - b)
    for (const { x, heightMm: high, text } of texts(first.frame)) {
      const left = lefts.findLast(one => one <= x) ?? 0
      expect(x + text.length * high * 0.64).toBeLessThan(left + widthMm + 0.5)
    }
  })

  test('sold sheets have no lines, and what does not fit says how much', () => {
    const [page] = labelPages(
      [{ head: 'X1', title: 'A', lines: Array.from({ length: 20 }, (_, i) => `thing ${i}`) }],
      'letter-3x10',
      false,
    )
    const marks = page?.frame ?? []
    expect(marks.some(({ is }) => is === 'line')).toBe(false)
    expect(texts(marks).at(-1)?.text).toMatch(/^and \d+ more$/)
  })
})
