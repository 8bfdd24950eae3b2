import { chakra } from '@chakra-ui/react'
import { format } from 'date-fns'
import { worstCorrectionUm } from '@/core/align/judgeRound'
import { procedure } from '@/core/build/procedure'
import { DIMENSION_KEYS, DIMENSIONS, GOAL_KEYS, GOALS } from '@/core/job/dimensions'
import { linesOfAxis, openFixes } from '@/core/job/logLines'
import { neededParts } from '@/core/job/neededParts'
import { stationReversal } from '@/core/prove/judgeTest'
import { CATALOGUE } from '@/core/sizing/parts'
import { say } from '@/core/units/print'
import { STATE_WORDS } from '@/core/verdicts/finding'
import { useEntries } from '@/store/hooks'
import { Button } from '@/ui/controls'
import { useAxis, useEvaluation, useJob, useUnits, whole } from '../bench'

const LINES_OF_LOG = 14
const PROVENANCE_MARKS = { measured: '', sheet: ' (sheet)', assumed: ' (assumed)' }

/** The record of an axis on paper: what it is, what was found, what was read, what is still open. */
export function RecordScreen({ onBack }: { onBack: () => void }) {
  const axis = useAxis(whole)
  const job = useJob(whole)
  const units = useUnits()
  const { findings } = useEvaluation()
  const entries = useEntries(job.id) ?? []
  const own = linesOfAxis(entries, axis.id)
  const fixes = openFixes(own)
  const steps = procedure(axis, CATALOGUE, units) ?? []
  const open = steps.filter(step => !axis.ticks[step.id])
  return (
    <>
      <chakra.div
        display="flex"
        gap="2"
        p="3"
        justifyContent="center"
        css={{ '@media print': { display: 'none' } }}
      >
        <Button onClick={onBack}>Back to the log</Button>
        <Button variant="lamp" onClick={() => window.print()}>
          Print the record
        </Button>
      </chakra.div>
      <Sheet>
        <chakra.header
          display="flex"
          justifyContent="space-between"
          alignItems="baseline"
          borderBottomWidth="2px"
          borderColor="#1a222c"
          pb="1"
          mb="2"
          gap="4"
        >
          <chakra.h1 fontSize="22px" overflowWrap="anywhere">
            {job.name}, axis {axis.name}: {axis.title}
          </chakra.h1>
          <chakra.span whiteSpace="nowrap">{format(new Date(), 'd MMMM yyyy')}</chakra.span>
        </chakra.header>

        <Block title="Findings">
          <table>
            <tbody>
              {findings.map(finding => (
                <tr key={finding.checkId}>
                  <Td width="24%">
                    <b>{finding.title}</b>
                  </Td>
                  <Td width="14%">
                    <b>{STATE_WORDS[finding.state]}</b>
                  </Td>
                  <Td>{finding.sentence}</Td>
                </tr>
              ))}
            </tbody>
          </table>
        </Block>

        <chakra.div display="grid" gridTemplateColumns="1fr 1fr" columnGap="6">
          <Block title="Parts">
            <Pairs
              rows={[
                ...neededParts(axis).map((kind): [string, string] => [
                  kind,
                  CATALOGUE[kind].get(axis.parts[kind] ?? '')?.name ?? 'not chosen',
                ]),
                ['ends', axis.ends],
              ]}
            />
          </Block>
          <Block title="Wanted">
            <Pairs
              rows={GOAL_KEYS.map(key => [
                GOALS[key].label,
                say(axis.goals[key], GOALS[key].quantity, units),
              ])}
            />
          </Block>
          <Block title="Measured">
            <Pairs
              rows={DIMENSION_KEYS.map(key => {
                const { value, provenance } = axis.dimensions[key]
                return [
                  DIMENSIONS[key].label,
                  value === null
                    ? 'not known'
                    : say(value, DIMENSIONS[key].quantity, units) + PROVENANCE_MARKS[provenance],
                ]
              })}
            />
          </Block>
          <Block title="Build">
            <p>
              {steps.length === 0
                ? 'No parts chosen.'
                : `${steps.length - open.length} of ${steps.length} steps done.`}
              {open.length > 0 && ` Next: ${open[0]?.title.toLowerCase()}.`}
            </p>
          </Block>
        </chakra.div>

        <Block title="Alignment rounds">
          {axis.rounds.length === 0 ? (
            <p>None yet.</p>
          ) : (
            <table>
              <tbody>
                {axis.rounds.map((round, index) => {
                  const worst = worstCorrectionUm(round, axis.dimensions.supportSpanMm.value ?? 0)
                  return (
                    <tr key={round.id}>
                      <Td width="12%">Round {index + 1}</Td>
                      <Td width="20%">{format(new Date(round.startedAt), 'd MMM yyyy HH:mm')}</Td>
                      <Td>
                        {round.stations
                          .map(
                            station =>
                              `${say(station.positionMm, 'length', units, 1)}: ${[
                                station.heightUm,
                                station.sideUm,
                              ]
                                .map(um => (um === null ? '–' : say(um, 'smallLength', units)))
                                .join(' / ')}`,
                          )
                          .join('; ')}
                        {worst !== null && `. Largest correction ${say(worst, 'smallLength', units)}`}
                      </Td>
                    </tr>
                  )
                })}
              </tbody>
            </table>
          )}
        </Block>

        <Block title="Reversal tests">
          {axis.tests.length === 0 ? (
            <p>None yet.</p>
          ) : (
            <table>
              <tbody>
                {axis.tests.map(test => (
                  <tr key={test.id}>
                    <Td width="24%">{test.label}</Td>
                    <Td width="14%">{format(new Date(test.startedAt), 'd MMM yyyy')}</Td>
                    <Td>
                      {test.stations
                        .map(station => {
                          const figures = stationReversal(station)
                          const at = say(station.positionMm, 'length', units, 1)
                          return figures
                            ? `${at}: ${say(Math.abs(figures.reversalUm), 'smallLength', units)} ± ${say(2 * figures.standardUncertaintyUm, 'smallLength', units)} (${station.approachPositiveUm.length} + ${station.approachNegativeUm.length} readings)`
                            : `${at}: not read`
                        })
                        .join('; ')}
                    </Td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </Block>

        <Block title={`Temporary fixes still open: ${fixes.length}`}>
          {fixes.map(entry => (
            <p key={entry.id}>
              {format(new Date(entry.at), 'd MMM yyyy')}: {entry.text}
            </p>
          ))}
        </Block>

        <Block title="Log, latest first">
          {own
            .toReversed()
            .slice(0, LINES_OF_LOG)
            .map(entry => (
              <p key={entry.id}>
                {format(new Date(entry.at), 'd MMM yyyy HH:mm')}:{' '}
                {entry.text.length > 240 ? `${entry.text.slice(0, 237)}…` : entry.text}
              </p>
            ))}
          {own.length > LINES_OF_LOG && <p>and {own.length - LINES_OF_LOG} earlier lines in the job file.</p>}
        </Block>
        <chakra.p mt="2" fontSize="11px">
          Figures are reckoned from the values above; those marked assumed were not measured. They do not
          replace a maker's sheet or the judgement of a qualified engineer. Electrical work and guarding
          follow local codes.
        </chakra.p>
      </Sheet>
    </>
  )
}

/** Paper is white whatever the scheme on the screen. */
const Sheet = chakra('main', {
  base: {
    maxW: '190mm',
    mx: 'auto',
    mb: '8',
    p: '8mm',
    bg: '#fff',
    color: '#1a222c',
    fontSize: '12px',
    lineHeight: '1.35',
    '& table': { width: '100%' },
    '@media print': { maxW: 'none', m: 0, p: 0, fontSize: '10.5px' },
  },
})

const Td = chakra('td', {
  base: { verticalAlign: 'top', pr: '2', py: '0.5', borderTopWidth: '1px', borderColor: '#c9c9c9' },
})

function Block({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <chakra.section mt="2" css={{ breakInside: 'avoid-page' }}>
      <chakra.h2 fontSize="13px" fontWeight={700} mb="0.5">
        {title}
      </chakra.h2>
      {children}
    </chakra.section>
  )
}

function Pairs({ rows }: { rows: [string, string][] }) {
  return (
    <table>
      <tbody>
        {rows.map(([label, value]) => (
          <tr key={label}>
            <Td>{label}</Td>
            <Td textAlign="right" fontWeight={700}>
              {value}
            </Td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
