import type { DrawOverlay } from '../sheet'

/** A table that would not stay down, at its way. */
export const counterweightOverlay: DrawOverlay = ({ findings }) => {
  const found = findings.find(({ checkId }) => checkId === 'room.counterweight')
  return found && found.state !== 'holds'
    ? { marks: [{ part: 'way', state: found.state, text: found.title }] }
    : {}
}
