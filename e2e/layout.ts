import type { Page } from '@playwright/test'

/**
 * What lies wrong on the page as it stands: anything wider than the screen, words cut off or printed over each other,
 * labels of a drawing on another label or on a line, buttons broken over lines, fields the browser drew itself.
 */
export function layoutFaults(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const faults = new Set<string>()
    const wide = document.documentElement.clientWidth
    if (document.documentElement.scrollWidth > wide + 1)
      faults.add(`the page is ${document.documentElement.scrollWidth} px wide on a screen of ${wide}`)

    interface Piece {
      readonly node: Element
      readonly text: string
      readonly box: DOMRect
    }
    const short = (text: string) => `“${text.replace(/\s+/g, ' ').trim().slice(0, 40)}”`
    const isSeen = (node: Element) =>
      node.checkVisibility({
        opacityProperty: true,
        visibilityProperty: true,
        contentVisibilityAuto: true,
      }) && node.closest('.visually-hidden, option') === null
    /** Scrolled sideways on purpose, or laid over the page. */
    const isApart = (node: Element) => {
      for (let up: Element | null = node; up; up = up.parentElement) {
        const { overflowX, position } = getComputedStyle(up)
        if (overflowX === 'auto' || overflowX === 'scroll') return true
        if (position === 'fixed' || position === 'sticky') return true
      }
      return false
    }
    const pieces: Piece[] = []
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walk.nextNode(); node; node = walk.nextNode()) {
      const text = node.textContent ?? ''
      const parent = node.parentElement
      if (!parent || text.trim() === '' || !isSeen(parent) || parent.closest('script, style, title, desc'))
        continue
      const range = document.createRange()
      range.selectNodeContents(node)
      for (const box of range.getClientRects())
        if (box.width > 1 && box.height > 1) pieces.push({ node: parent, text, box })
    }
    for (const { node, text, box } of pieces) {
      if (isApart(node)) continue
      if (box.left < -1 || box.right > wide + 1) faults.add(`${short(text)} runs off the screen`)
      for (let up: Element | null = node; up && up !== document.body; up = up.parentElement) {
        const { overflowX, overflowY, textOverflow } = getComputedStyle(up)
        if ((overflowX !== 'hidden' && overflowX !== 'clip') || textOverflow === 'ellipsis') continue
        const around = up.getBoundingClientRect()
        if (box.left < around.left - 1 || box.right > around.right + 1)
          faults.add(`${short(text)} is cut off sideways`)
        if (overflowY === 'hidden' && (box.top < around.top - 3 || box.bottom > around.bottom + 3))
          faults.add(`${short(text)} is cut off`)
      }
    }
    // The box of a line of text is taller than its letters.
    const letters = ({ x, y, width, height }: DOMRect) =>
      new DOMRect(x, y + 0.22 * height, width, 0.56 * height)
    const meet = (p: DOMRect, q: DOMRect) =>
      Math.min(p.right, q.right) - Math.max(p.left, q.left) > 1.5 &&
      Math.min(p.bottom, q.bottom) - Math.max(p.top, q.top) > 1
    const flat = pieces.filter(({ node }) => !isApart(node)).sort((p, q) => p.box.top - q.box.top)
    for (let i = 0; i < flat.length; i++)
      for (let j = i + 1; j < flat.length; j++) {
        const [p, q] = [flat[i], flat[j]]
        if (!p || !q || q.box.top > p.box.bottom) break
        if (p.node === q.node || p.node.contains(q.node) || q.node.contains(p.node)) continue
        if (meet(letters(p.box), letters(q.box)))
          faults.add(`${short(p.text)} and ${short(q.text)} lie on each other`)
      }

    for (const svg of document.querySelectorAll('svg')) {
      if (!isSeen(svg)) continue
      const labels = [...svg.querySelectorAll('text')].filter(isSeen)
      if (labels.length === 0) continue
      const lines = [...svg.querySelectorAll<SVGGeometryElement>('line, path, polyline')].filter((line) => {
        const style = getComputedStyle(line)
        return (
          isSeen(line) &&
          line.closest('.apexcharts-grid, defs, clipPath, marker') === null &&
          style.stroke !== 'none' &&
          Number(style.strokeOpacity) > 0.35 &&
          Number(style.opacity) > 0.35
        )
      })
      const covers = [...svg.querySelectorAll('rect')].filter((rect) => {
        const { fill, fillOpacity, opacity } = getComputedStyle(rect)
        return isSeen(rect) && fill !== 'none' && Number(fillOpacity) === 1 && Number(opacity) === 1
      })
      /** A bar drawn over a line hides it from what is written on the bar. */
      const isHidden = (line: Element, inner: DOMRect) =>
        covers.some((rect) => {
          const box = rect.getBoundingClientRect()
          return (
            (line.compareDocumentPosition(rect) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0 &&
            box.left <= inner.left &&
            box.right >= inner.right &&
            box.top <= inner.top &&
            box.bottom >= inner.bottom
          )
        })
      for (const label of labels) {
        // A label with a halo of the paper's colour may lie on a line.
        const { paintOrder, stroke } = getComputedStyle(label)
        if (stroke !== 'none' && paintOrder.startsWith('stroke')) continue
        const box = label.getBoundingClientRect()
        const inner = new DOMRect(box.x + 1, box.y + box.height * 0.22, box.width - 2, box.height * 0.5)
        for (const line of lines) {
          const matrix = line.getScreenCTM()
          if (!matrix) continue
          const around = line.getBoundingClientRect()
          if (
            around.right < inner.left ||
            around.left > inner.right ||
            around.bottom < inner.top ||
            around.top > inner.bottom ||
            isHidden(line, inner)
          )
            continue
          const long = line.getTotalLength()
          const steps = Math.min(2000, Math.ceil(long / 2))
          for (let k = 0; k <= steps; k++) {
            const at = line.getPointAtLength((k / steps) * long).matrixTransform(matrix)
            if (at.x > inner.left && at.x < inner.right && at.y > inner.top && at.y < inner.bottom) {
              faults.add(
                `a line runs through ${short(label.textContent)} in ${short(svg.getAttribute('aria-label') ?? svg.closest('[aria-label]')?.getAttribute('aria-label') ?? 'a drawing')}`,
              )
              break
            }
          }
        }
      }
    }

    for (const input of document.querySelectorAll('input[type=file], input[type=color], input[type=date]'))
      if (isSeen(input) && input.getBoundingClientRect().width > 2 && !isApart(input))
        faults.add(`a bare field of the browser: ${input.getAttribute('aria-label') ?? input.id}`)
    for (const button of document.querySelectorAll('button, a.btn')) {
      if (!isSeen(button)) continue
      const mine = pieces.filter(({ node }) => button === node || button.contains(node))
      const first = mine[0]
      if (!first || mine.every(({ box }) => Math.abs(box.top - first.box.top) < first.box.height / 2))
        continue
      if (button.querySelector('svg, small, br, div')) continue
      const last = mine[mine.length - 1]
      const most = Math.max(...mine.map(({ box }) => box.width))
      if (last && last.box.width < 0.35 * most)
        faults.add(`the last word of the button ${short(button.textContent)} stands alone`)
    }
    return [...faults]
  })
}
