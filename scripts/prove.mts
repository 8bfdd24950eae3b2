// Takes axes of known truth through the sheets, as a builder would who does what they say, and prints what became of them.
//   npm run prove -- --axes 2000 --from 1
// What was tried stands in .cache, by the sources: a run that broke off goes on from there.
import { createHash } from 'node:crypto'
import { appendFileSync, existsSync, mkdirSync, readFileSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { parseArgs } from 'node:util'
import { isMainThread, parentPort, Worker } from 'node:worker_threads'
import {
  byFiguresTable,
  type FigureSearch,
  figuresHeldTo,
  searchedByFigures,
} from '@/core/practice/searchByFigures'
import { type Outcome, sheetsFor, tryAll, tryOn, type WholeOutcome } from '@/core/trial/builder'
import { type SearchOutcome, searchFor } from '@/core/trial/faultSearch'
import { heldTo, isKept, limitsTable, type Told } from '@/core/trial/limits'
import { type SummaryTable, summaryOf, wrongOf, wrongWords } from '@/core/trial/summary'
import { drawTrial } from '@/core/trial/trial'

interface TriedSeed {
  seed: number
  outcomes: Told[]
  search: SearchOutcome | null
  ofTwo: Outcome[]
  whole: WholeOutcome
  byFigures: FigureSearch | null
}
/** Two faults at once are tried on every fifth axis. */
const EVERY_TWO = 5
/** A search by figures simulates each fault in many sizes: it is made on every other. */
const EVERY_BY_FIGURES = 2

function trySeed(seed: number): TriedSeed {
  const trial = drawTrial(seed)
  const two = seed % EVERY_TWO === 0 ? drawTrial(seed, 2) : null
  return {
    seed,
    outcomes: sheetsFor(trial).map(sheet => ({
      ...tryOn(trial, sheet).outcome,
      straightFirst: trial.slip ? tryOn({ ...trial, slip: null }, sheet).outcome.first : undefined,
    })),
    search: searchFor(trial),
    ofTwo: two ? sheetsFor(two).map(sheet => tryOn(two, sheet).outcome) : [],
    whole: tryAll(trial).outcome,
    byFigures: seed % EVERY_BY_FIGURES === 0 ? searchedByFigures(trial) : null,
  }
}

function asMarkdown({ title, heads, rows }: SummaryTable): string {
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`
  return [`**${title}**`, '', line(heads), line(heads.map(() => '---')), ...rows.map(line), ''].join('\n')
}

/** Hands seeds out to one worker a core, each as it asks for one. */
async function handOut(seeds: readonly number[], onEach: (tried: TriedSeed) => void): Promise<void> {
  let next = 0
  await Promise.all(
    Array.from(
      { length: Math.min(availableParallelism(), seeds.length) },
      () =>
        new Promise<void>((done, fail) => {
          const worker = new Worker(process.argv[1] as string)
          const give = () => {
            const seed = seeds[next++]
            if (seed === undefined) worker.terminate().then(() => done(), fail)
            else worker.postMessage(seed)
          }
          worker.on('message', (tried: TriedSeed) => {
            onEach(tried)
            give()
          })
          worker.on('error', fail)
          give()
        }),
    ),
  )
}

async function main() {
  const { values } = parseArgs({
    options: { axes: { type: 'string', default: '2000' }, from: { type: 'string', default: '1' } },
  })
  const [axes, from] = [Number(values.axes), Number(values.from)]
  if (!(Number.isInteger(axes) && axes > 0 && Number.isInteger(from)))
    throw new Error(`--axes ${values.axes} --from ${values.from}: takes whole numbers, --axes over 0`)
  const sources = createHash('sha256').update(readFileSync(process.argv[1] as string))
  mkdirSync('.cache', { recursive: true })
  const kept = `.cache/prove-${sources.digest('hex').slice(0, 12)}.jsonl`
  const all = new Map<number, TriedSeed>()
  if (existsSync(kept))
    for (const line of readFileSync(kept, 'utf8').split('\n')) {
      // A run that was broken off may have left half a line: its axis is tried again.
      if (!line.endsWith('}')) continue
      const tried: TriedSeed = JSON.parse(line)
      all.set(tried.seed, tried)
    }
  const wanted = Array.from({ length: axes }, (_, index) => from + index)
  const begun = performance.now()
  const left = wanted.filter(seed => !all.has(seed))
  let done = 0
  await handOut(left, tried => {
    all.set(tried.seed, tried)
    // Begun with its own line, so that half a line before it stays by itself.
    appendFileSync(kept, `\n${JSON.stringify(tried)}`)
    done += 1
    if (done % 100 === 0) process.stderr.write(`${done} of ${left.length} axes\n`)
  })
  const tried = wanted.map(seed => all.get(seed) as TriedSeed)
  const outcomes = tried.flatMap(one => one.outcomes)
  process.stdout.write(
    `${summaryOf(
      outcomes,
      tried.flatMap(({ search }) => search ?? []),
      tried.flatMap(({ ofTwo }) => ofTwo),
      tried.map(({ whole }) => whole),
    )
      .map(asMarkdown)
      .join('\n')}\n`,
  )
  const wrong = outcomes.filter(one => wrongOf(one) > 0).toSorted((a, b) => wrongOf(b) - wrongOf(a))
  for (const one of wrong)
    process.stdout.write(
      `${one.sheet}: ${wrongWords(one)}; ${one.kind}; ${one.faults[0] ?? 'sound'}${one.slip ? `, ${one.slip}` : ''}: dusk axis --seed ${one.seed} --sheet ${one.sheet} > job.json\n`,
    )
  const searches = tried.flatMap(({ byFigures }) => byFigures ?? [])
  process.stdout.write(`\n${asMarkdown(byFiguresTable(searches))}`)
  const held = [...heldTo(outcomes), ...figuresHeldTo(searches)]
  process.stdout.write(`\n${asMarkdown(limitsTable(held))}`)
  const broken = held.filter(one => !isKept(one))
  if (broken.length > 0) process.exitCode = 1
  process.stderr.write(
    `${broken.length === 0 ? 'Every limit is kept' : `${broken.length} of ${held.length} limits are broken`}: ${axes} axes, ${left.length} of them now, in ${((performance.now() - begun) / 60_000).toFixed(1)} minutes\n`,
  )
}

if (isMainThread)
  main().catch((error: Error) => {
    process.stderr.write(`prove: ${error.message}\n`)
    process.exit(2)
  })
else parentPort?.on('message', (seed: number) => parentPort?.postMessage(trySeed(seed)))
