import { chakra } from '@chakra-ui/react'
import equal from 'fast-deep-equal'
import { memo } from 'react'
import { DIMENSIONS } from '@/core/job/dimensions'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { type Finding, STATE_WORDS } from '@/core/verdicts/finding'
import type { Choice, WayOut } from '@/core/verdicts/waysOut'
import { Button } from '../controls'
import { StateMark, StateShape } from './StateMark'

interface Props {
  finding: Finding
  units: UnitSystem
  /** Null while they are not asked for. */
  ways: WayOut[] | null
  onWays: (checkId: string) => void
  onApply: (choice: Choice, label: string) => void
  onWorking: (finding: Finding) => void
  /** Goes to where something missing is measured or chosen. */
  onMissing: (finding: Finding) => void
}

/** One verdict: its state, its sentence, what it rests on, its working and its ways out. */
export const VerdictCard = memo(function VerdictCard({
  finding,
  units,
  ways,
  onWays,
  onApply,
  onWorking,
  onMissing,
}: Props) {
  const { state, title, sentence, figure, limit, use, restsOn, missing, because } = finding
  const assumed = restsOn.filter(({ provenance }) => provenance === 'assumed')
  const mendable = state === 'fails' || state === 'close'
  return (
    <chakra.article
      aria-label={`${title}: ${STATE_WORDS[state]}`}
      data-check={finding.checkId}
      data-state={state}
      borderLeftWidth="4px"
      borderColor={state}
      bg="panel"
      borderRadius="6px"
      px="3"
      py="2.5"
    >
      <chakra.div display="flex" justifyContent="space-between" gap="2" alignItems="center">
        <chakra.h3 fontSize="15px" fontWeight={700}>
          {title}
        </chakra.h3>
        <StateMark state={state} />
      </chakra.div>
      {figure && limit && (
        <chakra.p fontFamily="mono" fontSize="13px" color="quiet" mt="0.5">
          {say(figure.value, figure.quantity, units)} against {say(limit.value, limit.quantity, units)}
        </chakra.p>
      )}
      {use !== null && <UseBar use={use} state={state} />}
      <chakra.p fontSize="14px" mt="1">
        {sentence}
      </chakra.p>
      {assumed.length > 0 && (
        <chakra.p fontSize="13px" color="quiet" mt="1">
          Rests on {assumed.length === 1 ? 'an assumed value' : 'assumed values'}:{' '}
          {assumed.map(({ dimension }) => DIMENSIONS[dimension].label.toLowerCase()).join('; ')}.
        </chakra.p>
      )}
      <chakra.div display="flex" flexWrap="wrap" gap="1" mt="1.5" ml="-2">
        {because.length > 0 && (
          <Button variant="quiet" onClick={() => onWorking(finding)} aria-label={`Working: ${title}`}>
            Working
          </Button>
        )}
        {mendable && (
          <Button
            variant="quiet"
            aria-expanded={ways !== null}
            onClick={() => onWays(finding.checkId)}
            aria-label={`Ways out: ${title}`}
          >
            Ways out
          </Button>
        )}
        {missing && (
          <Button variant="quiet" onClick={() => onMissing(finding)}>
            {'part' in missing ? 'Choose it' : 'Measure it'}
          </Button>
        )}
      </chakra.div>
      {mendable && ways && <Ways ways={ways} onApply={onApply} />}
    </chakra.article>
  )
}, equal)

/** How much of the limit is used, with the limit as a notch. */
function UseBar({ use, state }: { use: number; state: Finding['state'] }) {
  const full = Math.min(1, use / 1.5)
  return (
    <chakra.div position="relative" height="6px" bg="sunken" borderRadius="3px" mt="1" aria-hidden="true">
      <chakra.div height="6px" borderRadius="3px" bg={state} width={`${Math.max(1, full * 100)}%`} />
      <chakra.div position="absolute" left={`${100 / 1.5}%`} top="-2px" height="10px" width="2px" bg="ink" />
    </chakra.div>
  )
}

function Ways({ ways, onApply }: { ways: WayOut[]; onApply: Props['onApply'] }) {
  if (ways.length === 0)
    return (
      <chakra.p fontSize="14px" mt="1">
        No single change mends this. Change what it rests on: the load, the speed, or two parts at once.
      </chakra.p>
    )
  return (
    <chakra.ul display="grid" gap="2" mt="2">
      {ways.map(way => (
        <chakra.li key={way.label} bg="raised" borderRadius="6px" p="2.5">
          <chakra.div display="flex" justifyContent="space-between" alignItems="center" gap="2">
            <chakra.div fontSize="14px">
              <chakra.strong>{way.label}</chakra.strong>
              <chakra.span color="quiet">: {way.cost}</chakra.span>
            </chakra.div>
            <Button
              variant="outline"
              onClick={() => onApply(way.choice, way.label)}
              aria-label={`Apply: ${way.label}`}
            >
              Apply
            </Button>
          </chakra.div>
          {way.effects.map(effect => (
            <chakra.div
              key={effect.checkId}
              display="flex"
              gap="1.5"
              alignItems="center"
              fontSize="13px"
              mt="1"
            >
              <StateShape state={effect.from} label={STATE_WORDS[effect.from]} />
              <span aria-hidden="true">→</span>
              <StateShape state={effect.to} label={STATE_WORDS[effect.to]} />
              {effect.title}
            </chakra.div>
          ))}
        </chakra.li>
      ))}
    </chakra.ul>
  )
}
