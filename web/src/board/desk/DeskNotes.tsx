import type { Vec2 } from "@zanvo/core/geometry";
import { toWindow, type Size } from "../../canvas/camera";
import { useBoard } from "../useBoard";

/** A ring around the place a finding speaks of, at the window's edge if it lies outside. */
function Ring({ at: [x, y], size }: { readonly at: Vec2; readonly size: Size }) {
  const left = Math.min(Math.max(x, 16), size.width - 16);
  const top = Math.min(Math.max(y, 16), size.height - 16);
  return (
    <span
      data-testid="place"
      className="pointer-events-none absolute size-7 rounded-full border-2 border-accent"
      style={{ left: left - 14, top: top - 14 }}
    />
  );
}

/** Beside the pointer, on the side where there is room. */
function tagPlace([x, y]: Vec2, size: Size) {
  return {
    ...(x > size.width - 280 ? { right: size.width - x + 14 } : { left: x + 16 }),
    ...(y > size.height - 60 ? { bottom: size.height - y + 10 } : { top: y + 14 }),
  };
}

/** The words on the desk: the measure where the hand is, the line it is drawn to, and the place of a finding. */
export function DeskNotes() {
  const { useDesk, useMeasures } = useBoard();
  const { size, camera, tag, foot, place } = useDesk();
  const measures = useMeasures();
  const line = foot?.on ? foot.guide : null;
  const middle = line && toWindow(camera, [(line[0][0] + line[1][0]) / 2, (line[0][1] + line[1][1]) / 2]);
  return (
    <>
      {middle && (
        <span
          className="pointer-events-none absolute rounded bg-slip/90 px-1 text-accent"
          style={{ left: middle[0], top: middle[1] }}
        >
          street line
        </span>
      )}
      {place && <Ring at={toWindow(camera, place)} size={size} />}
      {tag && (
        <span
          role="status"
          className={
            "measure pointer-events-none absolute z-10 w-max max-w-64 rounded px-1.5 py-0.5 " +
            `${tag.wrong ? "bg-accent text-on-accent" : "bg-ink text-slip"}`
          }
          style={tagPlace(tag.at, size)}
        >
          {measures(tag.text)}
        </span>
      )}
    </>
  );
}
