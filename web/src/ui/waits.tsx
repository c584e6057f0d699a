import { Component, type ReactNode, Suspense } from 'react';
import { PlaceOfLazy } from '../client/lazy-component.tsx';

/** How browsers say that they could not fetch code; what was fetched and fails is a fault of the program. */
const NOT_FETCHED = /dynamically imported module|module script/i;

interface WaitsProps {
  readonly children: ReactNode;
  /** What keeps its place until it is here; nothing where not said. */
  readonly place?: ReactNode;
}

/**
 * Something whose code may still have to be loaded. Where the connection drops meanwhile it says so, and everything round it
 * stays: a browser asks for the same code only once, so that the page has to be loaded again.
 */
export class Waits extends Component<WaitsProps, { readonly error: unknown }> {
  override state = { error: null as unknown };

  static getDerivedStateFromError = (error: unknown) => ({ error });

  override render() {
    const { error } = this.state;
    const { children, place = null } = this.props;
    if (error === null) {
      const waits = (
        <>
          {place}
          <span hidden data-waits />
        </>
      );
      return (
        <PlaceOfLazy value={waits}>
          <Suspense fallback={waits}>{children}</Suspense>
        </PlaceOfLazy>
      );
    }
    if (!(error instanceof Error && NOT_FETCHED.test(error.message))) throw error;
    return (
      <div role="alert" className="flex flex-wrap items-center gap-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2">
        <p>
          The connection dropped while this part was loaded. Nothing is lost: what is not saved stays on this device.
        </p>
        <button type="button" className="button" onClick={() => location.reload()}>
          Load the page again
        </button>
      </div>
    );
  }
}
