import { type Added, changeWith, givenWhat, isPlain, type Plain } from './plain'

// Version 14 to 15: tables know when each reading was taken, and a closed round what it came to; a full test knows which way
// its gauge reads more and what was taken out of it; a line of the screw, which blocks were tight and to what the screw was
// turned; the taper and the pitch of a gib may not be known; an axis knows what was last
// changed of it, has readings of one place against time and over one turn, and a bearing block to make; work of the duty may
// speed up, and go to and fro; bearings know their factor f0, and parts how
// heavy they are, when they come and how many are there; a search keeps within what is given.

/** A bearing block of one's own, of which nothing is known. */
const NO_BODY: Plain = {
  widthMm: null,
  axisUpMm: null,
  boreDiameterMm: null,
  shoulderHoleMm: null,
  boltHoles: [],
}
/** A search that keeps to nothing. */
const NOTHING_GIVEN: Plain = {
  keepScrew: false,
  keepNut: false,
  keepEnds: false,
  keepBearing: false,
  keepLink: false,
  keepMotor: false,
  transmission: 'either',
  onlyHere: false,
  onlyOwn: false,
  mostPriceEur: null,
  mostHeightMm: null,
  mostMassKg: null,
  mostDays: null,
}
const ADDED: Added = [
  [['withoutUm', 'withUm', 'stations'], { againUm: null }],
  [['faceRadiusMm', 'plateBoltsMm', 'stations'], { armSagUm: null, tipLifted: null }],
  [['boltCircleMm', 'radiusMm', 'stations'], { tipLifted: null }],
  [['screwPitchMm', 'baseMm', 'stations'], { tipLifted: null }],
  [['diagonalAMm', 'edgeMm', 'stations'], { tipLifted: null }],
  [
    ['ticks', 'rounds', 'joints'],
    { zeroRounds: [], waveRounds: [], blockBody: NO_BODY, searchWithin: NOTHING_GIVEN },
  ],
  [['startedAt', 'finishedAt', 'done', 'stations'], { taken: {}, closedWith: null }],
  [['startedAt', 'finishedAt', 'warmth', 'stations'], { taken: {} }],
  [['startedAt', 'finishedAt', 'overrunMm', 'targets'], { taken: {}, gaugeMore: null, shifts: [] }],
  [['forceN', 'speedMmPerMin', 'timeShare', 'label'], { accelerationMmPerS2: 0, strokeMm: null, dwellS: 0 }],
  [['ballCount', 'contactAngleDeg', 'couplerSeatMm'], { f0: null }],
  [['transmission', 'screws', 'microsteps'], { currentA: null }],
  [['id', 'name', 'maker', 'priceEur'], { massKg: null, leadDays: null, stock: null }],
  [
    ['clampedAtMm', 'gaugeStepUm', 'stations'],
    { tight: null, turnedTo: null, halfTurnHeightUm: null, halfTurnSideUm: null, tipLifted: null },
  ],
]
const given = givenWhat(ADDED)

/** What the form began with, and what nobody is known to have measured. */
const BEGAN_WITH: Plain = { taperRatio: 60, screwPitchMm: 1 }
const isGib = (value: Plain) => 'taperRatio' in value && 'screwPitchMm' in value && 'locks' in value

function unmeasured(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(unmeasured)
  if (!isPlain(value)) return value
  const deep = Object.fromEntries(Object.entries(value).map(([key, one]) => [key, unmeasured(one)]))
  if (isGib(value))
    for (const [key, began] of Object.entries(BEGAN_WITH)) if (deep[key] === began) deep[key] = null
  return deep
}
/** Steps that set or do up something of the drive, as version 14 called them. */
const SETTING_STEPS =
  /^(preload|nut-tight|torque-blocks|hub-screw|motor-hub|motor-face|gib-set|gib-lock|aligned|rail-second|square)(\.2)?$/

/** What was last done to an axis, by the ticks of its build and by what stands with its rounds. */
function lastTouched(axis: Plain): Plain | null {
  const ticks = isPlain(axis.ticks) ? Object.entries(axis.ticks) : []
  const rounds = Object.values(axis).flatMap(value => (Array.isArray(value) ? value.filter(isPlain) : []))
  const deeds = [
    ...ticks.flatMap(([id, at]) =>
      SETTING_STEPS.test(id) ? [{ at: String(at), what: 'a step of the build' }] : [],
    ),
    ...rounds.flatMap(({ startedAt, done }) =>
      typeof startedAt === 'string' && typeof done === 'string' && done !== ''
        ? [{ at: startedAt, what: done.slice(0, 200) }]
        : [],
    ),
  ]
  return deeds.toSorted((a, b) => (a.at < b.at ? 1 : -1))[0] ?? null
}
const isWholeAxis = (value: Plain) => isPlain(value.dimensions) && isPlain(value.ticks)

function withTouched(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withTouched)
  if (!isPlain(value)) return value
  const deep = Object.fromEntries(Object.entries(value).map(([key, one]) => [key, withTouched(one)]))
  return isWholeAxis(deep) && !('touched' in deep) ? { ...deep, touched: lastTouched(deep) } : deep
}
const broughtUp = (value: unknown) => unmeasured(given(withTouched(value)))

/** A change as version 15 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV14 = changeWith(broughtUp)

/** A job of version 14 with its history. */
export const fromV14 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: broughtUp(job) as Plain,
  history: history.map(changeFromV14),
})
