import css from './Paper.module.css'
import classNames from 'classnames'
import { type ReactNode, useEffect, useRef, useState } from 'react'
import { createPortal } from 'react-dom'

/** As wide as a broad screen, so that columns stand side by side as they do there. */
const FRAME_PX = 1400
/** What is still being fetched for the sheet is waited for so long, ms. */
const PATIENCE_MS = 4000

/**
 * A sheet laid out in a frame of its own that nobody sees, so wide whatever the screen’s width is, and handed over
 * once its typefaces are there and nothing on it is still being worked out.
 */
export function PaperFrame({
  widthPx,
  isCompact,
  children,
  onReady,
}: {
  widthPx: number
  /** Set closer: it is to be one page. */
  isCompact: boolean
  children: ReactNode
  onReady: (sheet: HTMLElement) => void
}) {
  const frame = useRef<HTMLIFrameElement>(null)
  const [sheet, setSheet] = useState<HTMLElement | null>(null)
  // A document of its own is outside React: it is given the page’s styles, and a place for the sheet.
  const dress = () => {
    const document = frame.current?.contentDocument
    if (!document || sheet) return
    document.documentElement.dataset['bsTheme'] = 'light'
    for (const style of window.document.querySelectorAll('link[rel="stylesheet"], style'))
      document.head.append(document.importNode(style, true))
    const made = document.createElement('div')
    made.className = classNames(css.sheet, isCompact && css.compact)
    made.style.width = `${widthPx}px`
    document.body.append(made)
    setSheet(made)
  }
  const ready = useRef(onReady)
  useEffect(() => {
    ready.current = onReady
  })
  useEffect(() => {
    // Layout, typefaces and what the sheet still asks for are outside React.
    if (!sheet) return
    let wanted = true
    void pageReady(sheet).then(() => {
      if (wanted) ready.current(sheet)
    })
    return () => {
      wanted = false
    }
  }, [sheet])
  return createPortal(
    <>
      <iframe
        ref={frame}
        className={css.frame}
        title="The sheet laid out for paper"
        aria-hidden
        tabIndex={-1}
        srcDoc="<!doctype html><title>Sheet</title>"
        style={{ width: FRAME_PX, height: FRAME_PX }}
        onLoad={dress}
      />
      {sheet && createPortal(children, sheet)}
    </>,
    window.document.body,
  )
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

async function pageReady(sheet: HTMLElement): Promise<void> {
  const document = sheet.ownerDocument
  const until = performance.now() + PATIENCE_MS
  const links = [...document.querySelectorAll<HTMLLinkElement>('link[rel="stylesheet"]')]
  while (
    performance.now() < until &&
    (links.some((link) => link.sheet === null) || sheet.querySelector('[aria-busy="true"]'))
  )
    await pause(20)
  for (const [name, value] of printInks(document)) sheet.style.setProperty(name, value)
  await document.fonts.ready
  await laidOut()
}

/** The inks the theme gives to paper: those its rules for print set on the page as a whole. */
function printInks(document: Document): readonly (readonly [name: string, value: string])[] {
  const rules = [...document.styleSheets].flatMap((sheet) => [...sheet.cssRules])
  const printed = rules.flatMap((rule) =>
    'media' in rule && (rule as CSSMediaRule).media.mediaText === 'print'
      ? [...(rule as CSSMediaRule).cssRules]
      : [],
  )
  return (printed as CSSStyleRule[])
    .filter(({ selectorText }) => selectorText?.includes(':root'))
    .flatMap(({ style }) =>
      [...style].flatMap((name) =>
        name.startsWith('--') ? [[name, style.getPropertyValue(name)] as const] : [],
      ),
    )
}

/** Drawings follow their width a moment after the layout. */
export async function laidOut(): Promise<void> {
  for (let frames = 0; frames < 3; frames++)
    await Promise.race([new Promise((resolve) => requestAnimationFrame(resolve)), pause(50)])
}
