import { remembered } from "../../remembered";
import { newId } from "../../id";

const KEY = "zanvo:tab";
/** How long the page before a reload is waited for, which holds the same name, ms. */
const HANDOVER = 1000;

const lockOf = (tab: string): string => `zanvo:tab:${tab}`;
const locks = (): LockManager | undefined => navigator.locks as LockManager | undefined;

/** Holds a tab's name for as long as the page lives. @returns whether it could be had */
function hold(tab: string, options: LockOptions): Promise<boolean> {
  return new Promise((resolve) => {
    locks()!
      .request(lockOf(tab), options, (lock) => {
        resolve(lock !== null);
        return lock ? new Promise(() => undefined) : undefined;
      })
      .catch(() => resolve(false));
  });
}

/**
 * The name of this tab, which stays through a reload. A copy of a tab brings its name along, and gets a new one: the
 * browser's locks tell whether a name is in use. They are missing where the page comes from no secure origin.
 */
async function claim(): Promise<string> {
  const known = remembered.tab.get(KEY);
  if (known && (!locks() || (await hold(known, { signal: AbortSignal.timeout(HANDOVER) })))) return known;
  const tab = newId();
  remembered.tab.set(KEY, tab);
  if (locks()) await hold(tab, {});
  return tab;
}

let claimed: Promise<string> | null = null;
export const thisTab = (): Promise<string> => (claimed ??= claim());

/** Whether another tab is still open; where the browser does not tell, none is. */
export async function openTabs(): Promise<ReadonlySet<string>> {
  const held = (await locks()?.query())?.held ?? [];
  return new Set(held.flatMap(({ name }) => (name?.startsWith(lockOf("")) ? [name.slice(lockOf("").length)] : [])));
}
