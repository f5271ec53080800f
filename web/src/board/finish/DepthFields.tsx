import { lazy } from "react";
import { sceneMeasure } from "@zanvo/core/schema";
import type { Depth } from "@zanvo/core/scene";
import { useStores } from "../../stores";
import { Check, Fold, MeasureField, Strength } from "../../ui";
import { FIRST_DEPTH } from "./finishes";

const DepthChart = lazy(() => import("./DepthChart"));

/** How lines grow thinner and fainter with depth, as a curve. */
export function DepthFields() {
  const { useShot, onShot, edit, drag, beginGesture, endGesture } = useStores();
  const { depth, pens } = useShot();
  const set = (next: Depth | undefined) => onShot((before) => ({ ...before, depth: next, evenOutlines: undefined }));
  return (
    <Fold title="Weight by depth">
      <Check
        label="Thinner and fainter by a curve"
        checked={depth !== undefined}
        onChange={(on) => edit(set(on ? FIRST_DEPTH : undefined), "weight by depth")}
      />
      {depth && (
        <>
          {(["near", "far"] as const).map((key) => (
            <MeasureField
              key={key}
              measure={sceneMeasure(`shots/*/depth/${key}`)}
              value={depth[key]}
              onChange={(to) => edit(set({ ...depth, [key]: to }), `weight by depth ${key}`)}
            />
          ))}
          {(
            [
              ["thin", "Width far away"],
              ["faint", "Haze"],
            ] as const
          ).map(([key, label]) => (
            <Strength
              key={key}
              label={label}
              value={depth[key]}
              onChange={(to) => drag(set({ ...depth, [key]: to }))}
              onHold={beginGesture}
              onRelease={endGesture}
            />
          ))}
          <DepthChart depth={depth} pen={pens?.buildings} />
        </>
      )}
    </Fold>
  );
}
