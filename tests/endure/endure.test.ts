import { runs } from '@/core/calculation/fixtures/runs'
import { damaged, seeded, soundFiles, tryFile } from './files'

test('of files that are damaged in hundreds of ways none breaks a reader, a screen, the paper or the shell', () => {
  const tries = runs(700, 150)
  const files = soundFiles()
  for (const text of files) expect(tryFile(text)).toMatchObject({ outcome: 'taken', why: '' })
  const random = seeded(26)
  const count = { refused: 0, taken: 0, bad: 0 }
  for (let i = 0; i < tries; i++) {
    const { outcome, why } = tryFile(damaged(files[i % files.length] as string, random))
    count[outcome] += 1
    expect(why).toBe('')
  }
  expect(count.taken).toBeGreaterThan(tries / 35)
  expect(count.refused).toBeGreaterThan(tries * 0.43)
})
