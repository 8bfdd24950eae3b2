import type { Orders } from '../../document/job'
import type { PaperBlock, PaperCell } from '../../drawing/paper'
import type { EvaluationContext } from '../../evaluation/context'
import { say } from '../../units/print'
import { bagName, thingsOf } from '../shared/steps/bags'
import { partsFor } from '../shared/steps/holds'
import { knownSteps } from '../shared/steps/procedure'
import type { Step } from '../shared/steps/step'
import { screwsOf } from '../shared/steps/stepScrews'
import { SUB_ASSEMBLIES, SUB_ASSEMBLY_IDS, type SubAssembly } from '../shared/steps/subAssemblies'

/** Steps of an evening: more than anybody does in one. */
const EVENING = 14

/** What a sheet of the build is for: one sub-assembly, or the next evening, whatever that belongs to. */
export type SheetFor = SubAssembly | 'evening'

/** The steps that a sheet is about: all of a sub-assembly, or the next ones that are open. */
export function stepsFor(context: EvaluationContext, what: SheetFor): Step[] {
  const all = knownSteps(context)
  return what === 'evening'
    ? all.filter(({ id }) => !context.axis.ticks[id]).slice(0, EVENING)
    : all.filter(({ part }) => part === what)
}

/** The sub-assemblies that an axis has steps of, in their order. */
export const partsWithSteps = (steps: readonly Step[]): SubAssembly[] =>
  SUB_ASSEMBLY_IDS.filter(id => steps.some(({ part }) => part === id))

/**
 * A step's screws in words: `8 × M8 x 40 mm: 12.4 N·m`.
 *
 * @returns one line for each joint; where nothing is known of it, its name and how far it is done up
 */
export const screwWords = (step: Step, { axis, units }: EvaluationContext): string[] =>
  screwsOf(step, axis).map(({ label, state, count, size, torqueNm, fullNm }) => {
    const much =
      torqueNm === null
        ? state
        : `${say(torqueNm, 'torque', units, 1)}${fullNm !== null && torqueNm < fullNm ? ` (of ${say(fullNm, 'torque', units, 1)})` : ''}`
    return `${label}: ${count === null ? '' : `${count} × `}${size ? `${size}, ` : ''}${much}`
  })

/** The screws of a step that are known, for the box: how many of which, and for what. */
const screwsToBring = (step: Step, { axis }: EvaluationContext): string[] =>
  screwsOf(step, axis).flatMap(({ label, count, size }) =>
    size && count !== null ? [`${count} × ${size} (${label.toLowerCase()})`] : [],
  )

/** What a step takes out of the bags, in words. */
export const bagWords = ({ takes }: Step, { axis }: EvaluationContext): string[] =>
  thingsOf(axis)
    .filter(({ id }) => takes?.includes(id))
    .map(({ id, bag, what }) => {
      const count = axis.bagged[id]?.count ?? null
      return `Bag ${bagName(axis, bag)}: ${what.toLowerCase()}${count === null ? ', not counted' : `, ${count}`}`
    })

/** What goes to the machine for some steps: what to bring, and each step with its screws and its caution. */
export function buildSheet(context: EvaluationContext, orders: Orders, what: SheetFor): PaperBlock[] {
  const steps = stepsFor(context, what)
  const bring = (list: string[]) => [...new Set(list)].join(', ') || 'nothing'
  const parts = steps.flatMap(step => partsFor(step, context, orders))
  const lacking = parts.filter(({ lacks }) => lacks)
  const row = (step: Step): PaperCell[] => [
    context.axis.ticks[step.id] ? '☑' : '☐',
    {
      strong: step.hold ? `${step.title} (hold point)` : step.title,
      note: [
        step.how,
        ...screwWords(step, context).map(text => `${text}.`),
        ...bagWords(step, context).map(text => `${text}.`),
        ...(step.caution ? [`Caution: ${step.caution}`] : []),
      ].join(' '),
    },
  ]
  const groups = partsWithSteps(steps)
  return [
    {
      on: 'build',
      title: 'To bring',
      empty: '',
      rows: [
        ['Tools', bring(steps.flatMap(({ tools }) => tools))],
        ['Parts', bring(parts.map(({ name }) => name))],
        ['Bags', bring(steps.flatMap(step => bagWords(step, context)))],
        ['Screws', bring(steps.flatMap(step => screwsToBring(step, context)))],
        ...(lacking.length > 0
          ? [['Not here', lacking.map(({ name, lacks }) => `${name} ${lacks}`).join('; ')]]
          : []),
      ],
    },
    ...groups.map(
      (id): PaperBlock => ({
        on: 'build',
        title: SUB_ASSEMBLIES[id].title,
        empty: 'Nothing.',
        rows: steps.filter(({ part }) => part === id).map(row),
      }),
    ),
    ...(steps.length === 0 ? [{ on: 'build' as const, title: 'Steps', empty: 'All done.', rows: [] }] : []),
  ]
}
