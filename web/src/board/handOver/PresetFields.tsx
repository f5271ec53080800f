import { useState } from "react";
import { NOT_GRID } from "./grid";
import { choicesOf, FRESH_CHOICES, type Preset } from "./createHandOver";
import { useStores } from "../../stores";
import { Button, Fold } from "../../ui";

/** Ways to make files that are often wanted. */
const USUAL: readonly Preset[] = [
  { name: "As usual", choices: FRESH_CHOICES },
  { name: "Ink for print, 600 dpi", choices: { ...FRESH_CHOICES, dpi: 600, ink: "black" } },
  {
    name: "Grid for a canvas elsewhere",
    choices: {
      ...FRESH_CHOICES,
      without: NOT_GRID,
      transparent: true,
      toPanel: true,
      size: { width: 4000, height: 3000 },
    },
  },
];

/** Choices of files under names: those that are often wanted, and one's own. */
export function PresetFields() {
  const { useHandOver, chooseHandOver, say } = useStores();
  const { presets, ...state } = useHandOver();
  const [name, setName] = useState("");
  const keep = () => {
    const next = { name: name.trim(), choices: choicesOf({ ...state, presets }) };
    chooseHandOver({ presets: [...presets.filter((one) => one.name !== next.name), next] });
    setName("");
    say(`“${next.name}” is kept.`);
  };
  return (
    <Fold title="Presets">
      {[...USUAL, ...presets].map((preset) => (
        <div key={preset.name} className="flex gap-1">
          <Button className="grow" onClick={() => chooseHandOver(preset.choices)}>
            {preset.name}
          </Button>
          {presets.includes(preset) && (
            <Button
              aria-label={`Delete the preset ${preset.name}`}
              onClick={() => chooseHandOver({ presets: presets.filter((one) => one !== preset) })}
            >
              Delete
            </Button>
          )}
        </div>
      ))}
      <form
        className="flex gap-1"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim()) keep();
        }}
      >
        <input
          aria-label="Name of a preset"
          className="h-7 min-w-0 grow rounded border border-hair bg-transparent px-1.5"
          placeholder="Name"
          maxLength={60}
          value={name}
          onChange={({ target }) => setName(target.value)}
        />
        <Button type="submit" disabled={!name.trim()}>
          Keep these
        </Button>
      </form>
    </Fold>
  );
}
