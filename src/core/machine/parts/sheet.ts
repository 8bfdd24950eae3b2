import type { PartKind } from '../../document/kinds'

import type { PartOf } from '../../document/parts/types'
import type { QuantityKind } from '../../units/quantity'

/** A line of a part's sheet: a figure in base units, or words. */
export type SheetRow = { label: string } & (
  | { value: number; quantity: QuantityKind; unit?: string }
  | { text: string }
)

const length = (label: string, value: number): SheetRow => ({ label, value, quantity: 'length' })
const force = (label: string, value: number): SheetRow => ({ label, value, quantity: 'force' })
const torque = (label: string, value: number): SheetRow => ({ label, value, quantity: 'torque' })
const plain = (label: string, value: number, unit: string): SheetRow => ({
  label,
  value,
  quantity: 'ratio',
  unit,
})

const SHEETS: { [K in PartKind]: (part: PartOf[K]) => SheetRow[] } = {
  screw: screw => [
    length('Diameter', screw.nominalDiameterMm),
    length('Root diameter', screw.rootDiameterMm),
    length('Lead', screw.leadMm),
    screw.dynamicCapacityN === null
      ? { label: 'Dynamic capacity', text: 'none: it slides' }
      : force('Dynamic capacity', screw.dynamicCapacityN),
    force('Static capacity', screw.staticCapacityN),
    screw.preloadN > 0
      ? force('Preload as delivered', screw.preloadN)
      : { label: 'Play as delivered', value: screw.nutPlayUm, quantity: 'smallLength' },
    length('Nut body', screw.nutBodyLengthMm),
    length('Nut flange', screw.nutFlangeDiameterMm),
    { label: 'Accuracy class', text: screw.toleranceClass },
  ],
  bearing: bearing => [
    { label: 'Arrangement', text: bearing.arrangement },
    length('Bore', bearing.boreMm),
    length('Seat for the coupler', bearing.couplerSeatMm),
    { label: 'Contact angle', value: bearing.contactAngleDeg, quantity: 'angle' },
    force('Preload', bearing.preloadN),
    { label: 'Play along the screw', value: bearing.axialPlayUm, quantity: 'smallLength' },
    torque('Drag', bearing.dragTorqueNm),
    length('Block length', bearing.blockLengthMm),
    force('Dynamic capacity', bearing.dynamicCapacityN),
    force('Static capacity along the screw', bearing.staticCapacityN),
    ...(bearing.f0 === null ? [] : [plain('Factor f0', bearing.f0, '')]),
  ],
  coupler: coupler => [
    { label: 'Type', text: `${coupler.type}, ${coupler.hub} hubs` },
    torque('Rated torque', coupler.ratedTorqueNm),
    plain('Service factor', coupler.serviceFactor, ''),
    plain('Stiffness', coupler.torsionalStiffnessNmPerRad, 'N·m/rad'),
    { label: 'Backlash', value: coupler.backlashDeg, quantity: 'angle' },
    length('Smallest bore', coupler.smallestBoreMm),
    length('Largest bore', coupler.largestBoreMm),
    length('Length', coupler.lengthMm),
  ],
  belt: belt => [
    { label: 'Teeth', text: `${belt.teethMotor} on the motor, ${belt.teethScrew} on the screw` },
    length('Pitch', belt.pitchMm),
    length('Width', belt.widthMm),
    force('Rated pull', belt.ratedPullN),
    { label: 'Play of the teeth', value: belt.toothPlayUm, quantity: 'smallLength' },
    length('Largest bore, motor pulley', belt.largestBoreMm),
    length('Largest bore, screw pulley', belt.largestScrewBoreMm),
  ],
  motor: motor => [
    { label: 'Control', text: motor.loop === 'open' ? 'open loop' : 'closed loop' },
    torque('Greatest torque', motor.holdingTorqueNm),
    plain('Current', motor.driveCurrentA, 'A'),
    plain('Supply', motor.supplyV, 'V'),
    length('Shaft', motor.shaftMm),
    length('Frame', motor.frameMm),
    length('Body length', motor.lengthMm),
    ...(motor.continuousTorqueNm === null ? [] : [torque('Torque all day', motor.continuousTorqueNm)]),
  ],
  brake: brake => [
    torque('Holds without current', brake.holdingTorqueNm),
    length('Smallest bore', brake.smallestBoreMm),
    length('Largest bore', brake.largestBoreMm),
    length('Length', brake.lengthMm),
  ],
}

/** The lines of a part's sheet, as the maker would print them. */
export const partSheet = <K extends PartKind>(kind: K, part: PartOf[K]): SheetRow[] => SHEETS[kind](part)
