import type { DrawOverlay } from '../sheet'

/** A block that would creep, beside it. */
export const fastenersOverlay: DrawOverlay = ({ findings }) => {
  const found = findings.find(({ checkId }) => checkId === 'joint.slip')
  return found && found.state !== 'holds'
    ? { marks: [{ part: 'bearing', state: found.state, text: found.title }] }
    : {}
}
