import { useVirtualizer } from "@tanstack/react-virtual";
import { useLayoutEffect, useRef, useState, type ReactNode } from "react";

/** Cards are at least so wide, and so high with the space below; px. */
const WIDE = 264;
const GAP = 20;
const HIGH = 286;

interface CardsProps {
  readonly count: number;
  readonly keyOf: (at: number) => string;
  readonly card: (at: number) => ReactNode;
}

/** How many cards stand side by side in a width, px. */
export const columnsIn = (width: number): number => Math.max(1, Math.floor((width + GAP) / (WIDE + GAP)));

/** Cards in rows, of which only those in sight are there, however many there are. */
export function Cards({ count, keyOf, card }: CardsProps) {
  const holder = useRef<HTMLDivElement>(null);
  const list = useRef<HTMLUListElement>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const element = list.current;
    if (!element) return undefined;
    setWidth(element.clientWidth);
    const watch = new ResizeObserver(() => setWidth(element.clientWidth));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  const columns = columnsIn(width);
  const rows = useVirtualizer({
    count: Math.ceil(count / columns),
    getScrollElement: () => holder.current,
    estimateSize: () => HIGH,
    overscan: 1,
  });
  const shown =
    width === 0
      ? []
      : rows.getVirtualItems().flatMap(({ index, start }) =>
          Array.from({ length: Math.min(columns, count - index * columns) }, (_, i) => ({
            at: index * columns + i,
            column: i,
            start,
          })),
        );
  const cardWidth = (width - GAP * (columns - 1)) / columns;
  return (
    <div ref={holder} data-testid="shelf" className="min-h-0 grow overflow-auto bg-desk p-6">
      <ul ref={list} className="relative" style={{ height: rows.getTotalSize() }}>
        {shown.map(({ at, column, start }) => (
          <li
            key={keyOf(at)}
            aria-setsize={count}
            aria-posinset={at + 1}
            className="absolute"
            style={{ top: start, left: column * (cardWidth + GAP), width: cardWidth, height: HIGH - GAP }}
          >
            {card(at)}
          </li>
        ))}
      </ul>
    </div>
  );
}
