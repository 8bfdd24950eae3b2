/** A line of the legend, as it is drawn. */
export interface LegendLine {
  name: string
  /** As the page knows it: a colour or a variable of the theme. */
  color: string
  dash?: string
}

const LEGEND_PX = 20
const MARGIN_PX = 8
/** What of an element has a colour in it. */
const COLORED = ['stroke', 'fill'] as const

/**
 * A chart of the page as a file of its own: an SVG with its colours written out, a white ground, and the legend that stands
 * beside it on the page.
 *
 * @param drawn the drawing on the page
 * @param colorOf what a colour of the theme is: `var(--dusk-colors-lamp)` to `#8c4a00`
 * @returns the text of the file
 */
export function chartPicture(
  drawn: SVGSVGElement,
  title: string,
  legend: readonly LegendLine[],
  colorOf: (color: string) => string,
): string {
  const { width, height } = drawn.getBoundingClientRect()
  const picture = drawn.cloneNode(true) as SVGSVGElement
  const { ownerDocument } = picture
  const make = (name: string, attributes: Record<string, string | number>, text?: string) => {
    const element = ownerDocument.createElementNS('http://www.w3.org/2000/svg', name)
    for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, String(value))
    if (text !== undefined) element.textContent = text
    return element
  }
  for (const element of [picture, ...picture.querySelectorAll('*')])
    for (const key of COLORED) {
      const color = element.getAttribute(key)
      if (color?.startsWith('var(')) element.setAttribute(key, colorOf(color))
    }
  const heightPx = Math.round(height + LEGEND_PX * (legend.length + 1) + MARGIN_PX)
  const widthPx = Math.round(width)
  for (const [key, value] of Object.entries({
    xmlns: 'http://www.w3.org/2000/svg',
    width: widthPx,
    height: heightPx,
    viewBox: `0 0 ${widthPx} ${heightPx}`,
    'font-family': 'sans-serif',
    'font-size': 13,
  }))
    picture.setAttribute(key, String(value))
  picture.removeAttribute('style')
  picture.prepend(
    make('title', {}, title),
    make('rect', { width: widthPx, height: heightPx, fill: colorOf('var(--dusk-colors-panel)') }),
  )
  const ink = colorOf('var(--dusk-colors-ink)')
  const lineOf = (index: number) => height + LEGEND_PX * (index + 0.6)
  picture.append(make('text', { x: MARGIN_PX, y: lineOf(0), fill: ink }, title))
  for (const [index, { name, color, dash }] of legend.entries()) {
    const y = lineOf(index + 1)
    picture.append(
      make('line', {
        x1: MARGIN_PX,
        x2: 40,
        y1: y - 4,
        y2: y - 4,
        stroke: colorOf(color),
        'stroke-width': 2.2,
        ...(dash && { 'stroke-dasharray': dash }),
      }),
      make('text', { x: 48, y, fill: ink }, name),
    )
  }
  return new XMLSerializer().serializeToString(picture)
}

/** What a colour of the theme is on the page now. */
export function colorOnPage(color: string): string {
  const name = /^var\((--[\w-]+)/.exec(color)?.[1]
  return name ? getComputedStyle(document.documentElement).getPropertyValue(name).trim() || color : color
}
