import '@fontsource-variable/atkinson-hyperlegible-next'
import '@fontsource-variable/bricolage-grotesque'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { RouterProvider } from 'react-router/dom'
import { keepShell } from './app/keep-shell'
import { router } from './app/router'
import { startStore, store } from './state/store'
import './app/theme.css'

startStore()

const root = document.getElementById('root')
if (!root) throw new Error('the page has no root')
// The shell opens with the server gone; while developing, the server's own files are wanted.
if (import.meta.env.PROD) keepShell()

createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
)
