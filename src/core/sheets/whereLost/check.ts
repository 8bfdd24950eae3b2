import { attempt } from '../../evaluation/attempt'
import { defineChecks } from '../../evaluation/check'
import { against, expanded, finely, noAdvice, stepOf, told } from '../../machine/align/judging'
import { oddAdvice } from '../../machine/align/odd'
import { lastRound } from '../../machine/align/rounds'
import { LOST_ROUNDS } from './model'
import { lostRounds, lostShares, reckonedShares, SHARES } from './rounds'
import { SHARE_WORDS } from './words'

/** A share below so many times its uncertainty is not proved. */
const PROVED = 2

export const WHERE_LOST_CHECKS = defineChecks({
  'prove.whereLost': {
    title: 'Where it is lost',
    subject: 'proof',
    judge(t, say) {
      const round = lastRound(lostRounds, t.axis)
      if (!round) return null
      const odd = oddAdvice(lostRounds, round, say)
      if (odd) return odd
      const found = lostShares(t, stepOf(round, 'whereLost', 'prove'))
      if (!found) {
        const { of } = LOST_ROUNDS.of.stations
        const unread = Object.entries(of)
          .filter(([key]) => round.stations.every(one => one[key as keyof typeof one] === null))
          .map(([, { label }]) => label.toLowerCase())
        return noAdvice(`Push and pull at the five places; still unread: ${unread.join(', ')}.`)
      }
      const { shares, readingUncertaintyUm } = found
      const small = (um: number) => say(finely(um), 'smallLength')
      const turned = SHARES.find(share => shares[share].um < -PROVED * shares[share].standardUm)
      if (turned)
        return noAdvice(
          `${SHARE_WORDS[turned].label}: less than nothing, ${small(shares[turned].um)} ± ${small(PROVED * shares[turned].standardUm)}. A place nearer the motor cannot move more than the one behind it: were two columns typed in each other’s place, or is a radius wrong?`,
        )
      const targetUm = t.axis.goals.backlashTargetUm
      const uncertainUm = expanded(readingUncertaintyUm, 0)
      const reckoned = attempt(() => reckonedShares(t, round.forceN)).value
      const beyond = (share: (typeof SHARES)[number]) => shares[share].um - (reckoned?.[share] ?? 0)
      const worst = SHARES.filter(share => shares[share].um > PROVED * shares[share].standardUm).toSorted(
        (a, b) => beyond(b) - beyond(a),
      )[0]
      const lost = `${small(shares.totalUm)} ± ${small(uncertainUm)} lost under ${say(round.forceN, 'pull', 0)} to and fro`
      if (!worst)
        return told(shares.totalUm, uncertainUm, targetUm) === 'within'
          ? against('holds', 'smallLength', [shares.totalUm, targetUm], `${lost}, and no part stands out.`)
          : noAdvice(
              `${lost}: no part stands out of what the readings are uncertain by. Push harder, or read finer.`,
            )
      const { um, standardUm } = shares[worst]
      const { part, remedy } = SHARE_WORDS[worst]
      const most = `Most in ${part}: ${small(um)} ± ${small(PROVED * standardUm)}${reckoned ? `, where Size reckons ${small(reckoned[worst])}` : ''}`
      const figures = [shares.totalUm, targetUm] as const
      switch (told(shares.totalUm, uncertainUm, targetUm)) {
        case 'within':
          return against(
            'holds',
            'smallLength',
            figures,
            `${lost}, within the ${small(targetUm)} accepted. ${most}.`,
          )
        case 'beyond':
          return against(
            'fails',
            'smallLength',
            figures,
            `${lost}, more than the ${small(targetUm)} accepted. ${most}: ${remedy}.`,
          )
        case 'cannot-tell':
          return noAdvice(
            `${lost}, against ${small(targetUm)} accepted: these readings cannot tell. ${most}. Push and pull a few times more.`,
          )
      }
    },
  },
})
