import { useState } from "react";
import { useStores } from "../stores";

/** The title, typed in place. */
export function Title({ title }: { readonly title: string }) {
  const { edit } = useStores();
  const [text, setText] = useState(title);
  const take = () => {
    const next = text.trim();
    if (!next) setText(title);
    else if (next !== title)
      edit((scene) => {
        scene.title = next;
      });
  };
  return (
    <input
      aria-label="Title of the scene"
      className={
        "h-7 min-w-24 max-w-96 rounded border border-transparent " +
        "[field-sizing:content] bg-transparent px-1.5 font-medium hover:border-hair focus:border-hair"
      }
      maxLength={200}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === "Enter") event.currentTarget.blur();
        if (event.key === "Escape") setText(title);
      }}
    />
  );
}
