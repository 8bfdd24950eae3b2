import { formatISO as format8601 } from 'date-fns'
import { acceptanceOf } from '@/core/acceptance/acceptanceOf'
import { dueEntries, duesOfJob } from '@/core/acceptance/dues'
import { compensable } from '@/core/diagnose/compensable'
import { diagnosis } from '@/core/diagnose/diagnosis'
import type { Catalogue } from '@/core/document/parts/types'
import { framed, type Paper, pagesOf, usualPaper } from '@/core/drawing/pages'
import { writeSvg } from '@/core/drawing/svg'
import { plainFindings } from '@/core/evaluation/check'
import type { Fields } from '@/core/field/field'
import { takes, unitOf } from '@/core/field/takes'
import { runCalculations } from '@/core/formats/calculationRequests'
import { writeCalendar } from '@/core/formats/calendarFile'
import { CSV_STYLES, type CsvStyle, tableCsv } from '@/core/formats/csv'
import { ordersTable } from '@/core/formats/ordersCsv'
import { readPartsCsv } from '@/core/formats/partsCsv'
import { ENCODINGS, type Encoding } from '@/core/formats/textFile'
import { writeWorkbook } from '@/core/formats/workbook'
import { writeJobFile } from '@/core/formats/writeJobFile'
import { CATALOGUE, catalogueOf, NO_OWN_PARTS } from '@/core/machine/parts'
import { orderList } from '@/core/orders/orders'
import { dateAt, nowOf } from '@/core/planning/days'
import { entriesOf, nameOf, placedTasks } from '@/core/planning/entries'
import { windowsFrom } from '@/core/planning/hours'
import { modelTable } from '@/core/planning/modelTable'
import { planJob } from '@/core/planning/plan'
import { tasksOf } from '@/core/planning/tasks'
import { searchOutcome } from '@/core/search/outcome'
import { waysOut } from '@/core/search/waysOut'
import { SEARCHED_KINDS, type SearchedKind, whyNot } from '@/core/search/whyNot'
import { givenThings } from '@/core/search/within'
import { SHEETS } from '@/core/sheets'
import { OUTCOMES } from '@/core/sheets/asked.generated'
import { cutList } from '@/core/sheets/cutList'
import { evaluateAxis } from '@/core/sheets/evaluateAxis'
import { registry } from '@/core/sheets/registry'
import { SHEETS_TRIED, sheetsFor, type Tried, tryOn } from '@/core/trial/builder'
import { truthWords } from '@/core/trial/summary'
import { drawTrial, trialOf } from '@/core/trial/trial'
import { dayWords } from '@/core/units/dateWords'
import { orMissing, supplyOf, today } from './answers'
import { thingsToMake } from './drawings'
import { axisLines, eachLine, QUESTIONS, type Question } from './each'
import { pdfFonts } from './pdfFonts'
import { axisIn, fileIn, jobIn, textOf } from './read'
import { recordHtml } from './record'

/** What can be typed beside the file: each command takes some of it. */
export interface Options {
  axis?: string
  whyNot?: string
  sheet?: string
  name?: string
  format?: string
  paper?: string
  csv?: string
  encoding?: Encoding
  seed?: string
  faults?: string
  keepGoing?: boolean
  ask?: Question
  parts?: string
}

/** What comes out, and whether something in it is wrong. */
interface Outcome {
  out: string | Uint8Array
  failed?: boolean
}

const json = (value: unknown): Outcome => ({ out: `${JSON.stringify(value, null, 1)}\n` })

function evaluate(path: string): Outcome {
  const job = jobIn(path)
  const catalogue = catalogueOf(job)
  return json({
    job: job.name,
    units: job.units,
    axes: job.axes.map(axis => {
      const { findings, figures } = evaluateAxis(axis, catalogue, job.units)
      return {
        axis: axis.name,
        title: axis.title,
        findings: plainFindings(findings).map(finding => ({
          ...finding,
          because: finding.because.map(name => ({ figure: name, ...figures[name] })),
          remedies:
            finding.state === 'fails' || finding.state === 'close'
              ? waysOut(axis, catalogue, supplyOf(job), job.units, finding.checkId)
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

function search(path: string, options: Options): Outcome {
  const { job, axis, catalogue } = axisIn(path, options)
  const asked = options.whyNot
  const part = asked ? partNamed(asked, catalogue) : null
  const supply = supplyOf(job)
  const outcome = searchOutcome(axis, catalogue, supply, job.units)
  const { whyNothing, points = [], ...found } = outcome ?? {}
  return json({
    job: job.name,
    axis: axis.name,
    within: givenThings(axis, catalogue, job.units).map(({ words }) => words),
    points,
    ...found,
    ...(whyNothing && { whyNothing }),
    ...(part && { whyNot: whyNot(axis, catalogue, part.kind, part.partId, points, supply, job.units) }),
  })
}

function room(path: string, options: Options): Outcome {
  const { job, axis, catalogue } = axisIn(path, options)
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

/** A sheet as the shell shows it, or every sheet: its findings, what it wants cut and bought, what it comes to, and the figures behind it. */
function sheet(path: string, options: Options): Outcome {
  const { job, axis, catalogue } = axisIn(path, options)
  const asked = options.sheet
  const sheets = SHEETS.filter(({ id }) => asked === undefined || id === asked)
  if (sheets.length === 0)
    throw new Error(`--sheet: got ${asked}, takes one of ${SHEETS.map(({ id }) => id).join(', ')}`)
  const context = evaluateAxis(axis, catalogue, job.units)
  // Judged first: figures are those that the verdicts asked for.
  const { findings: all, figures } = context
  // What is folded from several sheets: what a controller takes out, which fault it is, and what is handed over.
  const folded: Readonly<Record<string, () => unknown>> = {
    compensation: () => compensable(context),
    findFault: () => diagnosis(context),
    acceptance: () =>
      acceptanceOf(job, one => evaluateAxis(one, catalogue, job.units), fileIn(path).entries).axes.find(
        ({ axisId }) => axisId === axis.id,
      ),
  }
  return json({
    job: job.name,
    axis: axis.name,
    sheets: sheets.map(({ id, title, stage }) => {
      const { cuts, orders, report } = OUTCOMES.find(outcome => outcome.id === id) ?? {}
      const findings = all.filter(finding => finding.sheet === id)
      const behind = new Set(findings.flatMap(({ because }) => because))
      return {
        sheet: id,
        title,
        stage,
        findings,
        // Each figure that a verdict rests on, with what it was worked out from: anybody can work it out again.
        figures: Object.fromEntries(Object.entries(figures).filter(([name]) => behind.has(name))),
        ...(folded[id] && { folded: orMissing(folded[id]) }),
        ...(cuts && { cuts: orMissing(() => cuts(context)) }),
        ...(orders && { orders: orders(axis, catalogue, job.units) }),
        ...(report && { report: report(context) }),
      }
    }),
  })
}

/** What is left of a job, laid into its hours from now on: a list, or a calendar. */
function plan(path: string, { format }: Options): Outcome {
  const job = jobIn(path)
  const catalogue = catalogueOf(job)
  const date = new Date()
  const now = nowOf(date)
  const { tasks, gaps } = tasksOf(job, catalogue, now)
  const until = Date.now() + LONGEST_PLANNING_MS
  const found = planJob(job, catalogue, now, { cancelled: () => Date.now() > until })
  if (found.kind === 'none')
    return { ...json({ job: job.name, ...found, gaps }), failed: found.reason !== 'done' }
  const placed = placedTasks(tasks, found.tasks)
  if (format === 'ics') {
    const windows = windowsFrom(job.plan, now.day, now.minute)
    const stamp = `${date.toISOString().slice(0, 19)}Z`
    const entries = [
      ...entriesOf(job.id, placed, windows, now.day),
      ...dueEntries(job, duesOfJob(job, catalogue)),
    ]
    return { out: writeCalendar(job.name, entries, stamp) }
  }
  const local = (minute: number) => format8601(dateAt(now.day, minute))
  return json({
    job: job.name,
    finish: local(found.finishMinute),
    notBefore: local(found.boundMinute),
    handsMinutes: found.handsMinutes,
    gaps,
    tasks: placed.map(({ task, way, beginMinute, finishMinute, slackMinutes, holdsEnd }) => ({
      task: nameOf(task),
      way: way.words,
      begin: local(beginMinute),
      finish: local(finishMinute),
      slackMinutes,
      holdsEnd,
    })),
  })
}
/** So long a plan is bettered before its bound is given with it. */
const LONGEST_PLANNING_MS = 10_000

async function orders(path: string, { csv }: Options): Promise<Outcome> {
  const job = jobIn(path)
  const day = today()
  const table = ordersTable(orderList(job, catalogueOf(job)), job.name, day)
  return { out: csv === 'xlsx' ? await writeWorkbook([table]) : tableCsv(table, csv as CsvStyle) }
}

/** What machines of one model have in common, as a table. */
function model(paths: readonly string[], { csv }: Options): Outcome {
  const jobs = paths.map(jobIn)
  const [first] = jobs
  for (const [index, job] of jobs.entries()) {
    if (jobs.findIndex(({ id }) => id === job.id) < index)
      throw new Error(`${paths[index]}: got ${job.name} twice, takes each machine once`)
    if (job.machineKind !== first?.machineKind)
      throw new Error(
        `${paths[index]}: got a ${job.machineKind}, takes machines of one model, as ${paths[0]} is a ${first?.machineKind}`,
      )
  }
  return { out: tableCsv(modelTable(jobs, first?.units ?? 'mm'), csv as CsvStyle) }
}

function record(path: string, { axis: name }: Options): Outcome {
  const file = fileIn(path)
  const names = file.job.axes.map(axis => axis.name)
  if (name !== undefined && !names.includes(name))
    throw new Error(`--axis: got ${name}, takes one of ${names.join(', ')}`)
  return { out: recordHtml(file, name === undefined ? names : [name]) }
}

function parts(path: string, { encoding }: Options): Outcome {
  const { kind, good, wrong, leftOut } = readPartsCsv(textOf(path, encoding), NO_OWN_PARTS, CATALOGUE)
  const found = { kind, good: good.map(({ line, part }) => ({ line, ...part })), wrong, leftOut }
  return { ...json(found), failed: wrong.length > 0 }
}

function list(): Outcome {
  const lines = (fields: Fields) =>
    Object.entries(fields).map(([name, field]) => ({
      name,
      label: field.label,
      unit: field.is === 'number' ? unitOf(field) : null,
      takes: takes(field),
      ...(field.is === 'number' && field.default !== undefined && { default: field.default }),
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

/** Answers every request in its order; one that cannot be worked out says why in its place. */
function calc(path: string): Outcome {
  const answers = runCalculations(textOf(path))
  return { ...json(answers), failed: answers.some(answer => 'error' in answer) }
}

/** An axis of known truth, drawn or somebody's, taken through a sheet, as a job file. */
function axis(path: string, options: Options): Outcome {
  const { seed: asked = '', sheet: name, faults } = options
  const seed = Number(asked)
  if (asked === '' || !Number.isSafeInteger(seed) || seed < 1)
    throw new Error(`--seed: got ${asked || 'nothing'}, takes a whole number from 1 on`)
  const atOnce = faults === '2' ? 2 : 1
  const given = options.axis === undefined ? null : axisIn(path, options)
  const trial = given ? trialOf(given.job, given.axis, seed, atOnce) : drawTrial(seed, atOnce)
  if (!sheetsFor(trial).includes(name as Tried))
    throw new Error(`--sheet: got ${name}, takes one of ${sheetsFor(trial).join(', ')}`)
  const { axis: read, outcome } = tryOn(trial, name as Tried)
  process.stderr.write(`${truthWords(trial, outcome)}\n`)
  return {
    out: writeJobFile({
      format: 'dusk-bench-job',
      job: { ...trial.job, axes: trial.job.axes.map(one => (one.id === read.id ? read : one)) },
      entries: [],
      history: [],
    }),
  }
}

/** One drawing of an axis at full size, as its file. */
async function drawing(path: string, options: Options): Promise<Outcome> {
  const { job, axis, catalogue } = axisIn(path, options)
  const { units } = job
  const things = thingsToMake(evaluateAxis(axis, catalogue, units), `${job.name}, ${axis.name}`)
  const made = things.get(options.name ?? '')
  if (!made)
    throw new Error(`--name: got ${options.name || 'nothing'}, takes one of ${[...things.keys()].join(', ')}`)
  if (options.format === 'stl') {
    const solid = made.solid?.()
    if (!solid)
      throw new Error(
        `--format: ${options.name} has no body that is measured all round, takes pdf, svg, dxf or dxf-r12`,
      )
    return { out: (await import('@/core/drawing/stl')).writeStl(solid) }
  }
  const drawn = made.drawing()
  const author = job.acceptance.testedBy
  const imprint = { machine: job.name, axis: axis.name, author, date: dayWords(new Date().toISOString()) }
  switch (options.format) {
    case 'svg':
      return { out: writeSvg(framed(drawn, imprint, units)) }
    case 'dxf-r12':
      return { out: (await import('@/core/drawing/dxfR12')).writeDxfR12(framed(drawn, imprint, units)) }
    case 'dxf':
      return { out: (await import('@/core/drawing/dxf')).writeDxf(framed(drawn, imprint, units)) }
    default: {
      const paper = (options.paper as Paper | undefined) ?? usualPaper(units)
      const { missingWords, writePdf } = await import('@/core/drawing/pdf')
      const facts = { title: drawn.title, author }
      const { bytes, missing } = await writePdf(facts, pagesOf(drawn, paper, imprint, units), pdfFonts())
      const lacking = missingWords(missing)
      if (lacking) process.stderr.write(`${lacking}\n`)
      return { out: bytes }
    }
  }
}

const FILE = { name: '<file>', about: 'a job file, or - for the standard input' }
const AXIS = { flags: '--axis <name>', about: 'the axis by its name, such as X' }

interface Command {
  about: string
  file: { name: string; about: string } | null
  options?: { flags: string; about: string; choices?: readonly string[]; fallback?: string }[]
  /** @param paths of all files, where a command takes several */
  run: (path: string, options: Options, paths: readonly string[]) => Outcome | Promise<Outcome>
}

/** Every command of the shell: a new one is a line here. */
export const COMMANDS: Record<string, Command> = {
  calc: {
    about: 'work out [{"calculation": "screw.criticalSpeed", "inputs": {...}}]',
    file: { name: '[file]', about: 'the requests as JSON; the standard input where it is left out' },
    options: [{ flags: '--keep-going', about: 'end well also where a request could not be worked out' }],
    run: calc,
  },
  evaluate: { about: 'the findings of a job, with their remedies', file: FILE, run: evaluate },
  search: {
    about: 'the drives of an axis that nothing beats on price, margin, lost motion and height',
    file: FILE,
    options: [AXIS, { flags: '--why-not <kind:part>', about: 'say what stands in the way of a part' }],
    run: search,
  },
  room: {
    about: 'what is cut, in its order, the ends of the screw, and the screws of every joint',
    file: FILE,
    options: [AXIS],
    run: room,
  },
  sheet: {
    about: 'what every sheet of an axis has to say, or one of them',
    file: FILE,
    options: [AXIS, { flags: '--sheet <id>', about: 'one sheet, such as travel' }],
    run: sheet,
  },
  axis: {
    about:
      'an axis of known truth as a job file, read by a simulated hand; what is wrong with it comes on the error output',
    file: {
      name: '[file]',
      about: 'a job whose axis it is, named by --axis; a drawn one where it is left out',
    },
    options: [
      AXIS,
      { flags: '--seed <number>', about: 'which one: the same number is always the same axis' },
      {
        flags: '--sheet <id>',
        about: 'whose readings are taken, and its orders followed',
        choices: Object.keys(SHEETS_TRIED),
        fallback: 'drag',
      },
      { flags: '--faults <count>', about: 'how many at once', choices: ['1', '2'], fallback: '1' },
    ],
    run: axis,
  },
  drawing: {
    about: 'a drawing at full size, to the standard output',
    file: FILE,
    options: [
      AXIS,
      { flags: '--name <name>', about: 'nut-bracket, screw, or bung-1 for the first hole', fallback: '' },
      {
        flags: '--format <format>',
        about: 'of the file',
        choices: ['pdf', 'svg', 'dxf', 'dxf-r12', 'stl'],
        fallback: 'pdf',
      },
      { flags: '--paper <paper>', about: 'of a PDF; as the job measures', choices: ['a4', 'letter'] },
    ],
    run: drawing,
  },
  plan: {
    about: 'when what is left is done, task by task, from now on',
    file: FILE,
    options: [
      {
        flags: '--format <format>',
        about: 'a list, or an iCalendar file',
        choices: ['json', 'ics'],
        fallback: 'json',
      },
    ],
    run: plan,
  },
  orders: {
    about: 'what the machine still needs, as the CSV that the app takes back',
    file: FILE,
    options: [
      {
        flags: '--csv <style>',
        about: 'what separates the columns, and a decimal comma or point; or a workbook',
        choices: [...Object.keys(CSV_STYLES), 'xlsx'],
        fallback: 'comma',
      },
    ],
    run: orders,
  },
  model: {
    about:
      'what machines of one model have in common: how castings spread, minutes, faults and lessons, as CSV',
    file: { name: '<files...>', about: 'job files, one for each machine' },
    options: [
      {
        flags: '--csv <style>',
        about: 'what separates the columns, and a decimal comma or point',
        choices: Object.keys(CSV_STYLES),
        fallback: 'comma',
      },
    ],
    run: (_, options, paths) => model(paths, options),
  },
  record: {
    about: 'the record of every axis, or of one, on paper: a page of HTML to the standard output',
    file: FILE,
    options: [AXIS],
    run: record,
  },
  parts: {
    about: 'what a file of parts holds, and what is wrong in it, row by row',
    file: { name: '<file>', about: 'a CSV of parts, or - for the standard input' },
    options: [
      { flags: '--keep-going', about: 'end well also where a row is wrong' },
      {
        flags: '--encoding <name>',
        about: 'how the letters of a file are meant that is not Unicode',
        choices: Object.keys(ENCODINGS),
      },
    ],
    run: parts,
  },
  schema: {
    about: 'the JSON Schema of a job file, out of the same fields that the app checks it by',
    file: null,
    run: async () => json((await import('@/core/formats/jobJsonSchema')).jobFileSchema),
  },
  axes: {
    about: 'the axes of a job one to a line, as `each` takes them',
    file: FILE,
    run: path => ({ out: axisLines(path) }),
  },
  each: {
    about:
      'a line of answer for each line of the input, which is a job file with one axis; nothing is kept from one to the next',
    file: { name: '[file]', about: 'the lines; the standard input where it is left out' },
    options: [
      { flags: '--ask <question>', about: 'what is asked of each', choices: QUESTIONS, fallback: 'search' },
      {
        flags: '--parts <file>',
        about:
          'what all of them go by: a job file (its own parts, tools and orders), or the shop’s list as CSV files with commas between',
      },
      { flags: '--keep-going', about: 'end well also where a line could not be answered' },
    ],
    run: async (path, { ask = 'search', parts }) => ({ out: '', failed: await eachLine(path, ask, parts) }),
  },
  list: { about: 'every calculation with its inputs, outputs and units', file: null, run: list },
}
