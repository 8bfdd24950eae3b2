import { BUILD_SCHOOLS, type BuildSchools } from '../../machine/build/model'

/** Two ways in which the trade goes about the same thing, the one that is taken first, with what speaks for each. */
export const SCHOOLS: { [K in keyof BuildSchools]: Record<BuildSchools[K], string> } = {
  ends: {
    both: 'The nut sets the height of either end itself. Taken: it needs no reading to come close.',
    fixed:
      'Where the far bearing may float: one end less to set, but the far block must be shimmed by feeler gauge.',
  },
  setBy: {
    float:
      'The parts find their own line. Taken: with hand tools it is the truer one, and readings prove it after.',
    readings:
      'Where a nut has play, or a heavy table pulls the screw aside: the indicator says where the block goes.',
  },
  rails: {
    'middle-outward': 'What is too long is pushed out at the ends. Taken: no bow is shut in.',
    'ends-inward':
      'The rail is held straight between its ends: for a rail that is drawn against a short edge.',
    'one-end': 'One after another, pushed against the edge at each: for long rails that one person sets.',
  },
  threadlocker: {
    final: 'Taken: until it is proved everything may have to come apart again.',
    'at-once': 'For a machine that is not taken apart again: undone with heat.',
  },
}
export const SCHOOL_KEYS = Object.keys(SCHOOLS) as (keyof BuildSchools)[]
export const schoolField = (key: keyof BuildSchools) => BUILD_SCHOOLS.of[key]
