import { requireValid, type Canal, type Street } from "@zanvo/core/world";
import { Check } from "../ui";
import { Measures } from "./Measures";
import type { Change } from "./view";

/** How the path of a street or a canal is curved. */
export function CurveFields({ element, change }: { readonly element: Street | Canal; readonly change: Change }) {
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
