import type { Axis } from '@/core/document/axis'
import type { PartOf } from '@/core/document/parts/types'

import { SECTION_SIDES } from '@/core/sheets/nutRoom/model'
import type { SectionAt } from '@/core/sheets/nutRoom/sections'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { SectionDrawing } from '@/stages/sheets/nutRoom/SectionDrawing'

interface Props {
  section: Axis['section']
  at: SectionAt
  screw: PartOf['screw']
  units: UnitSystem
}

/** A wall that is not measured is drawn this thick. */
const UNKNOWN_WALL_MM = 10

/** The casting around the nut at one place along the screw, to scale. */
export function SectionView({ section, at: { station, sides }, screw, units }: Props) {
  return (
    <SectionDrawing
      label={`Section ${say(station.positionMm, 'length', units, 1)} along the screw, to scale`}
      room={{
        leftMm: station.leftMm,
        rightMm: station.rightMm,
        ceilingMm: station.ceilingMm + section.spacersMm,
        floorMm: station.floorMm,
      }}
      walls={{
        leftMm: station.wallLeftMm ?? UNKNOWN_WALL_MM,
        rightMm: station.wallRightMm ?? UNKNOWN_WALL_MM,
        ceilingMm: station.wallCeilingMm ?? UNKNOWN_WALL_MM,
        floorMm: station.wallFloorMm ?? UNKNOWN_WALL_MM,
      }}
      screwMm={screw.nominalDiameterMm}
      nutMm={Math.max(screw.nutBodyDiameterMm, screw.nutFlangeDiameterMm)}
      bracket={{ widthMm: section.bracketWidthMm ?? 0, heightMm: section.bracketHeightMm ?? 0 }}
      protrusions={section.protrusions.flatMap(({ standsOutMm, ...one }) =>
        standsOutMm === null ? [] : [{ ...one, standsOutMm }],
      )}
      cuts={SECTION_SIDES.filter(side => sides[side].cutMm > 0 && sides[side].wallKnown).map(side => ({
        side,
        depthMm: sides[side].cutMm,
        fit: sides[side].verdict !== 'too-thin',
      }))}
    />
  )
}
