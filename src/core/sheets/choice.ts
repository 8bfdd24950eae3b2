import type { DriveSizeKey, GoalKey, RoomKey } from '../document/dimensions'
import type { Axis, PartKind } from '../document/job'
import type { ScrewEnds } from '../machine/sizing/screw'
import type { BoltedJoint, Section, SectionField } from './making'
import { judgeJoint } from './makingInputs'
import type { SectionSide } from './nutRoom/calculation'

/** One change of a free choice, as data: what a way out applies. */
export type Choice =
  | { kind: 'part'; part: PartKind; partId: string }
  | { kind: 'ends'; ends: ScrewEnds }
  | { kind: 'goal'; goal: GoalKey; value: number }
  | { kind: 'room'; room: RoomKey; value: number }
  | { kind: 'preload'; preloadN: number }
  | { kind: 'driveSize'; size: DriveSizeKey; value: number }
  | { kind: 'counterbalance'; counterbalanceN: number }
  | { kind: 'section'; field: SectionField; value: number }
  | { kind: 'fitting'; index: number; side: SectionSide }
  | { kind: 'spacer'; outerSpacerMm: number }
  | { kind: 'screws' }

/** The axis with a choice made; the axis given stays as it was. */
export function withChoice(axis: Axis, choice: Choice): Axis {
  switch (choice.kind) {
    case 'part':
      return {
        ...axis,
        parts: { ...axis.parts, [choice.part]: choice.partId },
        preloadN: choice.part === 'screw' ? null : axis.preloadN,
      }
    case 'ends':
      return { ...axis, ends: choice.ends }
    case 'goal':
      return { ...axis, goals: { ...axis.goals, [choice.goal]: choice.value } }
    case 'room':
      return { ...axis, room: { ...axis.room, [choice.room]: choice.value } }
    case 'preload':
      return { ...axis, preloadN: choice.preloadN }
    case 'driveSize':
      return { ...axis, driveSizes: { ...axis.driveSizes, [choice.size]: choice.value } }
    case 'section':
      return withSection(axis, { [choice.field]: choice.value })
    case 'fitting':
      return withSection(axis, {
        protrusions: axis.making.section.protrusions.map((one, index) =>
          index === choice.index ? { ...one, side: choice.side } : one,
        ),
      })
    case 'spacer': {
      const { block } = axis.making
      if (!block) return axis
      return { ...axis, making: { ...axis.making, block: { ...block, outerSpacerMm: choice.outerSpacerMm } } }
    }
    case 'screws':
      return { ...axis, making: { ...axis.making, joints: axis.making.joints.map(withRightScrews) } }
    case 'counterbalance': {
      const counterbalanceN = { value: choice.counterbalanceN, provenance: 'assumed' as const }
      return { ...axis, dimensions: { ...axis.dimensions, counterbalanceN } }
    }
  }
}

const withSection = (axis: Axis, change: Partial<Section>): Axis => ({
  ...axis,
  making: { ...axis.making, section: { ...axis.making.section, ...change } },
})

/** A joint with the screws that hold in it, in place of those that came with the part. */
function withRightScrews(joint: BoltedJoint): BoltedJoint {
  const { chosenMm } = judgeJoint(joint)
  return joint.suppliedMm === null || chosenMm === null ? joint : { ...joint, suppliedMm: chosenMm }
}
