const token = (name: string) => `var(--dusk-colors-${name})`

/** The theme's colours as a chart takes them. */
export const chartColors = {
  ink: token('ink'),
  quiet: token('quiet'),
  line: token('line'),
  edge: token('edge'),
  panel: token('panel'),
  lamp: token('lamp'),
  holds: token('holds'),
  close: token('close'),
  fails: token('fails'),
  unknown: token('unknown'),
  brass: token('brass'),
}
