import type { DrawingBlock } from './blocks'
import { piecesOf } from './faces'

/** A colour as it was computed, in parts a drawing on paper can be given: `#rrggbb` and how opaque, 0 to 1. */
export function colourOf(computed: string): { readonly hex: string; readonly alpha: number } | null {
  const numbers = (computed.match(/-?[\d.]+(e-?\d+)?/g) ?? []).map(Number)
  const isUnit = computed.startsWith('color(')
  if (!isUnit && !computed.startsWith('rgb')) return null
  const [red = 0, green = 0, blue = 0, alpha = 1] = numbers
  const hex = [red, green, blue]
    .map((part) =>
      Math.round(Math.min(255, Math.max(0, isUnit ? 255 * part : part)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')
  return { hex: `#${hex}`, alpha }
}

const LENGTHS = ['x', 'y', 'width', 'height', 'x1', 'x2', 'y1', 'y2', 'cx', 'cy', 'r', 'rx', 'ry'] as const
const NAMESPACE = 'http://www.w3.org/2000/svg'

/**
 * A drawing as it stands on the screen, made to stand alone: every colour, line and typeface written into it, every
 * length in px.
 */
export function readDrawing(svg: SVGSVGElement): Omit<DrawingBlock, 'is' | 'gapPx'> {
  const copy = svg.cloneNode(true) as SVGSVGElement
  const box = svg.getBoundingClientRect()
  const user = (svg.getAttribute('viewBox') ?? `0 0 ${box.width} ${box.height}`)
    .split(/[\s,]+/)
    .map(Number) as [number, number, number, number]
  const hatches = new Set<string>()
  writeIn(svg, copy, hatches)
  for (const id of hatches) {
    const found = svg.ownerDocument.getElementById(id)
    if (!found || svg.contains(found)) continue
    const defs = svg.ownerDocument.createElementNS(NAMESPACE, 'defs')
    const pattern = found.cloneNode(true) as Element
    writeIn(found, pattern, new Set())
    defs.append(pattern)
    copy.prepend(defs)
  }
  const [left, top, width, height] = beyond(svg, user)
  const scale = user[2] > 0 ? box.width / user[2] : 1
  for (const name of [...copy.getAttributeNames()]) copy.removeAttribute(name)
  copy.setAttribute('xmlns', NAMESPACE)
  copy.setAttribute('viewBox', `${short(left)} ${short(top)} ${short(width)} ${short(height)}`)
  copy.setAttribute('width', short(width * scale))
  copy.setAttribute('height', short(height * scale))
  return {
    svg: copy.outerHTML,
    widthPx: width * scale,
    heightPx: height * scale,
    outPx: (user[0] - left) * scale,
  }
}

/** What is drawn beyond the frame, where the frame lets it be seen. */
function beyond(svg: SVGSVGElement, user: readonly [number, number, number, number]) {
  const [left, top, width, height] = user
  if (getComputedStyle(svg).overflow !== 'visible' || typeof svg.getBBox !== 'function') return user
  const drawn = svg.getBBox()
  const from = [Math.min(left, drawn.x), Math.min(top, drawn.y)] as const
  return [
    ...from,
    Math.max(left + width, drawn.x + drawn.width) - from[0],
    Math.max(top + height, drawn.y + drawn.height) - from[1],
  ] as const
}

const short = (value: number) => String(Number(value.toFixed(2)))

function writeIn(shown: Element, copy: Element, hatches: Set<string>): void {
  const style = getComputedStyle(shown)
  const tag = shown.tagName.toLowerCase()
  if (style.display === 'none' || tag === 'title' || tag === 'desc') return void copy.remove()
  // Taken before any is removed: the two are walked side by side.
  const inside = [...copy.children]
  for (const [i, child] of [...shown.children].entries()) {
    const its = inside[i]
    if (its) writeIn(child, its, hatches)
  }
  copy.removeAttribute('class')
  copy.removeAttribute('style')
  inPx(shown, copy)
  if (/^(svg|g|defs|pattern|clippath|lineargradient|stop|image)$/.test(tag)) {
    if (style.opacity !== '1') copy.setAttribute('opacity', style.opacity)
    return
  }
  paint(copy, 'fill', style.fill, style.fillOpacity, hatches)
  paint(copy, 'stroke', style.stroke, style.strokeOpacity, hatches)
  if (style.opacity !== '1') copy.setAttribute('opacity', style.opacity)
  if (style.stroke !== 'none') {
    copy.setAttribute('stroke-width', style.strokeWidth.replace('px', ''))
    const dashes = style.strokeDasharray
    if (dashes && dashes !== 'none') copy.setAttribute('stroke-dasharray', dashes.replaceAll('px', ''))
  }
  if (tag === 'text' || tag === 'tspan') setInType(copy, style)
}

/** Parts of a width become px: what stands alone has no width to be a part of. */
function inPx(shown: Element, copy: Element): void {
  for (const name of LENGTHS) {
    if (!copy.getAttribute(name)?.endsWith('%')) continue
    const length = (shown as unknown as Record<string, SVGAnimatedLength | SVGAnimatedLengthList>)[name]
    const value = length?.baseVal
    const px = value && 'value' in value ? value.value : value?.numberOfItems ? value.getItem(0).value : 0
    copy.setAttribute(name, short(px))
  }
}

function paint(
  copy: Element,
  what: 'fill' | 'stroke',
  computed: string,
  opacity: string,
  hatches: Set<string>,
) {
  const hatch = /^url\("?#([^")]+)"?\)/.exec(computed)?.[1]
  if (hatch) {
    hatches.add(hatch)
    return void copy.setAttribute(what, `url(#${hatch})`)
  }
  const colour = colourOf(computed)
  copy.setAttribute(what, colour && colour.alpha > 0 ? colour.hex : 'none')
  const alpha = (colour?.alpha ?? 1) * Number(opacity || 1)
  if (colour && alpha < 1) copy.setAttribute(`${what}-opacity`, short(alpha))
}

export function isHeadFace(style: CSSStyleDeclaration): boolean {
  return style.fontFamily.includes('Literata')
}
export function isBoldFace(style: CSSStyleDeclaration): boolean {
  return Number(style.fontWeight) >= 600
}

function setInType(copy: Element, style: CSSStyleDeclaration): void {
  const family = isHeadFace(style) ? 'Head' : 'Text'
  copy.setAttribute('font-family', family)
  copy.setAttribute('font-size', style.fontSize.replace('px', ''))
  copy.setAttribute('font-weight', isBoldFace(style) ? 'bold' : 'normal')
  if (style.textAnchor !== 'start') copy.setAttribute('text-anchor', style.textAnchor)
  const document = copy.ownerDocument
  for (const node of [...copy.childNodes]) {
    if (node.nodeType !== 3) continue
    const pieces = piecesOf(node.textContent ?? '')
    if (pieces.every(({ face }) => face === 'Text')) {
      node.textContent = pieces.map(({ text }) => text).join('')
      continue
    }
    node.replaceWith(
      ...pieces.map(({ text, face }) => {
        if (face === 'Text') return document.createTextNode(text)
        const span = document.createElementNS(NAMESPACE, 'tspan')
        span.setAttribute('font-family', face)
        span.textContent = text
        return span
      }),
    )
  }
  // Letters outlined in the colour behind them: on paper the outline would lie over the letters, so it is left away.
  if (style.getPropertyValue('paint-order').startsWith('stroke')) {
    copy.setAttribute('stroke', 'none')
    copy.removeAttribute('stroke-width')
  }
}
