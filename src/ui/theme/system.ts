import { createSystem, defineConfig } from '@chakra-ui/react'
import { defaultBaseConfig } from '@chakra-ui/react/preset-base'
import { breakpoints } from './breakpoints'
import { slotRecipes } from './recipes'

/** A colour in the dusk scheme (dark, the default) and in the day scheme. */
const both = (dusk: string, day: string) => ({ value: { base: day, _dark: dusk } })

/**
 * The scale of gaps and paddings, in quarters of a rem. Written out here: the package's own tokens come with the recipes
 * of every component it has, a quarter of the script of the first screen.
 */
const spacing = Object.fromEntries(
  [0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6, 8, 10, 12, 16].map(step => [step, { value: `${step / 4}rem` }]),
)
const zIndex = { sticky: { value: 1100 }, modal: { value: 1400 }, toast: { value: 1700 } }

/** The bench's own theme: a workshop at dusk with one lamp, and a light scheme for sunlight. */
const config = defineConfig({
  cssVarsPrefix: 'dusk',
  conditions: { dark: '.dusk &', light: ':root &, .day &' },
  theme: {
    breakpoints,
    tokens: {
      spacing,
      sizes: spacing,
      zIndex,
      fonts: {
        body: { value: "'Atkinson Hyperlegible', sans-serif" },
        heading: { value: "'Atkinson Hyperlegible', sans-serif" },
        mono: { value: "'Atkinson Hyperlegible Mono', monospace" },
      },
    },
    semanticTokens: {
      colors: {
        canvas: both('#141a23', '#efede6'),
        panel: both('#1c2531', '#fbfaf6'),
        raised: both('#263241', '#ffffff'),
        sunken: both('#10151d', '#e4e1d7'),
        field: both('#10151d', '#ffffff'),
        line: both('#3a495b', '#c3beae'),
        edge: both('#71849a', '#77715f'),
        ink: both('#eef2f6', '#1a222c'),
        quiet: both('#b3c0ce', '#4d5663'),
        lamp: both('#ffb454', '#8f4a00'),
        lampFill: both('#ffb454', '#ffbe66'),
        onLamp: both('#21160a', '#21160a'),
        holds: both('#83d6a8', '#14633a'),
        close: both('#e6dc7a', '#6a5400'),
        fails: both('#ff9c93', '#a81d14'),
        unknown: both('#a9bdd3', '#455a70'),
        steel: both('#8fa1b5', '#7d8a98'),
        steelDark: both('#5d6f83', '#5b6875'),
        brass: both('#c9a86a', '#a07d35'),
        casting: both('#46566a', '#9aa5b1'),
        motorBody: both('#313e4f', '#3d4957'),
      },
    },
    slotRecipes,
  },
  globalCss: {
    'html, body': {
      margin: 0,
      bg: 'canvas',
      color: 'ink',
      fontFamily: 'body',
      fontSize: '15px',
      lineHeight: '1.45',
      colorScheme: { base: 'light', _dark: 'dark' },
      '@media print': { bg: '#fff', color: '#000' },
    },
    html: {
      scrollPaddingTop: 'calc(var(--cover, 0px) + 12px)',
      scrollPaddingBottom: { base: '72px', xl: '12px' },
    },
    '*': {
      boxSizing: 'border-box',
      borderWidth: 0,
      borderStyle: 'solid',
      borderColor: 'line',
      '@media (prefers-reduced-motion: reduce)': {
        transition: 'none !important',
        animation: 'none !important',
      },
    },
    'h1, h2, h3, h4, p, ul, ol, dl, dd, figure, fieldset, legend, table': { margin: 0, padding: 0 },
    'ul, ol': { listStyle: 'none' },
    table: { borderCollapse: 'collapse' },
    'button, input, select, textarea': { font: 'inherit', color: 'inherit' },
    a: { color: 'lamp' },
    ':focus-visible': { outline: '3px solid', outlineColor: 'lamp', outlineOffset: '2px' },
  },
})

export const system = createSystem(defaultBaseConfig, config)
