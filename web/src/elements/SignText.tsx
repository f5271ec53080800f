import { toldBy } from "@zanvo/core/problem";
import { isSign, type Sign } from "@zanvo/core/world";
import { useState } from "react";
import { pickFile } from "../files";
import { FIRST_TYPEFACE, TYPEFACES } from "../lettering/typefaces";
import { useStores } from "../stores";
import { Button, Select, TextField } from "../ui";
import type { Change } from "./view";

/** Font files that can be read. */
const FONT_FILES = ".ttf,.otf,.ttc,.woff,.woff2";

interface SignTextProps {
  readonly element: Sign;
  readonly change: Change;
}

/** What a sign says, and the typeface that it is set in; its letters follow as soon as they are set. */
export function SignText({ element: sign, change }: SignTextProps) {
  const { lettering, say, useDocument } = useStores();
  const brought = lettering.useBrought(({ names }) => names);
  const [busy, setBusy] = useState(false);
  const set = async (text: string, typeface: string) => {
    setBusy(true);
    try {
      const { letters, width: line, small, missing } = await lettering.setLine(text, typeface);
      const now = useDocument.getState().scene.elements.find(({ id }) => id === sign.id);
      // Meanwhile it may have been taken away.
      if (!now || !isSign(now)) return;
      change({ ...now, text, typeface, letters: [...letters], line, small }, "text");
      if (missing.length > 0) say(`No typeface here has ${missing.join(" ")}: left out.`);
    } catch (wrong) {
      say(toldBy(wrong));
    } finally {
      setBusy(false);
    }
  };
  const bring = async () => {
    const file = await pickFile(FONT_FILES);
    if (!file) return;
    try {
      const name = await lettering.bringFont(file.name.slice(0, 100), new Uint8Array(await file.arrayBuffer()));
      await set(sign.text, name);
    } catch (wrong) {
      say(toldBy(wrong));
    }
  };
  const known = [...Object.keys(TYPEFACES), ...brought];
  const names = known.includes(sign.typeface) ? known : [...known, sign.typeface];
  return (
    <>
      <TextField label="Says" value={sign.text} maxLength={200} onChange={(text) => void set(text, sign.typeface)} />
      <Select
        labelled
        label="Typeface"
        className="min-w-0 grow"
        value={sign.typeface || FIRST_TYPEFACE}
        options={names.map((name) => [name, name] as const)}
        onChange={(typeface) => void set(sign.text, typeface)}
      />
      <Button className="w-full" disabled={busy} onClick={() => void bring()}>
        {busy ? "Setting its letters…" : "Bring a font file of your own"}
      </Button>
    </>
  );
}
