import { calculation } from '../../calculation/calculation'
import { choice, length as lengthField } from '../../field/field'

const length = (label: string, symbol: string) => lengthField(label, { min: 0 }, { symbol })

/**
 * Travel that a screw, its nut and its blocks leave of what the ways allow.
 *
 * @example travelBudget({ supportSpanMm: 470.4, nutAheadMm: 37.7, nutBehindMm: 65.6, recessFixedMm: 0,
 *   recessFarMm: 0, safetyFixedMm: 11.4, safetyFarMm: 11.7, wayTravelMm: 315 }).screwTravelMm // 344
 */
export const travelBudget = calculation({
  id: 'travel.budget',
  title: 'Travel that is left',
  formula:
    'ss = S + rf + rr - a - b - cf - cr; s = max(0, min(ss, sw)); lost = sw - s; recess = max(0, sw - ss)',
  source: 'Lengths along the screw, from the fixed block to the far block',
  validity: 'The nut reaches a towards the far end and b towards the fixed end of its bracket face',
  inputs: {
    supportSpanMm: lengthField('between the inner faces of the blocks', { over: 0 }, { symbol: 'S' }),
    nutAheadMm: length('nut towards the far end', 'a'),
    nutBehindMm: length('nut towards the fixed end', 'b'),
    recessFixedMm: length('recess at the fixed end', 'rf'),
    recessFarMm: length('recess at the far end', 'rr'),
    safetyFixedMm: length('kept clear at the fixed end', 'cf'),
    safetyFarMm: length('kept clear at the far end', 'cr'),
    wayTravelMm: length('travel that the ways allow', 'sw'),
  },
  outputs: {
    screwTravelMm: lengthField('travel that the screw allows', {}, { symbol: 'ss' }),
    travelMm: lengthField('travel left', {}, { symbol: 's' }),
    lostMm: lengthField('travel lost', {}, { symbol: 'lost' }),
    recessNeededMm: lengthField('recess that brings it all back', {}, { symbol: 'recess' }),
    limitedBy: choice('what limits it', ['screw', 'ways'] as const),
  },
  compute(inputs) {
    const screwTravelMm =
      inputs.supportSpanMm +
      inputs.recessFixedMm +
      inputs.recessFarMm -
      inputs.nutAheadMm -
      inputs.nutBehindMm -
      inputs.safetyFixedMm -
      inputs.safetyFarMm
    const travelMm = Math.max(0, Math.min(screwTravelMm, inputs.wayTravelMm))
    return {
      screwTravelMm,
      travelMm,
      lostMm: inputs.wayTravelMm - travelMm,
      recessNeededMm: Math.max(0, inputs.wayTravelMm - screwTravelMm),
      limitedBy: screwTravelMm < inputs.wayTravelMm ? 'screw' : 'ways',
    }
  },
})
