import fc from 'fast-check'

// A change is judged by the same draws as the change before it: a red `npm test` is then the change's own doing.
// `npm run endure` draws anew, as does DUSK_SEED=random; DUSK_SEED=number repeats a run.
const { DUSK_ALL_RUNS, DUSK_SEED = DUSK_ALL_RUNS ? 'random' : '20261201' } = process.env
if (DUSK_SEED !== 'random') fc.configureGlobal({ seed: Number(DUSK_SEED) })
