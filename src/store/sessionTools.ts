// What the tests of a job in a tab need.

/** As much of local storage as the journal needs. */
export function fakeStorage() {
  const store: Record<string, string> = {}
  const hidden = (value: unknown) => ({ value, enumerable: false })
  return Object.defineProperties(store, {
    getItem: hidden((key: string) => store[key] ?? null),
    setItem: hidden((key: string, value: string) => {
      store[key] = value
    }),
    removeItem: hidden((key: string) => {
      delete store[key]
    }),
  }) as unknown as Storage
}

/** Waits for something to come true, three seconds at the most. */
export const until = async (fine: () => boolean | Promise<boolean>) => {
  for (let i = 0; i < 300 && !(await fine()); i++) await new Promise(done => setTimeout(done, 10))
  expect(await fine()).toBe(true)
}
