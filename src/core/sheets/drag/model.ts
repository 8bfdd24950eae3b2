import { angle, choice, length, plain, type RowOf, rows } from '../../field/field'
import { place } from '../../readings/model'
import { ROUND_OF_SCREW } from '../shared/rounds/model'

/** How the drag is read: what stands in the readings is a torque, the pull of a scale on a lever, or a setting of a drill's clutch. */
export const READ_BY = choice('Read with', ['torque', 'scale', 'clutch'], {
  words: {
    torque: 'a torque driver, in torque',
    scale: 'a spring scale on a lever, in pull',
    clutch: 'a drill, by the setting that just turns it',
  },
})
const READ_WITH = {
  by: READ_BY,
  leverMm: length('Lever of the scale', [5, 2000], { blank: 100 }),
  /** In what the readings are in. */
  step: plain('Step of it', [0.0001, 500], { orNone: true }),
}
const drag = (label: string) => plain(label, [0, 2000], { orNone: true })

export const DRAG_PLACES = rows(
  'Place',
  { positionMm: place('Nut at'), away: drag('Away from the motor'), towards: drag('Towards it') },
  { most: 100 },
)
export const DRAG_ROUNDS = rows('Round', {
  ...ROUND_OF_SCREW,
  ...READ_WITH,
  half: choice('Taken apart', ['whole', 'gib-slack', 'nut-off', 'coupler-off'], {
    words: {
      whole: 'nothing, as it runs',
      'gib-slack': 'gib slacked',
      'nut-off': 'nut off the table too',
      'coupler-off': 'coupler off too',
    },
  }),
  stations: DRAG_PLACES,
})
export type DragRound = RowOf<typeof DRAG_ROUNDS>

export const TURN_ANGLES = rows(
  'Angle',
  { angleDeg: angle('Screw at', [0, 360]), drag: drag('Drag') },
  { most: 72 },
)
export const TURN_ROUNDS = rows('Round', {
  ...ROUND_OF_SCREW,
  ...READ_WITH,
  coupled: choice('Coupler', ['on', 'off'], { words: { on: 'on', off: 'off' } }),
  nutAtMm: place('Nut at'),
  stations: TURN_ANGLES,
})
export type TurnRound = RowOf<typeof TURN_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    dragRounds: DragRound[]
    turnRounds: TurnRound[]
  }
}
