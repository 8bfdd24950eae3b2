import type { Redone } from '../shared/steps/redo'
import type { FaultId } from './words'

/** The steps of the build that are done again where a fault is mended; none where it is mended by another part or setting. */
export const REDO_OF_FAULT: Readonly<Partial<Record<FaultId, Redone>>> = {
  'fixed-bearing-play': 'locknut',
  'preload-high': 'locknut',
  'coupler-slip': 'hubs',
  'coupler-play': 'hubs',
  'belt-slack': 'belt',
  'nut-bracket-loose': 'nutScrews',
  'block-loose': 'blockScrews',
  'gib-loose': 'gib',
  'gib-tight': 'gib',
  'gib-walks': 'gibLock',
  'fixed-block-off': 'line',
  'far-block-off': 'line',
  'nut-off-line': 'line',
  'ways-not-parallel': 'rails',
  'axes-not-square': 'square',
  'lost-steps': 'controller',
  'scale-wrong': 'controller',
  'compensation-wrong': 'controller',
}
