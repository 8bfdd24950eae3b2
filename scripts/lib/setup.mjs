// What every command needs first: packages, a build, a browser, a port. Runs before anything is installed,
// so it uses nothing but Node.
import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { ROOT } from './root.mjs'

export { ROOT }

// The one without a window's frame starts an empty store in a quarter of the time. Its command in /usr/bin is a script
// that ends without ending it.
const CHROMIUM_PATHS = [
  '/usr/lib/chromium/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
]

const say = message => process.stderr.write(`${message}\n`)

/** Ends the command with one clear message. */
export function stop(message) {
  say(message)
  process.exit(1)
}

const OLDEST_NODE = [20, 12]
const [major = 0, minor = 0] = process.versions.node.split('.').map(Number)
if (major < OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor < OLDEST_NODE[1]))
  stop(`Dusk Bench needs Node ${OLDEST_NODE.join('.')} or newer; this is ${process.versions.node}.`)

/** Runs a command with its output on the error stream, or where `out` says; true when it ended well. */
export function run(command, args, env = {}, out = 2) {
  const { status } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: ['ignore', out, 2],
    env: { ...process.env, ...env },
  })
  return status === 0
}

/** The same, beside what else is going on. */
const runBeside = (command, args, env = {}) =>
  new Promise(done => {
    spawn(command, args, { cwd: ROOT, stdio: ['ignore', 2, 2], env: { ...process.env, ...env } })
      .on('error', () => done(false))
      .on('close', status => done(status === 0))
  })

/** The path of a tool that came with the packages. */
export const tool = name => join(ROOT, 'node_modules', '.bin', name)

const stampFile = name => join(ROOT, '.cache', `${name}.stamp`)
const stampOf = name => (existsSync(stampFile(name)) ? readFileSync(stampFile(name), 'utf8') : '')
function setStamp(name, value) {
  mkdirSync(join(ROOT, '.cache'), { recursive: true })
  writeFileSync(stampFile(name), value)
}

function hashOf(paths) {
  const hash = createHash('sha256')
  const add = path => {
    const full = join(ROOT, path)
    if (!existsSync(full)) return
    let names
    try {
      names = readdirSync(full)
    } catch {
      hash.update(path).update(readFileSync(full))
      return
    }
    for (const name of names.sort()) if (!name.includes('.test.')) add(join(path, name))
  }
  for (const path of paths) add(path)
  return hash.digest('hex')
}

/** Whether what stands in node_modules is what the lock file asks for; optional packages may be left out. */
function matchesLock() {
  const read = path => JSON.parse(readFileSync(join(ROOT, path), 'utf8')).packages
  try {
    const wanted = read('package-lock.json')
    const here = read('node_modules/.package-lock.json')
    return Object.entries(wanted).every(
      ([path, { version, optional }]) =>
        path === '' || (here[path] ? here[path].version === version : optional === true),
    )
  } catch {
    return false
  }
}

/** Installs the packages of the lock file when they are missing or of another lock file. */
export function ensureInstalled() {
  const wanted = hashOf(['package-lock.json'])
  if (existsSync(join(ROOT, 'node_modules')) && stampOf('installed') === wanted) return
  if (!matchesLock()) {
    say('Installing the packages …')
    // Not `npm ci`: it refuses a lock file that was written where the packages of other platforms could not be had.
    if (!run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error']))
      stop('The packages could not be installed: see the message above.')
  }
  setStamp('installed', wanted)
}

/** Builds the app when its sources have changed since the last build. */
export async function ensureBuilt() {
  const { writeSheets } = await import('../sheets.mjs')
  for (const path of writeSheets()) say(`Written anew: ${path}`)
  const wanted = hashOf([
    'src',
    'public',
    'scripts/pack.mjs',
    'scripts/lib/headers.mjs',
    'next.config.mjs',
    'package-lock.json',
    'tsconfig.json',
  ])
  if (existsSync(join(ROOT, '.next', 'BUILD_ID')) && stampOf('built') === wanted) return
  say('Building the app …')
  // With what an earlier build put out, old pieces would be packed and kept with the new ones.
  rmSync(join(ROOT, '.next', 'static'), { recursive: true, force: true })
  if (
    !(await runBeside(tool('next'), ['build'], { NEXT_TELEMETRY_DISABLED: '1' })) ||
    !(await runBeside(process.execPath, ['scripts/pack.mjs']))
  )
    stop('The app could not be built: see the message above.')
  setStamp('built', wanted)
}

const findChromium = () =>
  [process.env.CHROMIUM_PATH, ...CHROMIUM_PATHS].find(path => path && existsSync(path))

/** Installs a package of Debian's where that is allowed. */
function installed(name) {
  if (process.getuid?.() !== 0 || spawnSync('apt-get', ['--version']).status !== 0) return
  say(`Installing ${name} …`)
  run('apt-get', ['update', '-q'])
  run('apt-get', ['install', '-y', '-q', '--no-install-recommends', name], {
    DEBIAN_FRONTEND: 'noninteractive',
  })
}

/** Has what turns a PDF into a picture, by which the tests look at what is printed. */
export function ensurePdfTools() {
  const isHere = () => spawnSync('pdftoppm', ['-v']).status === 0
  if (!isHere()) installed('poppler-utils')
  if (!isHere())
    stop(
      'The tests of what is printed need pdftoppm. Install it (on Debian, as root: apt-get install poppler-utils).',
    )
}

/** Programs of others by which the tests read what the app writes: none of them knows the app. */
const READERS = {
  admesh: 'admesh',
  parallel: 'parallel',
  qpdf: 'qpdf',
  'rsvg-convert': 'librsvg2-bin',
  zbarimg: 'zbar-tools',
}
const PYTHON_READERS = {
  ezdxf: 'python3-ezdxf',
  openpyxl: 'python3-openpyxl',
  icalendar: 'python3-icalendar',
}

/** Has the programs that read the files that are handed out. */
export function ensureReaders() {
  const runs = (command, args) => spawnSync(command, args, { stdio: 'ignore' }).status === 0
  const lacking = () => [
    ...Object.entries(READERS).flatMap(([command, name]) => (runs(command, ['--version']) ? [] : [name])),
    ...Object.entries(PYTHON_READERS).flatMap(([module, name]) =>
      runs('/usr/bin/python3', ['-c', `import ${module}`]) ? [] : [name],
    ),
  ]
  for (const name of lacking()) installed(name)
  const still = lacking()
  if (still.length > 0)
    stop(
      `The tests of what is handed out read it with ${still.join(', ')}. Install them (on Debian, as root: apt-get install ${still.join(' ')}).`,
    )
}

/** Finds Chromium, or installs it from Debian's packages where that is allowed. */
export function ensureChromium() {
  const found = findChromium()
  if (found) return found
  installed('chromium-headless-shell')
  if (!findChromium()) installed('chromium')
  return (
    findChromium() ??
    stop(
      'The browser tests need Chromium. Install it (on Debian, as root: apt-get install chromium-headless-shell), or set CHROMIUM_PATH to it.',
    )
  )
}

const isFree = port =>
  new Promise(done => {
    const server = createServer()
    server.once('error', () => done(false))
    server.listen(port, () => server.close(() => done(true)))
  })

/** The port to serve on: PORT when it is set and free, else the first free one from 3000. */
export async function choosePort() {
  const asked = process.env.PORT
  if (asked) {
    const port = Number(asked)
    if (!Number.isInteger(port) || port < 1 || port > 65_535)
      stop(`PORT: got ${asked}, takes a whole number from 1 to 65535.`)
    if (!(await isFree(port)))
      stop(`Port ${port} is taken by another program. Stop that one, or set PORT to another number.`)
    return port
  }
  for (let port = 3000; port < 3100; port++) if (await isFree(port)) return port
  return stop('No port from 3000 to 3099 is free. Set PORT to one that is.')
}

// Bundled as the app is, without the helper calls by which a runner keeps the names of functions.
// As modules first: one of the packages is whole only so.
const BUNDLE = [
  '--bundle',
  '--platform=node',
  '--main-fields=module,main',
  '--alias:@=./src',
  '--log-level=error',
]
const bundle = (entry, out, more) =>
  run(tool('esbuild'), [entry, ...BUNDLE, ...more, `--outfile=${out}`], {}, 1)

/**
 * A program of the project in one file, made anew when its sources have changed. Its packages are in it: to load them from
 * their own hundreds of files takes longer than most of what it is asked for.
 *
 * @returns its path
 */
export function bundled(name, entry, sources) {
  const out = join('.cache', `${name}-${hashOf([...sources, 'package-lock.json']).slice(0, 16)}.cjs`)
  if (existsSync(join(ROOT, out))) return join(ROOT, out)
  // Two commands at a time may both make it: it is there as soon as it is whole.
  const making = out.replace('.cjs', `.${process.pid}.cjs`)
  if (!bundle(entry, making, ['--format=cjs']))
    stop(`${entry} could not be put together: see the message above.`)
  for (const old of readdirSync(join(ROOT, '.cache')))
    if (old.startsWith(`${name}-`) && old.split('.').length === 2 && join('.cache', old) !== out)
      rmSync(join(ROOT, '.cache', old), { force: true })
  renameSync(join(ROOT, making), join(ROOT, out))
  return join(ROOT, out)
}

/** Runs a program of the project, put together from its sources, with the words that followed the command. Installs the packages first. */
export function runProgram(name, entry, sources) {
  ensureInstalled()
  const program = bundled(name, entry, sources)
  const { status } = spawnSync(process.execPath, [program, ...process.argv.slice(2)], { stdio: 'inherit' })
  process.exit(status ?? 1)
}

/** Prepares everything, then runs a script of the project against the built app, with the words that followed the command. */
export async function runBundled(name, args = []) {
  ensureInstalled()
  process.env.CHROMIUM_PATH = ensureChromium()
  await ensureBuilt()
  const built = bundle(`scripts/${name}.mts`, `.cache/${name}.mjs`, ['--format=esm', '--packages=external'])
  process.exit(built && run(process.execPath, [`.cache/${name}.mjs`, ...args], {}, 1) ? 0 : 1)
}
