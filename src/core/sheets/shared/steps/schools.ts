import type { Axis } from '../../../document/axis'
import type { Edit } from '../../../document/edit'
import { onAxis } from '../../../document/edits'
import { BUILD_SCHOOLS, type BuildSchools } from './model'

/** One way in which the trade goes about something. */
export interface School {
  /** What speaks for it. */
  why: string
  /** What it costs in rounds of reading and setting, as a rule; none where it costs none. */
  rounds?: string
  risk: string
}

/** Two ways in which the trade goes about the same thing, the one that is taken first, with what each costs and risks. */
export const SCHOOLS: { [K in keyof BuildSchools]: Record<BuildSchools[K], School> } = {
  ends: {
    both: {
      why: 'The nut sets the height of either end itself. Taken: it needs no reading to come close.',
      rounds: 'three rounds as a rule: each end moves what the other was set to',
      risk: 'a bent screw is taken for a line, and bent straight by its blocks',
    },
    fixed: {
      why: 'Where the far bearing may float: one end less to set, but the far block must be shimmed by feeler gauge.',
      rounds: 'two rounds as a rule',
      risk: 'the far block stays where it was bolted: what it is off is felt near that end',
    },
  },
  setBy: {
    float: {
      why: 'The parts find their own line. Taken: with hand tools it is the truer one, and readings prove it after.',
      rounds: 'one round, to prove it',
      risk: 'a nut with play, or a slide that hangs on its gib, lets it come to rest off the line',
    },
    readings: {
      why: 'Where a nut has play, or a heavy table pulls the screw aside: the indicator says where the block goes.',
      rounds: 'two or three rounds',
      risk: 'no better than the gauge: calipers tell two hundredths, and no more',
    },
  },
  rails: {
    'middle-outward': {
      why: 'What is too long is pushed out at the ends. Taken: no bow is shut in.',
      rounds: 'one round, both rails after one another',
      risk: 'the ends may creep off a line that was marked',
    },
    'ends-inward': {
      why: 'The rail is held straight between its ends: for a rail that is drawn against a short edge.',
      rounds: 'one round, and one more in the middle where it bows',
      risk: 'a bow is shut in between the ends',
    },
    'one-end': {
      why: 'One after another, pushed against the edge at each: for long rails that one person sets.',
      rounds: 'one long round',
      risk: 'what each screw pulls adds up towards the other end',
    },
  },
  threadlocker: {
    final: {
      why: 'Taken: until it is proved everything may have to come apart again.',
      risk: 'a screw that is forgotten at the end works loose',
    },
    'at-once': {
      why: 'For a machine that is not taken apart again: undone with heat.',
      risk: 'each screw that has to move once more takes heat, beside bearings that do not like it',
    },
  },
}
export const SCHOOL_KEYS = Object.keys(SCHOOLS) as (keyof BuildSchools)[]
export const schoolField = (key: keyof BuildSchools) => BUILD_SCHOOLS.of[key]

/** Takes one of the schools of the trade. */
export const setBuildSchool = <K extends keyof BuildSchools>(
  axis: Axis,
  key: K,
  school: BuildSchools[K],
  label: string,
): Edit =>
  onAxis(axis, label, draft => {
    draft.buildSchools[key] = school
  })
