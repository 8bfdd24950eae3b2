import { defineStrained, times } from '../shared/strained/strained'

export const FASTENER_STRAINED = defineStrained({
  states: {
    'room.joints': ['holds', 'close', 'fails'],
    'joint.slip': ['holds', 'close', 'fails'],
  },
  strain: (axis, by) => ({
    joints: axis.joints.map(joint => ({
      ...joint,
      threadDepthMm: times(joint.threadDepthMm, by.thread),
      count: joint.count === null ? null : Math.max(1, Math.round(joint.count * by.grip)),
    })),
  }),
})
