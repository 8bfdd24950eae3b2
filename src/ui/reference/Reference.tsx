'use client'

import { chakra } from '@chakra-ui/react'
import { describe, type Spec, type Specs } from '@/core/calculation/spec'
import type { Registered } from '@/core/sheets/registry'
import { registry } from '@/core/sheets/registry'
import { Cell, Figures, HeadCell, SideScroll } from '../Panel'

/** What the first word of an id is about. */
const GROUPS: Record<string, string> = {
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
  travel: 'Room',
  align: 'Alignment',
  prove: 'Proof',
}
const groupOf = (id: string) => id.split('.')[0] ?? ''

/** Every calculation of the app, made from the registry that the working and the command line are made from. */
export function Reference() {
  const all = [...registry.values()]
  const groups = Object.entries(GROUPS).filter(([group]) => all.some(({ id }) => groupOf(id) === group))
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
        {groups.map(([group, title]) => (
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
      {groups.map(([group, title]) => (
        <chakra.section key={group} id={group} aria-label={title} mt="6">
          <chakra.h2 fontSize="20px" fontWeight={700} mb="2">
            {title}
          </chakra.h2>
          {all
            .filter(({ id }) => groupOf(id) === group)
            .map(calculation => (
              <Entry key={calculation.id} calculation={calculation} />
            ))}
        </chakra.section>
      ))}
    </chakra.main>
  )
}

function Entry({
  calculation: { id, title, formula, source, validity, inputs, outputs },
}: {
  calculation: Registered
}) {
  return (
    <chakra.article bg="panel" borderWidth="1px" borderRadius="8px" p="4" mb="3" id={id}>
      <chakra.h3 fontSize="16px" fontWeight={700}>
        {title}{' '}
        <Figures color="quiet" fontSize="13px" fontWeight={400}>
          {id}
        </Figures>
      </chakra.h3>
      <chakra.p fontFamily="mono" fontSize="14px" my="2" overflowWrap="anywhere">
        {formula}
      </chakra.p>
      <chakra.p fontSize="14px" color="quiet">
        {source}. {validity}.
      </chakra.p>
      <SideScroll mt="2">
        <chakra.table width="100%" fontSize="14px">
          <thead>
            <tr>
              <HeadCell>Name</HeadCell>
              <HeadCell>Symbol</HeadCell>
              <HeadCell>What it is</HeadCell>
              <HeadCell>Takes</HeadCell>
            </tr>
          </thead>
          <tbody>
            <Lines specs={inputs} />
            <Lines specs={outputs} isOutput />
          </tbody>
        </chakra.table>
      </SideScroll>
    </chakra.article>
  )
}

const unitOf = (spec: Spec) =>
  spec.kind === 'number' ? (spec.unit === '1' ? 'a plain number' : spec.unit) : describe(spec)

function Lines({ specs, isOutput = false }: { specs: Specs; isOutput?: boolean }) {
  return Object.entries(specs).map(([name, spec]) => (
    <tr key={name}>
      <Cell>
        <Figures fontWeight={isOutput ? 700 : 400}>{name}</Figures>
      </Cell>
      <Cell>
        <Figures>{spec.kind === 'number' ? spec.symbol : ''}</Figures>
      </Cell>
      <Cell>{spec.label}</Cell>
      <Cell>{isOutput ? `gives ${unitOf(spec)}` : describe(spec)}</Cell>
    </tr>
  ))
}
