import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { describe } from '@/core/calculation/spec'
import { PART_KINDS, type PartKind } from '@/core/document/job'
import { known } from '@/core/evaluation/attempt'
import { askFor } from '@/core/evaluation/check'
import { NotKnown, Trace } from '@/core/evaluation/context'
import { runCalculations } from '@/core/formats/calculationRequests'
import { readJobFile } from '@/core/formats/jobFile'
import { writeOrdersCsv } from '@/core/formats/ordersCsv'
import { readPartsCsv } from '@/core/formats/partsCsv'
import { CATALOGUE, type Catalogue, catalogueOf, NO_OWN_PARTS } from '@/core/machine/parts'
import { orderList } from '@/core/orders/orders'
import { searchDrives } from '@/core/search/search'
import { whyNot, whyNothing } from '@/core/search/whyNot'
import { cutList } from '@/core/sheets/cutList'
import { evaluateAxis } from '@/core/sheets/evaluateAxis'
import { screwSteps, totalLengthMm } from '@/core/sheets/leadscrewEnds/drawing'
import { judgeJoint } from '@/core/sheets/makingInputs'
import { registry } from '@/core/sheets/registry'
import { waysOut } from '@/core/sheets/remedies'

const USAGE = `dusk calc < requests.json   work out [{"calculation": "screw.criticalSpeed", "inputs": {...}}]
dusk evaluate FILE          the findings of a job file
dusk search FILE --axis X   the drives of an axis that nothing beats on price, margin, lost motion and height
                            (--why-not KIND:PART says what stands in the way of a part)
dusk room FILE --axis X     what is cut, in its order, the ends of the screw, and the screws of every joint
dusk orders FILE            what the machine still needs, as the CSV that the app takes back
dusk parts FILE.csv         what a file of parts holds, and what is wrong in it, row by row
dusk list                   every calculation with its inputs, outputs and units`

/** Stops with one line on the error output. */
function stop(message: string): never {
  process.stderr.write(`dusk: ${message.replace(/\s*\n\s*/g, ' ')}\n`)
  process.exit(2)
}

function attempt<T>(work: () => T): T {
  try {
    return work()
  } catch (error) {
    if (error instanceof NotKnown) stop(askFor(error.missing))
    stop(error instanceof Error ? error.message : String(error))
  }
}

const print = (value: unknown) => process.stdout.write(`${JSON.stringify(value, null, 1)}\n`)

function calc() {
  print(attempt(() => runCalculations(readFileSync(0, 'utf8'))))
}

/** A file as it was named: npm runs at the root of the project, a path is meant from where it was typed. */
function named(path: string | undefined, command: string): string {
  if (!path) stop(`${command}: name a file`)
  return resolve(process.env.INIT_CWD ?? '.', path)
}

function jobIn(path: string | undefined, command: string) {
  return attempt(() => readJobFile(readFileSync(named(path, command), 'utf8'))).job
}

function evaluate(path: string | undefined) {
  const job = jobIn(path, 'evaluate')
  const catalogue = catalogueOf(job)
  print({
    job: job.name,
    units: job.units,
    axes: job.axes.map(axis => {
      const { findings, figures } = evaluateAxis(axis, catalogue, job.units)
      return {
        axis: axis.name,
        title: axis.title,
        findings: findings.map(finding => ({
          ...finding,
          because: finding.because.map(name => ({ figure: name, ...figures[name] })),
          waysOut:
            finding.state === 'fails' || finding.state === 'close'
              ? waysOut(axis, catalogue, job.units, finding.checkId)
              : [],
        })),
      }
    }),
  })
}

/** A part as the command line names it, such as `motor:step-57-22`. */
function partNamed(text: string, catalogue: Catalogue): { kind: PartKind; partId: string } {
  const [kind = '', partId = ''] = text.split(':')
  const listed = PART_KINDS.find(one => one === kind)
  if (!listed) stop(`--why-not: got ${text}, takes a kind and a part, such as motor:step-57-22`)
  if (!catalogue[listed].has(partId))
    stop(`--why-not: got ${partId || 'no part'}, takes a ${listed} of the parts list`)
  return { kind: listed, partId }
}

/** A job file and one of its axes; of the other options, those that a command takes. */
function axisIn(command: string, args: string[], more: string[] = []) {
  const options = Object.fromEntries(['axis', ...more].map(name => [name, { type: 'string' as const }]))
  const { values, positionals } = attempt(() => parseArgs({ args, allowPositionals: true, options }))
  const job = jobIn(positionals[0], command)
  const names = job.axes.map(({ name }) => name)
  const axis = job.axes.find(({ name }) => name === values.axis)
  if (!axis) stop(`--axis: got ${values.axis ?? 'nothing'}, takes one of ${names.join(', ')}`)
  return { job, axis, catalogue: catalogueOf(job), values }
}

function search(args: string[]) {
  const { job, axis, catalogue, values } = axisIn('search', args, ['why-not'])
  const asked = values['why-not']
  const part = asked ? partNamed(asked, catalogue) : null
  const result = attempt(() => searchDrives(axis, catalogue))
  const points = result?.points ?? []
  print({
    job: job.name,
    axis: axis.name,
    ...result,
    ...(points.length === 0 && { whyNothing: whyNothing(axis, catalogue, job.units) }),
    ...(part && { whyNot: whyNot(axis, catalogue, part.kind, part.partId, points, job.units) }),
  })
}

/** What comes out, or the sentence that asks for what it needs. */
function orMissing<T>(work: () => T): T | { missing: string } {
  const result = known(work)
  return result.ask === undefined ? result.value : { missing: result.ask }
}

function room(args: string[]) {
  const { job, axis, catalogue } = axisIn('room', args)
  const trace = new Trace(axis, catalogue)
  print({
    job: job.name,
    axis: axis.name,
    cuts: orMissing(() => cutList(trace, job.units)),
    screw: orMissing(() => {
      const steps = screwSteps(trace)
      return { steps, totalLengthMm: totalLengthMm(steps) }
    }),
    joints: axis.making.joints.map(judgeJoint),
  })
}

function orders(path: string | undefined) {
  const job = jobIn(path, 'orders')
  process.stdout.write(writeOrdersCsv(orderList(job, catalogueOf(job))))
}

function parts(path: string | undefined) {
  const { kind, good, wrong, leftOut } = attempt(() =>
    readPartsCsv(readFileSync(named(path, 'parts'), 'utf8'), NO_OWN_PARTS, CATALOGUE),
  )
  print({ kind, good: good.map(({ line, part }) => ({ line, ...part })), wrong, leftOut })
}

function list() {
  print(
    [...registry.values()].map(({ id, title, formula, source, validity, inputs, outputs }) => {
      const lines = (specs: typeof inputs) =>
        Object.entries(specs).map(([name, spec]) => ({
          name,
          label: spec.label,
          unit: spec.kind === 'number' ? spec.unit : null,
          takes: describe(spec),
          ...(spec.kind === 'number' && spec.default !== undefined && { default: spec.default }),
        }))
      return { id, title, formula, source, validity, inputs: lines(inputs), outputs: lines(outputs) }
    }),
  )
}

const [command, argument] = process.argv.slice(2)
if (command === 'calc') calc()
else if (command === 'evaluate') evaluate(argument)
else if (command === 'search') search(process.argv.slice(3))
else if (command === 'room') room(process.argv.slice(3))
else if (command === 'orders') orders(argument)
else if (command === 'parts') parts(argument)
else if (command === 'list') list()
else if (command === 'help' || command === '--help') process.stdout.write(`${USAGE}\n`)
else
  stop(
    `got ${command ?? 'no command'}, takes calc, evaluate FILE, search FILE, room FILE, orders FILE, parts FILE or list`,
  )
