import { offered, type RemedyFinder } from '../../evaluation/remedy'
import { goal } from '../../machine/commonRemedies'
import { runsOnMm } from './calculation'
import type { SwitchEnd } from './check'
import { LIMITS } from './limits'
import { SWITCHES } from './model'

/** A switch that closes its circuit at rest, where there is one that opens it. */
const closed = (end: SwitchEnd): RemedyFinder =>
  offered(({ axis }) => {
    const at = axis.switches.find(one => one.end === end && one.use !== 'home')
    return at?.contact === 'normally-open'
      ? {
          change: draft => {
            for (const one of draft.switches) if (one.id === at.id) one.contact = 'normally-closed'
          },
          label: 'Wire it normally closed',
          cost: 'another contact of the switch, and a setting of the controller',
        }
      : null
  })

/** A home switch that stands there already, used as limit too. */
const homeAsLimit = (end: SwitchEnd): RemedyFinder =>
  offered(({ axis }) => {
    const at = axis.switches.find(one => one.end === end)
    return at?.use === 'home'
      ? {
          change: draft => {
            for (const one of draft.switches) if (one.id === at.id) one.use = 'both'
          },
          label: 'Use the home switch as limit too',
          cost: 'a controller that can share the input',
        }
      : null
  })

/** The switch further from the hard stop, as far as is asked for. */
const further =
  (end: SwitchEnd): RemedyFinder =>
  trial => {
    const { axis } = trial.context
    const at = axis.switches.find(one => one.end === end && one.use !== 'home')
    if (!at || at.beforeStopMm === null) return []
    const wantedMm = LIMITS['limits.switch'].holds * runsOnMm(trial.context, at.filterMs)
    const toMm = Math.ceil(Math.min(wantedMm, SWITCHES.of.beforeStopMm.max) * 2) / 2
    return offered(() => ({
      change: draft => {
        for (const one of draft.switches) if (one.id === at.id) one.beforeStopMm = toMm
      },
      label: `Move the switch to ${toMm} mm before the hard stop`,
      cost: 'as much travel given up, where the soft limit has to move with it',
    }))(trial)
  }

export const switchRemedies = (end: SwitchEnd): RemedyFinder[] => [
  closed(end),
  homeAsLimit(end),
  further(end),
  goal('topSpeedMmPerMin'),
]

/** A chain that bends tighter, as far as the height allows. */
export const tighterChain = (): RemedyFinder =>
  offered(({ axis }) => {
    const { roomMm, bendRadiusMm } = axis.cable
    const toMm = roomMm === null ? 0 : Math.floor(roomMm / 2)
    return bendRadiusMm !== null && toMm >= 5
      ? {
          change: draft => {
            draft.cable.bendRadiusMm = toMm
          },
          label: `A chain of ${toMm} mm bend radius`,
          cost: 'cables that stand that bend: thin and highly flexible ones',
        }
      : null
  })
