import type { Axis } from '../../document/axis'
import { attempt } from '../../evaluation/attempt'
import type { EvaluationContext } from '../../evaluation/context'
import { travel } from '../../machine/travel/placement'
import { say } from '../../units/print'
import { MM_PER_INCH, type UnitSystem } from '../../units/quantity'
import { CONTROLLER_LETTERS } from '../shared/steps/controllerModel'
import { courseOf, wayWord } from './course'
import type { FullTest } from './model'

/** The letter by which the controller knows an axis: as it was said, or its name where that is one; null while nobody has said. */
export function letterOf({ name, controller }: Pick<Axis, 'name' | 'controller'>): string | null {
  const named = name.trim().toUpperCase()
  return controller.letter ?? CONTROLLER_LETTERS.find(letter => letter === named) ?? null
}

/** How far the slide may go from where its travel begins: what ways and screw leave of it; null while nobody has measured. */
export function travelFor(t: EvaluationContext): number | null {
  const waysMm = t.axis.dimensions.wayTravelMm.value
  const leftMm = attempt(() => travel(t).travelMm).value ?? waysMm
  return waysMm === null || leftMm === null ? waysMm : Math.min(waysMm, leftMm)
}

interface Program {
  machine: string
  axis: string
  /** By which the controller knows the axis. */
  letter: string
  /** In what the controller counts a dwell: the language leaves that open. */
  dwellUnit: Axis['controller']['dwellUnit']
  units: UnitSystem
  test: Pick<FullTest, 'label' | 'runs' | 'targets' | 'feedMmPerMin' | 'dwellS' | 'overrunMm'>
}

/** A place that the program would go to, with what it is. */
const placesOf = ({ targets, overrunMm }: Program['test']) => {
  const places = targets.map(({ targetMm }) => targetMm)
  return [
    { what: 'the turn before the first target', mm: Math.min(...places) - overrunMm },
    ...places.map(mm => ({ what: 'a target', mm })),
    { what: 'the turn past the last target', mm: Math.max(...places) + overrunMm },
  ]
}

/**
 * Why no program is written for a test; null where one may be. Each place that it would go to lies within the travel, which begins at 0.
 *
 * @example programRefusal(t, { ...test, overrunMm: 90 }) // 'The turn before the first target, at -85 mm, lies outside the travel …'
 */
export function programRefusal(t: EvaluationContext, test: Program['test']): string | null {
  const length = (mm: number) => say(mm, 'length', t.units)
  if (letterOf(t.axis) === null)
    return `Say under Build, First moves, by which letter the controller knows this axis: “${t.axis.name}” is none.`
  if (test.targets.length === 0) return 'There are no targets yet.'
  const travelMm = travelFor(t)
  if (travelMm === null) return 'Measure first, under Survey: travel that the ways allow.'
  const outside = placesOf(test).find(({ mm }) => mm < 0 || mm > travelMm)
  if (!outside) return null
  const said = outside.what.charAt(0).toUpperCase() + outside.what.slice(1)
  return `${said}, at ${length(outside.mm)}, lies outside the travel of ${length(travelMm)} that begins at ${length(0)}: move the target, or go past it by less.`
}

/** A comment that no controller trips over: letters, figures and a few signs. */
const comment = (text: string) => `(${text.replace(/[^\w .,:+-]/g, ' ').slice(0, 60)})`

/** What may still be set from a program before: plane, cutter radius, tool length, canned cycles; and the first work offset. */
const CLEARED = 'G17 G40 G49 G80 G54'

/**
 * The program of a test in ISO 6983, in the units of the job: to each target from its own side, past the ends by more than
 * the reversal, a dwell to read at each, and a line number by which a reading is found. Every move is a feed move, the first as well.
 *
 * @returns lines of plain text; the last is M2
 * @example testProgram({ machine: 'Mill', axis: 'X', letter: 'X', dwellUnit: 'seconds', units: 'mm', test }).split('\n')[4] // 'N10 G21 G90 G94'
 */
export function testProgram({ machine, axis, letter, dwellUnit, units, test }: Program): string {
  const [perUnit, decimals] = units === 'inch' ? [MM_PER_INCH, 4] : [1, 3]
  const figure = (mm: number) => (mm / perUnit).toFixed(decimals)
  const places = placesOf(test).map(({ mm }) => mm)
  const beforeMm = Math.min(...places)
  const beyondMm = Math.max(...places)
  let number = 0
  const line = (words: string) => {
    number += 10
    return `N${number} ${words}`
  }
  const move = (mm: number) => `G1 ${letter}${figure(mm)} F${figure(test.feedMmPerMin)}`
  const dwell =
    dwellUnit === 'milliseconds' ? `G4 P${Math.round(test.dwellS * 1000)}` : `G4 P${test.dwellS.toFixed(1)}`
  const head = [line(`${units === 'inch' ? 'G20' : 'G21'} G90 G94`), line(CLEARED), line(move(beforeMm))]
  const course = courseOf(test)
  const body = course.flatMap((stop, index) => {
    const turns = index > 0 && course[index - 1]?.way !== stop.way
    const past = stop.way === 'negativeUm' ? beyondMm : beforeMm
    return [
      ...(turns ? [line(move(past))] : []),
      line(move(stop.targetMm)),
      line(`${dwell} ${comment(`run ${stop.run + 1} ${wayWord(stop.way)}: read`)}`),
    ]
  })
  return [
    comment(`${machine}, axis ${axis}: ${test.label}`),
    comment('Guard on, hands clear, the gauge out of the way of the slide'),
    comment(`${letter} 0 of G54 is where its travel begins: check it first`),
    comment(`A dwell counts ${dwellUnit} here: try one G4 by hand first`),
    ...head,
    ...body,
    line(move(beforeMm)),
    line('M2'),
    '',
  ].join('\n')
}
