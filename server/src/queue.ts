/** Runs what it is given one after the other, whatever became of the one before. */
export function queue(): <T>(run: () => Promise<T>) => Promise<T> {
  let last: Promise<unknown> = Promise.resolve()
  return (run) => {
    const next = last.then(run, run)
    last = next.catch(() => undefined)
    return next
  }
}
