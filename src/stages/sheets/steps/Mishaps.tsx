import { chakra } from '@chakra-ui/react'
import { MISHAPS } from '@/core/sheets/shared/steps/model'
import { removeMishap } from '@/core/sheets/steps/edits'
import { momentWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { Panel } from '@/ui/Panel'
import { useEdit } from '../../job/JobContext'
import { useAxis, useAxisNow } from '../../job/useAxis'

/** What went wrong, each with when and where; it can be taken back when it was nothing. */
export function Mishaps() {
  const mishaps = useAxis(axis => axis.mishaps)
  const joints = useAxis(axis => axis.joints)
  const axisNow = useAxisNow()
  const edit = useEdit()
  if (mishaps.length === 0) return null
  return (
    <Panel title={`Gone wrong: ${mishaps.length}`}>
      <ul>
        {mishaps.map(mishap => (
          <chakra.li key={mishap.id} display="flex" flexWrap="wrap" gap="3" alignItems="center">
            <span>
              {MISHAPS.of.what.words?.[mishap.what]}
              {mishap.jointId && `, ${joints.find(({ id }) => id === mishap.jointId)?.label ?? 'joint gone'}`}
              , {momentWords(mishap.at)}
            </span>
            <Button variant="quiet" onClick={() => edit(removeMishap(axisNow(), mishap))}>
              It was nothing: take its steps out
            </Button>
          </chakra.li>
        ))}
      </ul>
    </Panel>
  )
}
