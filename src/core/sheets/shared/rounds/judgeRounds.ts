import type { Check, Judgement, Say } from '../../../evaluation/check'
import type { EvaluationContext } from '../../../evaluation/context'
import type { QuantityKind } from '../../../units/quantity'
import { asOld } from '../proofs/age'
import { bySteadyBase } from './closing'
import type { Round } from './model'
import { oddAdvice } from './odd'
import { against, noAdvice, told } from './roundFinding'
import { lastRound, type Rounds } from './rounds'
import { eachScrew } from './screws'

/** What is judged of a round: the axis, the last round, how a figure is said, and how a small length is. */
type JudgeRound<R extends Round> = (
  t: EvaluationContext,
  round: R,
  say: Say,
  small: (um: number) => string,
) => Judgement | null

/** The question of which way the dial goes, before anything is turned by its sign; nothing where it is answered, or nothing is ordered. */
function signAsked<R extends Round>(rounds: Rounds<R>, round: R, said: Judgement): Judgement | null {
  const isOld = round.finishedAt !== null && round.closedWith === null
  if (isOld || !rounds.signed?.(round) || (said.state !== 'fails' && said.state !== 'close')) return null
  const { tipLifted } = round as { tipLifted?: 'more' | 'less' | null }
  if (tipLifted === 'more') return null
  return noAdvice(
    tipLifted === 'less'
      ? 'The dial reads less as its tip is pushed in: every sign is the other way. Turn them over below the readings; till then nothing is turned by them.'
      : 'Push the tip in with a finger and say, above, whether the dial reads more or less: read the other way, whatever is moved would go where it must not.',
  )
}

interface More<R extends Round> {
  /** What is said before anybody looks at the readings. */
  before?: (round: R) => Judgement | null
  /** The one column that the verdict rests on, where it is one; null where it rests on none. */
  column?: string | null
}

/**
 * Judges the last round of a sheet: nothing before there is one; a reading that cannot be as it stands is asked about before
 * any advice; of two screws each is judged by itself, where its rounds say of which they are.
 *
 * @param judge what the readings come to
 */
export function judgeRounds<R extends Round>(
  rounds: Rounds<R>,
  judge: JudgeRound<R>,
  { before, column }: More<R> = {},
): Check['judge'] {
  const judgeLast: Check['judge'] = (t, say) => {
    const round = lastRound(rounds, t.axis)
    if (!round) return null
    const asked = before?.(round) ?? (column === null ? null : oddAdvice(rounds, round, say, column))
    if (asked) return asked
    const read = judge(t, round, say, um => say(um, 'smallLength'))
    const said = read && bySteadyBase(t, rounds, round, read, say, column)
    const sign = said && signAsked(rounds, round, said)
    if (sign) return sign
    return rounds.proves ? asOld(t, round.startedAt, said) : said
  }
  return rounds.of.of.screw ? eachScrew(rounds.pick, judgeLast) : judgeLast
}

/**
 * A figure that is surely within what is accepted, surely beyond it, or cannot be told from it by these readings: each with
 * its words.
 *
 * @param figures what is shown beside the words: figure, limit, uncertainty
 */
export function judgeFigure(
  [figure, uncertain, limit]: readonly [figure: number, uncertain: number, limit: number],
  figures: Parameters<typeof against>[2],
  words: Readonly<Record<'within' | 'beyond' | 'cannotTell', () => string>>,
  quantity: QuantityKind = 'smallLength',
): Judgement {
  switch (told(figure, uncertain, limit)) {
    case 'within':
      return against('holds', quantity, figures, words.within)
    case 'beyond':
      return against('fails', quantity, figures, words.beyond)
    case 'cannot-tell':
      return { ...noAdvice(''), sentence: words.cannotTell }
  }
}
