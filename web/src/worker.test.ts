import { steady, WorkerGone } from "./worker";

/** A worker that does nothing by itself: what it comes to is decided by the test. */
class FakeWorker extends EventTarget implements Worker {
  readonly onmessage = null;
  readonly onmessageerror = null;
  readonly onerror = null;
  static made: FakeWorker[] = [];
  terminated = false;
  constructor() {
    super();
    FakeWorker.made.push(this);
  }
  postMessage(): void {
    // Nobody listens.
  }
  start(): void {
    // It runs already.
  }
  terminate(): void {
    this.terminated = true;
  }
  fail(message: string): void {
    this.dispatchEvent(Object.assign(new Event("error"), { message }));
  }
}

const make = () => new FakeWorker();
const never = new Promise<never>(() => undefined);
beforeEach(() => {
  FakeWorker.made = [];
});

describe("a worker that is started anew", () => {
  it("is made when it is first wanted, kept, and ended", async () => {
    const worker = steady(make);
    expect(FakeWorker.made).toHaveLength(0);
    expect([await worker.call(() => Promise.resolve(1)), await worker.call(() => Promise.resolve(2))]).toEqual([1, 2]);
    expect(FakeWorker.made).toHaveLength(1);
    worker.end();
    expect(FakeWorker.made[0].terminated).toBe(true);
    await worker.call(() => Promise.resolve(3));
    expect(FakeWorker.made).toHaveLength(2);
  });

  it("has another do its work when it dies, prepared as it was, and says so meanwhile", async () => {
    const troubles: boolean[] = [];
    let prepared = 0;
    const worker = steady(make, {
      onTrouble: (trouble) => troubles.push(trouble),
      prepare: () => Promise.resolve(prepared++),
    });
    const answer = worker.call(() => (FakeWorker.made.length === 1 ? never : Promise.resolve("done")));
    await new Promise((resolve) => setTimeout(resolve, 5));
    FakeWorker.made[0].fail("It broke.");
    expect(await answer).toBe("done");
    expect([FakeWorker.made.length, FakeWorker.made[0].terminated, prepared, troubles]).toEqual([
      2,
      true,
      2,
      [true, false],
    ]);
  });

  it("is given up when it dies again and again, and can be tried anew", async () => {
    const dying = () => {
      const worker = new FakeWorker();
      setTimeout(() => worker.fail("It does not load."));
      return worker;
    };
    let sound = false;
    const worker = steady(() => (sound ? make() : dying()));
    await expect(worker.call(() => never)).rejects.toThrow(WorkerGone);
    expect(FakeWorker.made).toHaveLength(3);
    sound = true;
    expect(await worker.call(() => Promise.resolve("again"))).toBe("again");
  }, 20_000);

  it("hands on what its own work throws", async () => {
    const worker = steady(make);
    await expect(worker.call(() => Promise.reject(new Error("no such edge")))).rejects.toThrow("no such edge");
    expect(FakeWorker.made).toHaveLength(1);
  });

  it("is a trouble when it is silent, and dead when it stays so", async () => {
    jest.useFakeTimers();
    try {
      const troubles: boolean[] = [];
      const worker = steady(make, { onTrouble: (trouble) => troubles.push(trouble), alive: () => never });
      const answer = worker.call(() => (FakeWorker.made.length === 1 ? never : Promise.resolve("done")));
      await jest.advanceTimersByTimeAsync(7000);
      expect([troubles, FakeWorker.made.length]).toEqual([[true], 1]);
      await jest.advanceTimersByTimeAsync(20_000);
      expect(await answer).toBe("done");
      expect([troubles.at(-1), FakeWorker.made.length]).toEqual([false, 2]);
    } finally {
      jest.useRealTimers();
    }
  });
});
