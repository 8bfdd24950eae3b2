import { printField } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'
import { quantityFacts } from '../../units/quantity'
import type { ReadingUnit } from '../../units/readingUnit'
import { printReading, readingUnit } from '../../units/readingUnit'
import { courseOf, wayWord } from './course'
import type { FullTest } from './model'

/**
 * The readings of a test as lines and columns, in the order in which the axis moved, for a spreadsheet.
 *
 * @returns the head and a line for each reading that was taken
 */
export function readingLines(test: FullTest, units: UnitSystem, typedIn: ReadingUnit): string[][] {
  const targets = new Map(test.targets.map(target => [target.id, target]))
  return [
    [`Target, ${quantityFacts('length')[units].unit}`, 'Way', 'Run', `Reading, ${readingUnit(typedIn).unit}`],
    ...courseOf(test).flatMap(({ targetId, targetMm, way, run }) => {
      const readingUm = targets.get(targetId)?.[way][run]
      return readingUm === undefined
        ? []
        : [
            [
              printField(targetMm, 'length', units),
              wayWord(way),
              String(run + 1),
              printReading(readingUm, typedIn),
            ],
          ]
    }),
  ]
}
