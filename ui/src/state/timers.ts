/** Things that are done a while later, each under a name: a newer one of the same name takes its place. */
export class Timers {
  private readonly all: Record<string, ReturnType<typeof setTimeout>> = {};

  private over = false;

  /** Does something after a delay, ms. */
  later(name: string, ms: number, run: () => unknown): void {
    this.stop(name);
    if (this.over) return;
    this.all[name] = setTimeout(run, ms);
  }

  stop(name: string): void {
    clearTimeout(this.all[name]);
  }

  /** Stops them all, and those to come. */
  stopAll(): void {
    this.over = true;
    for (const t of Object.values(this.all)) clearTimeout(t);
  }
}
