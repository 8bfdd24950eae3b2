import type { Axis } from '../../document/axis'
import { turnsNut } from '../../document/axis'
import type { Catalogue, PartOf } from '../../document/parts/types'
import { farBoreMm, fixedEnds, hasPlainFarEnd, locknutPitchMm } from '../../machine/drive/ends'
import { FAR_END_SHARE } from '../../machine/drive/price'
import { neededParts } from '../../machine/neededParts'
import { saySold } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'
import type { OrderItem } from '../shared/orders/orderItem'
import { counterbalanceOrders } from '../shared/steps/counterbalance'

type Item = Omit<OrderItem, 'axes'>

/** What a supply must give beyond what its motors draw at once: not all stand at their full current. */
const SUPPLY_SHARE = 0.7

/**
 * What the drive of an axis is bought as: every part as often as it is built in, with bearings and locknuts at each end
 * that takes them, and what a motor needs to turn. What has a price adds up to the price of the drive.
 */
export function driveOrders(axis: Axis, catalogue: Catalogue, units: UnitSystem): Item[] {
  const { screws } = axis.drive
  const item = (key: string, what: string, count: number, sheetEur: number | null = null): Item => ({
    key,
    what,
    count,
    neededBy: 'build',
    sheetEur,
  })
  const parts = [...neededParts(axis), 'brake' as const].flatMap(kind => {
    const part = catalogue[kind].get(axis.parts[kind] ?? '')
    const each = kind === 'bearing' && !turnsNut(axis.drive) ? fixedEnds(axis.ends) : 1
    return part ? [item(`part:${part.id}`, part.name, screws * each, part.priceEur)] : []
  })
  const motor = catalogue.motor.get(axis.parts.motor ?? '')
  return [
    ...parts,
    ...bearingOrders(axis, catalogue, item, units),
    ...(motor ? motorOrders(motor, axis, item) : []),
    ...(catalogue.brake.has(axis.parts.brake ?? '')
      ? [
          item(
            'supply:brake',
            'Supply for the brake, as its sheet says, with a relay and a diode or varistor for its coil',
            screws,
          ),
          item('cable:brake', 'Brake cable with its connectors', screws),
        ]
      : []),
    ...counterbalanceOrders(axis).map(({ key, what, count }) => item(key, what, count)),
    ...(axis.ends === 'fixed-fixed' && !turnsNut(axis.drive)
      ? [
          item(
            `ring:${bearingOf(axis, catalogue)}`,
            'Ring to be ground, between shoulder and inner ring of the far end: it sets the stretch of the screw',
            screws,
          ),
        ]
      : []),
  ]
}

/** The bore of the bearings, in the words of an order key. */
const bearingOf = (axis: Axis, catalogue: Catalogue) =>
  catalogue.bearing.get(axis.parts.bearing ?? '')?.boreMm ?? 'bore open'

type Make = (key: string, what: string, count: number, sheetEur?: number | null) => Item

/** The plain bearing of a far end, by name, and a locknut for every end that takes thrust. */
function bearingOrders(axis: Axis, catalogue: Catalogue, item: Make, units: UnitSystem): Item[] {
  const bearing = catalogue.bearing.get(axis.parts.bearing ?? '')
  if (!bearing) return []
  const { screws } = axis.drive
  const screw = catalogue.screw.get(axis.parts.screw ?? '')
  const boreMm = screw ? farBoreMm(screw.rootDiameterMm, bearing.boreMm) : bearing.boreMm
  const nut = `M${bearing.boreMm} x ${locknutPitchMm(bearing.boreMm)}`
  if (turnsNut(axis.drive)) {
    const ends = axis.ends === 'fixed-free' ? 1 : 2
    return [
      item('clamp:screw', 'Block that clamps an end of the screw, with its key', screws * ends),
      item(`locknut:${nut}`, `Locknut ${nut} of the bearings that the nut turns in`, screws),
    ]
  }
  return [
    ...(hasPlainFarEnd(axis.ends)
      ? [
          item(
            `far:${boreMm}`,
            `Deep-groove bearing with its block for the far end, bore ${saySold(boreMm, units)}`,
            screws,
            bearing.priceEur * FAR_END_SHARE[axis.ends],
          ),
        ]
      : []),
    item(`locknut:${nut}`, `Locknut ${nut}, hardened, with set screw`, screws * fixedEnds(axis.ends)),
  ]
}

/** A mount, a driver and a share of a supply for every motor, and what stops the axis. */
function motorOrders(motor: PartOf['motor'], { drive }: Axis, item: Make): Item[] {
  const { frameMm, driveCurrentA, supplyV, continuousTorqueNm } = motor
  const count = drive.screws
  const servo = continuousTorqueNm !== null
  const ampere = Math.ceil(SUPPLY_SHARE * driveCurrentA * 10) / 10
  return [
    item(`mount:${frameMm}`, `Motor mount for a frame of ${frameMm} mm`, count),
    item(
      `driver:${driveCurrentA}-${supplyV}`,
      `${servo ? 'Servo driver' : 'Driver'}, ${driveCurrentA} A at ${supplyV} V`,
      count,
    ),
    servo
      ? item(`supply:${supplyV}`, `Mains feed ${supplyV} V for the servo driver: for licensed people`, count)
      : item(`supply:${supplyV}-${ampere}`, `Supply ${supplyV} V, ${ampere} A for each motor`, count),
    item('switch:limit', 'Limit and home switches', 2 * count),
    item(`cable:${servo ? 'servo' : 'motor'}`, 'Motor cable, shielded, with its connectors', count),
    item('cable:switch', 'Switch cable with its connectors', 2 * count),
  ]
}
