import type { Page } from 'puppeteer-core'

// What a browser keeps, looked at from beside the app, and clocks that are wrong.

/** Opens the database as a later version of the app would, and tells which version it had. */
export const raiseDatabase = (page: Page): Promise<number> =>
  page.evaluate(async () => {
    const [{ name = '', version = 0 } = {}] = await indexedDB.databases()
    await new Promise((done, failed) => {
      const asked = indexedDB.open(name, version + 10)
      asked.onsuccess = () => done(asked.result.close())
      asked.onerror = asked.onblocked = () => failed(new Error('held up'))
    })
    return version / 10
  })

/** The rows of a store as they lie in the database, whatever version that has. */
export const rowsIn = (page: Page, store: 'jobs' | 'history'): Promise<string> =>
  page.evaluate(async store => {
    const [{ name = '' } = {}] = await indexedDB.databases()
    const db = await new Promise<IDBDatabase>((done, failed) => {
      const asked = indexedDB.open(name)
      asked.onsuccess = () => done(asked.result)
      asked.onerror = () => failed(asked.error)
    })
    const rows = await new Promise<unknown>((done, failed) => {
      const asked = db.transaction(store).objectStore(store).getAll()
      asked.onsuccess = () => done(asked.result)
      asked.onerror = () => failed(asked.error)
    })
    db.close()
    return JSON.stringify(rows)
  }, store)

/** Whatever a page loads from now on believes that it is another time. @returns what sets the clock right again */
export async function clockAt(page: Page, at: string): Promise<() => Promise<void>> {
  const script = await page.evaluateOnNewDocument(wrong => {
    const Plain = Date
    const ahead = Plain.parse(wrong) - Plain.now()
    globalThis.Date = class extends Plain {
      constructor(...given: [number]) {
        super(...(given.length > 0 ? given : ([Plain.now() + ahead] as [number])))
      }
      static override now = () => Plain.now() + ahead
    } as DateConstructor
  }, at)
  return () => page.removeScriptToEvaluateOnNewDocument(script.identifier)
}
