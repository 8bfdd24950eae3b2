import { attempt } from '../../evaluation/attempt'
import { defineChecks } from '../../evaluation/check'
import { notPushedThrough } from '../shared/proofs/pushes'
import { judgeFigure, judgeRounds } from '../shared/rounds/judgeRounds'
import { expanded, noAdvice, stepOf } from '../shared/rounds/roundFinding'
import { LOST_ROUNDS } from './model'
import { giveUm, lostRounds, lostShares, reckonedShares, SHARES } from './rounds'
import { SHARE_WORDS } from './words'

/** A share below so many times its uncertainty is not proved. */
const PROVED = 2

export const WHERE_LOST_CHECKS = defineChecks({
  'prove.whereLost': {
    title: 'Where it is lost',
    subject: 'proof',
    judge: judgeRounds(lostRounds, (t, round, say, small) => {
      const found = lostShares(t, stepOf(round, 'whereLost', 'prove'))
      if (!found) {
        const { of } = LOST_ROUNDS.of.stations
        const unread = Object.entries(of)
          .filter(([key]) => round.stations.every(one => one[key as keyof typeof one] === null))
          .map(([, { label }]) => label.toLowerCase())
        return noAdvice(`Push and pull at the five places; still unread: ${unread.join(', ')}.`)
      }
      const stuck = notPushedThrough(t, round.forceN, say)
      if (stuck) return noAdvice(stuck)
      const { shares, readingUncertaintyUm } = found
      const turned = SHARES.find(share => shares[share].um < -PROVED * shares[share].standardUm)
      if (turned)
        return noAdvice(
          `${SHARE_WORDS[turned].label}: less than nothing, ${small(shares[turned].um)} ± ${small(PROVED * shares[turned].standardUm)}. A place nearer the motor cannot move more than the one behind it: were two columns typed in each other’s place, or is a radius wrong?`,
        )
      const targetUm = t.axis.goals.backlashTargetUm
      const uncertainUm = expanded(readingUncertaintyUm, 0)
      const reckoned = attempt(() => reckonedShares(t, round.forceN)).value
      const give = attempt(() => giveUm(t, round.forceN)).value ?? 0
      const beyond = (share: (typeof SHARES)[number]) => shares[share].um - (reckoned?.[share] ?? 0)
      const worst = SHARES.filter(share => beyond(share) > PROVED * shares[share].standardUm).toSorted(
        (a, b) => beyond(b) - beyond(a),
      )[0]
      const lost = `${small(shares.totalUm)} ± ${small(uncertainUm)} lost under ${say(round.forceN, 'pull', 0)} to and fro${
        give > uncertainUm ? `, of which a sound drive would give ${small(give)}` : ''
      }`
      // What is soft is not loose: only what is lost beyond the give of the drive is held against what is accepted.
      const looseUm = Math.max(shares.totalUm - give, 0)
      const figures = [looseUm, targetUm, uncertainUm] as const
      const most = worst
        ? `Most in ${SHARE_WORDS[worst].part}: ${small(shares[worst].um)} ± ${small(PROVED * shares[worst].standardUm)}${reckoned ? `, where Size reckons ${small(reckoned[worst])}` : ''}`
        : reckoned
          ? 'No part loses more than Size reckons'
          : 'No part stands out of what the readings are uncertain by'
      return judgeFigure([looseUm, uncertainUm, targetUm], figures, {
        within: () => `${lost}; ${small(targetUm)} beyond that are accepted. ${most}.`,
        beyond: () =>
          `${lost}; more than the ${small(targetUm)} beyond that which are accepted. ${most}${worst ? `: ${SHARE_WORDS[worst].remedy}` : ''}.`,
        cannotTell: () =>
          `${lost}; against ${small(targetUm)} beyond that these readings cannot tell. ${most}. Push and pull a few times more.`,
      })
    }),
  },
})
