import { defineStrained, times } from '../shared/strained/strained'

/** The tightest place. */
const least = (places: readonly { playUm: number | null }[]) =>
  Math.min(...places.flatMap(({ playUm }) => playUm ?? []))

export const GIB_STRAINED = defineStrained({
  states: {
    'align.gib': ['holds', 'close', 'fails'],
  },
  strain: (axis, by) => ({
    gibRounds: axis.gibRounds.map(round => ({
      ...round,
      locks: by.by < 1 ? ('nowhere' as const) : round.locks,
      stations: round.stations.map(one => ({
        ...one,
        // The tightest place stays, the others wear.
        playUm:
          one.playUm === null
            ? null
            : times(
                least(round.stations) + (one.playUm - least(round.stations)) * 3 * by.by,
                Math.min(by.heights, 3),
              ),
      })),
    })),
  }),
})
