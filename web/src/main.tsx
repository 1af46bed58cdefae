import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import 'bootstrap/dist/css/bootstrap.min.css'
import '@fontsource-variable/literata/index.css'
import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import './theme.css'
import { App } from './app/routes'
import { applyTheme } from './app/theme'

applyTheme()
const root = document.getElementById('root')
if (root)
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  )
