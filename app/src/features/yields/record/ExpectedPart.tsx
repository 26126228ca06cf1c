import { countJars, type JarSize } from '@hoddle/core/handbook/jars';
import { estimateJars } from '@hoddle/core/yields/estimateJars';
import { spanWords } from '@hoddle/core/yields/spanWords';
import { type LearnedYields } from '@hoddle/core/yields/yieldModel';
import { Words } from '@/ui/Words';
import { type RecordReading } from './readRecord';

/** What the amount was expected to make, beside what is being typed. */
export function ExpectedPart({
  reading,
  jar,
  learned,
}: {
  reading: RecordReading;
  jar: JarSize;
  learned: LearnedYields;
}) {
  if (reading.kind !== 'record') return null;
  const { crop, massKg, product } = reading.record;
  const estimate = estimateJars(crop, massKg, product, jar, learned);
  if (estimate.kind === 'refusal') return null;
  const { p50 } = estimate.jars;
  const span = spanWords(estimate.jars);
  return (
    <Words>
      Expected <Words weight={700}>{countJars(p50, jar)}</Words>
      {span === undefined ? '' : `, ${span}`}
    </Words>
  );
}
