/** Standard acceleration of free fall. */
export const GRAVITY_M_PER_S2 = 9.80665
/** Steel: modulus of elasticity in N/mm2 (206 GPa). */
export const STEEL_E_MPA = 206_000
/** Steel: modulus of shear in N/mm2 (79.3 GPa). */
export const STEEL_G_MPA = 79_300
/** Steel: density. */
export const STEEL_DENSITY_KG_PER_M3 = 7850
/** Steel: expansion by temperature. */
export const STEEL_EXPANSION_PER_K = 11.7e-6

/** What rounding alone can make of a length. */
export const TOLERANCE_MM = 1e-9

export const radians = (deg: number): number => (deg * Math.PI) / 180
export const degrees = (rad: number): number => (rad * 180) / Math.PI
/** Area of a round section in mm2. */
export const roundAreaMm2 = (diameterMm: number): number => (Math.PI / 4) * diameterMm ** 2
