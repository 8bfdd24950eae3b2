import { chakra } from '@chakra-ui/react'
import { Command } from 'cmdk'
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

/** Type to find an action or a place, Enter to do it. */
export function Palette({
  open,
  actions,
  onClose,
}: {
  open: boolean
  actions: Action[]
  onClose: () => void
}) {
  const groups = [...new Set(actions.map(action => action.group))]
  return (
    <Modal title="Find and go" open={open} onClose={onClose}>
      <Command label="Find and go">
        <SearchField placeholder="Type what you want to do" aria-label="What you want to do" autoFocus />
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
              {actions
                .filter(action => action.group === group)
                .map(action => (
                  <Item
                    key={action.id}
                    value={`${action.label} ${action.id}`}
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
