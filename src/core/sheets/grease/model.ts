import {
  choice,
  choiceOrNone,
  moment,
  plain,
  type RowOf,
  record,
  rows,
  type ValueOf,
  words,
} from '../../field/field'

/** How often an axis is greased. */
export const LUBE = record('Grease', {
  hoursPerWeek: plain('Hours of running a week', [0.1, 168], {
    orNone: true,
    unit: 'h',
    help: 'Hours in which the axis really moves, not those in which the machine is on.',
  }),
  intervalKm: plain('Interval, km of travel', [1, 5000], {
    blank: 100,
    unit: 'km',
    help: 'As the sheet of the nut has it; 100 km of travel is usual.',
  }),
})
export type Lube = ValueOf<typeof LUBE>

/** Where an axis is greased. */
export const LUBE_POINTS = rows(
  'Point',
  {
    what: words('What', 60, 'Point'),
    /** Whether it can be got at once everything is together. */
    access: choiceOrNone('Access when together', ['fitting', 'hole', 'open', 'none'], {
      fitting: 'a fitting that is reached',
      hole: 'through a hole',
      open: 'lies open',
      none: 'not reached',
    }),
    lubricant: choice('With', ['grease', 'oil'], { words: { grease: 'grease', oil: 'way oil' } }),
    amount: words('How much', 40, ''),
  },
  { most: 20 },
)
export type LubePoint = RowOf<typeof LUBE_POINTS>

/** When an axis was greased. */
export const GREASINGS = rows('Greasing', { at: moment('When'), who: words('Who', 40, '') }, { most: 400 })
export type Greasing = RowOf<typeof GREASINGS>

declare module '../../document/axis' {
  interface SheetFields {
    lube: Lube
    lubePoints: LubePoint[]
    greasings: Greasing[]
  }
}
