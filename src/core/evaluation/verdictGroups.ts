import { DIMENSIONS } from '../document/dimensions'
import type { Stage } from '../document/stages'
import { sentenceCase } from '../units/sentenceCase'
import { PART_WORDS } from './check'
import { type Finding, STATES, type State } from './finding'
import type { SheetId } from './ids'
import type { Missing } from './notKnown'

/** Findings that wait for one and the same thing. */
export interface Waiting {
  missing: Missing
  /** What would settle them: "A motor". */
  what: string
  findings: Finding[]
}

/** Findings of one nearness to the sheet in hand. */
export interface VerdictGroup {
  /** What needs a look, worst first. */
  open: Finding[]
  holds: Finding[]
}

/** The verdicts of an axis as they are read at one sheet: of the sheet, of its stage, and of the rest. */
export interface VerdictGroups {
  sheet: VerdictGroup
  stage: VerdictGroup
  rest: VerdictGroup
  /** What is not known yet, by what it waits for; what the sheet in hand waits for comes first. */
  waiting: Waiting[]
}

/** What is missing, as a thing: "A motor", "Moving mass, with the heaviest work". */
const missingWords = (missing: Missing): string =>
  sentenceCase(
    'part' in missing
      ? PART_WORDS[missing.part]
      : 'sheet' in missing
        ? missing.what
        : DIMENSIONS[missing.dimension].label,
  )

/**
 * Groups the findings of an axis by how near they are to a sheet.
 *
 * @param findings worst first; their order is kept
 * @returns every finding once
 */
export function verdictGroups(findings: readonly Finding[], sheet: SheetId, stage: Stage): VerdictGroups {
  const groups: VerdictGroups = {
    sheet: { open: [], holds: [] },
    stage: { open: [], holds: [] },
    rest: { open: [], holds: [] },
    waiting: [],
  }
  const waiting = new Map<string, Waiting>()
  for (const finding of findings) {
    if (finding.missing) {
      const key = JSON.stringify(finding.missing)
      const known = waiting.get(key)
      if (known) known.findings.push(finding)
      else
        waiting.set(key, {
          missing: finding.missing,
          what: missingWords(finding.missing),
          findings: [finding],
        })
      continue
    }
    const near = finding.sheet === sheet ? 'sheet' : finding.stage === stage ? 'stage' : 'rest'
    groups[near][finding.state === 'holds' ? 'holds' : 'open'].push(finding)
  }
  const isOfSheet = (one: Waiting) => one.findings.some(finding => finding.sheet === sheet)
  groups.waiting = [...waiting.values()].toSorted(
    (a, b) => Number(isOfSheet(b)) - Number(isOfSheet(a)) || b.findings.length - a.findings.length,
  )
  return groups
}

/** How many findings are in each state, worst first; states that none is in are left out. */
export const stateCounts = (findings: readonly Pick<Finding, 'state'>[]): { state: State; count: number }[] =>
  STATES.map(state => ({ state, count: findings.filter(one => one.state === state).length })).filter(
    ({ count }) => count > 0,
  )
