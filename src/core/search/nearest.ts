import { type DrivePoint, type Field, pointOf } from './field'
import { assemble, emptyAssembly, type Judged, judge, knownSuits } from './judge'
import type { BearingLevel, MotorLevel, ScrewLevel } from './levels'
import { type LinkFigures, Links } from './pairs'
import { CUTTING_NM, MARGIN, Meetings, Rows, TOP_NM } from './profile'
import { byPart } from './search'

interface Held {
  screw: ScrewLevel
  bearing: BearingLevel
  suits: number
  mostMargin: number
}

/**
 * The drive of a field that comes nearest to holding, by its worst margin; a drive may fail.
 *
 * @returns null when no parts go together
 */
export function nearestOf(field: Field): DrivePoint | null {
  const { demand, bearings, motors } = field
  const joined = new Links(demand, field.links, { anyMass: true, whole: true })
  const meetings = new Meetings(demand)
  const row = new Rows().figures
  const assembly = emptyAssembly()
  const judged: Judged = { margin: 0, feasible: false, lostMotionUm: 0 }
  let nearest: DrivePoint | null = null
  const isNearer = (margin: number) => nearest === null || margin > nearest.margin

  const heldOf = (sames: ScrewLevel[]): Held[] =>
    sames
      .flatMap(screw =>
        bearings.flatMap(bearing => {
          const suits = knownSuits(demand, screw, bearing)
          if (suits === 0) return []
          return [{ screw, bearing, suits, mostMargin: Math.min(screw.margin, bearing.margin, suits) }]
        }),
      )
      .toSorted((a, b) => b.mostMargin - a.mostMargin)

  const parts = byPart(field.screws)
    .map(heldOf)
    .filter(held => held.length > 0)
    .toSorted((a, b) => (b[0] as Held).mostMargin - (a[0] as Held).mostMargin)
  for (const held of parts) {
    const [first, ...others] = held as [Held, ...Held[]]
    const meeting = meetings.of([first, ...others])
    const mayBeNearer = (link: LinkFigures, motor: MotorLevel) => {
      meeting.meet(link, motor, row, 0, true)
      return isNearer(row[MARGIN] as number)
    }
    for (const { screw, bearing, suits, mostMargin } of held) {
      if (!isNearer(mostMargin)) break
      for (const group of joined.fitting(bearing.part.couplerSeatMm))
        for (const motor of motors) {
          if (!group.mayTake(motor) || !mayBeNearer(group.best, motor)) continue
          for (const { link, bears } of group.pairsWith(motor)) {
            if (!isNearer(bears) || !mayBeNearer(link, motor)) continue
            const [topNm, cuttingNm] = [row[TOP_NM] as number, row[CUTTING_NM] as number]
            assemble(demand, screw, bearing, suits, link, assembly)
            if (!isNearer(assembly.margin)) continue
            judge(demand, screw, bearing, link, motor, assembly, bears, topNm, cuttingNm, true, judged)
            if (isNearer(judged.margin))
              nearest = pointOf(
                field,
                screw,
                bearing,
                link,
                motor,
                assembly.priceEur + motor.priceEur,
                judged,
              )
            // What holds in everything is kept out by a limit alone: nothing is nearer.
            if (judged.feasible && judged.margin >= 1) return nearest
          }
        }
    }
  }
  return nearest
}
