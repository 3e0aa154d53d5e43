/** What of a drawing's look comes from the page's style and must stand in a file of its own. */
const LOOK = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'font-style',
  'letter-spacing',
  'text-anchor',
  'dominant-baseline',
  'visibility',
  'display',
] as const

/** A drawing on the page as an SVG that looks the same by itself. */
export function drawingAlone(drawn: SVGSVGElement): string {
  const copy = drawn.cloneNode(true) as SVGSVGElement
  const originals = [drawn, ...drawn.querySelectorAll('*')]
  ;[copy, ...copy.querySelectorAll('*')].forEach((element, place) => {
    const look = getComputedStyle(originals[place] as Element)
    const told = LOOK.map((name) => [name, look.getPropertyValue(name)] as const).filter(([, value]) => value !== '')
    element.setAttribute('style', told.map(([name, value]) => `${name}:${value}`).join(';'))
    for (const name of ['class', 'tabindex', 'role']) element.removeAttribute(name)
  })
  const box = drawn.getBoundingClientRect()
  const [width, height] = [drawn.getAttribute('width') ?? String(box.width), drawn.getAttribute('height') ?? String(box.height)]
  if (copy.getAttribute('viewBox') === null) copy.setAttribute('viewBox', `0 0 ${width} ${height}`)
  copy.setAttribute('width', width)
  copy.setAttribute('height', height)
  return new XMLSerializer().serializeToString(copy)
}

/** Hands a drawing on the page out as a file. */
export function saveDrawing(drawn: SVGSVGElement, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([drawingAlone(drawn)], { type: 'image/svg+xml' }))
  link.download = `${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.svg`
  link.click()
  URL.revokeObjectURL(link.href)
}
