import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import '../css/gravik.css'
import '../css/hand.css'
import '../css/shapes.css'
import '../css/listen.css'
import '../css/practice.css'
import { App } from './app/App'

const root = document.getElementById('gravik')
if (root !== null) {
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  )
}
