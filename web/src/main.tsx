import '@fontsource/barlow/latin-400.css'
import '@fontsource/barlow/latin-500.css'
import '@fontsource/barlow-condensed/latin-500.css'
import '@fontsource/barlow-condensed/latin-600.css'
import './index.css'
import { setupListeners } from '@reduxjs/toolkit/query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { App } from './App'
import { fetchPage } from './pages'
import { startStore } from './store/store'
import { watchPrinting } from './ui/watchPrinting'

const store = startStore()
watchPrinting()
setupListeners(store.dispatch)
const root = document.getElementById('root')
if (!root) throw new Error('The page has no place for the application.')
// Not awaited here: the page stands on this file, and would wait for it in turn.
void fetchPage(window.location.pathname).then(() =>
  createRoot(root).render(
    <StrictMode>
      <Provider store={store}>
        <App />
      </Provider>
    </StrictMode>,
  ),
)
