import { buildSync } from 'esbuild'
import type { ElementHandle, Page } from 'puppeteer-core'

/** So long something is waited for that a hand has brought about. */
export const SEEN_WITHIN_MS = 60_000

/** How elements are told apart in the page, as one script. */
const IN_PAGE = buildSync({
  entryPoints: ['tests/browser/inPage.ts'],
  bundle: true,
  minify: true,
  write: false,
}).outputFiles[0]?.text as string

const told = new WeakSet<Page>()
/** Gives a page, and whatever it loads later, what tells its elements apart. */
async function tellApart(page: Page) {
  if (told.has(page)) return
  told.add(page)
  await page.evaluateOnNewDocument(IN_PAGE)
  await page.evaluate(IN_PAGE)
}

/**
 * Waits for the first element with a role and an accessible name. The browser's own tree is not asked: to look through it
 * costs a large sheet a tenth of a second each time.
 *
 * @returns null where none has come in time
 */
export async function accessible(
  page: Page,
  role: string,
  name: string,
): Promise<ElementHandle<HTMLElement> | null> {
  await tellApart(page)
  const found = await page
    .waitForFunction(
      (wantedRole, wantedName) =>
        (globalThis as unknown as { accessible: (role: string, name: string) => Element | null }).accessible(
          wantedRole,
          wantedName,
        ),
      { timeout: SEEN_WITHIN_MS, polling: 50 },
      role,
      name,
    )
    .catch(() => null)
  return found as ElementHandle<HTMLElement> | null
}
