import { Button } from 'antd'
import { Component, type ReactNode } from 'react'

/** The last net: says what happened in words, keeps what is unsaved (it is in this browser), and offers a way on. */
export class ErrorBoundary extends Component<{ children: ReactNode }, { broken: boolean }> {
  override state = { broken: false }

  static getDerivedStateFromError(): { broken: boolean } {
    return { broken: true }
  }

  override render() {
    if (!this.state.broken) return this.props.children
    return (
      <main className="plain-page">
        <h1>This page lost its place</h1>
        <p>Nothing is lost: what was not saved yet is kept in this browser and comes back when you reload.</p>
        <Button type="primary" onClick={() => window.location.reload()}>
          Reload
        </Button>
      </main>
    )
  }
}
