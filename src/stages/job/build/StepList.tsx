import { chakra } from '@chakra-ui/react'
import { Circle, CircleCheck, CircleSlash, Hand } from 'lucide-react'
import { waitsFor } from '@/core/sheets/shared/steps/holds'
import type { Step } from '@/core/sheets/shared/steps/step'
import { SUB_ASSEMBLIES, SUB_ASSEMBLY_IDS } from '@/core/sheets/shared/steps/subAssemblies'
import { momentWords } from '@/core/units/dateWords'
import { Note } from '@/ui/Note'
import type { Build } from './useBuild'

/** Steps by their sub-assemblies: whole ones fold, the one in hand stands open. */
export function StepList({
  build,
  steps,
}: {
  build: Build
  /** Those to list, of all that there are. */
  steps: readonly Step[]
}) {
  const ticks = build.done
  const open = build.shown?.part
  return (
    <>
      {SUB_ASSEMBLY_IDS.map(part => {
        const own = steps.filter(one => one.part === part)
        if (own.length === 0) return null
        const done = own.filter(({ id }) => ticks[id]).length
        return (
          <chakra.details key={part} open={part === open} borderTopWidth="1px" data-part={part}>
            <chakra.summary
              cursor="pointer"
              minH="44px"
              display="flex"
              alignItems="center"
              gap="3"
              fontWeight={700}
            >
              <PartMark done={done} of={own.length} />
              {SUB_ASSEMBLIES[part].title}
              <Note as="span" fontWeight={400}>
                {done === own.length ? 'whole' : `${done} of ${own.length}`}
              </Note>
            </chakra.summary>
            <chakra.ol pb="2">
              {own.map(step => (
                <Line key={step.id} step={step} build={build} />
              ))}
            </chakra.ol>
          </chakra.details>
        )
      })}
    </>
  )
}

const PartMark = ({ done, of }: { done: number; of: number }) =>
  done === of ? <CircleCheck size={18} aria-hidden /> : <Circle size={18} aria-hidden />

/** One step in a line: its mark, its title, and when it was done; it is shown large when it is pressed. */
function Line({ step, build }: { step: Step; build: Build }) {
  const { stepNotes } = build.context.axis
  const tickedAt = build.done[step.id]
  const how = stepNotes[step.id]?.how ?? 'done'
  const blocked = !tickedAt && waitsFor(build.steps, build.context, step) !== null
  const isShown = build.shown?.id === step.id
  const Mark = tickedAt ? (how === 'skipped' ? CircleSlash : CircleCheck) : Circle
  return (
    <chakra.li data-step={step.id} data-in-hand={isShown ? '' : undefined}>
      <chakra.button
        type="button"
        onClick={() => build.look(step.id)}
        aria-current={isShown ? 'step' : undefined}
        display="flex"
        gap="2.5"
        width="100%"
        minH={{ base: '44px', xl: '34px' }}
        alignItems="center"
        textAlign="left"
        px="2"
        borderRadius="5px"
        bg={isShown ? 'raised' : 'transparent'}
        color={blocked ? 'quiet' : 'ink'}
        cursor="pointer"
      >
        <Mark size={17} aria-hidden style={{ flex: 'none' }} />
        <span>
          {step.title}
          <chakra.span srOnly>
            {tickedAt ? `: ${how === 'otherwise' ? 'done otherwise' : how}` : blocked ? ': waits' : ': open'}
          </chakra.span>
          {step.hold && !tickedAt && (
            <Hand
              size={14}
              aria-label="hold point"
              style={{ display: 'inline', marginLeft: 6, verticalAlign: '-2px' }}
            />
          )}
          {tickedAt && (
            <chakra.span ml="2" fontSize="13px" color="quiet">
              {momentWords(tickedAt)}
              {how !== 'done' && `, ${how === 'skipped' ? 'skipped' : 'done otherwise'}`}
            </chakra.span>
          )}
        </span>
      </chakra.button>
    </chakra.li>
  )
}
