/** Fields something was typed into since they were shown. */
const touched = new Set<HTMLInputElement | HTMLTextAreaElement>()

/** Notes every field that is typed into, from now on. */
export function watchTyping(): () => void {
  const note = ({ target }: Event) => {
    if (target instanceof HTMLTextAreaElement) touched.add(target)
    if (target instanceof HTMLInputElement && !NO_TEXT.includes(target.type)) touched.add(target)
  }
  document.addEventListener('input', note, true)
  return () => {
    document.removeEventListener('input', note, true)
  }
}

const NO_TEXT = ['checkbox', 'radio', 'range', 'button', 'submit', 'file', 'color']

/** Whether a field on this page holds something that was typed into it. */
export function isHalfTyped(): boolean {
  for (const field of touched) if (!field.isConnected) touched.delete(field)
  return [...touched].some(({ value }) => value.trim() !== '')
}
