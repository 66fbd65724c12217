/** Runs one task at a time; of those that come meanwhile only the newest is run. */
export class Latest {
  private busy = false;
  private waiting: (() => Promise<void>) | undefined;

  /** `task` must not reject. */
  run(task: () => Promise<void>): void {
    if (this.busy) {
      this.waiting = task;
      return;
    }
    this.busy = true;
    void task().then(() => {
      this.busy = false;
      const next = this.waiting;
      this.waiting = undefined;
      if (next) this.run(next);
    });
  }
}
