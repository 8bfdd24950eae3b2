// Written by scripts/sheets.mjs out of the folders of the sheets: do not change it here.

import { acceptance } from './acceptance'
import { bearingBlock } from './bearingBlock'
import { beforeAfter } from './beforeAfter'
import { breaksFirst } from './breaksFirst'
import { chain } from './chain'
import { circle } from './circle'
import { compensation } from './compensation'
import { controller } from './controller'
import { counterweight } from './counterweight'
import { cuts } from './cuts'
import { drag } from './drag'
import { drive } from './drive'
import { duty } from './duty'
import { fasteners } from './fasteners'
import { figures } from './figures'
import { findFault } from './findFault'
import { flange } from './flange'
import { fullTest } from './fullTest'
import { geometry } from './geometry'
import { gib } from './gib'
import { goals } from './goals'
import { grease } from './grease'
import { holes } from './holes'
import { hours } from './hours'
import { inWords } from './inWords'
import { leadscrewEnds } from './leadscrewEnds'
import { loads } from './loads'
import { log } from './log'
import { lostMotion } from './lostMotion'
import { lostSteps } from './lostSteps'
import { machineRecord } from './machineRecord'
import { nutRoom } from './nutRoom'
import { oneTurn } from './oneTurn'
import { orders } from './orders'
import { overhang } from './overhang'
import { overview } from './overview'
import { ownParts } from './ownParts'
import { parts } from './parts'
import { playTrend } from './playTrend'
import { preload } from './preload'
import { pushPull } from './pushPull'
import { rails } from './rails'
import { reversal } from './reversal'
import { runOut } from './runOut'
import { scale } from './scale'
import { schedule } from './schedule'
import { schools } from './schools'
import { screwLine } from './screwLine'
import { search } from './search'
import { shafts } from './shafts'
import { slowFast } from './slowFast'
import { square } from './square'
import { steps } from './steps'
import { stopping } from './stopping'
import { switches } from './switches'
import { teardown } from './teardown'
import { template } from './template'
import { toMeasure } from './toMeasure'
import { travel } from './travel'
import { uncertainty } from './uncertainty'
import { upkeep } from './upkeep'
import { waysFriction } from './waysFriction'
import { whereLost } from './whereLost'
import { zeroTime } from './zeroTime'

/** Every sheet, in the order of the work. */
export const LISTED = [
  overview,
  schedule,
  hours,
  orders,
  ownParts,
  acceptance,
  upkeep,
  machineRecord,
  geometry,
  loads,
  goals,
  toMeasure,
  inWords,
  search,
  drive,
  parts,
  schools,
  duty,
  breaksFirst,
  figures,
  lostMotion,
  travel,
  stopping,
  nutRoom,
  holes,
  cuts,
  bearingBlock,
  leadscrewEnds,
  template,
  fasteners,
  chain,
  counterweight,
  steps,
  teardown,
  switches,
  grease,
  controller,
  screwLine,
  preload,
  shafts,
  drag,
  flange,
  runOut,
  gib,
  rails,
  square,
  overhang,
  waysFriction,
  reversal,
  fullTest,
  zeroTime,
  beforeAfter,
  playTrend,
  slowFast,
  pushPull,
  whereLost,
  lostSteps,
  circle,
  scale,
  oneTurn,
  uncertainty,
  findFault,
  compensation,
  log,
] as const

declare module '../evaluation/ids' {
  /** Every sheet. */
  interface SheetIds {
    overview: true
    schedule: true
    hours: true
    orders: true
    ownParts: true
    acceptance: true
    upkeep: true
    machineRecord: true
    geometry: true
    loads: true
    goals: true
    toMeasure: true
    inWords: true
    search: true
    drive: true
    parts: true
    schools: true
    duty: true
    breaksFirst: true
    figures: true
    lostMotion: true
    travel: true
    stopping: true
    nutRoom: true
    holes: true
    cuts: true
    bearingBlock: true
    leadscrewEnds: true
    template: true
    fasteners: true
    chain: true
    counterweight: true
    steps: true
    teardown: true
    switches: true
    grease: true
    controller: true
    screwLine: true
    preload: true
    shafts: true
    drag: true
    flange: true
    runOut: true
    gib: true
    rails: true
    square: true
    overhang: true
    waysFriction: true
    reversal: true
    fullTest: true
    zeroTime: true
    beforeAfter: true
    playTrend: true
    slowFast: true
    pushPull: true
    whereLost: true
    lostSteps: true
    circle: true
    scale: true
    oneTurn: true
    uncertainty: true
    findFault: true
    compensation: true
    log: true
  }

  /** Every check, in the order of the sheets. */
  interface CheckIds {
    'axis.lostMotion': true
    'axis.stallThrust': true
    'axis.unpoweredDrop': true
    'brake.bore': true
    'axis.positionBudget': true
    'axis.cutDeflection': true
    'axis.dynamicGive': true
    'drive.racking': true
    'axis.handwheel': true
    'screw.criticalSpeed': true
    'screw.buckling': true
    'screw.life': true
    'shaft.endStress': true
    'screw.pretension': true
    'coupler.torque': true
    'coupler.bores': true
    'coupler.misalignment': true
    'belt.pull': true
    'belt.motorShaft': true
    'belt.mesh': true
    'belt.bores': true
    'motor.torqueMargin': true
    'motor.inertiaRatio': true
    'motor.rmsTorque': true
    'motor.resonance': true
    'nut.speedValue': true
    'nut.staticSafety': true
    'nut.preload': true
    'bearing.preload': true
    'bearing.life': true
    'bearing.seat': true
    'nut.pressureSpeed': true
    'room.travel': true
    'recess.fixed': true
    'recess.far': true
    'stopping.fixed': true
    'stopping.far': true
    'room.section': true
    'room.holes': true
    'room.block': true
    'room.joints': true
    'joint.slip': true
    'room.chain': true
    'room.counterweight': true
    'switches.fixed': true
    'switches.far': true
    'cable.chain': true
    'grease.access': true
    'controller.pulses': true
    'controller.measuredMove': true
    'align.height': true
    'align.side': true
    'align.preload': true
    'align.coupler': true
    'align.belt': true
    'align.drag': true
    'align.turn': true
    'align.flange': true
    'align.runOut': true
    'align.gib': true
    'align.rails': true
    'align.square': true
    'align.leadMismatch': true
    'align.overhang': true
    'align.droop': true
    'align.waysFriction': true
    'prove.reversal': true
    'prove.accuracy': true
    'prove.fullReversal': true
    'prove.zeroTime': true
    'prove.slowFast': true
    'prove.coldWarm': true
    'prove.pushPull': true
    'prove.whereLost': true
    'prove.steps': true
    'prove.circleSquare': true
    'prove.cutSquare': true
    'prove.circleScale': true
    'prove.scale': true
    'prove.oncePerTurn': true
  }

  /** Every limit, in the order of the sheets. */
  interface LimitKeys {
    'motor.torqueMargin.open': true
    'motor.torqueMargin.closed': true
    'screw.criticalSpeed': true
    'screw.buckling': true
    'nut.speedValue': true
    'screw.life': true
    'nut.staticSafety': true
    'nut.preload': true
    'bearing.preload': true
    'screw.pretension': true
    'bearing.life': true
    'coupler.torque': true
    'coupler.misalignment': true
    'belt.pull': true
    'belt.mesh': true
    'motor.inertiaRatio': true
    'axis.stallThrust': true
    'axis.handwheel': true
    'axis.lostMotion': true
    'shaft.endStress': true
    'axis.unpoweredDrop': true
    'motor.rmsTorque': true
    'bearing.seat': true
    'axis.positionBudget': true
    'axis.cutDeflection': true
    'axis.dynamicGive': true
    'drive.racking': true
    'nut.pressureSpeed': true
    'belt.motorShaft': true
    'room.travel': true
    'limits.stopping': true
    'joint.slip': true
    'limits.switch': true
    'limits.cableHeight': true
    'controller.pulses': true
  }
}
