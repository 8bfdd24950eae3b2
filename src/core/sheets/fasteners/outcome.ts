import { driverCurrent } from '../../machine/commonRemedies'
import {
  fastenerChooseLength,
  fastenerEngagement,
  fastenerTorque,
  stockLengthWords,
} from '../../machine/joints/fastener'
import { judgedJoints, lacksScrews } from '../../machine/joints/joint'
import { jointSlip } from '../../machine/joints/slip'
import { keyWords, threadDrills } from '../../machine/joints/thread'
import { isUnified } from '../../machine/joints/threadTable'
import { say } from '../../units/print'
import { defineOutcome } from '../outcome'
import { dowelOrders } from './dowels'
import { dowels, larger, more, screws, stronger } from './remedies'

/** Metric drills are sold by tenths of a millimetre, those for unified threads by hundredths. */
const drillWords = (mm: number) => `${Math.round(mm * 100) / 100} mm`

/** Screws that hold, what is bought and drilled for them, and their sheet on paper. */
export const fastenersOutcome = defineOutcome({
  calculations: [fastenerEngagement, fastenerChooseLength, fastenerTorque, threadDrills, jointSlip],
  remedies: {
    'room.joints': [screws()],
    'joint.slip': [driverCurrent('down'), stronger, larger, more, dowels],
  },
  orders: ({ joints, drive }) => [
    ...dowelOrders(joints, drive.screws),
    ...judgedJoints(joints).flatMap(judged => {
      const { joint, chosenMm, drills } = judged
      const length = chosenMm === null ? '' : stockLengthWords(joint.thread, chosenMm)
      const name = `${joint.thread} x ${isUnified(joint.thread) ? length : chosenMm} ${joint.propertyClass}`
      const thread = joint.slotNuts
        ? {
            key: `nut:${keyWords(joint.thread)}`,
            what: `Slot nuts ${joint.thread}, with spares`,
            count: joint.count,
            neededBy: 'build' as const,
            sheetEur: null,
          }
        : {
            key: `tap:${keyWords(joint.thread)}`,
            what: `Tap ${joint.thread} and tap drill ${drillWords(drills.tapDrillMm)}`,
            count: 1,
            neededBy: 'room' as const,
            sheetEur: null,
          }
      if (!lacksScrews(judged)) return [thread]
      const bought = {
        key: `screw:${keyWords(name)}`,
        what: `Cap screws ${name}, with spares`,
        count: joint.count,
        neededBy: 'build' as const,
        sheetEur: null,
      }
      return [thread, bought]
    }),
  ],
  paper({ axis, units }) {
    const length = (mm: number) => say(mm, 'length', units)
    // Drills are sold by the millimetre: where the job is in inches both are said.
    const drill = (mm: number) => (units === 'mm' ? length(mm) : `${length(mm)} (${drillWords(mm)})`)
    return [
      {
        on: 'worksheet',
        title: 'Screws',
        empty: 'None noted.',
        rows: judgedJoints(axis.joints).map(({ joint, chosenMm, tight, drills }) => [
          joint.label,
          `${joint.count} × ${joint.thread} × ${chosenMm === null ? 'no length holds' : stockLengthWords(joint.thread, chosenMm)}`,
          `${joint.slotNuts ? 'slot nuts' : `tap drill ${drill(drills.tapDrillMm)}`}, hole ${drill(drills.clearanceHoleMm)}`,
          tight ? say(tight.torqueNm, 'torque', units, 1) : '',
        ]),
      },
    ]
  },
  report: ({ axis }) => judgedJoints(axis.joints),
})
