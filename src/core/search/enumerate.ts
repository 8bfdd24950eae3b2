import {
  type DrivePoint,
  type Field,
  isWithin,
  paretoOf,
  pointOf,
  resultOf,
  type SearchResult,
} from './field'
import {
  assemble,
  bearingSuits,
  emptyAssembly,
  type Judged,
  judge,
  leastTorqueNm,
  pairBears,
  torqueAtNm,
} from './judge'

/**
 * Judges every drive that the parts of a field can make, each by itself.
 *
 * @param visit called with each that does not fail and is within what is given
 * @returns how many there are in all
 */
export function everyDrive(field: Field, visit: (point: DrivePoint) => void): number {
  const { demand, screws, bearings, links, motors } = field
  const assembly = emptyAssembly()
  const judged: Judged = { margin: 0, feasible: false, lostMotionUm: 0 }
  let count = 0
  for (const screw of screws)
    for (const bearing of bearings)
      for (const link of links)
        for (const motor of motors) {
          count++
          const suits = bearingSuits(demand, screw, bearing)
          const bears = pairBears(demand, link, motor, bearing.part.couplerSeatMm)
          if (suits === 0 || bears === 0) continue
          assemble(demand, screw, bearing, suits, link, assembly)
          const topNm = leastTorqueNm(motor, screw.topRpm * link.ratio)
          const cuttingNm = torqueAtNm(motor, screw.cuttingRpm * link.ratio)
          judge(demand, screw, bearing, link, motor, assembly, bears, topNm, cuttingNm, false, judged)
          if (!judged.feasible) continue
          const priceEur = assembly.priceEur + motor.priceEur
          if (isWithin(field, screw, bearing, link, motor, priceEur))
            visit(pointOf(field, screw, bearing, link, motor, priceEur, judged))
        }
  return count
}

/** The same set by judging every drive: what the search is tested and measured against. */
export function enumerateField(field: Field): SearchResult {
  const best = paretoOf(field)
  const count = everyDrive(field, point => best.offer(best.shelf(point.heightMm), point))
  return resultOf(field, best, count)
}
