import { firstTrim, type Sheet } from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { useStores } from "../../stores";
import { Button, Check, Fold, MeasureField } from "../../ui";
import { bleeds, onPage, withBleed, type Side } from "./pages";

const SIDES: readonly (readonly [Side, string])[] = [
  ["left", "Left"],
  ["top", "Top"],
  ["right", "Right"],
  ["bottom", "Bottom"],
];

/** Where the page is trimmed, which sides of the panel bleed off it, and what stands at its foot. */
export function PageFields() {
  const { useShot, edit, onShot } = useStores();
  const shot = useShot();
  const { trim, title, number } = shot.sheet;
  const put = (change: Partial<Sheet>, what: string) => edit(onPage(shot, change), what);
  return (
    <Fold title="Page for print">
      <label className="flex items-center justify-between gap-2">
        <span className="text-pencil">Page title</span>
        <input
          className="h-7 w-36 rounded border border-hair bg-transparent px-1.5"
          maxLength={100}
          value={title ?? ""}
          onChange={({ target: { value } }) => put({ title: value || undefined }, "page title")}
        />
      </label>
      <Check
        label="Page number"
        checked={number !== undefined}
        onChange={(on) => put({ number: on ? 1 : undefined }, "page number")}
      />
      {number !== undefined && (
        <MeasureField
          measure={sceneMeasure("shots/*/sheet/number")}
          value={number}
          onChange={(to) => put({ number: to }, "page number")}
        />
      )}
      <Check
        label="Trimmed, with crop marks"
        checked={trim !== undefined}
        onChange={(on) => put({ trim: on ? firstTrim(shot.sheet) : undefined }, "trim")}
      />
      {trim && (
        <>
          {(["width", "height", "bleed"] as const).map((key) => (
            <MeasureField
              key={key}
              measure={sceneMeasure(`shots/*/sheet/trim/${key}`)}
              value={trim[key]}
              onChange={(to) => put({ trim: { ...trim, [key]: to } }, `trim ${key}`)}
            />
          ))}
          <p className="text-pencil">The panel bleeds off at:</p>
          <div className="grid grid-cols-4 gap-1" role="group" aria-label="The panel bleeds off at">
            {SIDES.map(([side, label]) => {
              const on = bleeds(shot).includes(side);
              return (
                <Button key={side} on={on} onClick={() => edit(onShot((before) => withBleed(before, side, !on)))}>
                  {label}
                </Button>
              );
            })}
          </div>
        </>
      )}
    </Fold>
  );
}
