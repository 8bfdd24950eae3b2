import { blankRow } from '../field/field'
import { READING } from '../readings/model'
import { courseOf, wayWord } from '../sheets/fullTest/course'
import { FULL_TESTS, type FullTest, TARGETS, type Target } from '../sheets/fullTest/model'
import { MM_PER_INCH, type UnitSystem } from '../units/quantity'
import {
  CsvFileError,
  type CsvProblem,
  type CsvStyle,
  columnOf,
  figureIn,
  problemAt,
  readCsv,
  tidyFigure,
  writeCsv,
} from './csv'

// The readings of a full test as a file: a line a reading, with its target, the way it was come to, and the run.

const UM_PER_THOU = MM_PER_INCH
/** How a target and a reading may be headed, and what one of it is worth in mm or um. */
const TARGET_HEADS = { targetMm: 1, targetIn: MM_PER_INCH } as const
const READING_HEADS = {
  readingUm: 1,
  readingMm: 1000,
  readingThou: UM_PER_THOU,
  readingIn: 1000 * UM_PER_THOU,
} as const
const WAY_OF = { up: 'positiveUm', down: 'negativeUm' } as const

type Plan = Pick<FullTest, 'runs' | 'targets'>

const MOST_LINES = TARGETS.most * FULL_TESTS.of.runs.max * 2

/** Writes the readings of a test in the order in which the axis moved, in the units of the job. */
export function writeFullTestCsv(test: Plan, units: UnitSystem, style: CsvStyle): string {
  const targets = new Map(test.targets.map(target => [target.id, target]))
  const inch = units === 'inch'
  const rows = courseOf(test).flatMap(({ targetId, targetMm, way, run }) => {
    const readingUm = targets.get(targetId)?.[way][run]
    return readingUm === undefined
      ? []
      : [
          [
            tidyFigure(inch ? targetMm / MM_PER_INCH : targetMm),
            wayWord(way),
            run + 1,
            tidyFigure(inch ? readingUm / UM_PER_THOU : readingUm),
          ],
        ]
  })
  return writeCsv(
    inch ? ['targetIn', 'way', 'run', 'readingThou'] : ['targetMm', 'way', 'run', 'readingUm'],
    rows,
    style,
  )
}

interface Line {
  targetMm: number
  way: (typeof WAY_OF)[keyof typeof WAY_OF]
  run: number
  readingUm: number
}

/** Places of a file that differ by less than this are one target. */
const SAME_TARGET_MM = 0.005

/** What a column is worth whose heading is one of these, however it is written. */
const worth = (heads: Readonly<Record<string, number>>, heading = ''): number =>
  Object.entries(heads).find(([name]) => name.toLowerCase() === heading.toLowerCase())?.[1] ?? Number.NaN

/**
 * Reads readings for a test. Where none were taken yet the file brings its own targets and runs; else each must be at a target
 * of the test, and takes the place of what stands there.
 *
 * @param test as it stands
 * @returns its runs and targets with the readings in them, and how many there were; or what is wrong, line by line: nothing is taken then
 * @throws CsvFileError where the file as a whole cannot be read
 * @example readFullTestCsv('targetMm,way,run,readingUm\n5,up,1,3', test, newId) // { ok: true, taken: 1, … }
 */
export function readFullTestCsv(
  text: string,
  test: Plan,
  newId: () => string,
): { ok: true; taken: number; runs: number; targets: Target[] } | { ok: false; problems: CsvProblem[] } {
  const { head, rows } = readCsv(text, MOST_LINES, 'readings')
  const at = {
    target: columnOf(head, ...Object.keys(TARGET_HEADS)),
    way: columnOf(head, 'way'),
    run: columnOf(head, 'run'),
    reading: columnOf(head, ...Object.keys(READING_HEADS)),
  }
  if (Object.values(at).includes(-1))
    throw new CsvFileError(
      `Line 1 must name the columns targetMm (or targetIn), way, run and readingUm (or readingMm, readingThou, readingIn). Got ${head.cells.join(', ').slice(0, 120)}.`,
    )
  const mmPer = worth(TARGET_HEADS, head.cells[at.target])
  const umPer = worth(READING_HEADS, head.cells[at.reading])
  const problems: CsvProblem[] = []
  const lines = rows.flatMap(({ line, cells }): Line[] => {
    const wrong = (column: keyof typeof at, takes: string) => {
      problems.push(problemAt(line, at[column], head.cells[at[column]], cells[at[column]] ?? '', takes))
      return []
    }
    const target = figureIn(cells[at.target] ?? '')
    const reading = figureIn(cells[at.reading] ?? '')
    const run = figureIn(cells[at.run] ?? '')
    const way = WAY_OF[(cells[at.way] ?? '').toLowerCase() as keyof typeof WAY_OF]
    const { min, max } = TARGETS.of.targetMm
    if (target === null || target * mmPer < min || target * mmPer > max)
      return wrong('target', `a place of the slide from ${min} to ${max} mm`)
    if (way === undefined) return wrong('way', 'up or down')
    const most = FULL_TESTS.of.runs.max
    if (run === null || !Number.isInteger(run) || run < 1 || run > most)
      return wrong('run', `a whole number from 1 to ${most}`)
    if (reading === null || reading * umPer < READING.min || reading * umPer > READING.max)
      return wrong('reading', `a reading from ${READING.min / umPer} to ${READING.max / umPer}`)
    return [{ targetMm: target * mmPer, way, run: run - 1, readingUm: reading * umPer }]
  })
  if (problems.length > 0) return { ok: false, problems }
  if (lines.length === 0) throw new CsvFileError('The file has no readings.')
  return placed(lines, test, newId)
}

/** Puts the readings of a file at their places. @throws CsvFileError where one has none, or a run before it is missing */
function placed(lines: readonly Line[], test: Plan, newId: () => string) {
  const isFresh = test.targets.every(
    ({ positiveUm, negativeUm }) => positiveUm.length + negativeUm.length === 0,
  )
  const targets: Target[] = isFresh ? [] : structuredClone(test.targets)
  const targetAt = (targetMm: number): Target => {
    const known = targets.find(one => Math.abs(one.targetMm - targetMm) <= SAME_TARGET_MM)
    if (known) return known
    if (!isFresh)
      throw new CsvFileError(
        `The file has a reading at ${tidyFigure(targetMm)} mm, which is no target of this test: start another one for it. Nothing was taken.`,
      )
    if (targets.length === TARGETS.most)
      throw new CsvFileError(`The file has more than ${TARGETS.most} targets, takes ${TARGETS.most}.`)
    const fresh = blankRow(TARGETS, newId(), { targetMm })
    targets.push(fresh)
    return fresh
  }
  const seen = new Set<string>()
  for (const { targetMm, way, run, readingUm } of lines.toSorted((a, b) => a.run - b.run)) {
    const target = targetAt(targetMm)
    const place = `${target.id} ${way} ${run}`
    if (seen.has(place))
      throw new CsvFileError(
        `The file has run ${run + 1} going ${wayWord(way)} at ${tidyFigure(targetMm)} mm twice. Nothing was taken.`,
      )
    seen.add(place)
    if (run > target[way].length)
      throw new CsvFileError(
        `At ${tidyFigure(targetMm)} mm, going ${wayWord(way)}, the file has run ${run + 1} without run ${target[way].length + 1}. Nothing was taken.`,
      )
    target[way][run] = readingUm
  }
  const runs = Math.max(isFresh ? 2 : test.runs, ...lines.map(({ run }) => run + 1))
  return {
    ok: true as const,
    taken: lines.length,
    runs,
    targets: targets.toSorted((a, b) => a.targetMm - b.targetMm),
  }
}
