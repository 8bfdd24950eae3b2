import { calculation } from '../../calculation/calculation'
import { record, smallLength } from '../../field/field'

const share = (label: string, symbol: string) =>
  record(label, {
    um: smallLength(label, {}, { symbol }),
    standardUm: smallLength(`standard uncertainty, ${label}`, {}, { symbol: `u${symbol}` }),
  })
const read = (label: string, symbol: string) => smallLength(label, {}, { symbol })

/**
 * Where the lost motion is lost: the same push and pull read at five places against the bed, each share the difference of
 * two places that follow each other.
 *
 * @example split({ motorHubUm: 1.4, screwHubUm: 3.3, screwEndUm: 9, nutFlangeUm: 33.4, tableUm: 50.3,
 *   readingUncertaintyUm: 0.6 }).nut.um // 21.1
 */
export const split = calculation({
  id: 'prove.split',
  title: 'Where it is lost',
  formula:
    'Dm = m; Dc = s - m; Db = e; Dn = n - e - s; Dt = t - n; uncertainties u, sqrt(2) u, u, sqrt(3) u, sqrt(2) u',
  source: 'Differences of readings along the drive line; uncertainties of differences',
  validity: 'The same push and pull at every place; turning of the hubs reckoned as travel of the nut',
  inputs: {
    motorHubUm: read('hub of the motor', 'm'),
    screwHubUm: read('hub of the screw', 's'),
    screwEndUm: read('end of the screw', 'e'),
    nutFlangeUm: read('flange of the nut', 'n'),
    tableUm: read('slide', 't'),
    readingUncertaintyUm: smallLength('standard uncertainty of a reading', { min: 0 }, { symbol: 'u' }),
  },
  outputs: {
    motor: share('motor', 'Dm'),
    coupler: share('coupler', 'Dc'),
    bearing: share('bearing', 'Db'),
    nut: share('nut', 'Dn'),
    bracket: share('bracket', 'Dt'),
    totalUm: smallLength('in all', {}, { symbol: 'D' }),
  },
  compute({ motorHubUm, screwHubUm, screwEndUm, nutFlangeUm, tableUm, readingUncertaintyUm: u }) {
    return {
      motor: { um: motorHubUm, standardUm: u },
      coupler: { um: screwHubUm - motorHubUm, standardUm: u * Math.SQRT2 },
      bearing: { um: screwEndUm, standardUm: u },
      nut: { um: nutFlangeUm - screwEndUm - screwHubUm, standardUm: u * Math.sqrt(3) },
      bracket: { um: tableUm - nutFlangeUm, standardUm: u * Math.SQRT2 },
      totalUm: tableUm,
    }
  },
})
