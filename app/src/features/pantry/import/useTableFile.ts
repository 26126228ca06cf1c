import { readTable, type TableChoices, type TableFile, type TableSpec } from '@hoddle/core/formats/tablesIn/readTable';
import { useEffect, useState } from 'react';

/** A page that answers within this is awake. */
const SLICE_MS = 12;

export type Reading = { kind: 'reading'; part: number } | { kind: 'done'; file: TableFile<string, unknown> };

/** A table as it is read, in slices between which the page draws and answers. */
export function useTableFile(text: string, spec: TableSpec<string, unknown>, choices: TableChoices<string>): Reading {
  const [reading, setReading] = useState<Reading & { of: object }>();
  const asked = choices;
  useEffect(() => {
    let isWanted = true;
    const steps = readTable(text, spec, asked);
    const goOn = () => {
      if (!isWanted) return;
      const until = performance.now() + SLICE_MS;
      let step = steps.next();
      while (!step.done && performance.now() < until) step = steps.next();
      if (step.done) return setReading({ kind: 'done', file: step.value, of: asked });
      setReading({ kind: 'reading', part: step.value, of: asked });
      setTimeout(goOn);
    };
    const timer = setTimeout(goOn);
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
  }, [text, spec, asked]);
  return reading?.of === asked ? reading : { kind: 'reading', part: 0 };
}
