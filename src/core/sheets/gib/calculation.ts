import { calculation } from '../../calculation/calculation'
import { inputOf } from '../../calculation/inputOf'
import { list, number, record } from '../../calculation/spec'
import { READING } from '../../machine/readings'

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
        positionMm: number('place of the slide', 'x', 'mm', {}),
        playUm: inputOf({ ...READING, min: 0 }, 'p', 'play to the side'),
      }),
      2,
    ),
    targetUm: number('play to be left', 'target', 'um', { min: 0 }),
    taperRatio: number('taper 1 to', 'n', '1', { over: 0 }),
    screwPitchMm: number('pitch of its screw', 'P', 'mm', { over: 0 }),
  },
  outputs: {
    advanceMm: number('push the gib in by', 'advance', 'mm', {}),
    turnDeg: number('turn of its screw', 'turn', 'deg', {}),
    leftUm: number('play left at the loosest place', 'left', 'um', {}),
    wearUm: number('wear of the ways', 'wear', 'um', {}),
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
