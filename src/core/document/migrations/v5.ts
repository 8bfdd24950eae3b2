import { isPlain, type Plain } from './plain'

// Version 5 to 6: what is measured starts empty; brakes; holes know what they are for; blocks have both spacers and the
// shims of their cover; tests and rounds know the step of their gauge; limits of checks that became one are let go.

/** Limits of checks that became one: the position budget. */
const GONE_LIMITS = ['screw.leadAccuracy', 'screw.warmth', 'motor.step']

/** What objects are known by, and what they have from version 6 on; fields that stand there already stay. */
const ADDED: [has: string[], add: (one: Plain) => Plain][] = [
  [
    ['dimensions', 'goals', 'parts', 'recesses'],
    ({ limits }) => ({
      recessMetal: { fixedMm: null, farMm: null },
      limits: isPlain(limits) ? without(limits, GONE_LIMITS) : limits,
    }),
  ],
  [
    ['screw', 'bearing', 'coupler', 'belt', 'motor'],
    one => ({ brake: Array.isArray(one.screw) ? [] : null }),
  ],
  [['wantedTravelMm', 'backlashTargetUm'], () => ({ rackingTargetUm: 200 })],
  [['transmission', 'screws', 'microsteps'], () => ({ leadTable: false })],
  [['screwSpacingMm', 'handwheelRadiusMm'], () => ({ handwheelHubMm: 25 })],
  [['existingDiameterMm', 'requiredDiameterMm'], () => ({ use: 'clearance' })],
  [
    ['boreDepthMm', 'outerSpacerMm'],
    ({ outerSpacerMm }) => ({ innerSpacerMm: outerSpacerMm === 0 ? 0 : null, coverShimMm: 0 }),
  ],
  [['startedAt', 'finishedAt', 'stations'], () => ({ gaugeStepUm: null })],
  [['leadMm', 'speedValueLimit', 'nutPlayUm'], () => ({ pressureSpeedLimitMpaMPerMin: null })],
  [['rotorInertiaKgM2', 'holdingTorqueNm'], () => ({ continuousTorqueNm: null, shaftLoadLimitN: null })],
]

const without = (from: Plain, keys: string[]): Plain =>
  Object.fromEntries(Object.entries(from).filter(([key]) => !keys.includes(key)))

/** A value with everything in it brought up, however deep it lies. */
function broughtUp(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(broughtUp)
  if (!isPlain(value)) return value
  const deep = Object.fromEntries(Object.entries(value).map(([key, one]) => [key, broughtUp(one)]))
  for (const [has, add] of ADDED)
    if (has.every(key => key in value)) Object.assign(deep, pick(add(deep), deep))
  return deep
}

/** What is added, without what stands there already; limits are replaced. */
const pick = (added: Plain, one: Plain): Plain =>
  Object.fromEntries(Object.entries(added).filter(([key]) => key === 'limits' || !(key in one)))

/** A change as version 6 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV5 = (change: Plain): Plain => ({
  ...change,
  patches: Array.isArray(change.patches)
    ? change.patches.flatMap(patch => {
        if (!isPlain(patch)) return [patch]
        const { path, ...rest } = patch
        const gone =
          Array.isArray(path) && path.includes('limits') && GONE_LIMITS.includes(String(path.at(-1)))
        return gone ? [] : [{ path, ...(broughtUp(rest) as Plain) }]
      })
    : change.patches,
})

/** A job of version 5 with its history. */
export const fromV5 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: broughtUp(job) as Plain,
  history: history.map(changeFromV5),
})
