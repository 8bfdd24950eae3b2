/** A stored object of a version that may be long gone: nothing of its shape is taken for granted. */
export type Plain = Record<string, unknown>

export const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const isAxis = (value: unknown): value is Plain =>
  isPlain(value) && isPlain(value.dimensions) && isPlain(value.goals) && isPlain(value.parts)

/** A job with each of its axes brought up. */
export const onEachAxis =
  (bringUp: (axis: Plain) => Plain) =>
  (job: Plain): Plain =>
    Array.isArray(job.axes)
      ? { ...job, axes: job.axes.map(axis => (isAxis(axis) ? bringUp(axis) : axis)) }
      : job

/** A step that changes axes alone: also those that a change of the history puts in or takes out. */
export const ofAxes =
  (onJob: (job: Plain) => Plain, onAxis: (axis: Plain) => Plain) =>
  (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => {
    const all = (patches: unknown) =>
      Array.isArray(patches)
        ? patches.map(patch =>
            'value' in patch ? { ...patch, value: axesWithin(patch.value, onAxis) } : patch,
          )
        : patches
    return {
      job: onJob(job),
      history: history.map(change => ({
        ...change,
        patches: all(change.patches),
        inverse: all(change.inverse),
      })),
    }
  }

/** Whatever a change of the history holds, with each axis in it brought up. */
export function axesWithin(value: unknown, bringUp: (axis: Plain) => Plain): unknown {
  if (Array.isArray(value)) return value.map(one => axesWithin(one, bringUp))
  return isAxis(value) ? bringUp(value) : value
}

/** A change with all that it puts in and takes out brought up; its paths are the same. */
export const changeWith =
  (broughtUp: (value: unknown) => unknown) =>
  (change: Plain): Plain => ({
    ...change,
    patches: Array.isArray(change.patches)
      ? change.patches.map(patch => {
          if (!isPlain(patch)) return patch
          const { path, ...rest } = patch
          return { path, ...(broughtUp(rest) as Plain) }
        })
      : change.patches,
  })

/** What objects are known by, and what they have from a version on. */
export type Added = readonly (readonly [has: readonly string[], added: Plain])[]

/** A value with every object in it given what it has from a version on, however deep it lies; fields that stand there already stay. */
export const givenWhat =
  (added: Added) =>
  (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(givenWhat(added))
    if (!isPlain(value)) return value
    const deep = Object.fromEntries(Object.entries(value).map(([key, one]) => [key, givenWhat(added)(one)]))
    for (const [has, more] of added)
      if (has.every(key => key in value))
        for (const [key, one] of Object.entries(more)) if (!(key in deep)) deep[key] = structuredClone(one)
    return deep
  }
