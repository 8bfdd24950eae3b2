import { ofAxes, onEachAxis, type Plain } from './plain'

// Version 2 to 3: limits that the builder has changed, parts of the builder's own, and what is made to fit.

const axisFromV2 = (axis: Plain): Plain => ({
  ...axis,
  limits: {},
  making: {
    section: {
      stations: [],
      bracketWidthMm: 0,
      bracketHeightMm: 0,
      protrusions: [],
      spacersMm: 0,
      minimumGapMm: 1.5,
      minimumWallMm: 6,
    },
    holes: [],
    block: null,
    joints: [],
    bracketHoles: [],
    chain: { links: [], lowerLimitMm: -0.05, upperLimitMm: 0.05 },
  },
})

const jobFromV2 = (job: Plain): Plain =>
  onEachAxis(axisFromV2)({
    ...job,
    ownParts: { screw: [], bearing: [], coupler: [], belt: [], motor: [] },
    shop: {
      cutterSizesMm: [16, 20, 25, 32, 40, 50, 60],
      shimStockMm: [0.02, 0.03, 0.05, 0.1, 0.2, 0.5],
    },
    orders: {},
  })

/** A job of version 2 with its history. */
export const fromV2 = ofAxes(jobFromV2, axisFromV2)
