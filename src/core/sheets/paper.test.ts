import { demoJobs } from '../demo'
import { catalogueOf } from '../machine/parts'
import { neededItems } from '../orders/orders'
import { evaluateAxis } from './evaluateAxis'
import { paperOf } from './paper'

/** Names of metric goods, which are the same in every shop: a lead, a thread and its screws, a drill beside its inches. */
const NOMINAL = [
  /lead \d+ mm/g,
  /\d+ × M\d+ × [\d.]+ mm/g,
  /[\d.]+ mm \([\d.]+ in\)/g,
  /M\d+(\.\d+)?( x [\d.]+)?( screws of \d+ mm)?/g,
  /Take \d+ mm/g,
  /\([\d.]+ mm\)/g,
  /tap drill [\d.]+ mm/g,
]
const inOtherUnits = (value: unknown, unit: RegExp): string[] =>
  (NOMINAL.reduce((text, name) => text.replace(name, ''), JSON.stringify(value)).match(unit) ?? []).map(
    String,
  )

describe.each(demoJobs().map(({ job }) => [job.name, job] as const))('%s', (_, job) => {
  const catalogue = catalogueOf(job)

  test.each(['worksheet', 'record', 'align'] as const)('the %s speaks one unit throughout', on => {
    for (const axis of job.axes) {
      const inches = paperOf(evaluateAxis(axis, catalogue, 'inch'), on)
      expect(inches.length).toBeGreaterThan(0)
      expect(inOtherUnits(inches, /.{0,40}\d (mm|µm|N·m|N)\b/g)).toEqual([])
      const millimetres = paperOf(evaluateAxis(axis, catalogue, 'mm'), on)
      expect(inOtherUnits(millimetres, /.{0,40}\d (in|thou|lbf)\b/g)).toEqual([])
    }
  })

  test('so does what is to be bought, of what has a size', () => {
    const words = (units: 'mm' | 'inch') =>
      neededItems({ ...job, units }, catalogue).flatMap(({ key, what }) =>
        /^(bar|cutter|shim)/.test(key) ? [what] : [],
      )
    expect(inOtherUnits(words('inch'), /\d mm\b/g)).toEqual([])
    expect(inOtherUnits(words('mm'), /\d in\b/g)).toEqual([])
  })
})
