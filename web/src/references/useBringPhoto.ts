import { useState } from "react";
import { useNavigate } from "react-router";
import { pickFile } from "../files";
import { useStores } from "../stores";
import { bringIn } from "./bring";
import { PICTURES, SEARCH } from "./newReference";

/** Takes a photo into the open scene from a file that one picks, and goes to the bench where its view is found. */
export function useBringPhoto() {
  const stores = useStores();
  const sceneId = stores.useDocument((document) => document.id);
  const [busy, setBusy] = useState(false);
  const navigate = useNavigate();
  const bring = async () => {
    const file = await pickFile(PICTURES);
    if (!file) return;
    setBusy(true);
    const id = await bringIn(stores, sceneId, file);
    setBusy(false);
    if (id) void navigate(`/scenes/${sceneId}/references/${id}`, { state: SEARCH });
  };
  return { busy, bring };
}
