import { useState, type ReactNode } from "react";
import { ErrorBoundary, type FallbackProps } from "react-error-boundary";
import { Button } from "./Button";
import { forgetFailures } from "./lazily";

/** Whether code of this page could not be fetched: it is gone after an upgrade, or the server is away. */
const isMissing = (error: unknown): boolean =>
  /dynamically imported module|importing a module script|error loading|preload css|server does not answer/i.test(
    (error as Error).message,
  );

/** What has gone wrong, in a sentence. */
export const troubleWith = (what: string, error: unknown): string =>
  isMissing(error)
    ? `${what} could not be fetched: the server is away, or Zanvo was brought up to date. Your work is kept.`
    : `${what} could not be shown. Your work is kept. (${(error as Error).message})`;

interface GuardedProps {
  /** What stands here, as the subject of a sentence. */
  readonly what: string;
  readonly children: ReactNode;
}

/** A part of a page of its own: what breaks in it leaves the rest as it is. */
export function Guarded({ what, children }: GuardedProps) {
  const [tries, setTries] = useState(0);
  const again = () => {
    forgetFailures();
    setTries((n) => n + 1);
  };
  const fallback = ({ error, resetErrorBoundary }: FallbackProps) => (
    <div role="alert" className="flex h-full flex-col items-center justify-center gap-2 p-3 text-center">
      <p>{troubleWith(what, error)}</p>
      <span className="flex flex-wrap justify-center gap-2">
        <Button primary onClick={resetErrorBoundary}>
          Try again
        </Button>
        {tries > 0 && <Button onClick={() => location.reload()}>Load the page anew</Button>}
      </span>
    </div>
  );
  return (
    <ErrorBoundary fallbackRender={fallback} onReset={again}>
      {children}
    </ErrorBoundary>
  );
}
