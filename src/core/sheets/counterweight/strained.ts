import { defineStrained } from '../shared/strained/strained'

export const COUNTERWEIGHT_STRAINED = defineStrained({
  states: { 'room.counterweight': ['holds', 'close', 'fails'] },
  strain: (_, by) => ({
    counterweight: {
      wayLengthMm: 300,
      beyondFixedMm: 150 * by.by,
      beyondFarMm: 40 * by.by,
      weightArmMm: 300,
      weightKg: 10 * by.heights,
    },
  }),
})
