import { Component, type ReactNode } from 'react'

/** Where a room fails to draw: says so and offers a way on. What was typed is safe in the outbox. */
export class ErrorBoundary extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false }

  static getDerivedStateFromError() {
    return { failed: true }
  }

  override render() {
    if (!this.state.failed) return this.props.children
    return (
      <main className="p-8">
        <h1 className="text-[28px]">This page could not be drawn</h1>
        <p className="my-3">
          Your records are safe, and what you typed is kept. Reload the page; if it comes back, go to the
          Garage.
        </p>
        <p className="flex gap-3">
          <button
            className="rounded-[3px] bg-blued px-3 py-1 text-on-blued"
            onClick={() => window.location.reload()}
          >
            Reload
          </button>
          <a className="px-3 py-1 text-blued underline" href="/">
            To the Garage
          </a>
        </p>
      </main>
    )
  }
}
