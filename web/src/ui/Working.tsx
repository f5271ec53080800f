import type { ReactNode } from "react";
import { Button } from "./Button";
import type { Going, Work } from "./useWork";

/** How far it is: `done` of `of`. */
function Progress({ label, done, of }: Going & { readonly label: string }) {
  return (
    <div
      role="progressbar"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={of}
      aria-valuenow={done}
      className="h-1.5 overflow-hidden rounded bg-wash"
    >
      <div className="h-full bg-accent" style={{ width: `${of ? (100 * done) / of : 0}%` }} />
    </div>
  );
}

interface WorkingProps {
  readonly work: Work;
  /** What the bar tells of, for work that says how far it is. */
  readonly label?: string;
  readonly children: ReactNode;
}

/** Work that goes on: a sentence, how far it is, and the button that stops it; nothing while there is none. */
export function Working({ work: { going, stop }, label, children }: WorkingProps) {
  if (!going) return null;
  return (
    <div className="space-y-1">
      {label && <Progress label={label} {...going} />}
      <p className="flex items-center justify-between text-pencil">
        {children} <Button onClick={stop}>Stop</Button>
      </p>
    </div>
  );
}
