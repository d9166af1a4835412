const FIRST_MS = 3000;
const LONGEST_MS = 20_000;
const GROWTH = 1.5;

/** Tries again later, ever less often, and at once when the browser says it is online again. */
export class Retry {
  private timer?: ReturnType<typeof setTimeout>;
  private wait = FIRST_MS;
  private readonly again: () => void;

  constructor(again: () => void) {
    this.again = again;
    globalThis.addEventListener?.('online', this.now);
  }

  later() {
    clearTimeout(this.timer);
    this.timer = setTimeout(this.again, this.wait);
    this.wait = Math.min(LONGEST_MS, this.wait * GROWTH);
  }

  /** It went through. */
  done() {
    clearTimeout(this.timer);
    this.timer = undefined;
    this.wait = FIRST_MS;
  }

  close() {
    this.done();
    globalThis.removeEventListener?.('online', this.now);
  }

  private readonly now = () => {
    if (this.timer === undefined) return;
    this.done();
    this.again();
  };
}
