import {
  requireValid,
  type Canal,
  type Crowd,
  type Plant,
  type Platform,
  type Rails,
  type Street,
  type StreetFurniture,
  type Vehicle,
  type Wall,
} from "@zanvo/core/world";
import { Check } from "../ui";
import { Measures } from "./Measures";
import type { Change } from "./view";

interface CurveFieldsProps {
  readonly element: Street | Canal | Rails | Wall | Plant | StreetFurniture | Vehicle | Crowd | Platform;
  readonly change: Change;
}

/** How the path of something is curved. */
export function CurveFields({ element, change }: CurveFieldsProps) {
  return (
    <>
      <Check
        label="Smooth through all its points"
        checked={element.smooth ?? false}
        onChange={(on) => change(requireValid({ ...element, smooth: on || undefined }), "curve")}
      />
      {!element.smooth && <Measures element={element} of={["bend"]} change={change} />}
    </>
  );
}
