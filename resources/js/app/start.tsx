import { StrictMode } from 'react'
import type { Root } from 'react-dom/client'
import { App } from './App'

export function start(root: Root): void {
  root.render(
    <StrictMode>
      <App />
    </StrictMode>,
  )
}
