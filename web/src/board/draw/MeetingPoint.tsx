import type { SheetLine } from "@zanvo/core/lines";
import { toldBy } from "@zanvo/core/problem";
import { recoverPoint } from "@zanvo/core/recover";
import type { Shot, Sketch } from "@zanvo/core/scene";
import { mm, sentence, type Told } from "@zanvo/core/units";
import { fromEdge, sketchFrom } from "@zanvo/core/vanishing";
import { Button } from "../../ui";
import { useBoard } from "../useBoard";

type Ruled = Extract<SheetLine, { readonly kind: "ruled" }>;

/** How far a hand is off at the end of a line, mm (common practice). */
const HAND = 0.5;

/** Where ruled lines meet as nearly as they do: a place of the desk, and how far the worst line misses it, mm. */
function meeting(shot: Shot, lines: readonly Ruled[]) {
  const { width, height } = shot.sheet;
  const picture = { x: width / 2, y: height / 2, size: Math.hypot(width, height) / 2 };
  const found = recoverPoint(
    lines.map(({ from, to }) => ({ a: from, b: to })),
    picture,
    HAND,
  );
  return { at: found.at, off: Math.max(...found.residuals) };
}

/** The points of a sketch with one of them put where lines meet. */
function sketched(
  shot: Shot,
  usual: Sketch | null,
  key: "left" | "right" | "third",
  [x, y]: readonly [number, number],
): Sketch {
  const { frame } = shot;
  const level = { left: { x: frame.x - frame.width, y }, right: { x: frame.x + 2 * frame.width, y } };
  return { ...(shot.sketch ?? usual ?? level), [key]: { x, y } };
}

/** What ruled lines that were drawn over a rough tell: their point, taken for one of the sketch. */
export function MeetingPoint({ lines }: { readonly lines: readonly Ruled[] }) {
  const { useShot, useDocument, edit, onShot, go, useMeasures } = useBoard();
  const shot = useShot();
  const [main] = useDocument((document) => document.scene.orientations);
  const measures = useMeasures();
  let found: ReturnType<typeof meeting> | null = null;
  let told: Told;
  try {
    found = meeting(shot, lines);
    told = found.at
      ? sentence`They meet ${fromEdge(shot.sheet, ...found.at)}; the worst misses by ${mm(found.off, 2)}.`
      : "They run side by side: they have no point.";
  } catch (error) {
    told = toldBy(error);
  }
  const at = found?.at;
  const take = (key: "left" | "right" | "third") => {
    if (!at) return;
    const usual = main ? sketchFrom(main, shot) : null;
    edit(onShot((before) => ({ ...before, sketch: sketched(before, usual, key, at) })));
    go({ stage: "points" });
  };
  return (
    <div className="space-y-1.5">
      <p className="text-pencil">{measures(told)}</p>
      {at && (
        <div className="flex gap-1">
          {(["left", "right", "third"] as const).map((key) => (
            <Button key={key} className="grow" onClick={() => take(key)}>
              {key === "third" ? "Third" : key === "left" ? "Left point" : "Right point"}
            </Button>
          ))}
        </div>
      )}
    </div>
  );
}
