import { Component, type ReactNode } from 'react'

/** Where one part of a page fails to draw: the rest stays, with undo and the way to other rooms. */
export class PartBoundary extends Component<
  { what: string; of: readonly unknown[]; children: ReactNode },
  { failed: boolean }
> {
  override state = { failed: false }

  static getDerivedStateFromError() {
    return { failed: true }
  }

  /** Drawn anew as soon as what it is drawn of has changed: taken back, or another place. */
  override componentDidUpdate({ of }: { of: readonly unknown[] }) {
    if (this.state.failed && of.some((one, i) => one !== this.props.of[i])) this.setState({ failed: false })
  }

  override render() {
    const { what, children } = this.props
    if (!this.state.failed) return children
    return (
      <section role="alert" className="p-4">
        <h2 className="text-[21px]">{what} could not be drawn</h2>
        <p className="my-2">
          Your records are safe. Something that was typed leads nowhere: take the last change back with
          Ctrl+Z, or look at it in another room.
        </p>
        <button className="text-blued underline" onClick={() => this.setState({ failed: false })}>
          Draw it again
        </button>
      </section>
    )
  }
}

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
