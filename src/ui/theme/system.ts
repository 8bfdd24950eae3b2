import { createSystem, defineConfig } from '@chakra-ui/react'
import { defaultBaseConfig } from '@chakra-ui/react/preset-base'
import { breakpoints } from './breakpoints'
import { COLOURS } from './colours'
import { slotRecipes } from './recipes'

/** A colour in the dusk scheme (dark) and in the day scheme. */
const both = (dusk: string, day: string) => ({ value: { base: day, _dark: dusk } })

/**
 * The scale of gaps and paddings, in quarters of a rem. Written out here: the package's own tokens come with the recipes
 * of every component it has, a quarter of the script of the first screen.
 */
const spacing = Object.fromEntries(
  [0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6, 8, 10, 12, 16].map(step => [step, { value: `${step / 4}rem` }]),
)
/** What letters are 1rem of, at the browser's usual size. */
const USUAL_PX = 15
/** Sizes of letters, named by what they are at the browser's usual size: where it is set larger, they grow with it. */
const fontSizes = Object.fromEntries(
  [11, 12, 13, 14, 15, 16, 17, 18, 20, 22, 24, 26].map(px => [
    `${px}px`,
    { value: `${Number((px / USUAL_PX).toFixed(4))}rem` },
  ]),
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
      fontSizes,
      zIndex,
      fonts: {
        body: { value: "'Atkinson Hyperlegible', sans-serif" },
        heading: { value: "'Atkinson Hyperlegible', sans-serif" },
        mono: { value: "'Atkinson Hyperlegible Mono', monospace" },
      },
    },
    semanticTokens: {
      colors: Object.fromEntries(
        Object.entries(COLOURS).map(([name, [day, dusk]]) => [name, both(dusk, day)]),
      ),
    },
    slotRecipes,
  },
  globalCss: {
    'html, body': {
      margin: 0,
      bg: 'canvas',
      color: 'ink',
      fontFamily: 'body',
      fontSize: '1rem',
      lineHeight: '1.45',
      colorScheme: { base: 'light', _dark: 'dark' },
      '@media print': { bg: '#fff', color: '#000' },
    },
    html: {
      fontSize: `${(USUAL_PX / 16) * 100}%`,
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
    // Where the system sets the colours, what is in hand is told by its edge.
    '[aria-current], [aria-pressed=true], [aria-checked=true], [aria-selected=true]': {
      '@media (forced-colors: active)': { outline: '2px solid', outlineOffset: '-2px' },
    },
    // Drawings keep their own, on their own ground: without them a screw and its nut would be one shape.
    'svg[role=img], [role=img] > svg': {
      '@media (forced-colors: active)': { forcedColorAdjust: 'none', bg: 'panel', color: 'ink' },
    },
    ':focus-visible': { outline: '3px solid', outlineColor: 'lamp', outlineOffset: '2px' },
  },
})

export const system = createSystem(defaultBaseConfig, config)
