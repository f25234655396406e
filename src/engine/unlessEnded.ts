/**
 * Answers that never come once who would give them has ended. A race of each with one promise of the end would keep every
 * answer as long as that promise is not settled.
 */
export class UnlessEnded {
  private readonly waiting = new Set<(reason: Error) => void>();
  private reason: Error | null = null;

  /** How many are waited for. */
  get size(): number {
    return this.waiting.size;
  }

  /** The same answer; rejected with the reason of the end where that comes first, or has come already. */
  of<Answer>(answer: Answer | PromiseLike<Answer>): Promise<Answer> {
    return new Promise<Answer>((resolve, reject) => {
      if (this.reason) return reject(this.reason);
      this.waiting.add(reject);
      const settled = () => this.waiting.delete(reject);
      Promise.resolve(answer).finally(settled).then(resolve, reject);
    });
  }

  end(reason: Error): void {
    this.reason ??= reason;
    for (const reject of this.waiting) reject(this.reason);
    this.waiting.clear();
  }
}
