import { ChevronRight } from "lucide-react";
import { Suspense, useState, type ReactNode } from "react";

interface FoldProps {
  readonly title: string;
  /** Whether it is open at first. */
  readonly open?: boolean;
  readonly children: ReactNode;
}

/** A part of a panel that is folded away until it is wanted; what is in it is made when it is first opened. */
export function Fold({ title, open = false, children }: FoldProps) {
  const [wanted, setWanted] = useState(open);
  return (
    <details
      open={open || undefined}
      className="group border-t border-hair pt-1.5"
      onToggle={(event) => {
        if (event.currentTarget.open) setWanted(true);
      }}
    >
      <summary className="flex min-h-6 cursor-pointer list-none items-center gap-1 font-medium">
        <ChevronRight size={14} aria-hidden className="transition-transform group-open:rotate-90" />
        {title}
      </summary>
      <div className="space-y-1.5 pt-1.5">
        {wanted && <Suspense fallback={<p className="text-pencil">Getting the tools…</p>}>{children}</Suspense>}
      </div>
    </details>
  );
}
