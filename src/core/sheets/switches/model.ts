import {
  choice,
  choiceOrNone,
  length,
  plain,
  type RowOf,
  record,
  rows,
  type ValueOf,
} from '../../field/field'

/** The switches of an axis. */
export const SWITCHES = rows(
  'Switch',
  {
    use: choice('What for', ['limit', 'home', 'both'], {
      words: { limit: 'limit', home: 'home', both: 'home and limit' },
    }),
    end: choice('At the', ['fixed', 'far'], { words: { fixed: 'motor end', far: 'far end' } }),
    /** From where it switches to where the slide hits the hard stop. */
    beforeStopMm: length('Before the hard stop', [0, 500], { orNone: true }),
    contact: choice('Contact', ['normally-closed', 'normally-open'], {
      words: { 'normally-closed': 'normally closed', 'normally-open': 'normally open' },
    }),
    filterMs: plain('Filter, ms', [0, 500], { orNone: true, unit: 'ms' }),
  },
  { most: 6 },
)
export type Switch = RowOf<typeof SWITCHES>

/** The cable that moves with the axis. */
export const CABLE = record('Cable', {
  bendRadiusMm: length('Bend radius of the chain', [5, 1000], {
    orNone: true,
    help: 'As its sheet has it, and no less than eight times the thickest cable in it.',
  }),
  fixedEndAtMm: length('Fixed end off the middle of the travel', [-5000, 5000], {
    orNone: true,
    help: 'Along the axis, either way: 0 is right under the middle, where the chain is shortest.',
  }),
  marginMm: length('Margin at each end', [0, 500], { blank: 40 }),
  roomMm: length('Height there is for the loop', [0, 5000], {
    orNone: true,
    help: 'From the tray to what is over it.',
  }),
  side: choiceOrNone('Motor cable leaves', ['away', 'chips'], {
    away: 'away from the chips',
    chips: 'towards the chips',
  }),
  relief: choiceOrNone('Strain relief', ['face-screw', 'clamp', 'none'], {
    'face-screw': 'a tie under a face screw',
    clamp: 'a clamp of its own on the mount',
    none: 'none yet',
  }),
})
export type Cable = ValueOf<typeof CABLE>

declare module '../../document/axis' {
  interface SheetFields {
    switches: Switch[]
    cable: Cable
  }
}
