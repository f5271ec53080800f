import { useEffect } from "react";
import { wrap } from "@zanvo/core/geometry";
import { toldBy } from "@zanvo/core/problem";
import type { Orientation, Shot } from "@zanvo/core/scene";
import { mirrored, renamed, sameAxis, SIX, thirdName, type SixName, type SixNames } from "@zanvo/core/shot";
import { degree } from "@zanvo/core/slip";
import { Button, Select } from "../../ui";
import { preloadSix } from "../desk/six";
import { useBoard } from "../useBoard";

const CARDINAL = ["north", "east", "south", "west"] as const;

/** A point's name: up, down, or the heading that its set runs along. */
function called({ heading }: Orientation, point: SixName): string {
  if (point === "up" || point === "down") return point;
  const to = wrap(heading + Number(point), 0, 360);
  const near = Math.round(to / 90) % 4;
  return Math.abs(wrap(to - 90 * near, -180, 360)) < 0.05 ? CARDINAL[near] : `heading ${degree(to)}`;
}

const ASKS = {
  first: "Press anywhere on the disc: there the first point stands. Its horizon runs a quarter turn away from it.",
  second: "Slide the second point along that horizon, and let go. The third follows.",
} as const;

/** Six points by three gestures, and what each of them is called. */
export function SixFields({ main, shot }: { readonly main: Orientation; readonly shot: Shot }) {
  const { useDesk, setSix, edit, onShot, say } = useBoard();
  const six = useDesk((desk) => desk.six);
  // Fetched before it is wanted: the first move of the hand is seen then.
  useEffect(() => void preloadSix().catch(() => undefined), []);
  if (!six) {
    return (
      <div className="flex flex-col gap-1">
        <Button className="w-full" onClick={() => setSix({ step: "first" })}>
          Place six points by hand
        </Button>
        <Button className="w-full" onClick={() => setSix({ step: "named", names: ["up", "0"] })}>
          Name, swap or mirror the points
        </Button>
      </div>
    );
  }
  if (six.step !== "named") {
    return (
      <>
        <p role="status">{ASKS[six.step]}</p>
        <Button className="w-full" onClick={() => setSix(null)}>
          Cancel
        </Button>
      </>
    );
  }
  const { names } = six;
  const take = (change: (before: Shot) => Shot, after: SixNames) => {
    try {
      const next = change(shot);
      edit(onShot(() => next));
      setSix({ step: "named", names: after });
    } catch (wrong) {
      say(toldBy(wrong));
    }
  };
  const call = (after: SixNames) => take((before) => renamed(before, main, names, after), after);
  /** Where the other point already has that line, it takes the name that becomes free. */
  const callOne = (i: 0 | 1, name: SixName) => {
    const other = sameAxis(name, names[1 - i]) ? names[i] : names[1 - i];
    call(i === 0 ? [name, other] : [other, name]);
  };
  return (
    <>
      {(
        [
          ["First", 0],
          ["Second", 1],
        ] as const
      ).map(([which, i]) => (
        <Select
          key={which}
          labelled
          label={`${which} point is`}
          className="w-28"
          value={names[i]}
          options={SIX.map((point) => [point, called(main, point)])}
          onChange={(point) => callOne(i, point)}
        />
      ))}
      <p className="text-pencil">The third is {called(main, thirdName(names))}; opposites carry a stroke.</p>
      <div className="flex gap-1">
        <Button className="grow" onClick={() => call([names[1], names[0]])}>
          Swap
        </Button>
        <Button className="grow" onClick={() => take((before) => mirrored(before, main, names), names)}>
          Mirror
        </Button>
        <Button className="grow" onClick={() => setSix(null)}>
          Done
        </Button>
      </div>
    </>
  );
}
