import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { RouterProvider } from 'react-router'
import 'bootstrap/dist/css/bootstrap.min.css'
import '@fontsource-variable/literata/index.css'
import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import './theme.css'
import { router } from './app/routes'
import { applyTheme } from './app/theme'

applyTheme()
const root = document.getElementById('root')
if (root)
  createRoot(root).render(
    <StrictMode>
      <RouterProvider router={router} />
    </StrictMode>,
  )
