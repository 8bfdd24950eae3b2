import { spawnSync } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { extname, join } from 'node:path'
import type { ElementHandle, Page } from 'puppeteer-core'

/** Endings of files that the app gives; one that is still coming has another. */
const FINISHED = ['.json', '.csv', '.pdf', '.svg', '.dxf', '.ics', '.xlsx', '.stl']

/** Lets downloads of a page land in a folder, and waits for one. */
export async function downloads(page: Page) {
  const folder = mkdtempSync(join(tmpdir(), 'dusk-'))
  const session = await page.createCDPSession()
  await session.send('Browser.setDownloadBehavior', {
    behavior: 'allow',
    downloadPath: folder,
    browserContextId: page.browserContext().id,
  })
  return async () => {
    for (let i = 0; i < 300; i++) {
      const name = readdirSync(folder).find(one => FINISHED.includes(extname(one)))
      if (name) {
        const bytes = readFileSync(join(folder, name))
        rmSync(join(folder, name))
        return { name, path: onDisk(name, bytes), bytes, text: bytes.toString('utf8') }
      }
      await new Promise(done => setTimeout(done, 100))
    }
    throw new Error('Nothing was downloaded.')
  }
}

/** What a tool that reads PDFs says of one. */
export const onPaper = (tool: string, args: string[], pdf: Uint8Array) =>
  spawnSync(tool, args, { input: pdf, maxBuffer: 64 * 1024 * 1024 })

/** A file on the disk, for a builder to pick. */
export function onDisk(name: string, text: string | Uint8Array): string {
  const path = join(mkdtempSync(join(tmpdir(), 'dusk-')), name)
  writeFileSync(path, text)
  return path
}

/** Picks a file, as the file dialog would. */
export async function pickFile(page: Page, path: string, selector = 'input[type=file]') {
  const input = (await page.waitForSelector(selector)) as ElementHandle<HTMLInputElement> | null
  await input?.uploadFile(path)
}
