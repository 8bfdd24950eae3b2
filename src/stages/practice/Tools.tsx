import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import type { Tool } from '@/core/practice/trainer/lesson'
import type { Act, TrainingBench } from '@/core/practice/trainer/trainingBench'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { SelectField } from '@/ui/fields/SelectField'
import { PLACE_WORDS, SET_TITLES, setWords, stepWords } from './words'

interface Props {
  tools: readonly Tool[]
  bench: TrainingBench
  units: UnitSystem
  disabled: boolean
  onAct: (act: Act) => void
}

/** What lies on the bench to be used, each with what one can do with it. */
export function Tools({ tools, bench, units, disabled, onAct }: Props) {
  return (
    <chakra.fieldset disabled={disabled} display="grid" gap="3" minW="0" border="none" p="0" m="0">
      <chakra.legend srOnly>What you can do</chakra.legend>
      {tools.map(tool => (
        <ToolRow
          key={tool.tool === 'set' ? tool.what : tool.tool}
          tool={tool}
          bench={bench}
          units={units}
          onAct={onAct}
        />
      ))}
    </chakra.fieldset>
  )
}

const Row = ({ title, children }: { title: string; children: React.ReactNode }) => (
  <chakra.div
    role="group"
    aria-label={title}
    display="grid"
    gridTemplateColumns={{ base: '1fr', sm: '120px minmax(0, 1fr)' }}
    gap="2"
    alignItems="center"
  >
    <chakra.span fontSize="14px" fontWeight={700}>
      {title}
    </chakra.span>
    <chakra.div display="flex" flexWrap="wrap" gap="1.5" alignItems="center">
      {children}
    </chakra.div>
  </chakra.div>
)

function ToolRow({ tool, bench, units, onAct }: Omit<Props, 'tools' | 'disabled'> & { tool: Tool }) {
  const press = (label: string, act: Act, isMain = false) => (
    <Button key={label} variant={isMain ? 'lamp' : 'outline'} onClick={() => onAct(act)}>
      {label}
    </Button>
  )
  switch (tool.tool) {
    case 'drive':
      return <Drive tool={tool} bench={bench} units={units} onAct={onAct} />
    case 'push':
      return (
        <Row title="By the scale">
          {tool.sizesN
            .toReversed()
            .map(size => press(`Pull ${say(size, 'force', units)}`, { do: 'push', newtons: -size }))}
          {press('Let go', { do: 'push', newtons: 0 })}
          {tool.sizesN.map(size => press(`Push ${say(size, 'force', units)}`, { do: 'push', newtons: size }))}
        </Row>
      )
    case 'put':
      return (
        <Row title="Indicator">
          {tool.places.map(place => (
            <Button
              key={place}
              variant={bench.gaugeAt === place ? 'lamp' : 'outline'}
              aria-pressed={bench.gaugeAt === place}
              onClick={() => onAct({ do: 'put', at: place })}
            >
              {PLACE_WORDS[place]}
            </Button>
          ))}
        </Row>
      )
    case 'zero':
      return <Row title="Dial">{press('Set it to zero', { do: 'zero' })}</Row>
    case 'note':
      return <Row title="Notebook">{press('Note the needle', { do: 'note' }, true)}</Row>
    case 'feel':
      return (
        <Row title="Turn it by hand">
          {press('Towards the low end', { do: 'feel', way: -1 }, true)}
          {press('Towards the high end', { do: 'feel', way: 1 }, true)}
        </Row>
      )
    case 'slacken':
      return (
        <Row title="The gib">
          <Button
            variant="outline"
            aria-pressed={bench.isSlack}
            onClick={() => onAct({ do: 'slacken', isSlack: !bench.isSlack })}
          >
            {bench.isSlack ? 'Set it as it was' : 'Let it loose'}
          </Button>
        </Row>
      )
    case 'pull':
      return <Row title="Spring scale">{press('Pull the slide along', { do: 'pull' }, true)}</Row>
    case 'rock':
      return <Row title="By hand">{press('Rock it to the side', { do: 'rock' }, true)}</Row>
    case 'halfTurn':
      return <Row title="The screw">{press('Turn it by half a turn', { do: 'halfTurn' })}</Row>
    case 'run':
      return (
        <Row title="Let it run">
          {tool.minutes.map(minutes => press(`${minutes} minutes`, { do: 'run', minutes }))}
        </Row>
      )
    case 'square':
      return (
        <Row title="Run up the edge">
          {press('As the square lies', { do: 'square', isTurned: false }, true)}
          {press('Turned over', { do: 'square', isTurned: true }, true)}
        </Row>
      )
    case 'set': {
      const { what, steps } = tool
      return (
        <Row title={SET_TITLES[what]}>
          {steps
            .toReversed()
            .map(size => press(stepWords(what, -size, units), { do: 'set', what, by: -size }))}
          {steps.map(size => press(stepWords(what, size, units), { do: 'set', what, by: size }))}
          <chakra.span fontSize="14px" fontFamily="mono" data-set={what}>
            {setWords(what, bench.settings, units)}
          </chakra.span>
        </Row>
      )
    }
  }
}

function Drive({
  tool,
  bench,
  units,
  onAct,
}: Omit<Props, 'tools' | 'disabled'> & { tool: Extract<Tool, { tool: 'drive' }> }) {
  const { stepsMm, feedsMmPerMin, placesMm = [] } = tool
  const [feed, setFeed] = useState(feedsMmPerMin[0] as number)
  const { travelMm } = bench.setup.figures
  // What was jogged by tenths comes to tenths.
  const tidy = (mm: number) => Number(mm.toFixed(3))
  const step = (byMm: number) => {
    const toMm = tidy(bench.sentToMm + byMm)
    const words = say(Math.abs(byMm), 'length', units)
    return (
      <Button
        key={byMm}
        variant="outline"
        aria-label={`Drive ${byMm > 0 ? 'up' : 'down'} by ${words}`}
        disabled={toMm < 0 || toMm > travelMm}
        onClick={() => onAct({ do: 'go', toMm, feedMmPerMin: feed })}
      >
        {byMm > 0 ? `${words} ▸` : `◂ ${words}`}
      </Button>
    )
  }
  return (
    <Row title="Drive">
      {stepsMm.toReversed().map(mm => step(-mm))}
      {stepsMm.map(step)}
      {placesMm.map(mm => (
        <Button
          key={`to ${mm}`}
          variant="outline"
          disabled={mm === bench.sentToMm}
          onClick={() => onAct({ do: 'go', toMm: mm, feedMmPerMin: feed })}
        >
          To {say(mm, 'length', units)}
        </Button>
      ))}
      {feedsMmPerMin.length > 1 && (
        <chakra.div minW="150px">
          <SelectField
            label="Feed"
            hideLabel
            value={`${feed}`}
            options={feedsMmPerMin.map(one => ({
              value: `${one}`,
              label: `at ${say(one, 'speed', units, 0)}`,
            }))}
            onChange={value => setFeed(Number(value))}
          />
        </chakra.div>
      )}
      <chakra.span fontSize="14px" fontFamily="mono" data-sent>
        {say(bench.sentToMm, 'length', units)}
      </chakra.span>
    </Row>
  )
}
