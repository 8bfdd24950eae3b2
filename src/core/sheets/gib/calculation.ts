import { calculation } from '../../calculation/calculation'
import { angle, given, length, list, plain, record, smallLength } from '../../field/field'
import { READING } from '../../readings/model'

/**
 * How far a tapered gib goes in for a play at its tightest place, and what wear is left at the loosest.
 *
 * @example gibSet({ plays: [{ positionMm: 0, playUm: 41 }, { positionMm: 100, playUm: 15 }, { positionMm: 200, playUm: 60 }],
 *   targetUm: 5, taperRatio: 60, screwPitchMm: 1.25 }) // { advanceMm: 0.6, turnDeg: 172.8, leftUm: 50, wearUm: 45 }
 */
export const gibSet = calculation({
  id: 'gib.set',
  title: 'Setting of the gib',
  formula:
    'advance = (pmin - target) n / 1000; turn = 360 advance / P; left = pmax - pmin + target; wear = pmax - pmin',
  source: 'Geometry of the wedge',
  validity: 'A tapered gib, straight, pushed by a screw at its thick end',
  inputs: {
    plays: list(
      'plays along the travel',
      record('play', {
        positionMm: length('place of the slide', {}, { symbol: 'x' }),
        playUm: given(READING, { min: 0, symbol: 'p', label: 'play to the side' }),
      }),
      2,
    ),
    targetUm: smallLength('play to be left', { min: 0 }, { symbol: 'target' }),
    taperRatio: plain('taper 1 to', { over: 0 }, { symbol: 'n' }),
    screwPitchMm: length('pitch of its screw', { over: 0 }, { symbol: 'P' }),
  },
  outputs: {
    advanceMm: length('push the gib in by', {}, { symbol: 'advance' }),
    turnDeg: angle('turn of its screw', {}, { symbol: 'turn' }),
    leftUm: smallLength('play left at the loosest place', {}, { symbol: 'left' }),
    wearUm: smallLength('wear of the ways', {}, { symbol: 'wear' }),
  },
  compute({ plays, targetUm, taperRatio, screwPitchMm }) {
    const least = Math.min(...plays.map(({ playUm }) => playUm))
    const most = Math.max(...plays.map(({ playUm }) => playUm))
    const advanceMm = ((least - targetUm) * taperRatio) / 1000
    return {
      advanceMm,
      turnDeg: (advanceMm / screwPitchMm) * 360,
      leftUm: most - least + targetUm,
      wearUm: most - least,
    }
  },
})
