import { chakra } from '@chakra-ui/react'

/** How much of something is done, in the colour of the lamp; its name comes from its label, or stands with it. */
export const ProgressBar = chakra('progress', {
  base: {
    display: 'block',
    width: '100%',
    appearance: 'none',
    height: '10px',
    '&::-webkit-progress-bar': { background: 'var(--dusk-colors-sunken)', borderRadius: '5px' },
    '&::-webkit-progress-value': { background: 'var(--dusk-colors-lamp)', borderRadius: '5px' },
    '&::-moz-progress-bar': { background: 'var(--dusk-colors-lamp)' },
  },
})
