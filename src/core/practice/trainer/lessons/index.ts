import type { Lesson } from '../lesson'
import { GANTRY } from './gantry'
import { GIB } from './gib'
import { LINE } from './line'
import { LOST_CYCLE } from './lostCycle'
import { OWN_SLIP } from './ownSlip'
import { PLAY_OR_GIVE } from './playOrGive'
import { PRELOAD } from './preload'
import { REVERSAL } from './reversal'
import { TIGHT_SPOT } from './tightSpot'
import { ZERO_TIME } from './zeroTime'

/** The lessons in the order of the work: read, then set, then prove. */
export const LESSONS: readonly Lesson[] = [
  REVERSAL,
  PLAY_OR_GIVE,
  GIB,
  LINE,
  PRELOAD,
  TIGHT_SPOT,
  GANTRY,
  ZERO_TIME,
  LOST_CYCLE,
  OWN_SLIP,
]

/** A lesson by its id; null where there is none. */
export const lessonOf = (id: string): Lesson | null => LESSONS.find(one => one.id === id) ?? null
