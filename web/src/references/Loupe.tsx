import type { Vec2 } from "@zanvo/core/geometry";
import type { Reference } from "@zanvo/core/scene";

/** Across, px; how many screen px one of the photo's has in it; how far from the pointer it hangs. */
const SIZE = 132;
const FACTOR = 6;
const LOUPE_OFFSET = 26;

/** The pixels under the pointer, large, beside it: `at` in the photo, `hand` in the window. */
export function Loupe({
  url,
  reference: { width, height },
  at: [x, y],
  hand: [hx, hy],
  wide,
}: {
  readonly url: string;
  readonly reference: Reference;
  readonly at: Vec2;
  readonly hand: Vec2;
  readonly wide: number;
}) {
  const left = hx + LOUPE_OFFSET + SIZE > wide ? hx - LOUPE_OFFSET - SIZE : hx + LOUPE_OFFSET;
  const top = hy - LOUPE_OFFSET - SIZE < 0 ? hy + LOUPE_OFFSET : hy - LOUPE_OFFSET - SIZE;
  return (
    <div
      aria-hidden
      data-testid="loupe"
      className="pointer-events-none absolute overflow-hidden rounded-full border-2 border-ink"
      style={{ left, top, width: SIZE, height: SIZE, background: "#888" }}
    >
      <img
        src={url}
        alt=""
        className="absolute max-w-none"
        style={{
          left: SIZE / 2 - x * FACTOR,
          top: SIZE / 2 - y * FACTOR,
          width: width * FACTOR,
          height: height * FACTOR,
          imageRendering: "pixelated",
        }}
      />
      <span className="absolute left-1/2 top-0 h-full w-px bg-accent/70" />
      <span className="absolute left-0 top-1/2 h-px w-full bg-accent/70" />
    </div>
  );
}
