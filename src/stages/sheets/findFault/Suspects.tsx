import { chakra } from '@chakra-ui/react'
import type { Diagnosis, Reason, Suspect } from '@/core/diagnose/diagnosis'
import { closeSearch } from '@/core/sheets/findFault/edits'
import { checkName, FAULT_WORDS, type FaultId, outcomeWords } from '@/core/sheets/findFault/words'
import { percent } from '@/core/units/percent'
import { Button } from '@/ui/controls'
import { Fold } from '@/ui/Fold'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { useEdit } from '../../job/JobContext'
import { useAxisNow } from '../../job/useAxis'

const SHOWN = 4

/** The faults, likeliest first, each with what points to it and what speaks against it. */
export function Suspects({ found: { suspects, soundProbability } }: { found: Diagnosis }) {
  return (
    <Panel title="What it may be">
      <List suspects={suspects.slice(0, SHOWN)} />
      <Stated mt="3" data-sound>
        <b>Nothing is wrong</b>: {percent(soundProbability)}. The figures above are those of one of them being
        at work.
      </Stated>
      <Fold name={`The other ${suspects.length - SHOWN}`}>
        <List suspects={suspects.slice(SHOWN)} />
      </Fold>
    </Panel>
  )
}

const List = ({ suspects }: { suspects: readonly Suspect[] }) => (
  <chakra.ol display="grid" gap="2.5">
    {suspects.map(one => (
      <Stated as="li" key={one.faultId} data-suspect={one.faultId}>
        <chakra.div display="flex" gap="3" alignItems="baseline" justifyContent="space-between">
          <chakra.strong fontSize="15px">{FAULT_WORDS[one.faultId].name}</chakra.strong>
          <chakra.span fontFamily="mono" whiteSpace="nowrap">
            {percent(one.probability)}
          </chakra.span>
        </chakra.div>
        <chakra.div bg="line" borderRadius="3px" h="6px" my="1" aria-hidden>
          <chakra.div
            bg="lamp"
            h="6px"
            borderRadius="3px"
            style={{ width: `${Math.max(100 * one.probability, 0.5)}%` }}
          />
        </chakra.div>
        <Reasons name="Points to it" reasons={one.pointsTo} />
        <Reasons name="Speaks against it" reasons={one.speaksAgainst} />
        <Mended faultId={one.faultId} />
      </Stated>
    ))}
  </chakra.ol>
)

/** Whoever looked there and found it need not wait until it is as good as found. */
function Mended({ faultId }: { faultId: FaultId }) {
  const edit = useEdit()
  const axisNow = useAxisNow()
  return (
    <Button
      variant="quiet"
      ml="-3"
      aria-label={`It was this, and it is mended: ${FAULT_WORDS[faultId].name}`}
      onClick={() => edit(closeSearch(axisNow(), faultId, new Date().toISOString()))}
    >
      It was this, and it is mended
    </Button>
  )
}

const Reasons = ({ name, reasons }: { name: string; reasons: readonly Reason[] }) =>
  reasons.length === 0 ? null : (
    <chakra.p color="quiet">
      {name}:{' '}
      {reasons
        .map(({ check, outcome }) => `${checkName(check)} (${outcomeWords(check, outcome).toLowerCase()})`)
        .join('; ')}
      .
    </chakra.p>
  )
