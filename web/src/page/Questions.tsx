import { format } from "date-fns";
import type { ReactNode } from "react";
import { useNavigate } from "react-router";
import { toldBy } from "@zanvo/core/problem";
import type { Draft } from "../document/saving/drafts";
import { Button } from "../ui";
import { useStores, type Stores } from "../stores";

const work = (stores: Stores, job: Promise<unknown>) => void job.catch((error: Error) => stores.say(toldBy(error)));

/** A question across the page, which is not answered for anybody. */
function Banner({ text, children }: { readonly text: string; readonly children: ReactNode }) {
  return (
    <div role="alert" className="flex flex-wrap items-center gap-2 border-b border-hair bg-wash px-3 py-2">
      <p className="mr-auto">{text}</p>
      {children}
    </div>
  );
}

/** Work on this scene from another window, which was closed before it was saved. */
function OtherDraft({ draft }: { readonly draft: Draft }) {
  const stores = useStores();
  const { saving, say } = stores;
  const when = format(draft.at, "d MMM, HH:mm");
  const copy = async () => {
    await saving.copyOther(draft, ({ title }) => `${title} (unsaved work of ${when})`);
    say("It is on the shelf, as a scene of its own.");
  };
  return (
    <Banner text={`There is unsaved work on this scene from another window, of ${when}.`}>
      <Button onClick={() => work(stores, copy())}>Keep it as a copy</Button>
      <Button onClick={() => work(stores, saving.discardOther(draft))}>Throw it away</Button>
    </Banner>
  );
}

/** The questions themselves. */
export function Questions() {
  const stores = useStores();
  const { useSaving, saving } = stores;
  const state = useSaving((one) => one.state);
  const theirs = useSaving((one) => one.theirs);
  const others = useSaving((one) => one.others);
  const navigate = useNavigate();
  const keepCopy = () =>
    work(
      stores,
      saving.keepCopy().then((id) => navigate(`/scenes/${id}`)),
    );
  return (
    <>
      {state === "conflict" && theirs && (
        <Banner
          text={
            "This scene was saved in another " +
            `window${theirs.savedAt && ` at ${format(theirs.savedAt, "HH:mm:ss")}`}. What you have here is not lost.`
          }
        >
          <Button primary onClick={() => work(stores, saving.takeOver())}>
            Take over with mine
          </Button>
          <Button onClick={keepCopy}>Keep mine as a copy</Button>
          <Button onClick={saving.takeTheirs}>Show theirs</Button>
        </Banner>
      )}
      {state === "gone" && (
        <Banner text="This scene was deleted in another window. What you have here is not lost.">
          <Button primary onClick={keepCopy}>
            Keep mine as a copy
          </Button>
          <Button onClick={() => work(stores, saving.putBack())}>Put it back on the shelf</Button>
        </Banner>
      )}
      {others.map((draft) => (
        <OtherDraft key={draft.tab} draft={draft} />
      ))}
    </>
  );
}
