import css from './Frame.module.css'
import { useEffect, useState } from 'react'
import { BookOpen, CircleDashed, Eye, FileQuestion, FlaskConical, Thermometer } from 'lucide-react'
import Button from 'react-bootstrap/Button'
import { NavLink, Outlet, useParams } from 'react-router'
import { openNotebook, useNotebook } from '../ledger/notebook'
import { KeysHelp } from '../parts/sheets/KeysHelp'
import { applyTheme, theme } from './theme'
import { part } from '../device/place'
import { whenQuiet } from '../device/quiet'
import { RescueKey } from '../parts/sheets/RescueKey'
import { useFromTheTop } from '../parts/useFromTheTop'

// The rail and the place are there first.
const LinesElsewhere = part(async () => (await import('../parts/LinesElsewhere')).LinesElsewhere)
const Clocks = part(async () => (await import('./Clocks')).Clocks)
const Beside = part(async () => (await import('./Beside')).Beside)

/** The rail and the place beside it. */
export function Frame() {
  useFromTheTop()
  const { notebook: named } = useParams()
  const status = useNotebook((state) => state.status)
  const failure = useNotebook((state) => state.failure)
  const notebook = useNotebook((state) => state.notebook)
  // While another is being opened, the places are already its own.
  const at = status === 'opening' ? (named ?? notebook) : notebook
  const here = at ? `/n/${at}` : ''
  useEffect(() => {
    // The notebook of the address is opened when it is not the one that is open.
    const state = useNotebook.getState()
    if (state.notebook === null || (named && named !== state.notebook)) void openNotebook(named ?? null)
  }, [named])
  useEffect(() => {
    // Places not opened yet are fetched while nothing else happens, so that they are there without a network.
    if (status !== 'open') return
    let wanted = true
    void whenQuiet().then(async () => {
      if (wanted)
        await import('./afterwards')
          .then(({ afterwards }) => {
            afterwards()
          })
          .catch(() => undefined)
    })
    return () => {
      wanted = false
    }
  }, [status])
  return (
    <div className={css.frame}>
      <nav className={css.rail} aria-label="Places">
        <Crystal />
        <Place to={here || '/'} name="Today" end icon={<CircleDashed size={20} aria-hidden />} />
        <Place to={`${here}/preps`} name="Preps" icon={<FlaskConical size={20} aria-hidden />} />
        <Place to={`${here}/unknowns`} name="Unknowns" icon={<FileQuestion size={20} aria-hidden />} />
        <Place to={`${here}/instruments`} name="Instruments" icon={<Thermometer size={20} aria-hidden />} />
        <Place to={`${here}/shelf`} name="Shelf" icon={<BookOpen size={20} aria-hidden />} />
        <Place to={`${here}/practice`} name="Practice" icon={<Eye size={20} aria-hidden />} />
        <div className={css.bottom}>
          {status === 'open' && <Clocks />}
          {status === 'open' && <RescueKey />}
          <ThemeButton />
          <KeysHelp />
        </div>
      </nav>
      {status === 'open' && (
        <main className="desk">
          <Beside />
          <Outlet />
        </main>
      )}
      {status === 'opening' && (
        <main className="desk" aria-busy="true">
          <h1>Opening the notebook …</h1>
        </main>
      )}
      {status === 'failed' && (
        <main className="desk">
          <h1>The notebook could not be opened</h1>
          <p className="mt-3" role="alert">
            {failure}
          </p>
          <LinesElsewhere />
          <Button onClick={() => void openNotebook(named ?? null)}>Try again</Button>
        </main>
      )}
    </div>
  )
}

function Place({
  to,
  name,
  icon,
  end = false,
}: {
  to: string
  name: string
  icon: React.ReactNode
  end?: boolean
}) {
  return (
    <NavLink className={css.place} to={to} end={end}>
      {icon}
      {name}
    </NavLink>
  )
}

function ThemeButton() {
  const [now, setNow] = useState(theme)
  const other = now === 'light' ? 'dark' : 'light'
  return (
    <button
      type="button"
      onClick={() => {
        applyTheme(other)
        setNow(other)
      }}
    >
      {other === 'dark' ? 'dim' : 'bright'}
    </button>
  )
}

function Crystal() {
  return (
    <svg
      className={css.crystal}
      viewBox="0 0 32 40"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.6"
      strokeLinejoin="round"
      role="img"
      aria-label="Ivory Crystal"
    >
      <path d="M16 2 28 10v18L16 38 4 28V10z" />
      <path d="M4 10l12 6 12-6M16 16v22M4 28l12-12 12 12M16 2v14" strokeWidth="0.9" />
    </svg>
  )
}
