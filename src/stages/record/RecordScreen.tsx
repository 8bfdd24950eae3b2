import { chakra } from '@chakra-ui/react'
import { format } from 'date-fns'
import { DIMENSION_KEYS, DIMENSIONS, GOAL_KEYS, GOALS } from '@/core/document/dimensions'
import { linesOfAxis, openFixes } from '@/core/document/logLines'
import { STATE_WORDS } from '@/core/evaluation/finding'
import { neededParts } from '@/core/machine/neededParts'
import { stationReversal } from '@/core/sheets/reversal/judgeTest'
import { worstCorrectionUm } from '@/core/sheets/screwLine/judgeRound'
import { procedure } from '@/core/sheets/steps/procedure'
import { say } from '@/core/units/print'
import { useEntries } from '@/store/hooks'
import { useAxis, useCatalogue, useEvaluation, useJob, useUnits, whole } from '../bench'
import { Block, Pairs, PaperScreen, Td } from './paper'

const LINES_OF_LOG = 14
const PROVENANCE_MARKS = { measured: '', sheet: ' (sheet)', assumed: ' (assumed)' }

/** The record of an axis on paper: what it is, what was found, what was read, what is still open. */
export function RecordScreen({ onBack }: { onBack: () => void }) {
  const axis = useAxis(whole)
  const job = useJob(whole)
  const units = useUnits()
  const { findings } = useEvaluation()
  const catalogue = useCatalogue()
  const entries = useEntries(job.id) ?? []
  const own = linesOfAxis(entries, axis.id)
  const fixes = openFixes(own)
  const steps = procedure(axis, catalogue, units) ?? []
  const open = steps.filter(step => !axis.ticks[step.id])
  return (
    <PaperScreen
      title={`${job.name}, axis ${axis.name}: ${axis.title}`}
      backLabel="Back to the log"
      printLabel="Print the record"
      onBack={onBack}
    >
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
                catalogue[kind].get(axis.parts[kind] ?? '')?.name ?? 'not chosen',
              ]),
              ['ends', axis.ends],
            ]}
          />
        </Block>
        <Block title="Wanted">
          <Pairs
            rows={GOAL_KEYS.map(key => [GOALS[key].label, say(axis.goals[key], GOALS[key].quantity, units)])}
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
        replace a maker's sheet or the judgement of a qualified engineer. Electrical work and guarding follow
        local codes.
      </chakra.p>
    </PaperScreen>
  )
}
