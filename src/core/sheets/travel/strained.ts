import { defineStrained } from '../shared/strained/strained'

export const TRAVEL_STRAINED = defineStrained({
  states: {
    'room.travel': ['holds', 'close', 'fails'],
    'recess.fixed': ['holds', 'fails'],
    'recess.far': ['holds', 'fails'],
  },
  strain: (axis, by) => ({
    nutFacing: by.nutFacing,
    goals: {
      ...axis.goals,
      wantedTravelMm: axis.goals.wantedTravelMm * by.travel,
      topSpeedMmPerMin: axis.goals.topSpeedMmPerMin * by.speed,
    },
    recesses: { ...axis.recesses, recessFixedMm: by.recessFixedMm, recessFarMm: by.recessMm },
    recessMetal: { fixedMm: 14 * by.metal, farMm: 20 * by.metal },
  }),
})
