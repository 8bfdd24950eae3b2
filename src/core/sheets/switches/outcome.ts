import { attempt } from '../../evaluation/attempt'
import { say } from '../../units/print'
import { defineOutcome } from '../outcome'
import { cableLoop, chain } from './calculation'
import { SWITCHES } from './model'
import { switchRemedies, tighterChain } from './remedies'

/** What mends a switch or a chain, and both on paper. */
export const switchesOutcome = defineOutcome({
  calculations: [cableLoop],
  remedies: {
    'switches.fixed': switchRemedies('fixed'),
    'switches.far': switchRemedies('far'),
    'cable.chain': [tighterChain()],
  },
  paper(context) {
    const { axis, units } = context
    const length = attempt(() => chain(context)).value
    const words = SWITCHES.of
    return [
      {
        on: 'build',
        title: 'Switches and cable',
        empty: 'No switch and no chain entered.',
        rows: [
          ...axis.switches.map(one => [
            '☐',
            { strong: `${words.use.words?.[one.use]}, ${words.end.words?.[one.end]}` },
            `${words.contact.words?.[one.contact]}${one.beforeStopMm === null ? '' : `, ${say(one.beforeStopMm, 'length', units, 1)} before the hard stop`}`,
          ]),
          ...(length
            ? [
                [
                  '☐',
                  { strong: 'Cable chain' },
                  `${say(length.chainLengthMm, 'length', units, 0)} long, loop ${say(length.heightMm, 'length', units, 0)} high`,
                ],
              ]
            : []),
        ],
      },
    ]
  },
  report: context => attempt(() => chain(context)).value ?? null,
})
