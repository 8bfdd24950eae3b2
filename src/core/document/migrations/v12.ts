import { type Added, changeWith, givenWhat, isPlain, type Plain } from './plain'

// Version 12 to 13: an axis knows its lightest mass, what its counterbalance is and how its force changes, what supports its load now, by
// which letter its controller knows it, and whether a joint is located by dowels; a bracket that nobody measured has no size.

const UNKNOWN: Plain = { value: null, provenance: 'assumed' }
const CONTROLLER: Plain = {
  letter: null,
  dwellUnit: 'seconds',
  countsPerRev: null,
  pulseLimitHz: null,
  leadTableIn: false,
}

/** What objects are known by, and what they have from version 13 on; fields that stand there already stay. */
const ADDED: Added = [
  [
    ['inclineDeg', 'movingMassKg', 'counterbalanceN'],
    { lightestMassKg: UNKNOWN, counterbalanceSpreadN: UNKNOWN },
  ],
  [['commandedMm', 'movedMm', 'direction'], CONTROLLER],
  [['thread', 'material', 'propertyClass', 'gripMm'], { located: false }],
  [['ticks', 'rounds', 'joints'], { counterbalance: { kind: null, toFit: false }, supportDoubtedAt: null }],
]
const given = givenWhat(ADDED)

/** 0 stood for a bracket that is no wider than its nut, and for one that nobody had measured. */
const measuredOrNone = (value: unknown) => (value === 0 ? null : value)
const BRACKET = ['bracketWidthMm', 'bracketHeightMm']

function withBrackets(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withBrackets)
  if (!isPlain(value)) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => [
      key,
      BRACKET.includes(key) ? measuredOrNone(one) : withBrackets(one),
    ]),
  )
}

/** Steps that come after the support was taken away: one of them ticked says that it has gone, whatever was opened again since. */
const AFTER_SUPPORT = ['support-off', 'power-on', 'direction', 'measured-move', 'proved', 'locked', 'greased']

/** What supports the load of an axis by the ticks of version 12, in doubt nothing. */
function withSupports(axis: Plain): Plain {
  const ticks = isPlain(axis.ticks) ? axis.ticks : {}
  const supports: Plain = {}
  if (!AFTER_SUPPORT.some(id => ticks[id])) {
    const hung = ticks.hang ?? ticks['hang.2'] ?? ticks['td-hang']
    if (ticks.support) supports.block = ticks.support
    if (hung) supports.hoist = hung
  }
  const mounted = ticks['fixed-loose'] ?? ticks['nut-loose'] ?? ticks['fixed-loose.2'] ?? null
  return { supports, driveMountedAt: mounted, ...axis }
}
const isWholeAxis = (value: Plain) => isPlain(value.dimensions) && isPlain(value.ticks)

/** Whatever holds axes, however deep, with what each has in version 13. */
function broughtUp(value: unknown): unknown {
  const all = (one: unknown): unknown => {
    if (Array.isArray(one)) return one.map(all)
    if (!isPlain(one)) return one
    const deep = Object.fromEntries(Object.entries(one).map(([key, inner]) => [key, all(inner)]))
    return isWholeAxis(deep) ? withSupports(deep) : deep
  }
  return all(withBrackets(given(value)))
}

const overPatches = changeWith(broughtUp)

/** A change as version 13 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV12 = (change: Plain): Plain => {
  const up = overPatches(change)
  return {
    ...up,
    patches: Array.isArray(up.patches)
      ? up.patches.map((patch: Plain) =>
          Array.isArray(patch.path) && BRACKET.includes(`${patch.path.at(-1)}`)
            ? { ...patch, was: measuredOrNone(patch.was), now: measuredOrNone(patch.now) }
            : patch,
        )
      : up.patches,
  }
}

/** A job of version 12 with its history. */
export const fromV12 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: broughtUp(job) as Plain,
  history: history.map(changeFromV12),
})
