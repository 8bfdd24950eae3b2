import { defineReasons } from '../../evaluation/limits'
import type { LIMITS } from './limits'

/** Why the usual limits are where they are. */
export const PARTS_REASONS = defineReasons<keyof typeof LIMITS>({
  'motor.torqueMargin.open':
    'A motor without feedback loses steps for good at the first moment that asks too much: a dry gib, a cold morning, a blunt cutter. Half its torque is kept for those.',
  'motor.torqueMargin.closed':
    'A motor with feedback catches up after a moment that asks too much, so less is kept in hand.',
  'screw.criticalSpeed':
    'The speed allowed is 0.8 of where the screw whips. Blocks give and screws are not quite straight, so a tenth more is kept.',
  'screw.buckling':
    'The push allowed is half of what bends the screw out. A crash pushes harder than any cut.',
  'nut.speedValue':
    'At the limit the balls hit the return tubes hard. A tenth below it they run quietly for years.',
  'screw.life':
    'The life is what nine of ten screws reach, so the hours wanted are already on the safe side.',
  'nut.staticSafety':
    'Beyond the static capacity the balls leave dents. Twice is usual where work is bumped and jammed.',
  'nut.preload':
    'Once the load opens the nut, its play is back. Preload also wears off: a fifth is kept for that.',
  'bearing.preload':
    'Once the load opens the pair, its play is back. A fifth is kept for a locknut that settles.',
  'screw.pretension': 'The pull stands on the bearings day and night, and the load comes on top of it.',
  'bearing.life':
    'The life is what nine of ten bearings reach, so the hours wanted are already on the safe side.',
  'coupler.torque':
    'A strong motor can crack a slit coupler at one stop. A fifth is kept for shafts a little out of line.',
  'coupler.misalignment':
    'The three ways to be out of line add up. A quarter beyond it a coupler still runs, and tires sooner.',
  'belt.pull': 'Beyond the rated pull the belt jumps teeth, and the position is lost without a word.',
  'belt.mesh': 'The rated pull counts on six teeth that share it.',
  'motor.inertiaRatio':
    'A load much heavier than the rotor swings it about: it rings, overshoots, or falls out of step.',
  'axis.stallThrust':
    'One day the slide runs into something. The motor should stall before anything dents or bends.',
  'axis.handwheel': 'A hand turns with 30 N all day; 60 N is work.',
  'axis.lostMotion':
    'Reckoned play is play of new parts, well fitted. A fifth is kept for what the fitting leaves.',
  'shaft.endStress':
    'A shoulder doubles the stress, and a crash comes on top of what the motor gives. Twice is usual where nothing else holds what hangs on it.',
  'axis.unpoweredDrop':
    'A head that comes down takes a hand or a cutter with it. Detent and drag fall with wear and warmth: twice is kept, and the friction of the ways, a gib setting away from nothing, is not counted.',
  'motor.rmsTorque': 'A servo gives three times its torque for a moment, and overheats when that goes on.',
  'bearing.seat':
    'The locknut pulls the inner ring against it. Less than that has only the rounding of the edge left to stand on.',
  'axis.positionBudget':
    'The parts are seldom all at their worst at once: a quarter more can be lived with until it is measured.',
  'axis.cutDeflection':
    'A light last pass takes the give out again; beyond twice the shape of every roughing cut shows in the part.',
  'axis.dynamicGive':
    'It hangs behind only while it speeds up: half as much again rounds the corners of a fast finishing pass, and no other.',
  'drive.racking':
    'Screws of one batch differ less than their class allows; half as much again is often still square enough.',
  'nut.pressureSpeed': 'The limit is for a nut that is always oiled. A fifth is kept for the day it is not.',
  'belt.motorShaft':
    "The maker's figure is for the middle of the shaft. Close to the face it bears more, and the bearings tire sooner.",
})
