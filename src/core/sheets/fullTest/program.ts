import type { UnitSystem } from '../../units/quantity'
import { courseOf, wayWord } from './course'
import type { FullTest } from './model'

const MM_PER_INCH = 25.4
/** Axes that a controller knows by a letter. */
const LETTERS = 'XYZUVWABC'

interface Program {
  machine: string
  axis: string
  units: UnitSystem
  test: Pick<FullTest, 'label' | 'runs' | 'targets' | 'feedMmPerMin' | 'dwellS' | 'overrunMm'>
}

/** A comment that no controller trips over: letters, figures and a few signs. */
const comment = (text: string) => `(${text.replace(/[^\w .,:+-]/g, ' ').slice(0, 60)})`

/**
 * The program of a test in ISO 6983, in the units of the job: to each target from its own side, past the ends by more than
 * the reversal, a dwell to read at each, and a line number by which a reading is found.
 *
 * @returns lines of plain text; the last is M2
 * @example testProgram({ machine: 'Mill', axis: 'X', units: 'mm', test }).split('\n')[2] // 'N10 G21 G90 G94'
 */
export function testProgram({ machine, axis, units, test }: Program): string {
  const letter = LETTERS.includes(axis.toUpperCase()) && axis.length === 1 ? axis.toUpperCase() : 'X'
  const [perUnit, decimals] = units === 'inch' ? [MM_PER_INCH, 4] : [1, 3]
  const figure = (mm: number) => (mm / perUnit).toFixed(decimals)
  const places = test.targets.map(({ targetMm }) => targetMm)
  const beforeMm = Math.min(...places) - test.overrunMm
  const beyondMm = Math.max(...places) + test.overrunMm
  let number = 0
  const line = (words: string) => {
    number += 10
    return `N${number} ${words}`
  }
  const move = (mm: number) => `G1 ${letter}${figure(mm)} F${figure(test.feedMmPerMin)}`
  const head = [line(`${units === 'inch' ? 'G20' : 'G21'} G90 G94`), line(`G0 ${letter}${figure(beforeMm)}`)]
  const course = courseOf(test)
  const body = course.flatMap((stop, index) => {
    const turns = index > 0 && course[index - 1]?.way !== stop.way
    const past = stop.way === 'negativeUm' ? beyondMm : beforeMm
    return [
      ...(turns ? [line(move(past))] : []),
      line(move(stop.targetMm)),
      line(`G4 P${test.dwellS.toFixed(1)} ${comment(`run ${stop.run + 1} ${wayWord(stop.way)}: read`)}`),
    ]
  })
  return [
    comment(`${machine}, axis ${axis}: ${test.label}`),
    comment('Guard on, hands clear, the gauge out of the way of the slide'),
    ...head,
    ...body,
    line(move(beforeMm)),
    line('M2'),
    '',
  ].join('\n')
}
