import type { InputError } from '../calculation/inputError'
import { DIMENSIONS, DRIVE_SIZES, GOALS, RECESSES } from '../document/dimensions'
import { say } from '../units/print'
import { type QuantityKind, quantityOf, type UnitSystem } from '../units/quantity'

const LABELS: Readonly<Record<string, { label: string; quantity: QuantityKind } | undefined>> = {
  ...DIMENSIONS,
  ...GOALS,
  ...RECESSES,
  ...DRIVE_SIZES,
}

/** What the ending of a name says that its figure is. */
const ENDINGS: [ending: RegExp, quantity: QuantityKind][] = [
  [/Mm$/, 'length'],
  [/Um$/, 'smallLength'],
  [/Nm$/, 'torque'],
  [/N$/, 'force'],
  [/Rpm$/, 'rotation'],
  [/Kg$/, 'mass'],
]

/** A name of the code as words: "friction torque". */
const spaced = (name: string, ending: RegExp | undefined) =>
  (ending ? name.replace(ending, '') : name).replace(/([A-Z])/g, letter => ` ${letter.toLowerCase()}`)

/** Figures with a unit in a text that was written in millimetres and newtons, in the units of a job. */
const inUnits = (text: string, units: UnitSystem): string =>
  text.replace(/(-?[\d.]+(?:e-?\d+)?) (mm\/min|mm|um|N m|N|kg)\b/g, (all, figure: string, unit: string) => {
    const quantity = quantityOf(unit)
    return quantity ? say(Number(figure), quantity, units) : all
  })

/**
 * Why a figure cannot be worked out, as a builder reads it: the thing by its words, figures in the units of the job.
 *
 * @example inputErrorWords(new InputError('supportSpanMm', 60, 'more than 85 mm'), 'mm')
 *   // 'Cannot be worked out: between the inner faces of the bearing blocks is 60 mm; it takes more than 85 mm.'
 */
export function inputErrorWords({ input, got, takes }: InputError, units: UnitSystem): string {
  const known = LABELS[input]
  const [ending, quantity] = ENDINGS.find(([one]) => one.test(input)) ?? []
  const name = known ? known.label.toLowerCase() : spaced(input, ending)
  const kind = known?.quantity ?? quantity
  const figure =
    typeof got === 'number' ? ` is ${kind ? say(got, kind, units) : Math.round(got * 1000) / 1000}` : ''
  return `Cannot be worked out: ${name}${figure}; it takes ${inUnits(takes, units)}.`
}
