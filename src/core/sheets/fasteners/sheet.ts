import { JOINTS } from '../../machine/joints/model'
import { defineSheet } from '../sheet'
import { FASTENER_CHECKS, LIMITS } from './check'

/** The screws of every joint: which length, which drills, how tight. */
export const fasteners = defineSheet({
  id: 'fasteners',
  stage: 'room',
  title: 'Screws',
  fields: { joints: JOINTS },
  checks: FASTENER_CHECKS,
  limits: LIMITS,
  /** A block that would creep, beside it. */
  overlay({ findings }) {
    const found = findings.find(({ checkId }) => checkId === 'joint.slip')
    return found && found.state !== 'holds'
      ? { marks: [{ part: 'bearing', state: found.state, text: found.title }] }
      : {}
  },
})
