import type { PartOf } from '@/core/document/parts/types'
import { writePartsCsv } from '@/core/formats/partsCsv'
import { CATALOGUE } from '@/core/machine/parts'
import { shopCatalogue } from '@/core/search/fixtures/shopCatalogue'
import { downloads, onDisk, pickFile } from './files'
import { type Bench, withApp } from './harness'

const app = withApp()
const PARTS = 'section[aria-label="Parts of the drive"]'
const DIALOG = '[role="dialog"]'
const screw = CATALOGUE.screw.get('ball-20-5-double') as PartOf['screw']

const takeFile = (bench: Bench, path: string) => pickFile(bench.page, path, 'input[aria-label="Parts file"]')
const atSize = async () => {
  const bench = await app.openDemo()
  await bench.sheet('Parts of the drive')
  return bench
}

test('a part is copied, changed, taken, and judged like any other', async () => {
  const bench = await atSize()
  await bench.click('button', `Copy ${screw.name} to change it`)
  await bench.fill('Name', 'Attic screw 20 x 5', null)
  await bench.fill('Lead', '0', null)
  await bench.click('button', 'Add it')
  await bench.sees('Got 0. Takes a number from 0.5 mm to 100 mm.', DIALOG)
  // Nothing that was typed is lost, and the figure may carry its unit.
  expect(await bench.value('Name')).toBe('Attic screw 20 x 5')
  await bench.fill('Lead', '0.1 in', null)
  await bench.fill('Root diameter', '20', null)
  await bench.click('button', 'Add it')
  await bench.sees('Takes less than 20 mm, the diameter of the screw.', DIALOG)
  await bench.fill('Root diameter', '17.1', null)
  await bench.click('button', 'Add it')

  await bench.take('Attic screw 20 x 5')
  await bench.sees('your own', PARTS)
  await bench.sees('2.54 mm', PARTS)
  // Half the lead, half the torque: what was close holds.
  await bench.becomes('motor.torqueMargin', 'holds')

  await bench.click('button', 'Change Attic screw 20 x 5')
  expect(await bench.value('Lead')).toBe('2.54')
  await bench.fill('Lead', '10', null)
  await bench.click('button', 'Change it')
  await bench.becomes('motor.torqueMargin', 'fails')

  await bench.click('button', 'Take Attic screw 20 x 5 out of the parts')
  await bench.sees(/A screw and its nut: \d+ wait for it/)
  await bench.click('button', 'Undo: Attic screw 20 x 5 taken out of the parts')
  await bench.becomes('motor.torqueMargin', 'fails')
  await bench.isSaved()
  await bench.reload()
  await bench.sees('Attic screw 20 x 5', PARTS)
  await bench.stage('Log')
  await bench.sees('Part of our own added: Attic screw 20 x 5.')
  expect(bench.errors).toEqual([])
})

test('a motor is judged by a typed-in curve, which must rise', async () => {
  const bench = await atSize()
  const motors = await bench.page.waitForSelector(`${PARTS} [role="group"] button:last-child`)
  await motors?.click()
  await bench.click('button', 'Copy Stepper 57 mm frame, 2.2 N·m, 48 V to change it')
  await bench.fill('Name', 'Stepper off the bench', null)
  const curve = async (text: string) => {
    await bench.page.$eval(`${DIALOG} textarea`, field => (field as HTMLTextAreaElement).select())
    await bench.page.type(`${DIALOG} textarea`, text)
  }
  await curve('0 2.2\n600 1.9\n500 1.7')
  await bench.click('button', 'Add it')
  await bench.sees('Takes speeds that rise: point 3 is at 500 rpm, after 600 rpm.', DIALOG)
  await curve('0 0.4\n3000 0.3')
  await bench.click('button', 'Add it')
  await bench.take('Stepper off the bench')
  await bench.sees(/the motor gives 0\.4 N·m/, '[data-check="motor.torqueMargin"]')
  expect(bench.errors).toEqual([])
})

test('a file with wrong rows says which, and the good ones are taken and found by the search', async () => {
  const bench = await atSize()
  const cheap = { ...screw, id: 'attic-1', name: 'Attic screw', priceEur: 1 }
  const rows = [
    cheap,
    { ...cheap, id: 'attic-2', name: 'Attic lead', leadMm: 0 },
    { ...cheap, id: 'attic-3', name: 'Attic metres', leadMm: 0.005 },
  ]
  const file = `${writePartsCsv('screw', rows)},=2+2,Attic,1,ball\r\n`
  await takeFile(bench, onDisk('attic.csv', file))
  await bench.sees('1 new part, 3 rows that are wrong', DIALOG)
  await bench.sees(/3\s+I leadMm\s+0\s+a number from 0\.5 to 100 mm/, DIALOG)
  await bench.sees(/4\s+I leadMm\s+0\.005/, DIALOG)
  await bench.sees(/5\s+B name\s+=2\+2\s+.*a formula is not worked out here/, DIALOG)
  await bench.click('button', 'Take the one good part')
  await bench.take('Attic screw')
  await bench.sheet('Search the parts list')
  await bench.click('button', 'Search')
  await bench.sees('are beaten by nothing', 'section[aria-label="Search the parts list"]')
  await bench.press('section[aria-label="Search the parts list"] [data-all] summary')
  await bench.choose('Show', 'all')
  await bench.sees('Attic screw;', 'section[aria-label="Search the parts list"]')
  expect(bench.errors).toEqual([])
})

test.each([
  [
    'of 100,000 rows',
    () => writePartsCsv('coupler', new Array(30_000).fill([...CATALOGUE.coupler.values()][0])),
    'more than 20000 parts',
  ],
  ['of another kind', () => 'date,what\r\n2026-11-02,oiled\r\n', 'Line 1 must name the fields of a part'],
  ['in inches', () => writePartsCsv('screw', [screw]).replace('leadMm', 'leadInch'), 'leadInch stands there'],
])('a file %s is refused, and nothing is lost', async (_, text, reason) => {
  const bench = await atSize()
  await takeFile(bench, onDisk('parts.csv', text()))
  await bench.sees('Nothing was taken, and nothing was changed.', DIALOG)
  await bench.sees(reason, DIALOG)
  await bench.click('button', 'Close')
  await bench.becomes('coupler.torque', 'fails')
  await bench.sees('Ball screw 20 x 5', PARTS)
  expect(bench.errors).toEqual([])
})

test('the parts of a kind are saved as a file that can be taken again', async () => {
  const bench = await atSize()
  const saved = await downloads(bench.page)
  await bench.click('button', 'Save these as a file')
  const { name, path, text } = await saved()
  expect(name).toBe('screw-and-nut-parts.csv')
  expect(text).toBe(writePartsCsv('screw', [...CATALOGUE.screw.values()]))
  await takeFile(bench, path)
  await bench.sees(`${CATALOGUE.screw.size} as they stand here already.`, DIALOG)
  expect(bench.errors).toEqual([])
})

test('the limit of a check is changed with a reason, and put back', async () => {
  const bench = await atSize()
  await bench.becomes('coupler.torque', 'fails')
  await bench.click('button', 'Limit: Torque of the coupler')
  await bench.sees('A strong motor can crack a slit coupler', DIALOG)
  await bench.fill('It is close up to, and fails beyond', '70', 'Tab')
  await bench.click('button', 'Hold it to this')
  await bench.sees('Where it fails: got 70%, takes a number not below the one at which it holds.', DIALOG)
  await bench.sees('Got nothing. Takes a reason', DIALOG)
  await bench.fill('It holds up to', '120', 'Tab')
  await bench.fill('It is close up to, and fails beyond', '150', 'Tab')
  await bench.fill('Why? It stands beside the verdict, and in the log', 'A spare lies in the drawer.', null)
  await bench.click('button', 'Hold it to this')
  await bench.becomes('coupler.torque', 'holds')
  await bench.openHeld()
  await bench.sees('Held to other limits than usual: A spare lies in the drawer.')
  await bench.click('button', 'Limit: Torque of the coupler')
  await bench.click('button', 'The usual limits again')
  await bench.becomes('coupler.torque', 'fails')
  await bench.stage('Log')
  await bench.sees('holds up to 120%, close up to 150%. Because: A spare lies in the drawer.')
  expect(bench.errors).toEqual([])
})

test('a catalogue of thousands is taken into the shop’s list, looked through, judged, chosen from and searched', async () => {
  const bench = await atSize()
  const { screw: screws } = shopCatalogue(20_000, 4)
  await takeFile(bench, await onDisk('catalogue.csv', writePartsCsv('screw', screws)))
  await bench.sees('4000 new parts', DIALOG)
  // A machine takes a thousand: it says so, and where they fit.
  await bench.sees(/A machine takes 1000 parts of a kind.*shop's list/, DIALOG)
  await bench.choose('Take them into', 'shop')
  await bench.click('button', 'Take the 4000 good parts')
  await bench.sees(/more of 4119; a name narrows them down/, PARTS)
  await bench.fill('Find a part', '20 x 5, double S3, from 2', null)
  await bench.sees('shop list', PARTS)
  const [wanted] = screws.filter(({ name }) => /20 x 5, double.*, S3, from 2$/.test(name)) as [
    PartOf['screw'],
  ]
  await bench.take(wanted.name)
  await bench.sees('your own', PARTS)
  await bench.isSaved()
  // What was taken of it is in the job; the rest is not.
  await bench.reload()
  await bench.sheet('Search the parts list')
  await bench.click('button', 'Search')
  await bench.sees(/Of [\d,]{11,} drives/)
  expect(bench.errors).toEqual([])
  await bench.sheet('Parts of your own')
  await bench.sees(wanted.name, 'table')
  await bench.sees('4,000', 'section[aria-label="The shop\'s list"]')
  await bench.click('button', "Take the Screw and nut out of the shop's list")
  await bench.click('button', 'Take them out')
  await bench.sees('Nothing in it yet.')
  await bench.sees(wanted.name, 'table')
})
