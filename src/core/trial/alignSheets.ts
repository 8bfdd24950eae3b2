import { dragMap, dragRounds } from '../sheets/drag/rounds'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { gibSet } from '../sheets/gib/calculation'
import { gibRounds, playsOf, wedgeOf } from '../sheets/gib/rounds'
import { judgePlane, lineSetting } from '../sheets/screwLine/judgePlane'
import { screwRounds } from '../sheets/screwLine/rounds'
import type { Cause } from '../sheets/shared/rounds/tightSpots'
import { SimulatedAxis } from '../simulate/axis/axis'
import type { AxisFigures, Causes, Off } from '../simulate/axis/figures'
import { roundsOf, type Sheet, without } from './sheetTried'
import type { Fault } from './trial'

// The sheets of Align, as a builder goes through them.

/** What a torque driver shows. */
const TORQUE_STEP_NM = 0.01
/** How well a hand sets what is ordered, um: a shim under a block, a block that is tapped over. */
const SHIMMED_UM = 4
const TAPPED_UM = 8
/** How near a block comes that settles by itself with the nut run up to it. */
const SETTLED_UM = 10

const ZERO: Off = { heightUm: 0, sideUm: 0 }
const apart = (a: Off = ZERO, b: Off = ZERO) => Math.hypot(a.heightUm - b.heightUm, a.sideUm - b.sideUm)
const offLineUm = ({ ends }: AxisFigures, { fixedBlock, farBlock, nut }: Causes) =>
  Math.max(apart(fixedBlock, nut), ends === 'fixed-free' ? 0 : apart(farBlock, nut))

const BINDS: Readonly<Record<Cause, readonly Fault[]>> = {
  fixed: ['fixed-block-off'],
  far: ['far-block-off'],
  nut: ['nut-off-line'],
  ways: ['ways-not-parallel', 'gib-tight'],
  gib: ['gib-walks', 'gib-tight'],
  spot: ['dirt-in-nut'],
  screw: ['bent-screw'],
  coupler: ['coupler-play'],
  preload: ['preload-high', 'gib-tight'],
}
/** A block that was let settle on a screw. */
const settled = ({ heightUm, sideUm }: Off, hand: () => number): Off => ({
  heightUm: heightUm + SETTLED_UM * hand(),
  sideUm: sideUm + SETTLED_UM * hand(),
})

/** What is done about what binds, as the sheet says it. */
function eased(cause: Cause, causes: Causes, hand: () => number): Causes {
  const near = (to: Off) => settled(to, hand)
  switch (cause) {
    case 'fixed':
      return { ...causes, fixedBlock: near(causes.nut ?? ZERO) }
    case 'far':
      return { ...causes, farBlock: near(causes.nut ?? ZERO) }
    case 'nut':
      return { ...causes, nut: near(causes.fixedBlock ?? ZERO) }
    case 'ways':
      // Rails, or the gib along the travel: whichever closes up there is found and set.
      return { ...without(causes, 'waysN'), gib: { ...causes.gib, endN: 0 } }
    case 'gib':
      return { ...causes, gib: { ...causes.gib, walkingN: 0, endN: 0 } }
    case 'spot':
      return without(causes, 'track')
    case 'screw':
      return without(causes, 'bow', 'kink')
    case 'coupler':
      return without(causes, 'coupler')
    case 'preload':
      return { ...without(causes, 'dragTimes'), gib: { ...causes.gib, tightN: 0, endN: 0 } }
  }
}

/** From so much over what a sound one takes it binds: what a drive should take is known no better. */
const BINDS_FROM = 0.6
/** How unevenly it turns, as a share of the level: what a hand would call binding. */
function unevenness(figures: AxisFigures, causes: Causes): number {
  const axis = new SimulatedAxis(figures, causes)
  const sound = new SimulatedAxis(figures)
  const places = Array.from({ length: 9 }, (_, i) => figures.nutAtZeroMm + (figures.travelMm * i) / 8)
  return Math.max(
    ...places.flatMap(mm =>
      ([1, -1] as const).map(
        way => axis.meanTorqueNm(mm, way) / Math.max(sound.meanTorqueNm(mm, way), 0.02) - 1,
      ),
    ),
  )
}

export const LINE: Sheet<'screwLine'> = {
  read: 'screwLine',
  checks: ['align.height', 'align.side'],
  about: ['fixed-block-off', 'far-block-off', 'nut-off-line'],
  stopsAt: ['bent-screw', 'journal-off'],
  ...roundsOf(screwRounds, { tight: 'both', turnedTo: 'mark' }),
  readings: 16,
  ordersWhen: ['fails', 'unknown'],
  orders: (t, fails, hand) => {
    const round = t.axis.rounds.at(-1)
    const spanMm = t.dimension('supportSpanMm')
    if (!round) return null
    // A far block that cannot be told is let settle on the screw.
    const settles = t.findings.some(
      ({ checkId, sentence }) =>
        (checkId === 'align.height' || checkId === 'align.side') && sentence.includes('let it settle'),
    )
    if (settles && !fails('align.height') && !fails('align.side'))
      return {
        names: ['far-block-off'],
        done: causes => ({ ...causes, farBlock: settled(causes.nut ?? ZERO, hand) }),
      }
    const moves = (['height', 'side'] as const).flatMap(plane => {
      if (!fails(`align.${plane}`)) return []
      const advice = judgePlane(
        round,
        plane,
        lineSetting(t, spanMm),
        t.axis.goals.alignmentTargetUm,
        round.gaugeStepUm ?? 0,
      )
      return advice.kind === 'move' ? advice.moves.map(move => ({ plane, ...move })) : []
    })
    if (moves.length === 0) return null
    return {
      names: ['fixed-block-off', 'far-block-off', 'nut-off-line'],
      done: causes => {
        const set = { fixed: { ...ZERO, ...causes.fixedBlock }, far: { ...ZERO, ...causes.farBlock } }
        for (const { plane, block, moveUm } of moves) {
          const of = plane === 'height' ? 'heightUm' : 'sideUm'
          set[block] = {
            ...set[block],
            [of]: set[block][of] + moveUm + (plane === 'height' ? SHIMMED_UM : TAPPED_UM) * hand(),
          }
        }
        return { ...causes, fixedBlock: set.fixed, farBlock: set.far }
      },
    }
  },
  truth: (figures, causes, { goals }) => [offLineUm(figures, causes), goals.alignmentTargetUm],
}

export const DRAG: Sheet<'drag'> = {
  read: 'drag',
  checks: ['align.drag'],
  about: [
    'fixed-block-off',
    'far-block-off',
    'nut-off-line',
    'ways-not-parallel',
    'gib-walks',
    'gib-tight',
    'dirt-in-nut',
    'preload-high',
  ],
  plan: (axis, trial) => {
    // What a block is taken for is read again with the gib slacked, once; then as it runs.
    const t = evaluateAxis(axis, trial.catalogue, trial.job.units)
    const half = axis.dragRounds.length > 0 && dragMap(t)?.map.asksGib ? 'gib-slack' : 'whole'
    return { ...roundsOf(dragRounds, { by: 'torque', step: TORQUE_STEP_NM }).plan(axis, trial), half }
  },
  put: roundsOf(dragRounds).put,
  readings: 12,
  orders: (t, _fails, hand) => {
    const map = dragMap(t)?.map
    if (map?.asksGib) return { names: [], isReading: true }
    const named = map?.named
    return named ? { names: BINDS[named], done: causes => eased(named, causes, hand) } : null
  },
  truth: (figures, causes) => [unevenness(figures, causes), BINDS_FROM],
}

export const GIB: Sheet<'gib'> = {
  read: 'gib',
  checks: ['align.gib'],
  about: ['gib-loose', 'gib-tight'],
  ...roundsOf(gibRounds),
  readings: 5,
  orders: (t, _fails, hand) => {
    const round = t.axis.gibRounds.at(-1)
    if (!round) return null
    const { targetUm } = round
    const wedge = wedgeOf(round)
    const { advanceMm } = gibSet({ plays: playsOf(round), targetUm, ...wedge })
    return {
      names: advanceMm > 0 ? ['gib-loose'] : ['gib-tight'],
      done: causes => {
        // What nobody has measured is turned by half, and read again.
        const byUm = ((wedge.isAssumed ? 0.5 : 1) * 1000 * advanceMm) / wedge.taperRatio + 2 * hand()
        // What is drawn back rubs no more, all along and at an end that was tight.
        const { tightN = 0, endN = 0 } = advanceMm < 0 ? {} : (causes.gib ?? {})
        return { ...causes, gib: { ...causes.gib, tightN, endN, playUm: (causes.gib?.playUm ?? 0) - byUm } }
      },
    }
  },
  truth: (figures, causes) => {
    const axis = new SimulatedAxis(figures, causes)
    const plays = Array.from({ length: 9 }, (_, i) => axis.sidePlayUm((figures.travelMm * i) / 8))
    return [Math.abs(Math.min(...plays) - 15), 10]
  },
}
