import { proxy } from 'comlink'
import type { Tell } from '../parts/useLongRun'
import { type AboutPdf, roomOn } from './definition'
import { laidOut } from './PaperFrame'
import { paperMaking } from './paperMaking'
import type { MadePdf } from './pdf'
import type { Layout } from './PdfMenu'
import { readSheet } from './readSheet'

/** The widest a sheet may be laid out for one page, px: small print is then 6.4 points. */
const WIDEST_PX = 1000
const WIDER_BY_PX = 50
/** Set in type, a sheet may come out a little longer than it was laid out. */
const SAFELY = 0.97

/** A laid out sheet as a PDF. One that is to be a page is laid out wider, and so smaller, until it is one. */
export async function makeFrom(
  root: HTMLElement,
  layout: Layout,
  about: AboutPdf,
  tell: Tell,
): Promise<MadePdf | null> {
  const room = roomOn(about.paper)
  const isWhole = () => {
    const { width, height } = root.getBoundingClientRect()
    return (height * room.width) / width <= SAFELY * room.height
  }
  if (layout === 'hand-in')
    for (let px = root.getBoundingClientRect().width; !isWhole() && px < WIDEST_PX; px += WIDER_BY_PX) {
      root.style.width = `${px}px`
      await laidOut()
    }
  if (!tell(0.05)) return null
  const remote = await paperMaking()
  return remote.make(readSheet(root), about, proxy(tell))
}
