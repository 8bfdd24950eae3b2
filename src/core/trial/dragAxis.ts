import { evenRandom, normalFrom } from '../calculation/evenRandom'
import { dragShares, reachOf } from '../sheets/shared/rounds/dragShares'
import type { Cause, DragRead } from '../sheets/shared/rounds/tightSpots'

/** Causes that can be planted. */
export const PLANTED = [
  'fixed',
  'far',
  'nut',
  'ways',
  'gib',
  'spot',
  'screw',
  'coupler',
  'preload',
] as const satisfies Cause[]

/**
 * A set-up as a shop reads it: a screw between two blocks, read at some places both ways with the noise of a hand and the
 * step of its tool, and over one turn with the coupler on and off. The stiffness of its supports is not what the map takes
 * them for.
 *
 * @param planted the one thing that is wrong; none in a sound set-up
 */
export function simulatedDrag(seed: number, planted: Cause | null): DragRead {
  const random = evenRandom(seed)
  const between = (low: number, high: number) => low + (high - low) * random()
  const normal = normalFrom(random)
  const sign = () => (random() < 0.5 ? -1 : 1)
  const spanMm = between(250, 1600)
  const rootDiameterMm = between(12, 28)
  const trueReachMm = reachOf(rootDiameterMm, between(25, 110))
  const reachMm = reachOf(rootDiameterMm, 50)
  const levelNm = between(0.06, 0.5)
  const noiseNm = levelNm * between(0.015, 0.035)
  const stepNm = levelNm * between(0.01, 0.03)
  // The nut comes within its own length of each block.
  const [first, last] = [between(18, 45), spanMm - between(18, 45)]
  const count = 6 + Math.floor(random() * 3)
  const places = Array.from({ length: count }, (_, index) => first + ((last - first) * index) / (count - 1))
  // Sizes are those that a hand feels: a fifth of the level and more, where it is felt most.
  const size = levelNm * between(0.3, 1.5)
  const grown = planted === 'preload' ? between(2, 4) : 1
  const phiAt = (x: number) => 1 / (1 + (x / trueReachMm) ** 3)
  const endSize = (fromMm: number) => size / phiAt(fromMm)
  const ends = {
    fixed: planted === 'fixed' || planted === 'nut' ? endSize(first) : 0,
    far: planted === 'far' ? endSize(spanMm - last) : 0,
  }
  if (planted === 'nut') ends.far = ends.fixed * between(0.8, 1.25)
  const slope = planted === 'ways' ? sign() * levelNm * between(0.2, 0.8) : 0
  const walking = planted === 'gib' ? sign() * levelNm * between(0.2, 0.6) : 0
  const spotAt = 1 + Math.floor(random() * (count - 2))
  const wave = planted === 'screw' || planted === 'coupler' ? levelNm * between(0.25, 0.8) : 0
  const waveAtDeg = between(0, 360)
  const read = (torqueNm: number) =>
    Math.max(0, Math.round((torqueNm + noiseNm * normal()) / stepNm) * stepNm)
  const along = places.flatMap((positionMm, index) =>
    ([1, -1] as const).map(direction => {
      const [, , atFixed, atFar, along] = dragShares(positionMm, direction, spanMm, trueReachMm)
      const spot = planted === 'spot' && index === spotAt ? size : 0
      return {
        positionMm,
        direction,
        torqueNm: read(
          levelNm * grown +
            direction * walking +
            ends.fixed * atFixed +
            ends.far * atFar +
            slope * along +
            spot,
        ),
      }
    }),
  )
  const turnOf = (amplitude: number) =>
    Array.from({ length: 8 }, (_, index) => ({
      angleDeg: 45 * index,
      torqueNm: read(levelNm * grown + amplitude * Math.cos(((45 * index - waveAtDeg) * Math.PI) / 180)),
    }))
  return {
    along,
    spanMm,
    reachMm,
    stepNm,
    turn: turnOf(wave),
    turnUncoupled: turnOf(planted === 'screw' ? wave : 0),
    // What it should be is known no better than this.
    expectedNm: levelNm * between(0.8, 1.25),
  }
}
