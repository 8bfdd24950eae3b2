import { STEEL_DENSITY_KG_PER_M3 } from '../../calculation/constants'
import type { PartKind } from '../../document/kinds'
import type { BarePart, PartOf } from '../../document/parts/types'

const STEEL_KG_PER_MM3 = STEEL_DENSITY_KG_PER_M3 / 1e9
const ALUMINIUM_KG_PER_MM3 = 2.7e-6
/** Copper, iron and air in the shape of a motor's frame. */
const STEPPER_KG_PER_MM3 = 4.4e-6
const SERVO_KG_PER_MM3 = 3.6e-6
/** What is left of a bearing block once it is bored. */
const BLOCK_SHARE = 0.7

const discMm3 = (diameterMm: number, lengthMm: number) => (Math.PI / 4) * diameterMm ** 2 * lengthMm

/** How heavy an invented part is, by its shape. */
const MASS_KG: { [K in PartKind]: (part: BarePart<K>) => number } = {
  screw: nut =>
    STEEL_KG_PER_MM3 *
    (discMm3(nut.nutBodyDiameterMm, nut.nutBodyLengthMm) +
      discMm3(nut.nutFlangeDiameterMm, nut.nutFlangeThicknessMm) -
      discMm3(nut.nominalDiameterMm, nut.nutBodyLengthMm + nut.nutFlangeThicknessMm)),
  bearing: ({ blockHeightMm, blockLengthMm }) =>
    BLOCK_SHARE * STEEL_KG_PER_MM3 * blockHeightMm ** 2 * blockLengthMm,
  coupler: ({ diameterMm, lengthMm }) => ALUMINIUM_KG_PER_MM3 * discMm3(diameterMm, lengthMm),
  belt: ({ pitchMm, teethMotor, teethScrew, widthMm }) =>
    ALUMINIUM_KG_PER_MM3 *
    (discMm3((pitchMm * teethMotor) / Math.PI, widthMm + 8) +
      discMm3((pitchMm * teethScrew) / Math.PI, widthMm + 8)),
  motor: ({ frameMm, lengthMm, continuousTorqueNm }) =>
    (continuousTorqueNm === null ? STEPPER_KG_PER_MM3 : SERVO_KG_PER_MM3) * frameMm ** 2 * lengthMm,
  brake: ({ largestBoreMm, lengthMm }) => STEEL_KG_PER_MM3 * discMm3(2.5 * largestBoreMm, lengthMm),
}

/** In how many days the invented makers send. */
const LEAD_DAYS: Readonly<Record<string, number>> = {
  'Brackwater Screw': 21,
  'Fennick Drives': 4,
  'Morrow Motion': 6,
  'Orle Precision': 12,
  'Quern Linear': 9,
  'Sallow Bearings': 5,
  'Tollard Bearings': 8,
}

const rounded = (massKg: number) => Math.max(0.001, Math.round(massKg * 1000) / 1000)

/** The parts that ship with the app, with what is of use when they are ordered; none of them lies on anybody's shelf. */
export const shipped = <K extends PartKind>(
  kind: K,
  parts: readonly (BarePart<K> & { maker: string })[],
): PartOf[K][] =>
  parts.map(part => {
    const facts = {
      massKg: rounded(MASS_KG[kind](part)),
      leadDays: LEAD_DAYS[part.maker] ?? null,
      stock: null,
    }
    return { ...part, ...facts } as unknown as PartOf[K]
  })
