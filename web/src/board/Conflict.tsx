import { format } from "date-fns";
import { useNavigate } from "react-router";
import { Button, say } from "../ui";
import { keepCopy, takeOver, takeTheirs, useSaving } from "./saving";

/** Two windows changed one scene: nothing is lost, and the person decides. */
export function Conflict() {
  const state = useSaving((saving) => saving.state);
  const theirs = useSaving((saving) => saving.theirs);
  const navigate = useNavigate();
  if (state !== "conflict" || !theirs) return null;
  const work = (job: Promise<unknown>) => void job.catch((error: Error) => say(error.message));
  return (
    <div role="alert" className="flex flex-wrap items-center gap-2 border-b border-hair bg-wash px-3 py-2">
      <p className="mr-auto">
        This scene was saved in another window{theirs.savedAt && ` at ${format(theirs.savedAt, "HH:mm:ss")}`}. What you have here is not lost.
      </p>
      <Button primary onClick={() => work(takeOver())}>Take over with mine</Button>
      <Button onClick={() => work(keepCopy().then((id) => navigate(`/scenes/${id}`)))}>Keep mine as a copy</Button>
      <Button onClick={takeTheirs}>Show theirs</Button>
    </div>
  );
}
