/** A work material: force per area for a chip of 1 mm by 1 mm, and how it grows as the chip thins. */
export interface Material {
  id: string
  name: string
  specificForceNPerMm2: number
  chipExponent: number
}

/** Values to start from; a particular alloy or a worn tool can be half as much again. */
export const MATERIALS: readonly Material[] = [
  { id: 'softwood', name: 'Softwood', specificForceNPerMm2: 18, chipExponent: 0.35 },
  { id: 'hardwood', name: 'Hardwood and plywood', specificForceNPerMm2: 35, chipExponent: 0.35 },
  { id: 'plastic', name: 'Engineering plastic', specificForceNPerMm2: 110, chipExponent: 0.2 },
  { id: 'aluminium', name: 'Aluminium alloy', specificForceNPerMm2: 700, chipExponent: 0.25 },
  { id: 'brass', name: 'Brass', specificForceNPerMm2: 780, chipExponent: 0.18 },
  { id: 'bronze', name: 'Bronze', specificForceNPerMm2: 1050, chipExponent: 0.2 },
  { id: 'cast-iron', name: 'Grey cast iron', specificForceNPerMm2: 1150, chipExponent: 0.25 },
  { id: 'mild-steel', name: 'Mild steel', specificForceNPerMm2: 1800, chipExponent: 0.25 },
  { id: 'tough-steel', name: 'Tempered steel', specificForceNPerMm2: 2200, chipExponent: 0.25 },
  { id: 'stainless', name: 'Stainless steel', specificForceNPerMm2: 2350, chipExponent: 0.22 },
]
