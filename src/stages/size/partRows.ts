import type { Axis, PartKind } from '@/core/job/types'
import type { PartOf } from '@/core/sizing/parts'
import { CATALOGUE } from '@/core/sizing/parts'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { evaluateAxis } from '@/core/verdicts/evaluateAxis'
import { STATES, type State } from '@/core/verdicts/finding'
import { withChoice } from '@/core/verdicts/waysOut'

/** One part as a row of the choosing table, judged as if it were taken. */
export interface PartRow {
  id: string
  name: string
  maker: string
  priceEur: number
  /** The two figures that tell parts of this kind apart. */
  first: { text: string; value: number }
  second: { text: string; value: number }
  /** Worst state of the drive with this part, and how many verdicts are so. */
  worst: State
  worstCount: number
  worstTitles: string
}

type Figure = { text: string; value: number }
const COLUMNS: {
  [K in PartKind]: {
    heads: [string, string]
    figures: (part: PartOf[K], units: UnitSystem) => [Figure, Figure]
  }
} = {
  screw: {
    heads: ['Lead', 'Nut length'],
    figures: (part, units) => [length(part.leadMm, units), length(part.nutBodyLengthMm, units)],
  },
  bearing: {
    heads: ['Bore', 'Preload'],
    figures: (part, units) => [
      length(part.boreMm, units),
      { text: say(part.preloadN, 'force', units), value: part.preloadN },
    ],
  },
  coupler: {
    heads: ['Rated', 'Bores'],
    figures: (part, units) => [
      { text: say(part.ratedTorqueNm, 'torque', units), value: part.ratedTorqueNm },
      {
        text: `${say(part.smallestBoreMm, 'length', units)} – ${say(part.largestBoreMm, 'length', units)}`,
        value: part.largestBoreMm,
      },
    ],
  },
  belt: {
    heads: ['Teeth', 'Rated pull'],
    figures: (part, units) => [
      { text: `${part.teethMotor} : ${part.teethScrew}`, value: part.teethScrew / part.teethMotor },
      { text: say(part.ratedPullN, 'force', units), value: part.ratedPullN },
    ],
  },
  motor: {
    heads: ['Torque', 'Shaft'],
    figures: (part, units) => [
      { text: say(part.holdingTorqueNm, 'torque', units), value: part.holdingTorqueNm },
      length(part.shaftMm, units),
    ],
  },
}
const length = (mm: number, units: UnitSystem): Figure => ({ text: say(mm, 'length', units), value: mm })

/** Heads of the two columns in which parts of a kind differ most. */
export const columnHeads = (kind: PartKind) => COLUMNS[kind].heads

/** Every part of a kind, each judged as if the axis had it. */
export function partRows<K extends PartKind>(axis: Axis, kind: K, units: UnitSystem): PartRow[] {
  const figures = COLUMNS[kind].figures as (part: PartOf[K], units: UnitSystem) => [Figure, Figure]
  return [...(CATALOGUE[kind] as ReadonlyMap<string, PartOf[K]>).values()].map(part => {
    const judged = evaluateAxis(
      withChoice(axis, { kind: 'part', part: kind, partId: part.id }),
      CATALOGUE,
      units,
    )
    const drive = judged.findings.filter(({ stage }) => stage === 'size' || stage === 'room')
    const worst = STATES.find(state => drive.some(finding => finding.state === state)) ?? 'unknown'
    const worstOnes = drive.filter(({ state }) => state === worst)
    const [first, second] = figures(part, units)
    const { id, name, maker, priceEur } = part
    return {
      id,
      name,
      maker,
      priceEur,
      first,
      second,
      worst,
      worstCount: worstOnes.length,
      worstTitles: worstOnes.map(({ title }) => title).join(', '),
    }
  })
}
