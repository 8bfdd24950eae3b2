import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { SCHEMA_VERSION } from '@/core/document/version.generated'
import { clockAt, raiseDatabase, rowsIn } from '../endure/database'
import { downloads, onDisk, pickFile } from './files'
import { type Bench, withApp } from './harness'

const app = withApp()
const FORCE = 'Cutting force along the axis'
/** The demo, open at what is asked of its X axis. */
async function atGoals(): Promise<Bench> {
  const bench = await app.open()
  await bench.openDemo()
  await bench.sheet('What you want from it')
  return bench
}
const here = (bench: Bench) => new URL(bench.page.url()).pathname

test('undo and redo survive a reload, with the log', async () => {
  const bench = await atGoals()
  await bench.fill(FORCE, '700')
  await bench.sheet('Parts of the drive')
  await bench.click('button', 'Motor Stepper 57 mm frame, 2.2 N·m, 48 V')
  await bench.click('button', 'Take Stepper 60 mm frame, 3.1 N·m, 48 V')
  await bench.isSaved()
  await bench.reload()
  await bench.click('button', 'Undo: Stepper 60 mm frame, 3.1 N·m, 48 V chosen, axis X')
  await bench.click('button', 'Undo: Cutting force along the axis, axis X')
  await bench.sheet('What you want from it')
  await bench.comesTo(FORCE, '850')
  await bench.click('button', 'Redo: Cutting force along the axis, axis X')
  await bench.page.waitForFunction(() => document.querySelector('[data-saved="yes"]'))
  await bench.stage('Log')
  expect(await bench.text('main')).not.toContain('Stepper 60 mm frame')
  expect(bench.errors).toEqual([])
})

test('a tab closed right after a key stroke loses nothing', async () => {
  const bench = await atGoals()
  const path = here(bench)
  for (const value of ['731', '642', '553']) {
    const tab = await app.open(path)
    await tab.fill(FORCE, value, null)
    await tab.page.close()
    const again = await app.open(path)
    expect(await again.value(FORCE)).toBe(value)
    await again.page.close()
  }
})

test('a piece of the app that does not come is said so, and loading again goes on with all that was typed', async () => {
  const bench = await atGoals()
  const known = new Set(bench.requests)
  let broken = true
  await bench.page.setRequestInterception(true)
  bench.page.on('request', request =>
    broken && request.url().includes('/chunks/') && !known.has(request.url())
      ? request.abort('connectionreset')
      : request.continue(),
  )
  await bench.fill(FORCE, '712')
  // What does not come may take the place of the stages before they have gone on to the next.
  await bench.press('nav[aria-label="Stages"] a[data-rail="stage"][href*="/build/"]')
  await bench.sees('A piece of the app did not come')
  await bench.sees('Nothing that you typed is lost.')
  broken = false
  await bench.click('button', 'Load the page again')
  await bench.sees('Steps of the build')
  await bench.sheet('What you want from it')
  expect(await bench.value(FORCE)).toBe('712')
})

test('a reload in the middle of a round and of a test goes on where it was', async () => {
  const bench = await app.open()
  await bench.openDemo()
  await bench.stage('Align')
  await bench.click('button', 'Start the next round')
  await bench.fill('Height, place 1', '3')
  await bench.fill('Height, place 2', '-8')
  await bench.stage('Prove')
  await bench.fill('Station 1, coming up to it, reading 6', '26')
  await bench.reload()
  expect(await bench.value('Station 1, coming up to it, reading 6')).toBe('26')
  await bench.stage('Align')
  expect(await bench.value('Height, place 2')).toBe('-8')
})

test('with the server gone undo works; before it could be made ready, it is said that nothing was undone', async () => {
  const bench = await atGoals()
  await bench.fill(FORCE, '705')
  await bench.isSaved()
  // What undo needs comes when the screen has been at rest for a while.
  await new Promise(done => setTimeout(done, 4500))
  await bench.page.setOfflineMode(true)
  await bench.click('button', 'Undo: Cutting force along the axis, axis X')
  await bench.click('button', 'Redo: Cutting force along the axis, axis X')
  await bench.find('button', 'Undo: Cutting force along the axis, axis X')
  await bench.page.setOfflineMode(false)
  await bench.page.reload({ waitUntil: 'domcontentloaded' })
  await bench.find('button', 'Undo: Cutting force along the axis, axis X')
  await bench.page.setOfflineMode(true)
  await bench.click('button', 'Undo: Cutting force along the axis, axis X')
  await bench.sees('Not undone. A piece of the app did not come')
  expect(await bench.text('header')).toContain('Saved')
  expect(await bench.value(FORCE)).toBe('705')
  await bench.click('button', 'Close')
  await bench.page.setOfflineMode(false)
  await bench.lacks('Not undone', 'body')
})

describe('two tabs', () => {
  test('an edit in one shows in the other', async () => {
    const one = await app.open()
    await one.openDemo()
    await one.sheet('What you want from it')
    const two = await app.open(here(one))
    await one.page.bringToFront()
    await one.fill(FORCE, '444')
    await two.page.bringToFront()
    await two.comesTo(FORCE, '444')
  })

  test('what is being typed is not overwritten, and overwrites nothing in silence', async () => {
    const one = await app.open()
    await one.openDemo()
    await one.sheet('What you want from it')
    const two = await app.open(here(one))
    // Typed but not readable yet, so not passed on.
    await two.page.bringToFront()
    await two.fill(FORCE, '5x', null)
    await one.page.bringToFront()
    await one.fill(FORCE, '444')
    await one.isSaved()
    await two.page.bringToFront()
    await two.sees('Another tab set this to 444 N meanwhile. Enter puts yours in, Escape keeps theirs.')
    await two.page.keyboard.press('Escape')
    expect(await two.value(FORCE)).toBe('444')
  })

  test('a job deleted in one tab is said to be gone in the other', async () => {
    const one = await app.open()
    await one.openDemo()
    const home = await app.open()
    await home.click('button', 'Delete Skarrow 8')
    await one.page.bringToFront()
    await one.sees('This job is not in this browser')
    await home.page.bringToFront()
    await home.click('button', 'Put back Skarrow 8')
    await one.page.bringToFront()
    await one.sees('Verdicts')
  })
})

describe('files', () => {
  test('export, delete for good, import, export: the same file', async () => {
    const bench = await app.open()
    const first = await downloads(bench.page)
    await bench.openDemo()
    await bench.sheet('What you want from it')
    await bench.fill(FORCE, '700')
    await bench.isSaved()
    await bench.load('/')
    await bench.click('button', 'Export Skarrow 8')
    const before = await first()
    await bench.click('button', 'Delete Skarrow 8')
    await bench.click('button', 'Delete Skarrow 8 for good')
    await bench.click('button', 'Keep it')
    await bench.sees('Put back')
    await bench.click('button', 'Delete Skarrow 8 for good')
    await bench.click('button', 'Delete it for good')
    await bench.sees('No job yet')
    const second = await downloads(bench.page)
    await pickFile(bench.page, before.path)
    await bench.click('button', 'Import it')
    await bench.standsOnTheBench()
    await bench.sheet('What you want from it')
    expect(await bench.value(FORCE)).toBe('700')
    await bench.load('/')
    await bench.click('button', 'Export Skarrow 8')
    expect((await second()).text).toBe(before.text)
  })

  test('a broken file is refused with what is wrong and where, and nothing changes', async () => {
    const bench = await app.open()
    await bench.openDemo()
    await bench.load('/')
    const good = readFileSync(
      join(process.cwd(), 'src/core/document/migrations/fixtures/job-v1.json'),
      'utf8',
    )
    const cases: [name: string, text: string, says: string][] = [
      ['cut.json', good.slice(0, 900), 'It looks cut short'],
      [
        'newer.json',
        good.replace('"schemaVersion": 1', `"schemaVersion": ${SCHEMA_VERSION + 1}`),
        'made by a newer Dusk Bench',
      ],
      [
        'wrong.json',
        good.replace('"value": 512.5', '"value": "long"'),
        'job.axes[0].dimensions.supportSpanMm.value: got "long"',
      ],
      ['hostile.json', good.replace('"isolate":', '"__proto__":'), 'unknown field __proto__'],
      ['photo.json', '\u0089PNG\u0000', 'Got a file that is no text'],
      ['odd.json', '{"format": dusk}', 'line 1, column 12: got “d”'],
    ]
    for (const [name, text, says] of cases) {
      await pickFile(bench.page, onDisk(name, text))
      await bench.sees('Nothing was imported, and nothing was changed.')
      await bench.sees(says)
      await bench.click('button', 'Cancel')
      await bench.page.waitForFunction(() => !document.querySelector('[role=dialog]'))
    }
    expect((await bench.page.$$('[data-job]')).length).toBe(1)
  })

  test('a file that the installed app is opened with is imported as one that is picked; its shortcut starts a job', async () => {
    const text = readFileSync(
      join(process.cwd(), 'src/core/document/migrations/fixtures/job-v1.json'),
      'utf8',
    )
    const bench = await app.open('/', page =>
      page.evaluateOnNewDocument(content => {
        const file = new File([content], 'bench.json', { type: 'application/json' })
        Object.defineProperty(window, 'launchQueue', {
          value: {
            setConsumer: (take: (launched: object) => void) =>
              take({ files: [{ getFile: async () => file }] }),
          },
        })
      }, text),
    )
    await bench.sees('Import bench.json')
    await bench.click('button', 'Import it')
    await bench.sees('Fixture of version 1')
    const other = await app.open('/?new')
    await other.find('textbox', 'Name of the machine')
    expect(other.errors).toEqual([])
  })

  test('a file of a job that is here can stand beside it or replace it', async () => {
    const bench = await app.open()
    const exported = await downloads(bench.page)
    await bench.openDemo()
    await bench.load('/')
    await bench.click('button', 'Export Skarrow 8')
    const { path } = await exported()
    await pickFile(bench.page, path)
    await bench.click('button', 'Keep both')
    await bench.sees('Verdicts')
    await bench.load('/')
    await bench.sees('Skarrow 8 (imported)')
    await pickFile(bench.page, path)
    await bench.click('button', 'Replace the one here')
    await bench.sees('Verdicts')
    await bench.load('/')
    await bench.sees('Skarrow 8 (replaced)')
  })
})

/** Nothing more goes into the database. @returns what makes room again */
async function fillDisk({ page }: Bench): Promise<() => Promise<void>> {
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put
    Object.assign(window, { letPut: () => void Object.assign(IDBObjectStore.prototype, { put }) })
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
  })
  return () => page.evaluate(() => (window as unknown as { letPut: () => void }).letPut())
}

describe('storage that fails', () => {
  test('a full disk is told with what to do; export gives what is on the screen; saving again works', async () => {
    const bench = await app.open()
    const exported = await downloads(bench.page)
    await bench.openDemo()
    await bench.sheet('What you want from it')
    const makeRoom = await fillDisk(bench)
    await bench.fill(FORCE, '612')
    await bench.sees('Not saved. The disk space for this browser is full')
    await bench.click('button', 'Export now')
    expect((await exported()).text).toContain('"cuttingForceN": 612')
    await makeRoom()
    await bench.click('button', 'Save again')
    await bench.page.waitForFunction(() => !document.querySelector('[role=alert]'))
    await bench.reload()
    expect(await bench.value(FORCE)).toBe('612')
  })

  test('undo while the disk is full hides nothing, and all is saved by itself when there is room', async () => {
    const bench = await atGoals()
    await bench.fill(FORCE, '700')
    await bench.isSaved()
    const makeRoom = await fillDisk(bench)
    await bench.fill(FORCE, '612')
    await bench.sees('Not saved. The disk space for this browser is full')
    await bench.click('button', 'Undo: Cutting force along the axis, axis X')
    await bench.sees('Not undone. What was typed last is not saved yet')
    await bench.sees('Not saved. The disk space for this browser is full')
    await bench.find('button', 'Export now')
    await bench.find('button', 'Save again')
    expect(await bench.value(FORCE)).toBe('612')
    await bench.click('button', 'Close')
    await makeRoom()
    await bench.page.waitForFunction(() => !document.querySelector('[role=alert]'))
    await bench.reload()
    expect(await bench.value(FORCE)).toBe('612')
  })

  test('a browser that blocks storage is told so at the door', async () => {
    const bench = await app.open('/', page =>
      page.evaluateOnNewDocument(() => {
        indexedDB.open = () => {
          throw new DOMException('denied', 'SecurityError')
        }
      }),
    )
    await bench.sees('This browser does not let the app store anything')
    await bench.click('button', 'New job')
    await bench.fill('Name of the machine', 'Quay mill', null)
    await bench.click('button', 'Start it')
    await bench.sees('allow site data for this address')
    expect(await bench.value('Name of the machine')).toBe('Quay mill')
  })
})

test('a tab that is older than what another has opened writes nothing more, keeps what is typed, and leads on', async () => {
  const bench = await atGoals()
  const path = here(bench)
  const other = await app.open('/reference')
  expect(await raiseDatabase(other.page)).toBe(SCHEMA_VERSION)
  await bench.sees('has taken over what is kept here')
  const before = await rowsIn(other.page, 'jobs')
  await bench.fill(FORCE, '712')
  await bench.sees('Not saved. A newer Dusk Bench has opened what is kept in this browser')
  expect(await bench.page.evaluate(() => document.querySelector('[data-saved="yes"]'))).toBeNull()
  expect(await rowsIn(other.page, 'jobs')).toBe(before)
  expect(await other.page.evaluate(() => Object.values(localStorage).join())).toContain('712')
  // Loaded again as it is, it is refused, with the ways out; nothing of the data changes.
  const file = await downloads(bench.page)
  await bench.load(path)
  await bench.sees('A newer Dusk Bench has opened what is kept in this browser')
  await bench.click('button', 'Back up all jobs as they are')
  expect(JSON.parse((await file()).text)).toMatchObject({
    format: 'dusk-bench-backup',
    jobs: [{ job: { name: 'Skarrow 8', axes: [{ goals: { cuttingForceN: 850 } }, {}, {}] } }],
  })
  await bench.load('/')
  await bench.sees('A newer Dusk Bench has opened what is kept in this browser')
  await bench.find('button', 'Load again')
  expect(await rowsIn(other.page, 'jobs')).toBe(before)
  expect(await other.page.evaluate(() => Object.values(localStorage).join())).toContain('712')
})

test('a deleted job outlives a clock that jumps, and is asked about after thirty days of use', async () => {
  const bench = await app.open()
  await bench.openDemo()
  const id = here(bench).split('/')[2] ?? ''
  await bench.load('/')
  await bench.click('button', 'Delete Skarrow 8')
  await bench.sees('Put back')
  for (const day of ['2000-01-01', '2031-03-01', '2099-12-31']) {
    const setRight = await clockAt(bench.page, day)
    await bench.load('/')
    await bench.find('button', 'Put back Skarrow 8')
    await setRight()
  }
  await bench.lacks('days of use: is it still wanted?', 'main')
  await bench.page.evaluate(async id => {
    const asked = indexedDB.open('dusk-bench')
    await new Promise(done => {
      asked.onsuccess = done
    })
    const jobs = asked.result.transaction('jobs', 'readwrite').objectStore('jobs')
    const row = jobs.get(id)
    await new Promise(done => {
      row.onsuccess = () => {
        jobs.put({ ...row.result, binned: { days: 30, lastDay: '2026-01-01' } }).onsuccess = done
      }
    })
    asked.result.close()
  }, id)
  await bench.load('/')
  await bench.sees('has been here for 30 days of use: is it still wanted?')
  await bench.click('button', 'Keep it')
  await bench.lacks('is it still wanted?', 'main')
  await bench.click('button', 'Put back Skarrow 8')
  await bench.find('button', 'Delete Skarrow 8')
})

test('work that the browser ends is said to be ended', async () => {
  const bench = await app.open('/', page =>
    page.evaluateOnNewDocument(() => {
      const Plain = Worker
      const made: Worker[] = []
      Object.assign(window, { made, endAll: () => made.forEach(worker => void worker.terminate()) })
      globalThis.Worker = class extends Plain {
        constructor(...given: ConstructorParameters<typeof Worker>) {
          super(...given)
          this.addEventListener('message', ({ data }) => data?.lock && made.push(this))
        }
        // Nothing is answered to before it ends.
        override postMessage() {}
      }
    }),
  )
  await bench.openDemo()
  await bench.go(`${here(bench).split('/').slice(0, 3).join('/')}/machine/schedule`)
  await bench.sees('Laying the plan')
  await bench.page.waitForFunction(() => (window as unknown as { made: Worker[] }).made.length > 1)
  await bench.page.evaluate(() => (window as unknown as { endAll: () => void }).endAll())
  await bench.sees('It could not be planned: The browser ended it, perhaps for want of memory')
})

describe('kept elsewhere too', () => {
  test('a backup of all jobs is put back after the browser was cleared; what is here can stay', async () => {
    const bench = await app.open()
    const saved = await downloads(bench.page)
    await bench.openDemo()
    await bench.sheet('What you want from it')
    await bench.fill(FORCE, '701')
    await bench.isSaved()
    await bench.load('/')
    await bench.click('button', 'Open a demo job')
    await bench.standsOnTheBench()
    await bench.load('/')
    await bench.sees('No backup yet.')
    await bench.lacks('Make a backup', 'main')
    // As after two weeks of work.
    await bench.page.evaluate(async () => {
      const opening = indexedDB.open('dusk-bench')
      await new Promise(done => {
        opening.onsuccess = done
      })
      const settings = opening.result.transaction('settings', 'readwrite').objectStore('settings')
      const at = new Date(Date.now() - 14 * 24 * 3600 * 1000).toISOString()
      await new Promise(done => {
        settings.put({ key: 'first-use', value: at }).onsuccess = done
      })
      opening.result.close()
    })
    await bench.load('/')
    await bench.sees('Make a backup')
    await bench.click('button', 'Back up all jobs')
    const { path, name } = await saved()
    expect(name).toMatch(/^dusk-bench-backup-\d{4}-\d\d-\d\d\.json$/)
    await bench.sees('Last backup on')
    await bench.lacks('Make a backup', 'main')
    const client = await bench.page.createCDPSession()
    await client.send('Storage.clearDataForOrigin', { origin: app.url, storageTypes: 'all' })
    await bench.load('/')
    await bench.sees('No job yet')
    await pickFile(bench.page, path)
    await bench.click('button', 'Import all 2')
    await bench.page.waitForFunction(() => document.querySelectorAll('[data-job]').length === 2)
    await bench.click('button', 'Delete Skarrow 8')
    await bench.page.waitForFunction(() => document.querySelectorAll('[data-job]').length === 1)
    await pickFile(bench.page, path)
    await bench.click('button', 'Only those that are not here')
    await bench.page.waitForFunction(() => document.querySelectorAll('[data-job]').length === 2)
  })

  test('a copy goes into a folder of the builder while a job is worked on, and trouble with it is told', async () => {
    // The browser's own folder for the page stands in for one that a person would choose.
    const bench = await app.open('/', page =>
      page.evaluateOnNewDocument(() => {
        Object.assign(window, { showDirectoryPicker: () => navigator.storage.getDirectory() })
      }),
    )
    await bench.openDemo()
    await bench.load('/')
    await bench.click('button', 'Choose a folder')
    await bench.sees('A copy of each job goes into the folder')
    await bench.page.goBack()
    await bench.standsOnTheBench()
    await bench.sheet('What you want from it')
    await bench.fill(FORCE, '702')
    await bench.page.waitForFunction(
      async () => {
        const folder = await navigator.storage.getDirectory()
        const texts: string[] = []
        for await (const file of (
          folder as unknown as { values: () => AsyncIterable<FileSystemFileHandle> }
        ).values())
          texts.push(await (await file.getFile()).text())
        return texts.length === 1 && texts.join().includes('"cuttingForceN": 702')
      },
      { timeout: 12_000, polling: 500 },
    )
    await bench.page.evaluate(() => {
      FileSystemDirectoryHandle.prototype.getFileHandle = () => Promise.reject(new Error('The disk is gone.'))
    })
    await bench.fill(FORCE, '703')
    await bench.sees('No copy was made in the folder')
    await bench.sees('The disk is gone. The job itself is saved in this browser.')
    await bench.click('button', 'No more copies')
    await bench.lacks('No copy was made', 'body')
  })

  test('what was typed into a job that is gone is a file, and stands in the way of no other', async () => {
    const bench = await app.open()
    await bench.openDemo()
    await bench.load('/')
    await bench.page.evaluate(() => {
      const change = {
        id: 'c',
        jobId: 'gone',
        at: '2026-11-20T08:00:00.000Z',
        label: 'Lead of X',
        mergeKey: null,
        patches: [],
        shows: [],
        hides: [],
        undone: false,
      }
      localStorage.setItem('dusk-journal:dead', JSON.stringify([{ change, entries: [], version: 7 }]))
    })
    const saved = await downloads(bench.page)
    await bench.load('/')
    await bench.sees('Typed, but never saved')
    await bench.click('button', 'Save as a file')
    expect((await saved()).text).toContain('"label": "Lead of X"')
    await bench.click('link', 'Open Skarrow 8')
    await bench.standsOnTheBench()
    await bench.sheet('What you want from it')
    await bench.fill(FORCE, '704')
    await bench.isSaved()
    await bench.load('/')
    await bench.click('button', 'Throw away')
    await bench.lacks('Typed, but never saved', 'body')
  })
})

test('the list of jobs: rename, duplicate, put away, delete and put back', async () => {
  const bench = await app.open()
  await bench.openDemo()
  await bench.load('/')
  await bench.sees('X: find the fault: lost motion, measured')
  await bench.click('button', 'Rename Skarrow 8')
  await bench.fill('Name of the job', '', null)
  await bench.click('button', 'Rename')
  await bench.sees('Got 0 characters. Takes 1 to 80.')
  await bench.fill('Name of the job', 'Shed mill', 'Enter')
  await bench.click('button', 'Duplicate Shed mill')
  // The next machine of its kind: asked what it takes over, and unmeasured, unbuilt, untested.
  await bench.sees('It starts unmeasured, unbuilt and untested', '[role=dialog]')
  await bench.click('checkbox', 'Limits that were changed, with their reasons')
  await bench.click('button', 'Make the copy')
  await bench.sees('Shed mill (copy)')
  await bench.sees('X: 6 dimensions to measure')
  await bench.click('button', 'Put away Shed mill (copy)')
  await bench.sees('Put away', 'section[aria-label="Put away"]')
  await bench.click('button', 'Delete Shed mill')
  await bench.click('button', 'Put back Shed mill')
  await bench.find('button', 'Delete Shed mill')
  expect(bench.errors).toEqual([])
})
