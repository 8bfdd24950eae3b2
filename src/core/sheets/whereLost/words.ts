import type { Stage } from '../../document/stages'
import type { SheetId } from '../../evaluation/ids'
import type { Redone } from '../shared/steps/redo'
import type { Share } from './rounds'

/** What each part is called, what is done about what it loses, and where that is done. */
export const SHARE_WORDS = {
  motor: {
    label: 'Motor',
    part: 'the motor',
    remedy: 'raise its holding current, or see whether it is switched on while it is pushed',
    redo: 'controller',
    at: { stage: 'build', sheet: 'controller', verb: 'To the first moves' },
  },
  coupler: {
    label: 'Coupler or belt',
    part: 'the coupler or belt',
    remedy:
      'mark hub and shaft, do the clamp screws up to their torque, and look for a split web; a belt wants more tension',
    redo: 'hubs',
    at: { stage: 'align', sheet: 'shafts', verb: 'To motor and screw' },
  },
  bearing: {
    label: 'Fixed bearings',
    part: 'the fixed bearings',
    remedy:
      'take up the locknut by a few degrees, and see that the cover clamps the outer rings and the block is tight',
    redo: 'locknut',
    at: { stage: 'align', sheet: 'preload', verb: 'To bearings and locknut' },
  },
  nut: {
    label: 'Nut and screw',
    part: 'the nut, with what the screw twists',
    remedy: 'give the nut its preload back: larger balls, or a double nut with a spacer',
    redo: null,
    at: { stage: 'size', sheet: 'parts', verb: 'To the nut, under parts' },
  },
  bracket: {
    label: 'Nut bracket',
    part: 'the bracket of the nut',
    remedy: 'do the screws of the nut and of its bracket up to their torque; dowel it when it is true',
    redo: 'nutScrews',
    at: { stage: 'build', sheet: 'steps', verb: 'To the steps' },
  },
} as const satisfies Readonly<
  Record<
    Share,
    {
      label: string
      part: string
      remedy: string
      /** The steps of the build that are done again for it; none where it is the choice that is changed. */
      redo: Redone | null
      at: { stage: Stage; sheet: SheetId; verb: string }
    }
  >
>
