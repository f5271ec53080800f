import { lazy, type ComponentType } from "react";

/** What is to be forgotten before what could not be fetched is tried again. */
const failed = new Set<() => void>();

/** Lets everything that could not be fetched be fetched again. */
export function forgetFailures(): void {
  for (const forget of failed) forget();
  failed.clear();
}

/** A component whose code is fetched later. */
export type Lazy<P extends object> = ComponentType<P> & {
  /** Fetches the code before the component is shown: whoever suspends is shown 300 ms later than need be. */
  readonly preload: () => Promise<void>;
};

/** A component whose code is fetched when it is first shown; where that failed, again once failures are forgotten. */
export function lazily<P extends object>(load: () => Promise<ComponentType<P>>): Lazy<P> {
  let ready: ComponentType<P> | null = null;
  const fresh = () =>
    lazy(async () => {
      try {
        return { default: await load() };
      } catch (error) {
        failed.add(() => {
          Loaded = fresh();
        });
        throw error;
      }
    });
  let Loaded = fresh();
  function Lazily(props: P) {
    const Shown = (ready ?? Loaded) as ComponentType<P>;
    return <Shown {...props} />;
  }
  const preload = async () => {
    ready = await load();
  };
  return Object.assign(Lazily, { preload });
}
