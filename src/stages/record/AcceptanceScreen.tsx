import { chakra } from '@chakra-ui/react'
import {
  type AcceptedAxis,
  type FullTestAccepted,
  openPoints,
  stateWords,
} from '@/core/acceptance/acceptanceOf'
import { REPROOF_WORDS } from '@/core/document/acceptanceEdits'
import type { LogEntry } from '@/core/document/job'
import { dayWords } from '@/core/units/dateWords'
import { say } from '@/core/units/print'
import { measureWords } from '../job/acceptance/measureWords'
import { useAcceptance } from '../job/acceptance/useAcceptance'
import { useUnits } from '../job/JobContext'
import { WithLog } from '../job/WithLog'
import { Block, PaperScreen, Td } from './paper'

const Th = chakra('th', {
  base: {
    textAlign: 'left',
    verticalAlign: 'bottom',
    pr: '2',
    fontSize: '11px',
    fontWeight: 700,
    '@media print': { fontSize: '9px' },
  },
})

/** The whole machine as it is handed over, to print and to sign. */
export function AcceptanceScreen({ onBack }: { onBack: () => void }) {
  return <WithLog>{entries => <Acceptance entries={entries} onBack={onBack} />}</WithLog>
}

function Acceptance({ entries, onBack }: { entries: LogEntry[]; onBack: () => void }) {
  const sheet = useAcceptance(entries)
  const { machine, machineKind, terms, axes, reproofs, isComplete, blockedBy, upkeep } = sheet
  const points = openPoints(sheet)
  const facts: [string, string][] = [
    ['Machine', `${machine}, ${machineKind}`],
    ['Serial number', terms.serialNumber ?? ''],
    ['Made for', terms.customer ?? ''],
    ['Where it stands', terms.place ?? ''],
    ['Accepted on', terms.acceptedDay ? dayWords(terms.acceptedDay) : ''],
  ]
  return (
    <PaperScreen
      title={`Acceptance: ${machine}`}
      backLabel="Back to the acceptance"
      printLabel="Print the acceptance"
      onBack={onBack}
    >
      <chakra.div display="grid" gridTemplateColumns="repeat(2, minmax(0, 1fr))" columnGap="6" data-facts>
        {facts.map(([label, value]) => (
          <chakra.p key={label} display="flex" gap="2" borderBottomWidth="1px" borderColor="#c9c9c9" py="0.5">
            <chakra.span width="104px" flexShrink={0}>
              {label}
            </chakra.span>
            <strong>{value}</strong>
          </chakra.p>
        ))}
      </chakra.div>
      <chakra.p mt="2" fontWeight={700} data-whole>
        {isComplete
          ? 'Every axis holds what it must, and nothing is open.'
          : blockedBy.length > 0
            ? 'Not to be taken over or run: something that concerns safety is mended for the time being only.'
            : `Handed over with ${points.length === 1 ? '1 open point' : `${points.length} open points`}, listed below.`}
      </chakra.p>
      {axes.map(axis => (
        <OneAxis key={axis.axisId} axis={axis} />
      ))}
      <Block title="Open points">
        {isComplete ? (
          <p>None.</p>
        ) : (
          <chakra.ul pl="5" listStyleType="disc">
            {points.map(point => (
              <li key={point}>{point}</li>
            ))}
          </chakra.ul>
        )}
      </Block>
      {terms.remarks && (
        <Block title="Remarks">
          <chakra.p whiteSpace="pre-line">{terms.remarks}</chakra.p>
        </Block>
      )}
      <Block title="Grease and upkeep">
        {upkeep.length === 0 ? (
          <p>As the makers of its parts say.</p>
        ) : (
          <table>
            <thead>
              <tr>
                {['What', 'Every', 'Next'].map(head => (
                  <Th key={head} scope="col">
                    {head}
                  </Th>
                ))}
              </tr>
            </thead>
            <tbody>
              {upkeep.map(({ what, every, next }) => (
                <tr key={what}>
                  <Td>{what}</Td>
                  <Td width="26%">{every}</Td>
                  <Td width="16%">{next ? dayWords(next) : ''}</Td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Block>
      <Block title="Proved again">
        {reproofs.length === 0 ? (
          <p>After ten hours of running, and after half a year, from the day it is accepted.</p>
        ) : (
          reproofs.map(({ kind, dueDay, doneDay }) => (
            <p key={kind}>
              {REPROOF_WORDS[kind]}:{' '}
              {doneDay
                ? `done on ${dayWords(doneDay)}`
                : dueDay
                  ? `about ${dayWords(dueDay)}`
                  : 'when it has run so long'}
              .
            </p>
          ))
        )}
      </Block>
      <Signatures testedBy={terms.testedBy} acceptedBy={terms.acceptedBy} />
      <chakra.p mt="2" fontSize="11px" css={{ '@media print': { fontSize: '9px' } }}>
        Figures are those measured, with what they are uncertain by to either side, 19 times in 20. They do
        not stand for guarding, electrical safety or what local codes ask: those are for licensed practice.
      </chakra.p>
    </PaperScreen>
  )
}

function OneAxis({ axis: { name, title, results, change, full } }: { axis: AcceptedAxis }) {
  const units = useUnits()
  // A figure and its unit stay on one line.
  const small = (um: number) => say(um, 'smallLength', units).replace(' ', '\u00a0')
  return (
    <Block title={`Axis ${name}: ${title}`}>
      <table>
        <thead>
          <tr>
            {['What', 'Accepted', 'Result ± uncertainty', 'Verdict', 'Test, day and conditions'].map(head => (
              <Th key={head} scope="col">
                {head}
              </Th>
            ))}
          </tr>
        </thead>
        <tbody>
          {results.map(result => (
            <tr key={result.checkId}>
              <Td width="22%">
                <strong>{result.title}</strong>
              </Td>
              <Td width="11%">{measureWords(result.target, units)}</Td>
              <Td width="17%">{measureWords(result.figure, units)}</Td>
              <Td width="11%">
                <strong>{stateWords(result)}</strong>
              </Td>
              <Td>
                {[result.test, result.at && dayWords(result.at), result.conditions]
                  .filter(Boolean)
                  .join('; ')}
              </Td>
            </tr>
          ))}
        </tbody>
      </table>
      {full && <Full full={full} />}
      {change && (
        <chakra.p mt="1" data-change>
          Before and after
          {change.positionMm !== null && `, at ${say(change.positionMm, 'length', units, 1)}`}:{' '}
          {small(change.beforeUm)} (“{change.before}”, {dayWords(change.beforeAt)}), {small(change.afterUm)}{' '}
          (“
          {change.after}”, {dayWords(change.afterAt)}); difference {small(change.differenceUm)} ±{' '}
          {small(change.expandedUm)}, {change.counts ? 'which counts' : 'which is no change that counts'}.
        </chakra.p>
      )}
    </Block>
  )
}

/** The full test by its letters, and what each target came to. */
function Full({ full: { test, runs, figures, deviations, notCounted } }: { full: FullTestAccepted }) {
  const units = useUnits()
  const small = (um: number) => say(um, 'smallLength', units).replace(' ', '\u00a0')
  return (
    <chakra.div mt="1" data-full-test css={{ breakInside: 'avoid' }}>
      <p>
        <strong>Full test by ISO 230-2</strong> (“{test}”): {deviations.length} targets, {runs} runs each way.{' '}
        {figures.map(({ letter, what, um }, index) => (
          <span key={letter}>
            {index > 0 && '; '}
            {what} ({letter}) <strong>{small(um)}</strong>
          </span>
        ))}
        .
      </p>
      <table>
        <tbody>
          {(
            [
              ['Target', ({ targetMm }) => say(targetMm, 'length', units, 2)],
              ['Mean going up', ({ upUm }) => small(upUm)],
              ['Mean going down', ({ downUm }) => small(downUm)],
              ['Reversal', ({ reversalUm }) => small(reversalUm)],
            ] as [string, (one: FullTestAccepted['deviations'][number]) => string][]
          ).map(([head, cell]) => (
            <tr key={head}>
              <Th scope="row">{head}</Th>
              {deviations.map(one => (
                <Td key={one.targetMm}>{cell(one)}</Td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {notCounted.length > 0 && (
        <p data-not-counted>
          <strong>Not counted:</strong> {notCounted.join(' ')}
        </p>
      )}
    </chakra.div>
  )
}

function Signatures({ testedBy, acceptedBy }: { testedBy: string | null; acceptedBy: string | null }) {
  return (
    <chakra.div
      display="grid"
      gridTemplateColumns="repeat(2, minmax(0, 1fr))"
      gap="6"
      mt="4"
      css={{ breakInside: 'avoid' }}
      data-signatures
    >
      {[
        ['Tested and handed over', testedBy],
        ['Accepted as it stands above', acceptedBy],
      ].map(([label, name]) => (
        <div key={label}>
          <chakra.p fontWeight={700}>{label}</chakra.p>
          <p>{name ?? 'Name:'}</p>
          <chakra.div height="38px" borderBottomWidth="1px" borderColor="#1a222c" />
          <chakra.p fontSize="11px">Day and signature</chakra.p>
        </div>
      ))}
    </chakra.div>
  )
}
