import { boundsOf, type Drawing, LAYERS, type Layer, type Mark } from './drawing'

// DXF of release 12, which every CAM program has read for thirty years: lines, circles and texts in plain letters, nothing else.

type Pair = readonly [code: number, value: string | number]

const COLOUR: Readonly<Record<Layer, number>> = { edge: 7, centre: 4, words: 4 }
const PATTERN_MM = [4, -1, 1, -1]

/** Signs that the release has its own way to write. */
const SIGNS: Readonly<Record<string, string>> = {
  Ø: '%%c',
  '°': '%%d',
  '±': '%%p',
  µ: 'u',
  μ: 'u',
  '×': 'x',
  '·': '-',
  '–': '-',
  '…': '...',
  '²': '2',
  '½': '1/2',
}

/** @example plain('Ø 12 · Fräse') // '%%c 12 - Frase' */
const plain = (text: string) =>
  Array.from(
    text.normalize('NFC'),
    sign => SIGNS[sign] ?? (sign.normalize('NFKD').replace(/\p{M}/gu, '') || ' '),
  )
    .join('')
    .replace(/[^\x20-\x7e]/gu, '?')

const place = (x: number, y: number, first = 10): Pair[] => [
  [first, x],
  [first + 10, y],
  [first + 20, 0],
]

function entity(mark: Mark): Pair[] {
  switch (mark.is) {
    case 'line':
      return [[0, 'LINE'], [8, mark.layer], ...place(mark.x1, mark.y1), ...place(mark.x2, mark.y2, 11)]
    case 'circle':
      return [[0, 'CIRCLE'], [8, mark.layer], ...place(mark.x, mark.y), [40, mark.r]]
    case 'text':
      return [
        [0, 'TEXT'],
        [8, mark.layer],
        ...place(mark.x, mark.y),
        [40, mark.heightMm],
        [1, plain(mark.text)],
      ]
  }
}

const section = (name: string, pairs: readonly Pair[]): Pair[] => [
  [0, 'SECTION'],
  [2, name],
  ...pairs,
  [0, 'ENDSEC'],
]
const table = (name: string, count: number, pairs: readonly Pair[]): Pair[] => [
  [0, 'TABLE'],
  [2, name],
  [70, count],
  ...pairs,
  [0, 'ENDTAB'],
]

/** Writes a drawing as DXF of release 12 in millimetres, for programs that read no newer one. */
export function writeDxfR12({ marks }: Drawing): string {
  const { left, bottom, right, top } = boundsOf(marks)
  const pairs: Pair[] = [
    ...section('HEADER', [
      [9, '$ACADVER'],
      [1, 'AC1009'],
      [9, '$EXTMIN'],
      ...place(left, bottom),
      [9, '$EXTMAX'],
      ...place(right, top),
    ]),
    ...section('TABLES', [
      ...table('LTYPE', 2, [
        [0, 'LTYPE'],
        [2, 'CONTINUOUS'],
        [70, 0],
        [3, 'Solid line'],
        [72, 65],
        [73, 0],
        [40, 0],
        [0, 'LTYPE'],
        [2, 'CENTER'],
        [70, 0],
        [3, 'Center ____ _ ____'],
        [72, 65],
        [73, PATTERN_MM.length],
        [40, PATTERN_MM.reduce((sum, mm) => sum + Math.abs(mm), 0)],
        ...PATTERN_MM.map((mm): Pair => [49, mm]),
      ]),
      ...table(
        'LAYER',
        LAYERS.length,
        LAYERS.flatMap((layer): Pair[] => [
          [0, 'LAYER'],
          [2, layer],
          [70, 0],
          [62, COLOUR[layer]],
          [6, layer === 'centre' ? 'CENTER' : 'CONTINUOUS'],
        ]),
      ),
    ]),
    ...section('ENTITIES', marks.flatMap(entity)),
    [0, 'EOF'],
  ]
  return pairs.map(([code, value]) => `${String(code).padStart(3)}\r\n${valueText(value)}\r\n`).join('')
}

/** @example valueText(12.5) // '12.5' */
const valueText = (value: string | number): string =>
  typeof value === 'string' ? value : String(Math.round(value * 1e6) / 1e6)
