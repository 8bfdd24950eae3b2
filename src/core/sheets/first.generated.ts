// Written by scripts/sheets.mjs out of the folders of the sheets: do not change it here.

import { BLOCK_CHECKS } from './bearingBlock/check'
import { CHAIN_CHECKS } from './chain/check'
import { CONTROLLER_CHECKS } from './controller/check'
import { FASTENER_CHECKS } from './fasteners/check'
import { GREASE_CHECKS } from './grease/check'
import { HOLE_CHECKS } from './holes/check'
import { NUT_ROOM_CHECKS } from './nutRoom/check'
import { PARTS_CHECKS } from './parts/check'
import { STOPPING_CHECKS } from './stopping/check'
import { SWITCH_CHECKS } from './switches/check'
import { TRAVEL_CHECKS } from './travel/check'
import { fastenersOverlay } from './fasteners/overlay'
import { geometryOverlay } from './geometry/overlay'
import { nutRoomOverlay } from './nutRoom/overlay'
import { partsOverlay } from './parts/overlay'
import { stoppingOverlay } from './stopping/overlay'
import { switchesOverlay } from './switches/overlay'
import { travelOverlay } from './travel/overlay'
import type { LoadedSheets } from './sheet'

/** What is judged and drawn from the first screen of a job on. */
export const FIRST: LoadedSheets = {
  geometry: { overlay: geometryOverlay },
  parts: { checks: PARTS_CHECKS, checkIds: ['axis.lostMotion', 'axis.stallThrust', 'axis.unpoweredDrop', 'brake.bore', 'axis.positionBudget', 'axis.cutDeflection', 'drive.racking', 'axis.handwheel', 'screw.criticalSpeed', 'screw.buckling', 'screw.life', 'shaft.endStress', 'screw.pretension', 'coupler.torque', 'coupler.bores', 'coupler.misalignment', 'belt.pull', 'belt.motorShaft', 'belt.mesh', 'belt.bores', 'motor.torqueMargin', 'motor.inertiaRatio', 'motor.rmsTorque', 'motor.resonance', 'nut.speedValue', 'nut.staticSafety', 'nut.preload', 'bearing.preload', 'bearing.life', 'bearing.seat', 'nut.pressureSpeed'], overlay: partsOverlay },
  travel: { checks: TRAVEL_CHECKS, checkIds: ['room.travel', 'recess.fixed', 'recess.far'], overlay: travelOverlay },
  stopping: { checks: STOPPING_CHECKS, checkIds: ['stopping.fixed', 'stopping.far'], overlay: stoppingOverlay },
  nutRoom: { checks: NUT_ROOM_CHECKS, checkIds: ['room.section'], overlay: nutRoomOverlay },
  holes: { checks: HOLE_CHECKS, checkIds: ['room.holes'] },
  bearingBlock: { checks: BLOCK_CHECKS, checkIds: ['room.block'] },
  fasteners: { checks: FASTENER_CHECKS, checkIds: ['room.joints', 'joint.slip'], overlay: fastenersOverlay },
  chain: { checks: CHAIN_CHECKS, checkIds: ['room.chain'] },
  switches: { checks: SWITCH_CHECKS, checkIds: ['switches.fixed', 'switches.far', 'cable.chain'], overlay: switchesOverlay },
  grease: { checks: GREASE_CHECKS, checkIds: ['grease.access'] },
  controller: { checks: CONTROLLER_CHECKS, checkIds: ['controller.pulses', 'controller.measuredMove'] },
}
