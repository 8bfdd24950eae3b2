import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { runCalculations } from '@/core/formats/calculationRequests'
import { readJobFile } from '@/core/formats/jobFile'
import { registry } from '@/core/registry'
import { CATALOGUE } from '@/core/sizing/parts'
import { describe } from '@/core/spec'
import { evaluateAxis } from '@/core/verdicts/evaluateAxis'
import { waysOut } from '@/core/verdicts/waysOut'

const USAGE = `dusk calc < requests.json   work out [{"calculation": "screw.criticalSpeed", "inputs": {...}}]
dusk evaluate FILE          the findings of a job file
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
    stop(error instanceof Error ? error.message : String(error))
  }
}

const print = (value: unknown) => process.stdout.write(`${JSON.stringify(value, null, 1)}\n`)

function calc() {
  print(attempt(() => runCalculations(readFileSync(0, 'utf8'))))
}

function evaluate(path: string | undefined) {
  if (!path) stop('evaluate: name a job file')
  // npm runs at the root of the project; a path is meant from where the builder typed it.
  const from = resolve(process.env.INIT_CWD ?? '.', path)
  const { job } = attempt(() => readJobFile(readFileSync(from, 'utf8')))
  print({
    job: job.name,
    units: job.units,
    axes: job.axes.map(axis => {
      const { findings, figures } = evaluateAxis(axis, CATALOGUE, job.units)
      return {
        axis: axis.name,
        title: axis.title,
        findings: findings.map(finding => ({
          ...finding,
          because: finding.because.map(name => ({ figure: name, ...figures[name] })),
          waysOut:
            finding.state === 'fails' || finding.state === 'close'
              ? waysOut(axis, CATALOGUE, job.units, finding.checkId)
              : [],
        })),
      }
    }),
  })
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
else if (command === 'list') list()
else if (command === 'help' || command === '--help') process.stdout.write(`${USAGE}\n`)
else stop(`got ${command ?? 'no command'}, takes calc, evaluate FILE or list`)
