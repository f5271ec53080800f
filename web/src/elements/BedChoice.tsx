import type { Bed } from "@zanvo/core/world";
import { Choice } from "../ui";

/** What rails lie on. */
export function BedChoice({ bed, onChange }: { readonly bed?: Bed; readonly onChange: (bed?: Bed) => void }) {
  return (
    <Choice
      label="Rails lie"
      value={bed ?? "flush"}
      options={{ flush: "In the paving", sleepers: "On sleepers", plates: "In plates" }}
      onChange={(to) => onChange(to === "flush" ? undefined : to)}
    />
  );
}
