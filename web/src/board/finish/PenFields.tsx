import { LAYER_KINDS } from "@zanvo/core/drawing";
import type { Shot } from "@zanvo/core/scene";
import { useStores } from "../../stores";
import { Button, Fold, Select, type Option } from "../../ui";
import { FINISHES, finishOf, type Finish } from "./finishes";
import { PENS, penOf, withPen } from "./pens";

const penOptions = (usual: string): readonly Option<string>[] => [
  ["", usual],
  ...PENS.map((pen) => [pen, `${pen} mm`] as const),
];

/** Ways to ink the whole drawing, one's own among them. */
function WaysToInk() {
  const { useShot, onShot, edit, useHandOver, chooseHandOver, say } = useStores();
  const shot = useShot();
  const own = useHandOver(({ finish }) => finish);
  const take = (finish: Finish) =>
    edit(
      onShot((before) => ({ ...before, ...finish })),
      "finish",
    );
  const keep = () => {
    chooseHandOver({ finish: finishOf(shot) });
    say("Kept: “My own” inks any shot like this one.");
  };
  return (
    <>
      <div className="flex gap-1">
        {FINISHES.map(({ label, finish }) => (
          <Button key={label} className="grow" onClick={() => take(finish)}>
            {label}
          </Button>
        ))}
        {own && (
          <Button className="grow" onClick={() => take(own)}>
            My own
          </Button>
        )}
      </div>
      <Button className="w-full" onClick={keep}>
        Keep these as my own
      </Button>
    </>
  );
}

/** The pen of each kind of line, and sets of pens. */
export function PenFields() {
  const { useShot, onShot, edit } = useStores();
  const { pens, profile } = useShot();
  const take = (change: Partial<Shot>, what: string) =>
    edit(
      onShot((before) => ({ ...before, ...change })),
      what,
    );
  return (
    <Fold title="Pens">
      <WaysToInk />
      {LAYER_KINDS.flatMap((kind) =>
        penOf(kind) === null
          ? []
          : [
              <Select
                key={kind.id}
                labelled
                label={kind.label}
                value={pens?.[kind.id] === undefined ? "" : String(pens[kind.id])}
                options={penOptions("Usual")}
                onChange={(to) => take({ pens: withPen(pens, kind.id, to) }, `pen ${kind.id}`)}
              />,
            ],
      )}
      <Select
        labelled
        label="Profile lines"
        value={profile === undefined ? "" : String(profile)}
        options={penOptions("As other outlines")}
        onChange={(to) => take({ profile: to === "" ? undefined : Number(to) }, "profile lines")}
      />
      <p className="text-pencil">
        Profile lines are those at which a thing stands free of what is behind it. Farther outlines keep their
        proportion: they are drawn thinner than near ones.
      </p>
    </Fold>
  );
}
