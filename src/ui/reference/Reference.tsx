'use client'

import { chakra } from '@chakra-ui/react'
import type { CalculationFacts } from '@/core/calculation/calculation'
import type { Field, Fields } from '@/core/field/field'
import { takes, unitOf } from '@/core/field/takes'
import { sentenceCase } from '@/core/units/sentenceCase'
import { unitWords } from '@/core/units/unitWords'
import { Note } from '../Note'
import { Figures } from '../Panel'
import { DataTable, type TableColumn } from '../table/DataTable'
import { FormulaBox, FormulaLines } from '../working/FormulaLines'

/** What the first word of an id is about, where the word alone does not say it. */
const TITLES: Record<string, string> = {
  motion: 'Motion and loads',
  cutting: 'Cutting',
  screw: 'Screw',
  nut: 'Nut',
  bearing: 'Bearings',
  coupler: 'Coupler',
  belt: 'Belt',
  motor: 'Motor',
  drive: 'Drive',
  axis: 'Axis',
  travel: 'Travel and stops',
  limits: 'Travel and stops',
  clearance: 'Room around the nut',
  hole: 'Holes',
  fit: 'Fitting',
  fastener: 'Fasteners',
  thread: 'Fasteners',
  stackup: 'Chain of dimensions',
  joint: 'Fasteners',
  cable: 'Cables and grease',
  lube: 'Cables and grease',
  controller: 'Controller',
  align: 'Alignment',
  gib: 'Ways, gib and shafts',
  shaft: 'Ways, gib and shafts',
  survey: 'Ways, gib and shafts',
  drag: 'Alignment',
  prove: 'Proof',
  diagnose: 'Find the fault',
  schedule: 'Schedule',
}
const groupOf = (id: string) => id.split('.')[0] ?? ''
const titleOf = (id: string) => TITLES[groupOf(id)] ?? sentenceCase(groupOf(id))

/**
 * Every calculation of the app, made from the registry that the working and the command line are made from.
 *
 * @param calculations what is said of each
 * @param formulas each formula as the server set it, by the id of its calculation: what sets them is large
 */
export function Reference({
  calculations,
  formulas,
}: {
  calculations: readonly CalculationFacts[]
  formulas: Record<string, string[][]>
}) {
  const titles = new Set([...Object.values(TITLES), ...calculations.map(({ id }) => titleOf(id))])
  const groups = [...titles].flatMap(title => {
    const members = calculations.filter(({ id }) => titleOf(id) === title)
    return members[0] ? [{ title, group: groupOf(members[0].id), members }] : []
  })
  return (
    <chakra.main maxW="920px" mx="auto" px="4" py="6">
      <chakra.a href="/" color="lamp" fontWeight={700} minH="44px" display="inline-flex" alignItems="center">
        All jobs
      </chakra.a>
      <chakra.h1 fontSize="26px" fontWeight={700}>
        Reference
      </chakra.h1>
      <chakra.p color="quiet" mt="1" maxW="68ch">
        Every calculation that the verdicts rest on. The working of a figure shows the same formula with its
        numbers put in; the command line takes the same names.
      </chakra.p>
      <chakra.nav aria-label="Groups of calculations" display="flex" flexWrap="wrap" gap="1" mt="3">
        {groups.map(({ group, title }) => (
          <chakra.a
            key={group}
            href={`#${group}`}
            color="lamp"
            fontWeight={700}
            px="2"
            minH="44px"
            display="inline-flex"
            alignItems="center"
          >
            {title}
          </chakra.a>
        ))}
      </chakra.nav>
      {groups.map(({ group, title, members }) => (
        <chakra.section key={group} id={group} aria-label={title} mt="6">
          <chakra.h2 fontSize="20px" fontWeight={700} mb="2">
            {title}
          </chakra.h2>
          {members.map(calculation => (
            <Entry key={calculation.id} calculation={calculation} lines={formulas[calculation.id] ?? []} />
          ))}
        </chakra.section>
      ))}
    </chakra.main>
  )
}

function Entry({
  calculation: { id, title, formula, source, validity, inputs, outputs },
  lines,
}: {
  calculation: CalculationFacts
  lines: string[][]
}) {
  return (
    <chakra.article bg="panel" borderWidth="1px" borderRadius="8px" p="4" mb="3" id={id}>
      <chakra.h3 fontSize="16px" fontWeight={700}>
        {title}{' '}
        <Figures color="quiet" fontSize="13px" fontWeight={400}>
          {id}
        </Figures>
      </chakra.h3>
      <FormulaBox formula={formula}>
        <FormulaLines mathMl={lines} />
      </FormulaBox>
      <Note>
        {source}. {validity}.
      </Note>
      <chakra.div mt="2">
        <DataTable
          label={`Inputs and outputs of ${id}`}
          columns={COLUMNS}
          rows={[...linesOf(inputs), ...linesOf(outputs, true)]}
          rowId={({ name, isOutput }) => `${name}${isOutput}`}
        />
      </chakra.div>
    </chakra.article>
  )
}

const given = (field: Field) =>
  field.is === 'number' ? unitWords(unitOf(field)) || 'a plain number' : takes(field)

interface Line {
  name: string
  field: Field
  isOutput: boolean
}
const linesOf = (fields: Fields, isOutput = false): Line[] =>
  Object.entries(fields).map(([name, field]) => ({ name, field, isOutput }))

const COLUMNS: TableColumn<Line>[] = [
  {
    id: 'name',
    head: 'Name',
    cell: ({ name, isOutput }) => <Figures fontWeight={isOutput ? 700 : 400}>{name}</Figures>,
  },
  {
    id: 'symbol',
    head: 'Symbol',
    cell: ({ field }) => <Figures>{field.is === 'number' ? field.symbol : ''}</Figures>,
  },
  { id: 'what', head: 'What it is', cell: ({ field }) => sentenceCase(field.label) },
  {
    id: 'takes',
    head: 'Takes',
    cell: ({ field, isOutput }) => (isOutput ? `gives ${given(field)}` : takes(field)),
  },
]
