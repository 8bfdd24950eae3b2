import { readFileSync } from 'node:fs'
import { describe, type Specs } from '@/core/calculation/spec'
import type { Catalogue } from '@/core/document/parts/types'
import { attempt } from '@/core/evaluation/attempt'
import { runCalculations } from '@/core/formats/calculationRequests'
import { writeOrdersCsv } from '@/core/formats/ordersCsv'
import { readPartsCsv } from '@/core/formats/partsCsv'
import { CATALOGUE, catalogueOf, NO_OWN_PARTS } from '@/core/machine/parts'
import { orderList } from '@/core/orders/orders'
import { searchDrives } from '@/core/search/search'
import { SEARCHED_KINDS, type SearchedKind, whyNot, whyNothing } from '@/core/search/whyNot'
import { type CheckId, SHEETS } from '@/core/sheets'
import { cutList } from '@/core/sheets/cutList'
import { evaluateAxis } from '@/core/sheets/evaluateAxis'
import { OUTCOMES } from '@/core/sheets/outcomes'
import { registry } from '@/core/sheets/registry'
import { remediesFor } from '@/core/sheets/remedies'
import { axisIn, jobIn, named } from './read'

interface Command {
  usage: string
  about: string
  /** What goes to the output. @throws Error that says what is wrong, in one line */
  run: (args: string[]) => string
}

const json = (value: unknown) => `${JSON.stringify(value, null, 1)}\n`

/** What comes out, or the sentence that asks for what it needs. */
function orMissing<T>(work: () => T): T | { missing: string } {
  const result = attempt(work)
  return result.ask === undefined ? result.value : { missing: result.ask }
}

function evaluate([path]: string[]): string {
  const job = jobIn(path, 'evaluate')
  const catalogue = catalogueOf(job)
  return json({
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
          remedies:
            finding.state === 'fails' || finding.state === 'close'
              ? remediesFor(axis, catalogue, job.units, finding.checkId as CheckId)
              : [],
        })),
      }
    }),
  })
}

/** A part as the command line names it, such as `motor:step-57-22`. */
function partNamed(text: string, catalogue: Catalogue): { kind: SearchedKind; partId: string } {
  const [kind = '', partId = ''] = text.split(':')
  const listed = SEARCHED_KINDS.find(one => one === kind)
  if (!listed) throw new Error(`--why-not: got ${text}, takes a kind and a part, such as motor:step-57-22`)
  if (!catalogue[listed].has(partId))
    throw new Error(`--why-not: got ${partId || 'no part'}, takes a ${listed} of the parts list`)
  return { kind: listed, partId }
}

function search(args: string[]): string {
  const { job, axis, catalogue, values } = axisIn('search', args, ['why-not'])
  const asked = values['why-not']
  const part = asked ? partNamed(asked, catalogue) : null
  const result = searchDrives(axis, catalogue)
  const points = result?.points ?? []
  return json({
    job: job.name,
    axis: axis.name,
    ...result,
    ...(points.length === 0 && { whyNothing: whyNothing(axis, catalogue, job.units) }),
    ...(part && { whyNot: whyNot(axis, catalogue, part.kind, part.partId, points, job.units) }),
  })
}

function room(args: string[]): string {
  const { job, axis, catalogue } = axisIn('room', args)
  const context = evaluateAxis(axis, catalogue, job.units)
  const reportOf = (sheet: string) => OUTCOMES.find(({ id }) => id === sheet)?.report?.(context)
  return json({
    job: job.name,
    axis: axis.name,
    cuts: orMissing(() => cutList(context)),
    screw: reportOf('leadscrewEnds'),
    joints: reportOf('fasteners'),
  })
}

/** A sheet as the shell shows it, or every sheet: its findings, what it wants cut and bought, and what it comes to. */
function sheet(args: string[]): string {
  const { job, axis, catalogue, values } = axisIn('sheet', args, ['sheet'])
  const asked = values.sheet
  const sheets = SHEETS.filter(({ id }) => asked === undefined || id === asked)
  if (sheets.length === 0)
    throw new Error(`--sheet: got ${asked}, takes one of ${SHEETS.map(({ id }) => id).join(', ')}`)
  const context = evaluateAxis(axis, catalogue, job.units)
  return json({
    job: job.name,
    axis: axis.name,
    sheets: sheets.map(({ id, title, stage }) => {
      const { cuts, orders, report } = OUTCOMES.find(outcome => outcome.id === id) ?? {}
      return {
        sheet: id,
        title,
        stage,
        findings: context.findings.filter(finding => finding.sheet === id),
        ...(cuts && { cuts: orMissing(() => cuts(context)) }),
        ...(orders && { orders: orders(axis, catalogue, job.units) }),
        ...(report && { report: report(context) }),
      }
    }),
  })
}

function orders([path]: string[]): string {
  const job = jobIn(path, 'orders')
  return writeOrdersCsv(orderList(job, catalogueOf(job)))
}

function parts([path]: string[]): string {
  const text = readFileSync(named(path, 'parts'), 'utf8')
  const { kind, good, wrong, leftOut } = readPartsCsv(text, NO_OWN_PARTS, CATALOGUE)
  return json({ kind, good: good.map(({ line, part }) => ({ line, ...part })), wrong, leftOut })
}

function list(): string {
  const lines = (specs: Specs) =>
    Object.entries(specs).map(([name, spec]) => ({
      name,
      label: spec.label,
      unit: spec.kind === 'number' ? spec.unit : null,
      takes: describe(spec),
      ...(spec.kind === 'number' && spec.default !== undefined && { default: spec.default }),
    }))
  return json(
    [...registry.values()].map(({ id, title, formula, source, validity, inputs, outputs }) => ({
      id,
      title,
      formula,
      source,
      validity,
      inputs: lines(inputs),
      outputs: lines(outputs),
    })),
  )
}

/** Every command of the shell: a new one is a line here. */
export const COMMANDS = {
  calc: {
    usage: 'calc < requests.json',
    about: 'work out [{"calculation": "screw.criticalSpeed", "inputs": {...}}]',
    run: () => json(runCalculations(readFileSync(0, 'utf8'))),
  },
  evaluate: {
    usage: 'evaluate FILE',
    about: 'the findings of a job file, with their remedies',
    run: evaluate,
  },
  search: {
    usage: 'search FILE --axis X',
    about:
      'the drives of an axis that nothing beats on price, margin, lost motion and height (--why-not KIND:PART says what stands in the way of a part)',
    run: search,
  },
  room: {
    usage: 'room FILE --axis X',
    about: 'what is cut, in its order, the ends of the screw, and the screws of every joint',
    run: room,
  },
  sheet: {
    usage: 'sheet FILE --axis X',
    about: 'what every sheet of an axis has to say, or one of them (--sheet travel)',
    run: sheet,
  },
  orders: {
    usage: 'orders FILE',
    about: 'what the machine still needs, as the CSV that the app takes back',
    run: orders,
  },
  parts: {
    usage: 'parts FILE.csv',
    about: 'what a file of parts holds, and what is wrong in it, row by row',
    run: parts,
  },
  list: { usage: 'list', about: 'every calculation with its inputs, outputs and units', run: list },
} satisfies Record<string, Command>

export const isCommand = (name: string | undefined): name is keyof typeof COMMANDS =>
  name !== undefined && Object.hasOwn(COMMANDS, name)
