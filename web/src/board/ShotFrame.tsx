import { PencilLine } from "lucide-react";
import { useState, type CSSProperties, type ReactNode, type Ref } from "react";
import type { Shot } from "@zanvo/core/scene";
import { IconButton } from "../ui";
import { useStores, type Stores } from "../stores";
import { Thumb } from "./Thumb";

const rename = (stores: Stores, id: string, name: string): void =>
  stores.edit((scene) => {
    const shot = scene.shots.find((one) => one.id === id);
    if (shot && name) shot.name = name;
  });

interface NameFieldProps {
  readonly shot: Shot;
  readonly onDone: () => void;
}

/** The name of a shot while it is changed. */
function NameField({ shot, onDone }: NameFieldProps) {
  const stores = useStores();
  return (
    <input
      className="mr-1 w-36 rounded border border-accent bg-transparent px-1 outline-none"
      aria-label="Name of the shot"
      autoFocus
      maxLength={200}
      defaultValue={shot.name}
      onFocus={(event) => event.target.select()}
      onBlur={(event) => {
        rename(stores, shot.id, event.target.value.trim());
        onDone();
      }}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === "Enter" || event.key === "Escape") {
          if (event.key === "Escape") event.currentTarget.value = shot.name;
          event.currentTarget.blur();
        }
      }}
    />
  );
}

/** A shot in its place on the strip. */
export interface PlacedShot {
  readonly shot: Shot;
  readonly number: number;
  readonly chosen: boolean;
  /** Whether it lies on the same page as the chosen one. */
  readonly beside: boolean;
}

interface ShotFrameProps extends PlacedShot {
  /** What it is moved by, where there are others. */
  readonly grip?: ReactNode;
  readonly ref?: Ref<HTMLLIElement>;
  readonly style?: CSSProperties;
}

/** One shot on the strip: pressed, it is laid on the desk. */
export function ShotFrame({ shot, number, chosen, beside, grip, ref, style }: ShotFrameProps) {
  const { go } = useStores();
  const [renaming, setRenaming] = useState(false);
  return (
    <li
      ref={ref}
      aria-label={shot.name}
      className={
        `flex h-11 shrink-0 items-center rounded border ${grip ? "" : "pl-2"} ` +
        `${beside ? "border-dashed border-pencil" : "border-hair"} ` +
        `${chosen ? "bg-wash" : ""}`
      }
      title={beside ? "On the page that lies on the desk" : undefined}
      style={style}
    >
      {grip}
      {renaming ? (
        <NameField shot={shot} onDone={() => setRenaming(false)} />
      ) : (
        <button
          type="button"
          aria-current={chosen || undefined}
          className="flex h-full max-w-60 items-center gap-1.5 pr-2"
          onClick={() => go({ shotId: shot.id })}
          onDoubleClick={() => setRenaming(true)}
        >
          <Thumb shot={shot} turn={number} />
          <span className="truncate">
            <span className="measure mr-1 text-pencil">{number}</span> {shot.name}
          </span>
        </button>
      )}
      {chosen && !renaming && (
        <IconButton label={`Rename ${shot.name}`} onClick={() => setRenaming(true)}>
          <PencilLine size={14} />
        </IconButton>
      )}
    </li>
  );
}
