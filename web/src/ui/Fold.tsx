import { ChevronRight } from "lucide-react";
import type { ReactNode } from "react";

/** A part of a panel that is folded away until it is wanted. */
export function Fold({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <details className="group border-t border-hair pt-1.5">
      <summary className="flex min-h-6 cursor-pointer list-none items-center gap-1 font-medium">
        <ChevronRight size={14} aria-hidden className="transition-transform group-open:rotate-90" />
        {title}
      </summary>
      <div className="space-y-1.5 pt-1.5">{children}</div>
    </details>
  );
}
