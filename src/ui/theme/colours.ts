/** Every colour by its role: in the day scheme, for sunlight, and in the dusk scheme, for the shed. */
export const COLOURS = {
  canvas: ['#efede6', '#141a23'],
  panel: ['#fbfaf6', '#1c2531'],
  raised: ['#ffffff', '#263241'],
  sunken: ['#e4e1d7', '#10151d'],
  field: ['#ffffff', '#10151d'],
  line: ['#c3beae', '#3a495b'],
  edge: ['#77715f', '#71849a'],
  ink: ['#1a222c', '#eef2f6'],
  quiet: ['#4d5663', '#b3c0ce'],
  lamp: ['#8f4a00', '#ffb454'],
  lampFill: ['#ffbe66', '#ffb454'],
  onLamp: ['#21160a', '#21160a'],
  holds: ['#14633a', '#83d6a8'],
  close: ['#6a5400', '#e6dc7a'],
  fails: ['#a81d14', '#ff9c93'],
  unknown: ['#455a70', '#a9bdd3'],
  steel: ['#7d8a98', '#8fa1b5'],
  steelDark: ['#5b6875', '#5d6f83'],
  brass: ['#a07d35', '#c9a86a'],
  casting: ['#9aa5b1', '#46566a'],
  motorBody: ['#3d4957', '#313e4f'],
} as const

/** What the first frame is painted with, before any script has come. */
const FIRST = ['canvas', 'panel', 'line', 'ink', 'quiet', 'lampFill', 'steel'] as const

const variables = (scheme: 0 | 1) => FIRST.map(name => `--first-${name}:${COLOURS[name][scheme]}`).join(';')
const [day, dusk] = [`${variables(0)};color-scheme:light`, `${variables(1)};color-scheme:dark`]

/** Paper is white, and what is on it as by day. */
const WHITE: readonly string[] = ['canvas', 'panel', 'raised', 'sunken', 'field']
const onPaper = Object.entries(COLOURS)
  .map(([name, [colour]]) => {
    const variable = name.replace(/[A-Z]/g, letter => `-${letter.toLowerCase()}`)
    return `--dusk-colors-${variable}:${WHITE.includes(name) ? '#fff' : colour}`
  })
  .join(';')

/** The first frame's colours: the chosen scheme, or the one of the system as long as none was chosen. */
export const FIRST_COLOURS =
  `:root{${day}}@media(prefers-color-scheme:dark){:root:not(.day){${dusk}}}:root.dusk{${dusk}}` +
  'html,body{margin:0;background:var(--first-canvas);color:var(--first-ink)}' +
  `@media print{body{${onPaper};color-scheme:light}}`
