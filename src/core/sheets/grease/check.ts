import { defineChecks } from '../../evaluation/check'
import { NO_FIGURES } from '../../evaluation/measures'
import { NotKnown } from '../../evaluation/notKnown'

export const GREASE_CHECKS = defineChecks({
  'grease.access': {
    title: 'Grease points',
    subject: 'nut',
    judge(t) {
      const { lubePoints } = t.axis
      if (lubePoints.length === 0) return null
      const shut = lubePoints.find(({ access }) => access === 'none')
      if (shut)
        return {
          ...NO_FIGURES,
          state: 'fails',
          sentence: () =>
            `${shut.what} cannot be reached once everything is together: give it a fitting or a hole before assembly.`,
        }
      const open = lubePoints.find(({ access }) => access === null)
      if (open)
        throw new NotKnown({
          sheet: 'grease',
          stage: 'build',
          what: `how ${open.what.toLowerCase()} is reached when it is together`,
        })
      return {
        ...NO_FIGURES,
        state: 'holds',
        sentence: () => `All ${lubePoints.length} points are reached when the axis is together.`,
      }
    },
  },
})
