import type { Shot } from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { MeasureField } from "../../ui";
import { useStores } from "../../stores";
import { OfView } from "./Held";

/** Where the eye is in the world. */
export function EyeFields({ shot }: { readonly shot: Shot }) {
  const { edit, onShot } = useStores();
  const field = (axis: "x" | "y" | "z") => (
    <MeasureField
      key={axis}
      measure={sceneMeasure(`shots/*/eye/${axis}`)}
      value={shot.eye[axis]}
      onChange={(to) =>
        edit(
          onShot((before) => ({ ...before, eye: { ...before.eye, [axis]: to } })),
          `eye ${axis}`,
        )
      }
    />
  );
  // How high it is belongs to the view; where it stands on the ground does not.
  return (
    <>
      <OfView>{field("z")}</OfView>
      {field("x")}
      {field("y")}
    </>
  );
}
