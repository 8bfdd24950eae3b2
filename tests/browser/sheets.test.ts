import type { Page } from 'puppeteer-core'
import { type Bench, withApp } from './harness'

const app = withApp()
const sheet = (title: string) => `section[aria-label="${title}"]`

async function atRoom(prepare: (page: Page) => Promise<unknown> = async () => {}): Promise<Bench> {
  const bench = await app.open()
  await prepare(bench.page)
  await bench.openDemo()
  await bench.sheet('Room to stop')
  return bench
}

test('room to stop: unknown until it is timed, judged at both ends, and mended', async () => {
  const bench = await atRoom()
  await bench.becomes('stopping.far', 'close')
  await bench.fill('From the switch to the first slowing step', '')
  await bench.becomes('stopping.far', 'unknown')
  await bench.sees(/How long the controller takes from the switch to the first slowing step: 4 wait for it/)
  // Milliseconds without their unit are refused, and with it they are taken.
  await bench.fill('From the switch to the first slowing step', '50')
  await bench.sees('Got 50 s. Takes 0 s to 2 s.', sheet('Room to stop'))
  await bench.fill('From the switch to the first slowing step', '50 ms')
  expect(await bench.value('From the switch to the first slowing step')).toBe('0.05')
  await bench.becomes('stopping.far', 'close')
  await bench.becomes('stopping.fixed', 'close')
  await bench.click('button', 'Ways out: Room to stop at the far end')
  await bench.click('button', 'Apply: Kept clear at the far end up to 7.5 mm')
  await bench.becomes('stopping.far', 'holds')
  await bench.becomes('stopping.fixed', 'close')
  await bench.sheet('Travel budget')
  expect(await bench.value('Kept clear at the far end')).toBe('7.5')
  expect(bench.errors).toEqual([])
})

test('one click takes back one remedy, whatever was done since; where that cannot be, it says why', async () => {
  const bench = await atRoom()
  const apply = async () => {
    await bench.click('button', 'Ways out: Room to stop at the far end')
    await bench.click('button', 'Apply: Kept clear at the far end up to 5.25 mm')
    await bench.becomes('stopping.far', 'holds')
  }
  await apply()
  await bench.sheet('Travel budget')
  await bench.fill('Kept clear at the fixed end', '9')
  await bench.becomes('stopping.fixed', 'holds')
  await bench.click('button', 'Undo it')
  await bench.becomes('stopping.far', 'close')
  await bench.becomes('stopping.fixed', 'holds')
  expect(await bench.value('Kept clear at the far end')).toBe('5')
  expect(await bench.value('Kept clear at the fixed end')).toBe('9')

  await bench.sheet('Room to stop')
  await apply()
  await bench.sheet('Travel budget')
  await bench.fill('Kept clear at the far end', '8')
  await bench.click('button', 'Undo it')
  await bench.sees('Not taken back: Kept clear at the far end up to 5.25 mm')
  await bench.sees(/stays: what it set was changed again since/)
  expect(await bench.value('Kept clear at the far end')).toBe('8')
  expect(bench.errors).toEqual([])
})

/** The tables that were rendered since this was asked last, with their sheets. */
const rendered = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const seen = (window as unknown as { renderedTables: Set<string> }).renderedTables
    const names = [...seen].toSorted()
    seen.clear()
    return names
  })

/** Has React tell, as it tells its own tools, what it has rendered at each commit. */
const watchRenders = () => {
  interface Fiber {
    type: unknown
    flags: number
    child: Fiber | null
    sibling: Fiber | null
    return: Fiber | null
    alternate: Fiber | null
    memoizedProps: Record<string, unknown> | null
  }
  const RENDERED = 1
  const renderedTables = new Set<string>()
  const tableOf = (fiber: Fiber | null): string | null => {
    for (let at = fiber; at; at = at.return)
      if (at.type === 'table') return String(at.memoizedProps?.['aria-label'])
    return null
  }
  const walk = (fiber: Fiber) => {
    const before = fiber.alternate
    if (!before || fiber.flags & RENDERED) {
      const table = tableOf(fiber)
      if (table) renderedTables.add(table)
    }
    // A piece whose children are the very ones of before was passed over.
    if (before && before.child === fiber.child) return
    for (let child = fiber.child; child; child = child.sibling) if (child !== before) walk(child)
  }
  Object.assign(window, {
    renderedTables,
    __REACT_DEVTOOLS_GLOBAL_HOOK__: {
      renderers: new Map(),
      supportsFiber: true,
      isDisabled: false,
      inject: () => 1,
      checkDCE: () => {},
      onCommitFiberUnmount: () => {},
      onCommitFiberRoot: (_: number, root: { current: Fiber }) => walk(root.current),
    },
  })
}

test('a key stroke in a table renders that table and what depends on it, and no other sheet', async () => {
  const bench = await atRoom(async page => {
    await page.evaluateOnNewDocument(watchRenders)
    await page.reload()
  })
  const { page } = bench
  await page.waitForNetworkIdle()
  const typed = async (name: string, value: string) => {
    // The field that is left renders once more: that is no answer to this key.
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
    await rendered(page)
    await bench.fill(name, value, null)
    await new Promise(done => setTimeout(done, 1500))
    return rendered(page)
  }
  await bench.sheet('Room around the nut')
  expect(await typed('To the left, station 2', '33')).toEqual([
    'Rows of stations',
    'The tightest place, side by side',
  ])
  expect(await typed('Bracket, width across the screw', '61')).toEqual(['The tightest place, side by side'])
  await bench.sheet('Room to stop')
  expect(await typed('From the switch to the first slowing step', '0.03')).toEqual([
    'Room to stop at both ends',
  ])
  expect(bench.errors).toEqual([])
})
