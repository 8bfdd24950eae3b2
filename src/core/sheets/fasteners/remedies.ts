import { mends, type Option, type Recipe, type RemedyFinder, type Trial } from '../../evaluation/remedy'
import { grips } from '../../machine/joints/grip'
import { judgedJoints } from '../../machine/joints/joint'
import type { BoltedJoint } from '../../machine/joints/model'
import { PROPERTY_CLASSES, type PropertyClass } from '../../machine/joints/model'
import { THREAD_NAMES, THREADS, type Thread } from '../../machine/joints/threadTable'
import { LIMITS } from './limits'

/** Screws of the right length in every joint, in place of those that came with the part. */
export function screws(): RemedyFinder {
  return trial => {
    const right = new Map(
      judgedJoints(trial.context.axis.joints).map(({ joint, chosenMm }) => [joint.id, chosenMm]),
    )
    const change: Recipe = draft => {
      for (const joint of draft.joints) {
        const chosenMm = right.get(joint.id) ?? null
        if (joint.suppliedMm !== null && chosenMm !== null) joint.suppliedMm = chosenMm
      }
    }
    return mends(trial, change)
      ? [{ change, label: 'Take screws of the right length', cost: 'screws to buy' }]
      : []
  }
}

/** Changes the joints of the drive that hold too little, each as far as it needs; none where one of them cannot be mended so. */
function mendJoints(
  trial: Trial,
  tries: (joint: BoltedJoint) => { set: (joint: BoltedJoint) => void; words: string }[],
  cost: string,
): Option[] {
  const short = grips(trial.context).filter(({ safety }) => safety < holdsFrom(trial))
  const set = new Map<string, (joint: BoltedJoint) => void>()
  const words: string[] = []
  const change: Recipe = draft => {
    for (const joint of draft.joints) set.get(joint.id)?.(joint)
  }
  for (const { joint } of short) {
    const found = tries(joint).find(one => {
      set.set(joint.id, one.set)
      const after = grips(trial.after(change)).find(grip => grip.joint.id === joint.id)
      return after !== undefined && after.safety >= holdsFrom(trial)
    })
    if (!found) return []
    words.push(`${joint.label}: ${found.words}`)
  }
  return short.length > 0 && mends(trial, change) ? [{ change, label: words.join('; '), cost }] : []
}

const holdsFrom = ({ context }: Trial) => context.limits(LIMITS['joint.slip']).holds

/** Screws of a higher class in the same holes. */
export const stronger: RemedyFinder = trial =>
  mendJoints(
    trial,
    ({ propertyClass }) => {
      const metric: PropertyClass[] = ['8.8', '10.9', '12.9']
      const order =
        metric.includes(propertyClass) || propertyClass === 'A2-70' ? metric : PROPERTY_CLASSES.slice(-2)
      return order.slice(order.indexOf(propertyClass) + 1).map(next => ({
        set: joint => {
          joint.propertyClass = next
        },
        words: `screws of class ${next}`,
      }))
    },
    'screws to buy, and a higher torque',
  )

/** A larger thread, of the same kind. */
export const larger: RemedyFinder = trial =>
  mendJoints(
    trial,
    ({ thread }) => {
      const kind = (name: Thread) => (name.startsWith('M') ? 'M' : name.slice(-3))
      const { diameterMm } = THREADS[thread]
      return THREAD_NAMES.filter(
        name => kind(name) === kind(thread) && THREADS[name].diameterMm > diameterMm + 0.1,
      ).map(name => ({
        set: joint => {
          joint.thread = name
        },
        words: `${name} in place of ${thread}`,
      }))
    },
    'holes to open and tap: look whether they have room',
  )

/** More screws. */
export const more: RemedyFinder = trial =>
  mendJoints(
    trial,
    ({ count }) =>
      [2, 4, 6, 8].map(by => ({
        set: joint => {
          joint.count = (count ?? 0) + by
        },
        words: `${by} more screws`,
      })),
    'holes to drill and tap: look whether they have room',
  )

/** Two dowels through it, or a step or key that takes the force. */
export const dowels: RemedyFinder = trial =>
  mendJoints(
    trial,
    ({ located, holds }) =>
      located || holds === 'nut'
        ? []
        : [
            {
              set: joint => {
                joint.located = true
              },
              words: 'two dowels, or a step or key',
            },
          ],
    'reamed once it is aligned; to move it later means new holes',
  )
