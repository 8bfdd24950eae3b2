import { fastenerChooseLength, fastenerEngagement, fastenerTorque } from '../../machine/joints/fastener'
import { judgeJoint, lacksScrews } from '../../machine/joints/joint'
import { JOINTS } from '../../machine/joints/model'
import { threadDrills } from '../../machine/joints/thread'
import { say } from '../../units/print'
import { defineSheet } from '../sheet'
import { FASTENER_CHECKS } from './check'
import { screws } from './remedies'

/** The screws of every joint: which length, which drills, how tight. */
export const fasteners = defineSheet({
  id: 'fasteners',
  stage: 'room',
  title: 'Screws',
  fields: { joints: JOINTS },
  calculations: [fastenerEngagement, fastenerChooseLength, fastenerTorque, threadDrills],
  checks: FASTENER_CHECKS,
  remedies: { 'room.joints': [screws()] },
  orders: ({ joints }) =>
    joints.flatMap(joint => {
      const judged = judgeJoint(joint)
      const { chosenMm, drills } = judged
      const name = `${joint.thread} x ${chosenMm} ${joint.propertyClass}`
      const thread = joint.slotNuts
        ? {
            key: `nut:${joint.thread}`,
            what: `Slot nuts ${joint.thread}, with spares`,
            count: joint.count,
            neededBy: 'build' as const,
            sheetEur: null,
          }
        : {
            key: `tap:${joint.thread}`,
            what: `Tap ${joint.thread} and tap drill ${drills.tapDrillMm.toFixed(1)} mm`,
            count: 1,
            neededBy: 'room' as const,
            sheetEur: null,
          }
      if (!lacksScrews(judged)) return [thread]
      const bought = {
        key: `screw:${name}`,
        what: `Cap screws ${name}, with spares`,
        count: joint.count,
        neededBy: 'build' as const,
        sheetEur: null,
      }
      return [thread, bought]
    }),
  paper({ axis, units }) {
    const length = (mm: number) => say(mm, 'length', units)
    // Drills are sold by the millimetre: where the job is in inches both are said.
    const drill = (mm: number) => (units === 'mm' ? length(mm) : `${length(mm)} (${mm.toFixed(1)} mm)`)
    return [
      {
        on: 'worksheet',
        title: 'Screws',
        empty: 'None noted.',
        rows: axis.joints
          .map(judgeJoint)
          .map(({ joint, chosenMm, tight, drills }) => [
            joint.label,
            `${joint.count} × ${joint.thread} × ${chosenMm ?? 'no length holds'}`,
            `${joint.slotNuts ? 'slot nuts' : `tap drill ${drill(drills.tapDrillMm)}`}, hole ${drill(drills.clearanceHoleMm)}`,
            tight ? say(tight.torqueNm, 'torque', units, 1) : '',
          ]),
      },
    ]
  },
  report: ({ axis }) => axis.joints.map(judgeJoint),
})
