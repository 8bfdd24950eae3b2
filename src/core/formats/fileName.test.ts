import fc from 'fast-check'
import { fileName, fileNameOfJob } from './fileName'

test.each([
  ['Skarrow 8', 'skarrow-8.json'],
  ['Fräse, Achse Ä', 'frase-achse-a.json'],
  ['Фрезерный станок', 'фрезерный-станок.json'],
  ['Φρέζα X', 'φρέζα-x.json'],
  ['铣床 一号', '铣床-一号.json'],
  ['CON', 'con-.json'],
  ['../../etc', 'etc.json'],
  ['Ärger / mit: der Säge', 'arger-mit-der-sage.json'],
  ['…', 'job.json'],
  ['  ', 'job.json'],
])('%s is a file of its own name', (name, file) => {
  expect(fileName(name, 'json')).toBe(file)
})

test('whatever a machine is called, its file can be written, and no two ids share one', () => {
  fc.assert(
    fc.property(
      fc.string({ unit: 'grapheme', maxLength: 300 }),
      fc.string({ minLength: 1, maxLength: 40 }),
      (name, id) => {
        for (const file of [fileName(name, 'json'), fileNameOfJob(name, id)]) {
          expect(file).not.toMatch(/[\\/:*?"<>|\p{Cc}]|^\.|[. ]$/u)
          expect(new TextEncoder().encode(file).length).toBeLessThan(480)
        }
      },
    ),
  )
  const ids = ['ab', 'aB', 'AB', 'a_b', 'a/b', 'a-b']
  const files = ids.map(id => fileNameOfJob('Mill', id).toLowerCase())
  expect(new Set(files).size).toBe(ids.length)
})
