import type { Axis } from '../../document/axis'
import { DIMENSION_KEYS, DIMENSIONS, type DimensionKey, type Shows } from '../../document/dimensions'
import { lengthAt } from '../../drawing/dimension'
import { box, circle, type Drawing, line, type Mark, words } from '../../drawing/drawing'
import { asksFromOutside, isAsked, stillToMeasure } from '../../machine/stillToMeasure'

/** A dimension of the survey with the letter by which the drawing shows where it is read. */
export interface Reading {
  key: DimensionKey
  letter: string
  /** Read roughly, from outside, before it is apart; measured again then. */
  isFromOutside?: true
}

/** What is read of an axis before anything is apart, once it is, and what only the plan has until it is made. */
export interface Passes {
  whole: Reading[]
  apart: Reading[]
  planned: Reading[]
}

/** Every dimension has its letter whatever is still open, so that a list printed twice reads alike. */
const LETTERS = new Map(
  DIMENSION_KEYS.filter(key => DIMENSIONS[key].group !== 'shafts').map((key, index) => [
    key,
    String.fromCharCode('A'.charCodeAt(0) + index),
  ]),
)
const reading = (key: DimensionKey): Reading => ({ key, letter: LETTERS.get(key) ?? '' })

/**
 * What is still to be measured, in two passes, and what follows from the plan.
 *
 * @example passesOf(newAxis({ name: 'X', title: 'Table' })).planned.length // 2
 */
export function passesOf(axis: Axis): Passes {
  const open = stillToMeasure(axis)
  const shown = (shows: Shows) => open.filter(key => DIMENSIONS[key].shows === shows).map(reading)
  return {
    whole: [
      ...shown('whole'),
      ...open
        .filter(key => asksFromOutside(axis, key))
        .map(key => ({ ...reading(key), isFromOutside: true as const })),
    ],
    // What has been fitted by now is read with the rest.
    apart: [...shown('apart'), ...shown('made')],
    planned: DIMENSION_KEYS.filter(
      key =>
        LETTERS.has(key) &&
        isAsked(axis, key) &&
        !open.includes(key) &&
        axis.dimensions[key].provenance === 'planned',
    ).map(reading),
  }
}

const WAY_TOP_MM = 16
const SCREW_AXIS_MM = 22
const SLIDE = { left: 24, width: 44, bottom: 28, height: 8 }
/** So far the slide goes, to where its other end stands dashed. */
const TRAVEL_MM = 60
const LETTER_MM = 3.5

/** An arrow from one place to another, with a letter where it begins. */
function pull(fromX: number, fromY: number, toX: number, toY: number): Mark[] {
  const length = Math.hypot(toX - fromX, toY - fromY)
  const [dx, dy] = [(toX - fromX) / length, (toY - fromY) / length]
  return [
    line('words', fromX, fromY, toX, toY),
    ...[1, -1].map(side =>
      line('words', toX, toY, toX - 2.4 * dx + side * 0.9 * dy, toY - 2.4 * dy + side * 0.9 * dx),
    ),
  ]
}

/** Where each letter lies: a length between two faces, or what is pulled, weighed or laid on. */
const MARKS: Partial<Record<DimensionKey, (letter: string) => Mark[]>> = {
  wayTravelMm: letter =>
    lengthAt(
      { fromX: SLIDE.left, toX: SLIDE.left + TRAVEL_MM, text: letter },
      SLIDE.bottom + SLIDE.height,
      SLIDE.bottom + SLIDE.height + 8,
    ),
  supportSpanMm: letter => lengthAt({ fromX: 22, toX: 130, text: letter }, 8, -3),
  bracketThicknessMm: letter => lengthAt({ fromX: 43, toX: 50, text: letter }, 18, 3),
  screwToWayMm: letter => [
    line('words', 112, WAY_TOP_MM, 112, SCREW_AXIS_MM),
    line('words', 110.5, SCREW_AXIS_MM, 113.5, SCREW_AXIS_MM),
    line('words', 110.5, WAY_TOP_MM, 113.5, WAY_TOP_MM),
    words(114.5, 17.5, letter, LETTER_MM),
  ],
  // A level, laid on the way.
  inclineDeg: letter => [
    ...box('edge', 84, WAY_TOP_MM, 18, 3),
    circle('edge', 93, WAY_TOP_MM + 1.5, 1),
    words(103, WAY_TOP_MM - 0.5, letter, LETTER_MM),
  ],
  movingMassKg: letter => weighed(34, letter),
  lightestMassKg: letter => weighed(42, letter),
  frictionCoefficient: letter => pulled(33, letter),
  dragN: letter => pulled(29.5, letter),
  counterbalanceN: letter => held(56, letter),
  counterbalanceSpreadN: letter => held(62, letter),
}
function weighed(x: number, letter: string): Mark[] {
  return [
    ...pull(x, SLIDE.bottom + 6, x, SLIDE.bottom + 1),
    words(x - 1.2, SLIDE.bottom + SLIDE.height + 1, letter, LETTER_MM),
  ]
}
function pulled(y: number, letter: string): Mark[] {
  return [
    ...pull(SLIDE.left + SLIDE.width, y, SLIDE.left + SLIDE.width + 10, y),
    words(SLIDE.left + SLIDE.width + 11, y - 1.5, letter, LETTER_MM),
  ]
}
function held(x: number, letter: string): Mark[] {
  return [
    ...pull(x, SLIDE.bottom + SLIDE.height, x, SLIDE.bottom + SLIDE.height + 5),
    words(x + 1, SLIDE.bottom + SLIDE.height + 2, letter, LETTER_MM),
  ]
}

/** Where the calipers go: a side view of any axis, not to scale, with the letters of what is read. */
export function measuringDrawing(readings: readonly Reading[]): Drawing {
  const marks: Mark[] = [
    // The way between its stops.
    ...box('edge', 10, 8, 132, WAY_TOP_MM - 8),
    ...box('edge', SLIDE.left - 4, SLIDE.bottom, 4, SLIDE.height),
    ...box('edge', SLIDE.left + SLIDE.width + TRAVEL_MM, SLIDE.bottom, 4, SLIDE.height),
    // Blocks, screw, bracket, and the slide at either end of its travel.
    ...box('edge', 12, WAY_TOP_MM, 10, 11),
    ...box('edge', 130, WAY_TOP_MM, 10, 11),
    ...box('edge', 22, SCREW_AXIS_MM - 1.5, 108, 3),
    line('centre', 6, SCREW_AXIS_MM, 146, SCREW_AXIS_MM),
    ...box('edge', 43, 18, 7, SLIDE.bottom - 18),
    ...box('edge', SLIDE.left, SLIDE.bottom, SLIDE.width, SLIDE.height),
    ...box('centre', SLIDE.left + TRAVEL_MM, SLIDE.bottom, SLIDE.width, SLIDE.height),
    ...readings.flatMap(({ key, letter }) => MARKS[key]?.(letter) ?? []),
  ]
  return { title: 'Where each is read', marks }
}
