import { damaged, seeded, soundFiles, tryFile } from './files'

test('of files that are damaged in a thousand ways none breaks a reader, a screen, the paper or the shell', () => {
  const files = soundFiles()
  for (const text of files) expect(tryFile(text)).toMatchObject({ outcome: 'taken', why: '' })
  const random = seeded(26)
  const count = { refused: 0, taken: 0, bad: 0 }
  for (let i = 0; i < 700; i++) {
    const { outcome, why } = tryFile(damaged(files[i % files.length] as string, random))
    count[outcome] += 1
    expect(why).toBe('')
  }
  expect(count.taken).toBeGreaterThan(20)
  expect(count.refused).toBeGreaterThan(300)
})
