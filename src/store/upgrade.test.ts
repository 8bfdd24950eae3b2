import 'fake-indexeddb/auto'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { Dexie } from 'dexie'
import { SCHEMA_VERSION } from '@/core/document/version.generated'
import { DuskDatabase } from './database'

test('jobs that an older app has stored come up whole, with their history', async () => {
  const file = JSON.parse(
    readFileSync(join(__dirname, '../core/document/migrations/fixtures/job-v1.json'), 'utf8'),
  )
  const old = new Dexie('dusk-old')
  old.version(1).stores({
    jobs: 'id',
    history: '++sequence, id, [jobId+sequence]',
    entries: 'id, jobId',
    settings: 'key',
  })
  await old.table('jobs').put({ id: file.job.id, revision: 3, savedAt: '', deletedAt: null, job: file.job })
  await old.table('history').add({
    ...file.history[0],
    undone: false,
    patches: [{ op: 'remove', path: ['axes', 1] }],
    inverse: [{ op: 'add', path: ['axes', 1], value: { ...file.job.axes[0], id: 'gone' } }],
  })
  old.close()

  const db = new DuskDatabase('dusk-old')
  const row = await db.jobs.get(file.job.id)
  expect(row).toMatchObject({ revision: 3, job: { schemaVersion: SCHEMA_VERSION, name: file.job.name } })
  expect(row?.job.axes.every(({ drive, parts }) => drive.screws === 1 && parts.belt === null)).toBe(true)
  const [change] = await db.history.toArray()
  expect(change?.patches).toMatchObject([
    { path: ['axes', 'gone'], was: { drive: { screws: 1 }, limits: {} } },
  ])
  db.close()
})
