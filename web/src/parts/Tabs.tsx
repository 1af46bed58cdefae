import css from './Tabs.module.css'
import classNames from 'classnames'
/** Parts of one screen, one at a time; which one is in the address. */
export function Tabs<T extends string>({
  tabs,
  here,
  name,
  onTab,
}: {
  tabs: readonly T[]
  here: T
  name: string
  onTab: (tab: T) => void
}) {
  return (
    <div className={classNames(css.tabs, 'no-print')} role="group" aria-label={name}>
      {tabs.map((tab) => (
        <button
          key={tab}
          type="button"
          aria-pressed={tab === here}
          onClick={() => {
            onTab(tab)
          }}
        >
          {tab}
        </button>
      ))}
    </div>
  )
}
