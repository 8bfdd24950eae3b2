// The lists that are derived from folders: the sheets, their checks and limits by name, what is loaded when, their panels,
// steps and strained cases; and the steps from each version of the document to the next. Run before the app is started, built or tested; what it writes is checked in.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import ts from 'typescript'
import { ROOT } from './lib/root.mjs'

const CORE = 'src/core/sheets'
const PANELS = 'src/stages/sheets'
const DOCUMENT = 'src/core/document'
const MIGRATIONS = `${DOCUMENT}/migrations`
/** The first version whose changes found their rows by ids, and are brought up one by one. */
const FIRST_BY_ID = 5
const LOADS = ['first', 'stage', 'asked']

const parsed = path =>
  ts.createSourceFile(path, readFileSync(join(ROOT, path), 'utf8'), ts.ScriptTarget.Latest, true)

/** The places of sheets in their order: the whole machine, then the stages as the core has them. */
const STAGES = ['machine', ...wordsOf('src/core/document/stages.ts', 'STAGES')]

/** The words of a list that a file names. */
function wordsOf(path, name) {
  for (const statement of parsed(path).statements)
    for (const one of statement.declarationList?.declarations ?? [])
      if (one.name.getText() === name) return one.initializer.expression.elements.map(({ text }) => text)
  throw new Error(`${path}: takes export const ${name} = [ … ] as const`)
}

/** Every call of a function in a file, with the name that its result is given. */
function callsOf(path, name) {
  const found = []
  const look = node => {
    if (ts.isCallExpression(node) && node.expression.getText() === name) {
      const { parent } = node
      found.push({
        given: node.arguments[0],
        name: ts.isVariableDeclaration(parent) ? parent.name.getText() : null,
      })
    }
    ts.forEachChild(node, look)
  }
  look(parsed(path))
  return found
}

const keysOf = literal =>
  literal.properties.flatMap(property => {
    const { name } = property
    return name && (ts.isStringLiteral(name) || ts.isIdentifier(name)) ? [name.text] : []
  })

/** The words and numbers that an entry says outright. */
const saidIn = literal =>
  Object.fromEntries(
    literal.properties.flatMap(({ name, initializer }) =>
      initializer && (ts.isStringLiteral(initializer) || ts.isNumericLiteral(initializer))
        ? [[name.getText(), ts.isNumericLiteral(initializer) ? Number(initializer.text) : initializer.text]]
        : [],
    ),
  )

/** The one name that a file exports of a kind, such as `FLANGE_CHECKS`. */
function exportOf(path, ending) {
  if (!existsSync(join(ROOT, path))) return null
  const names = [...readFileSync(join(ROOT, path), 'utf8').matchAll(/^export (?:const|function) (\w+)/gm)]
    .map(([, name]) => name)
    .filter(name => ending.test(name))
  if (names.length !== 1)
    throw new Error(
      `${path}: got ${names.join(', ') || 'no export'} that ends in ${ending.source}, takes exactly one`,
    )
  return names[0]
}

function readSheet(folder) {
  const at = file => `${CORE}/${folder}/${file}`
  const [entry] = callsOf(at('index.ts'), 'defineSheet')
  if (!entry?.name) throw new Error(`${at('index.ts')}: takes export const … = defineSheet({ … })`)
  const { id, stage, order, loads } = saidIn(entry.given)
  const wrong = (what, got, takes) => new Error(`${at('index.ts')}: ${what}: got ${got}, takes ${takes}`)
  if (id !== folder) throw wrong('id', id, `the name of its folder, ${folder}`)
  if (!STAGES.includes(stage)) throw wrong('stage', stage, `one of ${STAGES.join(', ')}`)
  if (!LOADS.includes(loads)) throw wrong('loads', loads, `one of ${LOADS.join(', ')}`)
  if (typeof order !== 'number') throw wrong('order', order, 'its place within its stage, a number')
  const files = readdirSync(join(ROOT, CORE, folder)).filter(
    file => file.endsWith('.ts') && !file.endsWith('.test.ts'),
  )
  const keys = call => files.flatMap(file => callsOf(at(file), call).flatMap(({ given }) => keysOf(given)))
  const panel = `${PANELS}/${folder}/Panel.tsx`
  if (!existsSync(join(ROOT, panel))) throw new Error(`${panel}: there is none for the sheet ${folder}`)
  return {
    id,
    name: entry.name,
    stage,
    order,
    loads,
    checkIds: keys('defineChecks'),
    limitKeys: keys('defineLimits'),
    checks: exportOf(at('check.ts'), /_CHECKS$/),
    overlay: exportOf(at('overlay.ts'), /Overlay$/),
    outcome: exportOf(at('outcome.ts'), /Outcome$/),
    reasons: exportOf(at('reasons.ts'), /_REASONS$/),
    steps: exportOf(at('steps.ts'), /Steps$/),
    strained: exportOf(at('strained.ts'), /_STRAINED$/),
    panel: exportOf(panel, new RegExp(`^${id[0].toUpperCase()}${id.slice(1)}Panel$`)),
  }
}

/** Every sheet in the order of the work. */
function readSheets() {
  const sheets = readdirSync(join(ROOT, CORE), { withFileTypes: true })
    .filter(one => one.isDirectory() && existsSync(join(ROOT, CORE, one.name, 'index.ts')))
    .map(({ name }) => readSheet(name))
  return sheets.toSorted(
    (a, b) =>
      STAGES.indexOf(a.stage) - STAGES.indexOf(b.stage) || a.order - b.order || a.id.localeCompare(b.id),
  )
}

const HEAD = '// Written by scripts/sheets.mjs out of the folders of the sheets: do not change it here.\n'
const byPath = lines => lines.toSorted((a, b) => a.path.localeCompare(b.path)).map(({ text }) => text)
const importing = (sheets, file, key) =>
  byPath(
    sheets
      .filter(sheet => sheet[key])
      .map(sheet => {
        const path = file ? `./${sheet.id}/${file}` : `./${sheet.id}`
        return { path, text: `import { ${sheet[key]} } from '${path}'` }
      }),
  )
const literals = (name, doc, ids) =>
  `  /** ${doc} */\n  interface ${name} {\n${ids.map(id => `    ${/^\w+$/.test(id) ? id : `'${id}'`}: true`).join('\n')}\n  }\n`

/** The steps from each version of the document to the next, and the version that the last one leads to. */
function derivedVersions() {
  const froms = readdirSync(join(ROOT, MIGRATIONS))
    .flatMap(file => /^v(\d+)\.ts$/.exec(file)?.[1] ?? [])
    .map(Number)
    .toSorted((a, b) => a - b)
  const gap = froms.findIndex((from, index) => from !== index + 1)
  if (gap >= 0) throw new Error(`${MIGRATIONS}: got v${froms[gap]}.ts, takes v${gap + 1}.ts before it`)
  const present = froms.length + 1
  const list = (what, some) =>
    `${some.map(from => `import { ${what}${from} } from './v${from}'`).join('\n')}\n`
  const changed = froms.filter(from => from >= FIRST_BY_ID)
  const head = HEAD.replace('folders of the sheets', 'steps from version to version')
  return {
    [`${DOCUMENT}/version.generated.ts`]: `${head}\n/**\n * The version of a job document: the one constant that types, schema, files and the browser's database go by. It is\n * raised whenever a stored document reads differently, by a step from the version before and a fixture of that.\n */\nexport const SCHEMA_VERSION = ${present}\n`,
    [`${MIGRATIONS}/steps.generated.ts`]: `${head}\n${list('fromV', froms)}import type { Step } from '.'\n\n/** The step from each version to the next; there is none before version 1. */\nexport const STEPS: readonly { readonly from: number; readonly migrate: Step }[] = [\n${froms.map(from => `  { from: ${from}, migrate: fromV${from} },`).join('\n')}\n]\n`,
    [`${MIGRATIONS}/changeSteps.generated.ts`]: `${head}\nimport type { Plain } from './plain'\n${list('changeFromV', changed)}\n/** What brings a change of one version up to the next; before these its rows were found by their places. */\nexport const CHANGE_STEPS: readonly { from: number; up: (change: Plain) => Plain }[] = [\n${changed.map(from => `  { from: ${from}, up: changeFromV${from} },`).join('\n')}\n]\n`,
  }
}

/** What stands in each file that is derived, by its path. */
function derived() {
  const sheets = readSheets()
  const of = (...loads) => sheets.filter(sheet => loads.includes(sheet.loads))
  /** Checks and overlays of some sheets. */
  const parts = (name, doc, some) =>
    `${HEAD}\n${[...importing(some, 'check', 'checks'), ...importing(some, 'overlay', 'overlay')].toSorted().join('\n')}\nimport type { LoadedSheets } from './sheet'\n\n/** ${doc} */\nexport const ${name}: LoadedSheets = {\n${some
      .filter(({ checks, overlay }) => checks || overlay)
      .map(
        ({ id, checks, overlay }) =>
          `  ${id}: { ${[checks && `checks: ${checks}`, overlay && `overlay: ${overlay}`].filter(Boolean).join(', ')} },`,
      )
      .join('\n')}\n}\n`
  const atOnce = sheets.find(({ stage }) => stage === 'survey')
  const panelOf = ({ id, panel, loads }) => {
    if (id === atOnce.id) return `  ${id}: ${panel},`
    const load = `() => import('./${id}/Panel').then(module => module.${panel})`
    return `  ${id}: ${loads === 'first' ? 'whenAsked' : 'withChecks'}(${load}),`
  }
  return {
    [`${CORE}/sheets.generated.ts`]: `${HEAD}\n${importing(sheets, '', 'name').join('\n')}\n\n/** Every sheet, in the order of the work. */\nexport const LISTED = [\n${sheets.map(({ name }) => `  ${name},`).join('\n')}\n] as const\n\ndeclare module '../evaluation/ids' {\n${[
      literals(
        'SheetIds',
        'Every sheet.',
        sheets.map(({ id }) => id),
      ),
      literals(
        'CheckIds',
        'Every check, in the order of the sheets.',
        sheets.flatMap(({ checkIds }) => checkIds),
      ),
      literals(
        'LimitKeys',
        'Every limit, in the order of the sheets.',
        sheets.flatMap(({ limitKeys }) => limitKeys),
      ),
    ].join('\n')}}\n`,
    [`${CORE}/first.generated.ts`]: parts(
      'FIRST',
      'What is judged and drawn from the first screen of a job on.',
      of('first'),
    ),
    [`${CORE}/stage.generated.ts`]: parts(
      'STAGE',
      'What comes when the stage of its sheet is opened.',
      of('stage'),
    ),
    [`${CORE}/asked.generated.ts`]: `${HEAD}\n${[...importing(sheets, 'outcome', 'outcome')].join('\n')}\nimport type { Outcome } from './outcome'\nimport type { SheetId } from '.'\n\n/** What comes of the sheets beside their verdicts, in the order of the work: for workers, lists, paper and the shell. */\nexport const OUTCOMES: readonly (Outcome & { readonly id: SheetId })[] = [\n${sheets
      .filter(({ outcome }) => outcome)
      .map(({ id, outcome }) => `  { ...${outcome}, id: '${id}' },`)
      .join('\n')}\n]\n`,
    [`${CORE}/steps.generated.ts`]: `${HEAD}\n${importing(sheets, 'steps', 'steps').join('\n')}\nimport type { SheetSteps } from './shared/steps/step'\n\n/** The steps that sheets add to the work. */\nexport const SHEET_STEPS: readonly SheetSteps[] = [\n${sheets
      .filter(({ steps }) => steps)
      .map(({ steps }) => `  ${steps},`)
      .join('\n')}\n]\n`,
    [`${CORE}/fixtures/strained.generated.ts`]: `${HEAD}\n${importing(sheets, 'strained', 'strained')
      .join('\n')
      .replaceAll(
        "'./",
        "'../",
      )}\n\n/** The strained cases of every sheet's checks, in the order of the work. */\nexport const STRAINED = [\n${sheets
      .filter(({ strained }) => strained)
      .map(({ strained }) => `  ${strained},`)
      .join('\n')}\n]\n`,
    ...derivedVersions(),
    [`${CORE}/reasons.generated.ts`]: `${HEAD}\nimport type { LimitKey } from '.'\n${importing(sheets, 'reasons', 'reasons').join('\n')}\n\n/** Why each limit is where it usually is. */\nexport const LIMIT_REASONS: Readonly<Record<LimitKey, string>> = {\n${sheets
      .filter(({ reasons }) => reasons)
      .map(({ reasons }) => `  ...${reasons},`)
      .join('\n')}\n}\n`,
    [`${PANELS}/overlays.generated.ts`]: `${HEAD}\nimport type { SheetId } from '@/core/sheets'\nimport type { DrawOverlay } from '@/core/sheets/sheet'\n\n/** What a sheet lays on the drive line that comes only when it is opened. */\nexport const OVERLAYS_ASKED: Readonly<Partial<Record<SheetId, () => Promise<DrawOverlay>>>> = {\n${of(
      'asked',
    )
      .filter(({ overlay }) => overlay)
      .map(
        ({ id, overlay }) =>
          `  ${id}: () => import('@/core/sheets/${id}/overlay').then(module => module.${overlay}),`,
      )
      .join('\n')}\n}\n`,
    [`${PANELS}/panels.generated.ts`]: `${HEAD}\nimport type { ComponentType } from 'react'\nimport type { SheetId } from '@/core/sheets'\nimport { whenAsked, withChecks } from './load'\nimport { ${atOnce.panel} } from './${atOnce.id}/Panel'\n\n/** The panel of every sheet; the first comes with the app. */\nexport const PANELS: Readonly<Record<SheetId, ComponentType>> = {\n${sheets.map(panelOf).join('\n')}\n}\n`,
  }
}

/** The lists that are not what the folders say, each with what they say. */
const outOfDate = () =>
  Object.entries(derived()).filter(([path, text]) => {
    const full = join(ROOT, path)
    return !existsSync(full) || readFileSync(full, 'utf8') !== text
  })

/**
 * Writes the lists that differ from the folders.
 *
 * @returns their paths
 */
export const writeSheets = () =>
  outOfDate().map(([path, text]) => {
    writeFileSync(join(ROOT, path), text)
    return path
  })

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  const isCheck = process.argv.includes('--check')
  const paths = isCheck ? outOfDate().map(([path]) => path) : writeSheets()
  for (const path of paths)
    process.stderr.write(
      `${isCheck ? 'not what the folders say, run node scripts/sheets.mjs' : 'written'}: ${path}\n`,
    )
  process.exit(isCheck && paths.length > 0 ? 1 : 0)
}
