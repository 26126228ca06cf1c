/** A line of this protocol is some two hundred bytes. */
export const LONGEST_LINE = 2_048;

/** Cuts what comes over a wire into lines. Of a line that is too long nothing is kept but that there was one. */
export class LineReader {
  private rest = '';
  private isSkipping = false;

  /** @returns whole lines; null for each that was too long */
  take(chunk: string): (string | null)[] {
    const parts = (this.rest + chunk).split('\n');
    this.rest = parts.pop() ?? '';
    const lines = parts.map((part, i) => {
      const isRestOfLong = i === 0 && this.isSkipping;
      if (isRestOfLong) this.isSkipping = false;
      return isRestOfLong ? undefined : part.length > LONGEST_LINE ? null : part.trim();
    });
    const told = lines.filter((line): line is string | null => line !== undefined && line !== '');
    if (this.isSkipping || this.rest.length > LONGEST_LINE) {
      if (!this.isSkipping) told.push(null);
      [this.rest, this.isSkipping] = ['', true];
    }
    return told;
  }
}
