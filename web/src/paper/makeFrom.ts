import { proxy } from 'comlink'
import type { Notify } from '../parts/useLongRun'
import { type AboutPdf, roomOn } from './definition'
import { laidOut } from './PaperFrame'
import { paperMaking } from './paperMaking'
import type { MadePdf } from './pdf'
import type { Layout } from './layout'
import { readSheet } from './readSheet'

/** The widest a sheet may be laid out for one page, px: small print is then 6.4 points. */
const WIDEST_PX = 1000
const WIDER_BY_PX = 50

/** A laid out sheet as a PDF. One that is to be a page is laid out wider, and so smaller, until it is one. */
export async function makeFrom(
  root: HTMLElement,
  layout: Layout,
  about: AboutPdf,
  notify: Notify,
): Promise<MadePdf | null> {
  const room = roomOn(about.paper)
  const isWhole = () => {
    const { width, height } = root.getBoundingClientRect()
    return (height * room.width) / width <= room.height
  }
  const widthPx = () => root.getBoundingClientRect().width
  const widen = async () => {
    root.style.width = `${widthPx() + WIDER_BY_PX}px`
    await laidOut()
  }
  const mayWiden = () => layout === 'hand-in' && widthPx() < WIDEST_PX
  while (!isWhole() && mayWiden()) await widen()
  if (!notify(0.05)) return null
  const remote = await paperMaking()
  for (;;) {
    const made = await remote.make(readSheet(root), about, proxy(notify))
    // Set in type it may come out longer than it was laid out.
    if (made === null || made.pages === 1 || !mayWiden()) return made
    await widen()
  }
}
