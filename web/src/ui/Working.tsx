import type { ReactNode } from "react";
import { Button } from "./Button";

/** Something that takes a while, and the button that stops it. */
export function Working({ children, onStop }: { readonly children: ReactNode; readonly onStop: () => void }) {
  return (
    <p className="flex items-center justify-between text-pencil">
      {children} <Button onClick={onStop}>Stop</Button>
    </p>
  );
}

/** How far it is: `done` of `of`. */
export function Progress({ label, done, of }: { readonly label: string; readonly done: number; readonly of: number }) {
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
