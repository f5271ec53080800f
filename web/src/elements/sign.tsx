import { requireValid, type Sign } from "@zanvo/core/world";
import { useSpoken } from "../stores";
import { Check } from "../ui";
import { Measures } from "./Measures";
import { SignText } from "./SignText";
import { INK, type Change, type ElementView } from "./view";

/** Letters that stand out do so by so much at first, as a part of a capital's height. */
const RAISED = 0.1;

/** What a sign says, what it is made of, and where it hangs. */
function SignFields({ element: sign, change }: { readonly element: Sign; readonly change: Change }) {
  const spoken = useSpoken();
  const put = (part: Partial<Sign>, what: string) => spoken(() => change(requireValid({ ...sign, ...part }), what));
  const { board, raised, capital } = sign;
  const check = (label: string, key: "both" | "stacked" | "mirrored" | "guides") => (
    <Check label={label} checked={sign[key] ?? false} onChange={(on) => put({ [key]: on || undefined }, key)} />
  );
  return (
    <>
      <SignText element={sign} change={change} />
      <Measures element={sign} of={["capital"]} change={change} />
      <Check
        label="Letters stand out"
        checked={raised !== undefined}
        onChange={(on) => put({ raised: on ? RAISED * capital : undefined }, "raised")}
      />
      {raised !== undefined && <Measures element={sign} of={["raised"]} change={change} />}
      <Check
        label="On a board"
        checked={board !== undefined}
        onChange={(on) =>
          put(
            on
              ? { board: { width: 6 * capital, height: 2 * capital, depth: 0.05 } }
              : { board: undefined, both: undefined },
            "board",
          )
        }
      />
      {board && <Measures element={sign} of={["board/width", "board/height", "board/depth"]} change={change} />}
      {board && check("Read from both sides", "both")}
      {check("Letters one under another", "stacked")}
      {check("Mirrored, as from behind a window", "mirrored")}
      {check("Boxes and lines of its letters", "guides")}
      <Measures element={sign} of={["heading", "at/z", "at/x", "at/y"]} change={change} />
    </>
  );
}

export const sign: ElementView<Sign> = {
  kind: "sign",
  look: { fill: INK, order: 6 },
  // It is hung where the picture is pressed, among fittings.
  tools: [],
  Fields: SignFields,
};
