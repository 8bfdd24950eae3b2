import { spawnSync } from 'node:child_process'
import { copyFileSync, mkdtempSync, readdirSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ostrey } from '@/core/demo/ostrey'
import { skarrow } from '@/core/demo/skarrow'
import type { Axis } from '@/core/document/axis'
import type { PartOf } from '@/core/document/parts/types'
import { readOrdersCsv } from '@/core/formats/ordersCsv'
import { writePartsCsv } from '@/core/formats/partsCsv'
import { writeJobFile } from '@/core/formats/writeJobFile'
import { CATALOGUE } from '@/core/machine/parts'
import { shopCatalogue } from '@/core/search/fixtures/shopCatalogue'

const ROOT = join(__dirname, '..')
const FIXTURE = join(ROOT, 'src/core/document/migrations/fixtures/job-v1.json')
const run = (program: string, args: string[], input = '') => {
  const { status, stdout, stderr } = spawnSync('node', [program, ...args], { input, encoding: 'utf8' })
  return { status, stdout, stderr }
}
/** What the command makes of its sources: run by itself, for the command looks through all of them first, each time. */
let program = ''
beforeAll(() => {
  const { status, stdout } = run(join(ROOT, 'scripts/dusk.mjs'), ['list'])
  expect({ status, stdout }).toEqual({ status: 0, stdout: expect.stringContaining('screw.driveTorque') })
  const cache = join(ROOT, '.cache')
  const [made] = readdirSync(cache).filter(name => /^dusk-\w+\.cjs$/.test(name))
  program = join(cache, made as string)
})
const dusk = (args: string[], input = '') => run(program, args, input)
const calc = (input: unknown) => JSON.parse(dusk(['calc'], JSON.stringify(input)).stdout)

test('calc answers every request in its order, wrong ones too', () => {
  const answers = calc([
    { calculation: 'screw.driveTorque', inputs: { axialForceN: 3946, leadMm: 10, efficiency: 0.875 } },
    { calculation: 'screw.wish', inputs: {} },
    { calculation: 'screw.driveTorque', inputs: { axialForceN: 1, leadMm: 0, efficiency: 0.9 } },
    { calculation: 'screw.driveTorque', inputs: { axialForceN: 1, leadMm: '5', efficiency: 0.9 } },
    { calculation: 'screw.driveTorque', inputs: { axialForceN: 1, efficiency: 0.9 } },
    { calculation: 'screw.driveTorque', inputs: { axialForceN: 1, leadMm: 5, efficiency: 0.9, colour: 1 } },
    { calculation: 'screw.driveTorque' },
    { calculation: 'screw.meanLoad', inputs: { phases: [{ forceN: 1, speedRpm: 1, timeShare: 3 }] } },
    { calculation: 'screw.criticalSpeed', inputs: { rootDiameterMm: 17, freeLengthMm: 500, ends: 'loose' } },
    {
      calculation: 'screw.buckling',
      inputs: { rootDiameterMm: 17, freeLengthMm: 500, ends: 'fixed-free', yieldMpa: null },
    },
  ])
  expect(answers[0].outputs.torqueNm).toBeCloseTo(7.177433205, 9)
  expect(answers.slice(1).map((answer: { error: string }) => answer.error)).toEqual([
    'unknown calculation screw.wish: "dusk list" prints those that are known',
    'leadMm: got 0, takes a number over 0 mm',
    'leadMm: got "5", takes a number over 0 mm',
    'leadMm: got nothing, takes a number over 0 mm',
    'unknown input colour, takes axialForceN, leadMm, efficiency',
    'inputs: got nothing, takes an object with axialForceN, leadMm, efficiency',
    'phases[0].timeShare: got 3, takes a number from 0 to 1',
    'ends: got "loose", takes one of fixed-free, supported-supported, fixed-supported, fixed-fixed',
    'yieldMpa: got null, takes a number over 0 MPa',
  ])
})

test.each(['', 'not json', '{"calculation": "screw.life"}', '[1]', 'null'])(
  'calc refuses %j in one line with status 2',
  input => {
    const { status, stdout, stderr } = dusk(['calc'], input)
    expect({ status, stdout, lines: stderr.trim().split('\n').length }).toEqual({
      status: 2,
      stdout: '',
      lines: 1,
    })
  },
)

test('evaluate prints the findings of a job file', () => {
  const { status, stdout } = dusk(['evaluate', FIXTURE])
  const { job, axes } = JSON.parse(stdout)
  expect({ status, job, names: axes.map((axis: { axis: string }) => axis.axis) }).toEqual({
    status: 0,
    job: 'Fixture of version 1',
    names: ['X', 'Y', 'Z'],
  })
  const speed = axes[0].findings.find((one: { checkId: string }) => one.checkId === 'nut.speedValue')
  expect(speed.state).toBe('holds')
  expect(speed.because[0].inputs).toMatchObject({ leadMm: 5 })
})

test('evaluate says in one line what is wrong with a file', () => {
  const broken = join(mkdtempSync(join(tmpdir(), 'dusk-')), 'broken.json')
  writeFileSync(broken, '{"format": "dusk-bench-job", "job": {"schemaVersion": 99}}')
  expect(dusk(['evaluate', broken])).toMatchObject({ status: 2, stdout: '' })
  expect(dusk(['evaluate', broken]).stderr).toContain('made by a newer Dusk Bench')
  expect(dusk(['evaluate', '/nowhere']).status).toBe(2)
  expect(dusk(['evaluate', '/nowhere']).stderr).toBe('dusk: there is no file /nowhere\n')
  expect(dusk(['evaluate']).stderr).toContain("missing required argument 'file'")
})

test('a relative path is meant from where the command was typed', () => {
  const folder = mkdtempSync(join(tmpdir(), 'dusk-'))
  copyFileSync(FIXTURE, join(folder, 'mill.json'))
  const typedIn = (place: string) =>
    spawnSync('node', [join(ROOT, 'scripts/dusk.mjs'), 'evaluate', 'mill.json'], {
      cwd: ROOT,
      encoding: 'utf8',
      env: { ...process.env, INIT_CWD: place },
    }).status
  expect([typedIn(folder), typedIn(ROOT)]).toEqual([0, 2])
})

test('list names every calculation with inputs, outputs and units', () => {
  const all = JSON.parse(dusk(['list']).stdout)
  const speed = all.find((one: { id: string }) => one.id === 'screw.criticalSpeed')
  expect(speed.inputs[0]).toEqual({
    name: 'rootDiameterMm',
    label: 'root diameter',
    unit: 'mm',
    takes: 'a number over 0 mm',
  })
  expect(speed.outputs[0].unit).toBe('rpm')
  expect(dusk(['dance']).status).toBe(2)
})

describe('search', () => {
  const { job } = skarrow()
  const folder = mkdtempSync(join(tmpdir(), 'dusk-'))
  const file = join(folder, 'skarrow.json')
  writeFileSync(file, writeJobFile({ format: 'dusk-bench-job', job, entries: [], history: [] }))

  test('prints the drives that nothing beats, and what stands in the way of a part', () => {
    const { status, stdout } = dusk(['search', file, '--axis', 'X', '--why-not', 'motor:step-42-03-24'])
    const { axis, combinations, points, whyNot } = JSON.parse(stdout)
    expect({ status, axis }).toEqual({ status: 0, axis: 'X' })
    expect(combinations).toBeGreaterThan(50_000_000)
    expect(Object.keys(points[0])).toEqual(
      expect.arrayContaining(['priceEur', 'margin', 'lostMotionUm', 'heightMm', 'screw', 'motor']),
    )
    expect(whyNot.kind).toBe('fails')
  })

  test.each([
    [['search', file], '--axis: got nothing, takes one of X, Y, Z'],
    [['search', file, '--axis', 'W'], '--axis: got W, takes one of X, Y, Z'],
    [['search'], "missing required argument 'file'"],
    [['search', file, 'more', '--axis', 'X'], 'too many arguments'],
    [['search', file, '--axis', 'X', '--why-not', 'wheel:x'], 'takes a kind and a part'],
    [['search', file, '--axis', 'X', '--why-not', 'motor:x'], 'takes a motor of the parts list'],
    [['search', file, '--colour', 'red'], 'colour'],
  ])('%j is refused in one line', (args, reason) => {
    const { status, stdout, stderr } = dusk(args)
    expect({ status, stdout, lines: stderr.trim().split('\n').length }).toEqual({
      status: 2,
      stdout: '',
      lines: 1,
    })
    expect(stderr).toContain(reason)
  })
})

describe("parts of one's own", () => {
  const folder = mkdtempSync(join(tmpdir(), 'dusk-'))
  const motor = CATALOGUE.motor.get('step-57-22') as PartOf['motor']
  const own = { ...motor, id: 'own-strong', name: 'Strong one', holdingTorqueNm: 2.6, priceEur: 5 }

  test('a file of them is checked row by row', () => {
    const path = join(folder, 'motors.csv')
    writeFileSync(path, writePartsCsv('motor', [own, { ...own, id: 'own-none', shaftMm: 0 }]))
    const { kind, good, wrong } = JSON.parse(dusk(['parts', path]).stdout)
    expect(kind).toBe('motor')
    expect(good).toEqual([{ line: 2, ...own }])
    expect(wrong).toEqual([{ line: 3, column: 'H shaftMm', got: '0', takes: 'a number from 2 to 60 mm' }])
    expect(dusk(['parts', FIXTURE])).toMatchObject({ status: 2, stdout: '' })
    expect(dusk(['parts']).stderr).toContain("missing required argument 'file'")
    expect(dusk(['parts', path]).status).toBe(1)
    expect(dusk(['parts', path, '--keep-going']).status).toBe(0)
  })

  test('evaluate and search know those of a job, and its limits', () => {
    const { job } = skarrow()
    const [axis] = job.axes as [(typeof job.axes)[number]]
    const mine = {
      ...job,
      ownParts: { ...job.ownParts, motor: [own] },
      axes: [
        {
          ...axis,
          parts: { ...axis.parts, motor: 'own-strong' },
          limits: { 'motor.torqueMargin.open': { holds: 9, close: 8, because: 'A test.' } },
        },
      ],
    }
    const path = join(folder, 'mine.json')
    writeFileSync(path, writeJobFile({ format: 'dusk-bench-job', job: mine, entries: [], history: [] }))
    const [{ findings }] = JSON.parse(dusk(['evaluate', path]).stdout).axes
    const torque = findings.find((one: { checkId: string }) => one.checkId === 'motor.torqueMargin')
    expect(torque).toMatchObject({ state: 'fails', ownLimits: { holds: 9 } })
    expect(JSON.stringify(torque.because)).toContain('2.6')
    const { whyNot } = JSON.parse(
      dusk(['search', path, '--axis', 'X', '--why-not', 'motor:own-strong']).stdout,
    )
    expect(['chosen', 'beaten', 'fails']).toContain(whyNot.kind)
  })
})

describe('making room', () => {
  const folder = mkdtempSync(join(tmpdir(), 'dusk-'))
  const written = (name: string, { job, entries }: ReturnType<typeof skarrow>) => {
    const path = join(folder, name)
    writeFileSync(path, writeJobFile({ format: 'dusk-bench-job', job, entries, history: [] }))
    return path
  }
  const mill = written('mill.json', skarrow())
  const lathe = written('lathe.json', ostrey())

  test('prints the cuts in their order, the ends of the screw and its screws', () => {
    const { status, stdout } = dusk(['room', mill, '--axis', 'X'])
    expect(status).toBe(0)
    const { cuts, screw, joints } = JSON.parse(stdout)
    expect(cuts.map(({ id }: { id: string }) => id).slice(0, 2)).toEqual(['recess-far', 'hole hole-1'])
    expect(cuts.at(-1).finish).toBe('true')
    expect(screw.totalLengthMm).toBeCloseTo(639.7, 6)
    expect(joints[2]).toMatchObject({ chosenMm: 25, supplied: { verdict: 'short' } })
    const inInches = JSON.parse(dusk(['room', lathe, '--axis', 'Z']).stdout)
    expect(inInches.cuts[0]).toMatchObject({
      fit: false,
      what: expect.stringMatching(/ in along the screw$/),
    })
  })

  test('asks for what is not chosen yet, and names the axes that there are', () => {
    const { cuts, screw, joints } = JSON.parse(dusk(['room', mill, '--axis', 'Z']).stdout)
    expect(cuts.missing).toMatch(/^(Choose|Measure)/)
    expect(screw.missing).toMatch(/^(Choose|Measure)/)
    expect(joints).toEqual([])
    expect(dusk(['room', mill])).toEqual({
      status: 2,
      stdout: '',
      stderr: 'dusk: --axis: got nothing, takes one of X, Y, Z\n',
    })
  })

  test('prints what one sheet has to say, or all of them, and which there are', () => {
    const { sheets } = JSON.parse(dusk(['sheet', mill, '--axis', 'X', '--sheet', 'stopping']).stdout)
    expect(sheets).toHaveLength(1)
    expect(sheets[0]).toMatchObject({ sheet: 'stopping', stage: 'room', report: { distanceMm: 3.5 } })
    expect(sheets[0].findings.map(({ checkId }: { checkId: string }) => checkId)).toEqual([
      'stopping.fixed',
      'stopping.far',
    ])
    const all = JSON.parse(dusk(['sheet', mill, '--axis', 'Z']).stdout).sheets
    expect(all.length).toBeGreaterThan(20)
    expect(all.find(({ sheet }: { sheet: string }) => sheet === 'stopping').report).toBeNull()
    // Every sheet that judges anything gives the figures behind it; those folded from others give what they come to.
    const ofX = JSON.parse(dusk(['sheet', mill, '--axis', 'X']).stdout).sheets
    const named = (id: string) => ofX.find(({ sheet }: { sheet: string }) => sheet === id)
    expect(named('fullTest').figures.bidirectional).toMatchObject({
      calculation: 'prove.bidirectional',
      outputs: { reversalUm: expect.any(Number), accuracyUm: expect.any(Number) },
    })
    expect(named('compensation').folded).toMatchObject({ ok: false, why: expect.any(String) })
    expect(named('findFault').folded.suspects[0]).toMatchObject({ probability: expect.any(Number) })
    expect(named('acceptance').folded.results.length).toBeGreaterThan(1)
    expect(dusk(['sheet', mill, '--axis', 'X', '--sheet', 'stoping'])).toMatchObject({
      status: 2,
      stderr: expect.stringMatching(/^dusk: --sheet: got stoping, takes one of .*stopping/),
    })
  })

  test('plans what is left, as a list and as a calendar', () => {
    const { status, stdout } = dusk(['plan', mill])
    expect(status).toBe(0)
    const plan = JSON.parse(stdout)
    expect(plan.notBefore).toBe(plan.finish)
    expect(plan.gaps[0]).toContain('Axis Z')
    expect(plan.tasks.map(({ task }: { task: string }) => task)).toContain('Z: Nut bracket')
    expect(dusk(['plan', mill, '--format', 'ics']).stdout).toMatch(
      /^BEGIN:VCALENDAR\r\n[\s\S]*SUMMARY:Z: Nut bracket/,
    )
    expect(dusk(['plan', mill, '--format', 'pdf']).status).toBe(2)
  })

  test('prints the order list as the app takes it back', () => {
    const german = dusk(['orders', mill, '--csv', 'semicolon'])
    expect(german.stdout).toMatch(/^\ufeff?key;what;lengthsMm;/)
    expect(german.stdout).toContain('Skarrow 8;')
    expect(dusk(['orders', mill, '--csv', 'colon']).status).toBe(2)
    const { status, stdout } = dusk(['orders', mill])
    expect(status).toBe(0)
    const keys = stdout
      .split('\r\n')
      .slice(1, -1)
      .map(row => row.split(',')[0] ?? '')
    expect(keys).toContain('part:ball-20-5-double')
    const noted = stdout.replace(/(use:dye,.*),open/, '$1,arrived')
    expect(readOrdersCsv(noted, new Set(keys))).toEqual({
      states: expect.arrayContaining([{ key: 'use:dye', state: 'arrived' }]),
      wrong: [],
    })
  })
})

describe('a drawing', () => {
  const folder = mkdtempSync(join(tmpdir(), 'dusk-'))
  const path = join(folder, 'mill.json')
  const { job, entries } = skarrow()
  writeFileSync(path, writeJobFile({ format: 'dusk-bench-job', job, entries, history: [] }))
  const drawn = (...more: string[]) => dusk(['drawing', path, '--axis', 'X', ...more])

  test('comes in each format, the same as the app makes', () => {
    expect(drawn('--name', 'nut-bracket', '--format', 'svg').stdout).toContain('r="2.75"')
    expect(drawn('--name', 'screw', '--format', 'dxf').stdout).toContain('$MEASUREMENT')
    const bytes = spawnSync(
      'node',
      [
        join(ROOT, 'scripts/dusk.mjs'),
        'drawing',
        path,
        '--axis',
        'X',
        '--name',
        'bung-1',
        '--paper',
        'letter',
      ],
      { encoding: 'latin1' },
    ).stdout
    expect(bytes.slice(0, 5)).toBe('%PDF-')
    expect(bytes).toContain('AtkinsonHyperlegible')
    expect(bytes).toMatch(/MediaBox \[ 0 0 612\D/)
  })

  test.each([
    [['--name', 'wheel'], 'wheel, takes one of nut-bracket, screw, bearing-block, bung-1'],
    [['--name', 'screw', '--format', 'gif'], 'Allowed choices are pdf, svg, dxf'],
    [['--name', 'screw', '--paper', 'a9'], 'Allowed choices are a4, letter'],
  ])('%j is refused with what is taken', (more, reason) => {
    const { status, stdout, stderr } = drawn(...more)
    expect({ status, stdout }).toEqual({ status: 2, stdout: '' })
    expect(stderr).toContain(reason)
  })
})

describe('the shell as a shell is', () => {
  test('tells its version, and what each command takes', () => {
    expect(dusk(['--version']).stdout).toMatch(/^\d+\.\d+\.\d+\n$/)
    expect(dusk(['help']).stdout).toContain('drawing [options] <file>')
    expect(dusk(['help', 'search']).stdout).toContain('--why-not <kind:part>')
    expect(dusk(['search', '--help']).status).toBe(0)
    expect(dusk([])).toMatchObject({ status: 2, stdout: '', stderr: expect.stringContaining('takes calc,') })
  })

  test('reads a job from the standard input', () => {
    const { job, entries } = skarrow()
    const text = writeJobFile({ format: 'dusk-bench-job', job, entries, history: [] })
    expect(JSON.parse(dusk(['evaluate', '-'], text).stdout).job).toBe('Skarrow 8')
  })

  test('ends with 1 where something that was asked could not be worked out, unless it is to keep going', () => {
    const asked = JSON.stringify([{ calculation: 'screw.wish', inputs: {} }])
    expect(dusk(['calc'], asked).status).toBe(1)
    expect(dusk(['calc', '--keep-going'], asked).status).toBe(0)
    expect(JSON.parse(dusk(['calc'], asked).stdout)).toHaveLength(1)
  })

  test('a reader that has had enough is no error', () => {
    const { status, stderr } = spawnSync(
      'bash',
      ['-c', `node ${join(ROOT, 'scripts/dusk.mjs')} list | head -n 1; exit "\${PIPESTATUS[0]}"`],
      { encoding: 'utf8' },
    )
    expect({ status, stderr }).toEqual({ status: 0, stderr: '' })
  })
})

describe('an axis of known truth', () => {
  test('is a job file that the app takes, and its truth stands beside it', () => {
    const { status, stdout, stderr } = dusk(['axis', '--seed', '3', '--sheet', 'whereLost'])
    expect(status).toBe(0)
    expect(stderr).toMatch(/^Axis 3 \(.+\): .+\nwhereLost: /)
    const { job } = JSON.parse(stdout)
    expect(job.axes).toHaveLength(1)
    expect(job.axes[0].lostRounds.length).toBeGreaterThan(0)
    expect(JSON.parse(dusk(['evaluate', '-'], stdout).stdout).job).toBe('Trial 3')
    expect(dusk(['axis', '--seed', '3', '--sheet', 'whereLost']).stderr).toBe(stderr)
  })
  test('is somebody’s axis, with a fault that is drawn, read after what stands there', () => {
    const { job } = skarrow()
    const file = join(mkdtempSync(join(tmpdir(), 'dusk-')), 'mill.json')
    writeFileSync(file, writeJobFile({ format: 'dusk-bench-job', job, entries: [], history: [] }))
    const { status, stdout, stderr } = dusk(['axis', file, '--axis', 'Y', '--seed', '5', '--sheet', 'gib'])
    expect({ status, stderr }).toEqual({ status: 0, stderr: expect.stringMatching(/^Axis 5 \(mill\): /) })
    const { axes } = JSON.parse(stdout).job as typeof job
    expect(axes.map(({ name }) => name)).toEqual(['X', 'Y', 'Z'])
    const roundsOf = (all: typeof axes) => all.map(({ gibRounds }) => gibRounds.length)
    const [were, are] = [roundsOf(job.axes), roundsOf(axes)]
    expect([are[0], are[2]]).toEqual([were[0], were[2]])
    expect(are[1]).toBeGreaterThan(were[1] as number)
    expect(dusk(['axis', file, '--axis', 'Q', '--seed', '5']).status).toBe(2)
    expect(dusk(['axis', file, '--axis', 'Y', '--seed', '5', '--sheet', 'belt']).stderr).toContain(
      'takes one of',
    )
  })
  test.each([[[]], [['--seed', '1.5']], [['--seed', 'x']], [['--seed', '2', '--sheet', 'ghost']]])(
    '%j is refused in one line',
    args => {
      const { status, stdout, stderr } = dusk(['axis', ...args])
      expect({ status, stdout, lines: stderr.trim().split('\n').length }).toEqual({
        status: 2,
        stdout: '',
        lines: 1,
      })
    },
  )
})

describe('the record', () => {
  const mill = join(mkdtempSync(join(tmpdir(), 'dusk-')), 'mill.json')
  const { job, entries } = skarrow()
  const odd = { ...job, name: 'Mill <8> & "Co" \\' }
  const note = { ...(entries[0] as (typeof entries)[number]), text: 'Way oil is <b>in</b>.', axisId: null }
  writeFileSync(mill, writeJobFile({ format: 'dusk-bench-job', job: odd, entries: [note], history: [] }))

  test('is a page of every axis that fetches nothing, and takes no word of the job for its own', () => {
    const { status, stdout } = dusk(['record', mill])
    expect(status).toBe(0)
    expect(stdout).toMatch(/^<!doctype html>[\s\S]*<\/html>\n$/)
    expect(stdout.match(/<article>/g)).toHaveLength(3)
    expect(stdout).toContain('<h1>Mill &lt;8&gt; &amp; &quot;Co&quot; \\, axis X: Table</h1>')
    expect(stdout).toContain('Way oil is &lt;b&gt;in&lt;/b&gt;.')
    for (const title of ['Findings', 'Measured', 'Reversal tests', 'Log, latest first'])
      expect(stdout).toContain(`<h2>${title}</h2>`)
    expect(stdout).not.toMatch(/(src|href)=|<script|url\(/)
  })

  test('is one axis where that is asked for, or says which there are', () => {
    expect(dusk(['record', mill, '--axis', 'Z']).stdout.match(/<article>/g)).toHaveLength(1)
    const wrong = dusk(['record', mill, '--axis', 'Q'])
    expect(wrong).toMatchObject({
      status: 2,
      stdout: '',
      stderr: 'dusk: --axis: got Q, takes one of X, Y, Z\n',
    })
  })
})

describe('each', () => {
  const { job } = skarrow()
  const [table] = job.axes as [Axis]
  const axes = Array.from({ length: 102 }, (_, index) => ({
    ...table,
    id: `x${index}`,
    name: `X${index}`,
    goals: { ...table.goals, cuttingForceN: 150 + 8 * index },
    // All but motor and coupler is given, so that a hundred searches are soon done.
    searchWithin: {
      ...table.searchWithin,
      keepNut: true,
      keepEnds: true,
      keepBearing: true,
      transmission: 'direct' as const,
    },
  }))
  const folder = mkdtempSync(join(tmpdir(), 'each-'))
  let input = ''
  /** As many of its lines as are searched through here; each of them costs a third of a second. */
  let some = ''
  let oneByOne: ReturnType<typeof dusk>
  beforeAll(() => {
    // A job takes twelve axes.
    input = Array.from({ length: 9 }, (_, index) => {
      const path = join(folder, `${index}.json`)
      const twelve = { ...job, axes: axes.slice(12 * index, 12 * index + 12) }
      writeFileSync(path, writeJobFile({ format: 'dusk-bench-job', job: twelve, entries: [], history: [] }))
      return dusk(['axes', path]).stdout
    }).join('')
    some = `${input.split('\n').slice(0, 24).join('\n')}\n`
    oneByOne = dusk(['each', '--keep-going'], some)
  })

  test('goes by the list of a shop, given as files of parts', () => {
    const catalogue = shopCatalogue(1000, 2)
    const paths = (['motor', 'coupler'] as const).map(kind => {
      const path = join(folder, `${kind}s.csv`)
      writeFileSync(path, writePartsCsv(kind, catalogue[kind] as never))
      return path
    })
    const [line] = input.split('\n') as [string]
    const { status, stdout } = dusk(['each', '--parts', paths.join(',')], line)
    expect(status).toBe(0)
    const [alone, given] = [JSON.parse(oneByOne.stdout.split('\n')[0] as string), JSON.parse(stdout)]
    // 200 motors and 200 couplers more than ship, 60 and 36.
    expect(given.combinations).toBe((alone.combinations / 60 / 36) * 260 * 236)
    expect(given.handful.length).toBeGreaterThan(0)
    const wrong = join(folder, 'wrong.csv')
    writeFileSync(wrong, writePartsCsv('motor', catalogue.motor).replace(/,\d+(\.\d+)?,/, ',-5,'))
    const refused = dusk(['each', '--parts', wrong], line)
    expect(refused.status).not.toBe(0)
    expect(refused.stderr).toMatch(/wrong\.csv, line 2, D priceEur: got -5, takes/)
  })

  /** The same over two programs at once, thirteen lines a time. */
  const overParallel = (lines: string, each: string[]) =>
    spawnSync(
      'parallel',
      ['--will-cite', '--pipe', '--keep-order', '-N', '13', '-j', '2', 'node', program, 'each', ...each],
      { input: lines, encoding: 'utf8', maxBuffer: 2 ** 28 },
    )

  test('answers a hundred axes a line each, and as a filter of parallel the very same', () => {
    expect(input.trim().split('\n')).toHaveLength(102)
    const asked = ['--ask', 'evaluate', '--keep-going']
    const alone = dusk(['each', ...asked], input)
    const answers = alone.stdout
      .trim()
      .split('\n')
      .map(line => JSON.parse(line))
    expect(answers.map(({ axis }) => axis)).toEqual(answers.map((_, index) => `X${index}`))
    expect(answers).toHaveLength(102)
    expect(answers.every(({ findings }) => findings.length > 20)).toBe(true)
    const { status, stdout } = overParallel(input, asked)
    expect([status, alone.status]).toEqual([0, 0])
    expect(stdout).toBe(alone.stdout)
  })

  test('finds the drives of many axes, and as a filter of parallel the very same', () => {
    expect(oneByOne.status).toBe(0)
    const answers = oneByOne.stdout
      .trim()
      .split('\n')
      .map(line => JSON.parse(line))
    expect(answers).toHaveLength(24)
    expect(answers.filter(({ handful }) => handful.length > 0).length).toBeGreaterThan(12)
    const { status, stdout } = overParallel(some, ['--keep-going'])
    expect(status).toBe(0)
    expect(stdout).toBe(oneByOne.stdout)
  })

  test('a line that cannot be used is answered with its error, and the others all the same', () => {
    const [first] = input.split('\n') as [string]
    const { status, stdout } = dusk(
      ['each', '--ask', 'evaluate'],
      `${first}\n{"format": 1}\n\nno line\n${first}\n`,
    )
    expect(status).toBe(1)
    const answers = stdout
      .trim()
      .split('\n')
      .map(line => JSON.parse(line))
    expect(answers).toHaveLength(4)
    expect(answers[0]).toEqual(answers[3])
    expect(answers[0].findings.length).toBeGreaterThan(20)
    expect(answers[1].error).toContain('This is not a job file')
    expect(answers[2].error).not.toBe('')
    const whole = writeJobFile({ format: 'dusk-bench-job', job, entries: [], history: [] })
    const [{ error }] = dusk(['each'], `${JSON.stringify(JSON.parse(whole))}\n`)
      .stdout.trim()
      .split('\n')
      .map(line => JSON.parse(line))
    expect(error).toBe('job.axes: got 3 axes, takes one to a line')
  })

  test('goes by the parts of another job where that is said', () => {
    const own = {
      ...(CATALOGUE.motor.get('step-60-31') as PartOf['motor']),
      id: 'mine',
      name: 'Mine',
      priceEur: 1,
    }
    const path = join(folder, 'parts.json')
    const parts = { ...job, ownParts: { ...job.ownParts, motor: [own] } }
    writeFileSync(path, writeJobFile({ format: 'dusk-bench-job', job: parts, entries: [], history: [] }))
    const line = input.split('\n')[3] as string
    const [said] = [dusk(['each', '--parts', path], line)].map(({ stdout }) => JSON.parse(stdout))
    expect(said.handful.map(({ point }: { point: { motor: string } }) => point.motor)).toContain('mine')
  })
})

test('model puts machines of one model side by side, each once, and refuses another kind', () => {
  const folder = mkdtempSync(join(tmpdir(), 'dusk-model-'))
  const { job } = skarrow()
  const [X, ...others] = job.axes as [Axis, ...Axis[]]
  const way = { value: 411.9, provenance: 'measured' as const }
  const second = {
    ...job,
    id: 'second',
    name: 'The second',
    axes: [{ ...X, dimensions: { ...X.dimensions, wayTravelMm: way } }, ...others],
  }
  const [one, two, lathe] = [job, second, ostrey().job].map((of, index) => {
    const path = join(folder, `${index}.json`)
    writeFileSync(path, writeJobFile({ job: of, entries: [], history: [] } as never))
    return path
  }) as [string, string, string]
  const { status, stdout } = dusk(['model', one, two])
  expect(status).toBe(0)
  const line = stdout.split('\r\n').find(text => text.includes('Travel that the ways allow'))
  expect(line).toMatch(/^dimension,X,Travel that the ways allow,mm,2,412\.25,7\.7\d*,412\.6 \/ 411\.9$/)
  expect(dusk(['model', one, one])).toMatchObject({
    status: 2,
    stderr: expect.stringContaining('got Skarrow 8 twice, takes each machine once'),
  })
  expect(dusk(['model', one, lathe])).toMatchObject({
    status: 2,
    stderr: expect.stringContaining('got a lathe, takes machines of one model'),
  })
  expect(dusk(['model'])).toMatchObject({ status: 2 })
})
