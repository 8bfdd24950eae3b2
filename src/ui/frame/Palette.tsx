import { chakra } from '@chakra-ui/react'
import { Command } from 'cmdk'
import { useState } from 'react'
import { Modal } from '../Modal'

export interface Action {
  id: string
  group: string
  label: string
  keys?: string
  run: () => void
}

const Item = chakra(Command.Item, {
  base: {
    display: 'flex',
    justifyContent: 'space-between',
    alignItems: 'center',
    gap: '3',
    minH: '44px',
    px: '3',
    borderRadius: '6px',
    cursor: 'pointer',
    '&[data-selected=true]': { bg: 'raised', color: 'lamp' },
  },
})
const SearchField = chakra(Command.Input, {
  base: {
    width: '100%',
    minH: '44px',
    px: '3',
    bg: 'field',
    borderWidth: '1px',
    borderColor: 'edge',
    borderRadius: '6px',
    color: 'ink',
  },
})

/** So many places are listed: whoever sees more than that types on. */
const MOST_PLACES = 40

/** Those whose label has every word that was typed, those that start with it first. */
function matching(of: readonly Action[], typed: string): Action[] {
  const text = typed.trim().toLowerCase()
  const words = text.split(/\s+/)
  const found = of.filter(({ label }) => {
    const lower = label.toLowerCase()
    return words.every(word => lower.includes(word))
  })
  const starts = ({ label }: Action) => Number(label.toLowerCase().startsWith(text))
  return found.toSorted((a, b) => starts(b) - starts(a))
}

interface Props {
  open: boolean
  actions: Action[]
  /** What can be gone to, listed as soon as something is typed. */
  places?: Action[]
  onClose: () => void
}

/** Type to find an action or a place, Enter to do it. */
export function Palette({ open, actions, places = [], onClose }: Props) {
  const [typed, setTyped] = useState('')
  const shown =
    typed.trim() === ''
      ? actions
      : [...matching(actions, typed), ...matching(places, typed).slice(0, MOST_PLACES)]
  const groups = [...new Set(shown.map(action => action.group))]
  return (
    <Modal title="Find and go" open={open} onClose={onClose}>
      <Command label="Find and go" shouldFilter={false}>
        <SearchField
          placeholder="A sheet, a verdict, a part, a calculation, a job, or what to do"
          aria-label="What you want to do"
          value={typed}
          onValueChange={setTyped}
          autoFocus
        />
        <Command.List style={{ maxHeight: '50vh', overflowY: 'auto', marginTop: 8 }}>
          <Command.Empty>Nothing is called that. Try fewer letters.</Command.Empty>
          {groups.map(group => (
            <Command.Group
              key={group}
              heading={
                <chakra.span fontSize="13px" color="quiet">
                  {group}
                </chakra.span>
              }
            >
              {shown
                .filter(action => action.group === group)
                .map(action => (
                  <Item
                    key={action.id}
                    value={action.id}
                    onSelect={() => {
                      onClose()
                      action.run()
                    }}
                  >
                    {action.label}
                    {action.keys && (
                      <chakra.kbd fontFamily="mono" fontSize="13px" color="quiet">
                        {action.keys}
                      </chakra.kbd>
                    )}
                  </Item>
                ))}
            </Command.Group>
          ))}
        </Command.List>
      </Command>
    </Modal>
  )
}
