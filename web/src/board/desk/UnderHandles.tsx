import type { PointerEvent } from "react";
import { middle, type Vec2 } from "@zanvo/core/geometry";
import { corneredUnder, cornerOfUnder, laidByTwo, movedUnder, type Shot } from "@zanvo/core/scene";
import { mm, sentence, type Told } from "@zanvo/core/units";
import { fromEdge } from "@zanvo/core/vanishing";
import { toWindow } from "../../canvas/camera";
import { Handle } from "./Handle";
import { useBoard } from "../useBoard";

type Under = NonNullable<Shot["under"]>;

/** How a picture lies, in words. */
const toldOf = ({ at, turn = 0 }: Under): Told => sentence`${mm(at.width)} wide, turned by ${Number(turn.toFixed(1))}°`;

/** Handles on the picture under the drawing: its middle moves it, its corner turns and scales it. */
export function UnderHandles({ shot, under }: { readonly shot: Shot; readonly under: Under }) {
  const { onShot, drag, edit } = useBoard();
  const put = (change: (before: Under) => Under) =>
    onShot((before) => ({ ...before, under: before.under && change(before.under) }));
  const handle = (name: string, at: Vec2, change: (before: Under, to: Vec2) => Under, look: string) => (
    <Handle
      key={name}
      at={at}
      label={sentence`${name} of the picture under the drawing, ${fromEdge(shot.sheet, ...at)}`}
      className="cursor-move"
      onDrag={(to) => {
        drag(put((before) => change(before, to)));
        return toldOf(change(under, to));
      }}
      onNudge={([dx, dy]) =>
        edit(
          put((before) => change(before, [at[0] + dx, at[1] + dy])),
          `under ${name}`,
        )
      }
    >
      <span className={`block size-3 border-2 border-[#fffdf8] bg-accent ${look}`} />
    </Handle>
  );
  return (
    <>
      {handle(
        "Middle",
        middle(under.at),
        (before, [x, y]) => {
          const [cx, cy] = middle(before.at);
          return movedUnder(before, [x - cx, y - cy]);
        },
        "rounded-full",
      )}
      {handle("Corner", cornerOfUnder(under), corneredUnder, "")}
    </>
  );
}

const ASKS = [
  "Press a place of the picture.",
  "Press where on the sheet it should lie.",
  "Press another place of the picture.",
  "Press where that one should lie.",
] as const;

/** Lies over the desk while the picture under the drawing is laid by two places. */
export function LaySurface() {
  const { useDesk, deskPoint, edit, onShot } = useBoard();
  const laying = useDesk((desk) => desk.laying);
  const camera = useDesk((desk) => desk.camera);
  if (!laying) return null;
  const press = (event: PointerEvent) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    const places = [...laying, deskPoint(event)];
    if (places.length < 4) return useDesk.setState({ laying: places });
    const [p, u, q, v] = places;
    edit(onShot((before) => ({ ...before, under: before.under && laidByTwo(before.under, [p, q], [u, v]) })));
    useDesk.setState({ laying: null });
  };
  return (
    <div data-testid="lay-surface" className="absolute inset-0 cursor-crosshair" onPointerDown={press}>
      {laying.map((place, i) => {
        const [x, y] = toWindow(camera, place);
        return (
          <span
            key={i}
            className={
              "pointer-events-none absolute size-2.5 rounded-full border-2 " +
              (i % 2 === 0 ? "border-accent" : "border-accent bg-accent")
            }
            style={{ left: x - 5, top: y - 5 }}
          />
        );
      })}
      <p
        role="status"
        className="pointer-events-none absolute left-1/2 top-10 -translate-x-1/2 rounded bg-ink px-2 py-1 text-slip"
      >
        {ASKS[laying.length]}
      </p>
    </div>
  );
}
