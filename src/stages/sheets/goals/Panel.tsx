import { chakra } from '@chakra-ui/react'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import { GOAL_KEYS, GOALS } from '@/core/document/dimensions'
import { setGoal } from '@/core/document/edits'
import { Button } from '@/ui/controls'
import { Panel } from '@/ui/Panel'
import { AxisField } from '../../job/AxisField'
import { useAxis } from '../../job/useAxis'

const CuttingDialog = dynamic(() => import('./CuttingDialog').then(module => module.CuttingDialog), {
  ssr: false,
})

/** What the builder wants from the axis. */
export function GoalsPanel() {
  const [cutting, setCutting] = useState(false)
  const screws = useAxis(axis => axis.drive.screws)
  return (
    <Panel
      title="What you want from it"
      action={
        <Button variant="quiet" onClick={() => setCutting(true)}>
          Force from the cut
        </Button>
      }
    >
      {cutting && <CuttingDialog onClose={() => setCutting(false)} />}
      <chakra.div
        display="grid"
        gap="3"
        gridTemplateColumns={{ base: '1fr', md: 'repeat(2, minmax(0, 1fr))' }}
        data-readings
      >
        {GOAL_KEYS.filter(key => key !== 'rackingTargetUm' || screws === 2).map(key => (
          <AxisField
            key={key}
            field={GOALS[key]}
            select={axis => axis.goals[key]}
            edit={(axis, value, mergeKey) => setGoal(axis, key, value, mergeKey)}
          />
        ))}
      </chakra.div>
    </Panel>
  )
}
