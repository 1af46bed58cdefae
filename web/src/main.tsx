import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import './bootstrap.scss'
import '@fontsource-variable/literata/index.css'
import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import './theme.css'
import { App, Today } from './app/routes'
import { applyTheme } from './app/theme'

applyTheme()
// Most days begin with Today: it is fetched while the notebook is.
if (/^\/(n\/[^/]+\/?)?$/.test(location.pathname)) void Today.fetch().catch(() => undefined)
const root = document.getElementById('root')
if (root)
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  )
