/** A part of a division, whatever it is to become. */
interface Massed {
  readonly massKg: number;
}

/** Below this part of all there is nothing is left over. */
const CRUMB = 0.05;

/** What no part has, in kilograms; never below none. */
export function leftOver(parts: readonly Massed[], totalKg: number): number {
  return Math.max(0, totalKg - parts.reduce((sum, { massKg }) => sum + massKg, 0));
}

/** Another part: it gets what is left over, or half of the largest one where nothing is. */
export function withPart<Part extends Massed>(
  parts: readonly Part[],
  totalKg: number,
  make: (massKg: number) => Part,
): Part[] {
  const left = leftOver(parts, totalKg);
  if (left > CRUMB * totalKg) return [...parts, make(left)];
  const most = Math.max(0, ...parts.map(({ massKg }) => massKg));
  const largest = parts.findIndex(({ massKg }) => massKg === most);
  const halved = parts.map((part, i) => (i === largest ? { ...part, massKg: most / 2 } : part));
  return [...halved, make(most / 2)];
}

/** A part of so much: not less than nothing, nor more than it has and what is left over. */
export function withMass<Part extends Massed>(
  parts: readonly Part[],
  totalKg: number,
  at: number,
  massKg: number,
): Part[] {
  const left = leftOver(parts, totalKg);
  return parts.map((part, i) =>
    i === at ? { ...part, massKg: Math.max(0, Math.min(part.massKg + left, massKg)) } : part,
  );
}

/** The border between a part and the next one, or what is left over, moved: what one gains the other loses. */
export function withBorder<Part extends Massed>(
  parts: readonly Part[],
  totalKg: number,
  at: number,
  byKg: number,
): Part[] {
  const own = parts[at];
  if (!own) return [...parts];
  const room = parts[at + 1]?.massKg ?? leftOver(parts, totalKg);
  const moved = Math.max(-own.massKg, Math.min(room, byKg));
  return parts.map((part, i) => {
    if (i === at) return { ...part, massKg: part.massKg + moved };
    return i === at + 1 ? { ...part, massKg: part.massKg - moved } : part;
  });
}
