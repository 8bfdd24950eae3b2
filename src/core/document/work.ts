import { choice, choiceOrNone, record } from '../field/field'
import { GOAL_KEYS, GOALS, type GoalKey } from './dimensions'

export const WORKS = ['engraving', 'wood', 'plastic', 'aluminium', 'steel', 'fits'] as const
/** A kind of work, from which figures follow that are usual for it. */
export type Work = (typeof WORKS)[number]
export const WORK_WORDS: Readonly<Record<Work, string>> = {
  engraving: 'engraving and circuit boards',
  wood: 'wood and boards',
  plastic: 'plastics and signs',
  aluminium: 'aluminium and brass',
  steel: 'steel and cast iron',
  fits: 'seats and fits, turned to size',
}
/** What an axis will mostly be used for; none while nobody has said. */
export const WORK = choiceOrNone('What it will be used for', WORKS, WORK_WORDS)

export const GOAL_SOURCES = ['assumed', 'usual', 'wanted'] as const
/** Where a goal comes from: nobody, the kind of work, or the builder. */
export type GoalSource = (typeof GOAL_SOURCES)[number]
const GOAL_SOURCE = (label: string) => choice(label, GOAL_SOURCES, { blank: 'assumed' })

/** Where each goal comes from. */
export const GOALS_FROM = record(
  'Where the goals come from',
  Object.fromEntries(GOAL_KEYS.map(key => [key, GOAL_SOURCE(GOALS[key].label)])) as {
    readonly [K in GoalKey]: ReturnType<typeof GOAL_SOURCE>
  },
)

/** The same source for every goal. */
export const allGoalsFrom = (source: GoalSource): Record<GoalKey, GoalSource> =>
  Object.fromEntries(GOAL_KEYS.map(key => [key, source])) as Record<GoalKey, GoalSource>
