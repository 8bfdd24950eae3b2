import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import DxfParser from 'dxf-parser'
import ICAL from 'ical.js'
import Papa from 'papaparse'
import { dueEntries, duesOfJob } from '@/core/acceptance/dues'
import { runs } from '@/core/calculation/fixtures/runs'
import { demoJobs } from '@/core/demo'
import { skarrow } from '@/core/demo/skarrow'
import type { Job } from '@/core/document/job'
import { writeDxf } from '@/core/drawing/dxf'
import { writeDxfR12 } from '@/core/drawing/dxfR12'
import { labelPages } from '@/core/drawing/labels'
import { framed, pagesOf } from '@/core/drawing/pages'
import { writePdf } from '@/core/drawing/pdf'
import { writeStl } from '@/core/drawing/stl'
import { writeSvg } from '@/core/drawing/svg'
import { attempt } from '@/core/evaluation/attempt'
import { writeCalendar } from '@/core/formats/calendarFile'
import { tableCsv } from '@/core/formats/csv'
import { ordersTable } from '@/core/formats/ordersCsv'
import { writePartsCsv } from '@/core/formats/partsCsv'
import { writeWorkbook } from '@/core/formats/workbook'
import { catalogueOf } from '@/core/machine/parts'
import { orderList } from '@/core/orders/orders'
import { nowOf } from '@/core/planning/days'
import { entriesOf, placedTasks } from '@/core/planning/entries'
import { windowsFrom } from '@/core/planning/hours'
import { planJob } from '@/core/planning/plan'
import { tasksOf } from '@/core/planning/tasks'
import { evaluateAxis } from '@/core/sheets/evaluateAxis'
import { bagLabels } from '@/core/sheets/teardown/labels'
import { thingsToMake } from './drawings'
import { pdfFonts } from './pdfFonts'

// Everything that is handed out, opened by programs that do not know the app: two for each kind of file.

const folder = mkdtempSync(join(tmpdir(), 'dusk-foreign-'))
let files = 0
const onDisk = (ending: string, content: string | Uint8Array): string => {
  files += 1
  const path = join(folder, `${files}.${ending}`)
  writeFileSync(path, content)
  return path
}
const run = (command: string, ...args: string[]) => {
  const { status, stdout, stderr } = spawnSync(command, args, { maxBuffer: 1e9, encoding: 'utf8' })
  return { status, stdout, stderr }
}
/** What a script of another language says of many files, as JSON. */
const python = (script: string, ...args: string[]): unknown => {
  const { status, stdout, stderr } = run(
    '/usr/bin/python3',
    '-W',
    'ignore',
    '-c',
    `import json,sys\n${script}`,
    ...args,
  )
  expect([status, stderr]).toEqual([0, ''])
  return JSON.parse(stdout)
}

/** A job whose names are as long as they may be, in letters of four scripts. */
function odd(): Job {
  const { job } = skarrow()
  return {
    ...job,
    id: 'odd',
    name: 'Φρέζα Фрезерный станок 铣床 Fräse <&"> '.repeat(4).slice(0, 80),
    acceptance: { ...job.acceptance, testedBy: 'Μαρία Ørsted 李' },
    axes: job.axes.map(axis => ({ ...axis, title: 'Στήριγμα Стол 工作台 '.repeat(6).slice(0, 80) })),
  }
}
// The odd one is the main demo job under other names: that is read itself where all runs are asked for.
const JOBS = [...demoJobs().map(({ job }) => job), odd()]
  .filter(({ id }) => id !== skarrow().job.id || runs(1, 0) > 0)
  .map(job => [job.name.slice(0, 20), job] as const)

describe.each(JOBS)('%s', (_, job) => {
  const catalogue = catalogueOf(job)
  const drawn = job.axes.flatMap(axis => {
    const made = thingsToMake(evaluateAxis(axis, catalogue, job.units), `${job.name}, ${axis.name}`)
    return [...made.values()].flatMap(({ drawing }) => {
      try {
        return [{ axis, drawing: drawing() }]
      } catch {
        // What it rests on is not known yet.
        return []
      }
    })
  })
  const imprintOf = (axis: string) => ({
    machine: job.name,
    axis,
    date: '1 Dec 2026',
    author: job.acceptance.testedBy,
  })

  test('drawings: PDF, SVG, DXF of 2000 and of release 12', async () => {
    const dxf: string[] = []
    for (const { axis, drawing } of drawn) {
      const sheet = framed(drawing, imprintOf(axis.name), job.units)
      const pages = pagesOf(drawing, 'a4', imprintOf(axis.name), job.units)
      const { bytes } = await writePdf(
        { title: drawing.title, author: job.acceptance.testedBy },
        pages,
        pdfFonts(),
      )
      const pdf = onDisk('pdf', bytes)
      expect(run('qpdf', '--check', pdf)).toMatchObject({ status: 0 })
      const words = run('pdftotext', '-layout', pdf, '-')
      expect([words.status, words.stderr]).toEqual([0, ''])
      expect(words.stdout).toContain('This bar is')
      const svg = onDisk('svg', writeSvg(sheet))
      expect(run('rsvg-convert', svg, '-o', join(folder, 'x.png'))).toMatchObject({ status: 0 })
      expect(
        python(
          'import xml.dom.minidom as m\nprint(json.dumps(m.parse(sys.argv[1]).documentElement.tagName))',
          svg,
        ),
      ).toBe('svg')
      for (const text of [writeDxf(sheet), writeDxfR12(sheet)]) {
        dxf.push(onDisk('dxf', text))
        expect(new DxfParser().parseSync(text)?.entities.length).toBe(sheet.marks.length)
      }
    }
    if (dxf.length === 0) return
    const audited = python(
      'import ezdxf\ndef a(p):\n d=ezdxf.readfile(p);u=d.audit()\n return [d.dxfversion,len(u.errors),len(u.fixes),len(d.modelspace())]\nprint(json.dumps([a(p) for p in sys.argv[1:]]))',
      ...dxf,
    ) as [string, number, number, number][]
    for (const [index, [version, errors, fixes, count]] of audited.entries())
      expect([version, errors, fixes, count > 10]).toEqual([index % 2 ? 'AC1009' : 'AC1015', 0, 0, true])
  })

  test('bodies: STL, tight and of one piece', () => {
    for (const axis of job.axes)
      for (const [name, { solid: make }] of thingsToMake(
        evaluateAxis(axis, catalogue, job.units),
        `${job.name}, ${axis.name}`,
      )) {
        const solid = make && attempt(make).value
        if (!solid) continue
        const { status, stdout } = run('admesh', onDisk('stl', writeStl(solid)))
        expect([name, status]).toEqual([name, 0])
        expect(stdout).toMatch(/Total disconnected facets\s+:\s+0\s+0/)
        expect(stdout).toMatch(/Number of parts\s+:\s+1\s/)
        expect(stdout).toMatch(/Facets reversed\s+:\s+0/)
        const [, height] = /Min Z = .*, Max Z =\s+([\d.]+)/.exec(stdout) ?? []
        expect(Number(height)).toBeCloseTo(solid.thicknessMm, 3)
      }
  })

  test('calendar, order list and parts', async () => {
    const now = nowOf(new Date('2026-12-01T18:00:00'))
    const { tasks } = tasksOf(job, catalogue, now)
    const plan = planJob(job, catalogue, now)
    const entries = [
      ...(plan.kind === 'plan'
        ? entriesOf(
            job.id,
            placedTasks(tasks, plan.tasks),
            windowsFrom(job.plan, now.day, now.minute),
            now.day,
          )
        : []),
      ...dueEntries(job, duesOfJob(job, catalogue)),
      { uid: 'a', title: job.name, note: job.name, from: '2026-12-02', to: '2026-12-03', isCalledOff: true },
    ]
    const text = writeCalendar(job.name, entries, '2026-12-01T18:00:00Z')
    expect(new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent')).toHaveLength(
      entries.length,
    )
    expect(
      python(
        'import icalendar\nc=icalendar.Calendar.from_ical(open(sys.argv[1],"rb").read())\nprint(json.dumps([[str(e["summary"]),str(e["status"])] for e in c.walk("vevent")]))',
        onDisk('ics', text),
      ),
    ).toEqual(entries.map(entry => [entry.title, 'isCalledOff' in entry ? 'CANCELLED' : 'CONFIRMED']))
    const table = ordersTable(orderList(job, catalogue), job.name, '2026-12-01')
    const csv = tableCsv(table)
    const rows = python(
      'import csv\nprint(json.dumps(list(csv.reader(open(sys.argv[1],encoding="utf-8-sig",newline="")))))',
      onDisk('csv', csv),
    ) as string[][]
    expect(rows).toEqual(Papa.parse<string[]>(csv.replace('\ufeff', ''), { skipEmptyLines: true }).data)
    expect(rows).toHaveLength(table.rows.length + 1)
    const book = onDisk('xlsx', await writeWorkbook([table]))
    expect(
      python('import openpyxl\nprint(json.dumps(openpyxl.load_workbook(sys.argv[1]).active.max_row))', book),
    ).toBe(rows.length)
    expect(
      python('import zipfile\nprint(json.dumps([zipfile.ZipFile(sys.argv[1]).testzip()]))', book),
    ).toEqual([null])
    const parts = writePartsCsv('motor', [...catalogue.motor.values()], 'semicolon')
    expect(
      python(
        'import csv\nprint(json.dumps(len(list(csv.reader(open(sys.argv[1],encoding="utf-8-sig",newline=""),delimiter=";")))))',
        onDisk('csv', parts),
      ),
    ).toBe(catalogue.motor.size + 1)
  })

  test('labels, whose codes lead to their bags', async () => {
    const links = new Map<string, string>()
    const labels = job.axes.flatMap(axis =>
      bagLabels(job.name, axis, bag => {
        const link = `http://bench.local:3000/job/${job.id}/${axis.id}/build/teardown#bag-${bag}`
        links.set(bag, link)
        return link
      }),
    )
    if (labels.length === 0) return
    for (const id of ['a4-3x8', 'letter-3x10'] as const) {
      const pages = labelPages(labels, id, false, 3)
      const { bytes } = await writePdf({ title: 'Labels' }, pages, pdfFonts())
      const pdf = onDisk('pdf', bytes)
      expect(run('qpdf', '--check', pdf)).toMatchObject({ status: 0 })
      if (pages.every(({ full = [] }) => full.length === 0)) continue
      const picture = join(folder, `labels-${files}`)
      expect(run('pdftoppm', '-r', '300', '-png', pdf, picture)).toMatchObject({ status: 0 })
      const read = pages.flatMap((_, index) => {
        const many = String(index + 1).padStart(String(pages.length).length, '0')
        return run('zbarimg', '--raw', '-q', `${picture}-${many}.png`).stdout.split('\n').filter(Boolean)
      })
      expect([id, read.toSorted()]).toEqual([id, [...links.values()].toSorted()])
    }
  })
})
