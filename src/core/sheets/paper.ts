import type { PaperBlock } from '../drawing/paper'
import { attempt } from '../evaluation/attempt'
import type { EvaluationContext } from '../evaluation/context'
import { say } from '../units/print'
import { OUTCOMES } from './asked.generated'
import { cutList } from './cutList'
import { cutSizeWords } from './shared/cuts/cut'

/** What every sheet has to say on a kind of paper, in the order of the work. */
export const paperOf = (context: EvaluationContext, on: PaperBlock['on']): PaperBlock[] => [
  ...(on === 'worksheet' ? [cutsOnPaper(context)] : []),
  ...OUTCOMES.flatMap(sheet => sheet.paper?.(context) ?? []).filter(block => block.on === on),
]

function cutsOnPaper(context: EvaluationContext): PaperBlock {
  const cuts = attempt(() => cutList(context))
  const length = (mm: number) => say(Math.max(0, mm), 'length', context.units, 1)
  return {
    on: 'worksheet',
    title: 'Cuts, in this order',
    empty: cuts.ask ?? 'Nothing to cut.',
    rows: (cuts.value ?? []).map((cut, index) => [
      cut.fit ? '☐' : '✗',
      {
        strong: `${index + 1}. ${cut.what}`,
        text: `(${cut.fit ? (cut.finish === 'true' ? 'must be true' : 'rough is fine') : 'not fit to cut: take another way'})`,
        note: `${cut.tool}. Guide: ${cut.guide}. ${cut.cautions.join(' ')}`,
      },
      cutSizeWords(cut, length).join(', '),
    ]),
  }
}
