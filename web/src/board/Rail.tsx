import { stageKey, STAGES } from "./stages";
import { useStores } from "../stores";

/** The order of work, down the left side. */
export function Rail() {
  const { useView, go } = useStores();
  const stage = useView((view) => view.stage);
  return (
    <nav aria-label="Stages" className="flex w-[66px] shrink-0 flex-col gap-0.5 border-r border-hair p-1">
      {STAGES.map(({ id, name, Icon, preload }, i) => (
        <button
          key={id}
          type="button"
          aria-current={id === stage ? "step" : undefined}
          title={`${name} (${stageKey(i)})`}
          className={
            "flex flex-col items-center gap-0.5 rounded py-1.5 text-[11px] leading-tight " +
            `${id === stage ? "bg-wash font-medium text-ink" : "text-pencil hover:bg-wash"}`
          }
          // The tools are on their way before they are asked for: what is typed first is not lost.
          onPointerEnter={() => void preload?.().catch(() => undefined)}
          onFocus={() => void preload?.().catch(() => undefined)}
          onClick={() => go({ stage: id })}
        >
          <Icon size={17} strokeWidth={1.6} aria-hidden />
          {name}
        </button>
      ))}
    </nav>
  );
}
