import type { Stage } from '@/core/document/stages'
import type { SheetId } from '@/core/sheets'

interface Place {
  stage: Stage
  sheet: SheetId
}

const PLACES: Readonly<Record<string, Place>> = {
  incline: { stage: 'survey', sheet: 'geometry' },
  stack: { stage: 'room', sheet: 'bearingBlock' },
  aligned: { stage: 'align', sheet: 'screwLine' },
  'torque-blocks': { stage: 'align', sheet: 'screwLine' },
  preload: { stage: 'align', sheet: 'preload' },
  'nut-clamp': { stage: 'align', sheet: 'flange' },
  'nut-tight': { stage: 'align', sheet: 'flange' },
  'gib-set': { stage: 'align', sheet: 'gib' },
  'gib-lock': { stage: 'align', sheet: 'gib' },
  'rail-screws': { stage: 'align', sheet: 'rails' },
  'rail-second': { stage: 'align', sheet: 'rails' },
  square: { stage: 'align', sheet: 'square' },
  'square-again': { stage: 'align', sheet: 'square' },
  'motor-face': { stage: 'align', sheet: 'shafts' },
  'run-through': { stage: 'align', sheet: 'drag' },
  'switches-on': { stage: 'build', sheet: 'switches' },
  'cable-run': { stage: 'build', sheet: 'switches' },
  controller: { stage: 'build', sheet: 'controller' },
  'steps-set': { stage: 'build', sheet: 'controller' },
  'measured-move': { stage: 'build', sheet: 'controller' },
  'balance-loaded': { stage: 'survey', sheet: 'loads' },
  proved: { stage: 'prove', sheet: 'reversal' },
  greased: { stage: 'build', sheet: 'grease' },
}

/** The sheet where a step's readings are taken or its figures stand; none for most. */
export const placeOfStep = (stepId: string): Place | null => PLACES[stepId.replace(/\.2$/, '')] ?? null

/** The figures that a step goes by, by the names under which the context knows them. */
const FIGURES: Readonly<Record<string, readonly string[]>> = {
  preload: ['locknutTurn', 'locknutLoose', 'locknutMatched'],
  'steps-set': ['controllerSteps', 'correctedSteps'],
}
export const figuresOfStep = (stepId: string): readonly string[] => FIGURES[stepId.replace(/\.2$/, '')] ?? []
