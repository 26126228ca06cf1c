import { type Batch, jarCounts } from '../day/batch';
import { type JarCount, type JarSize } from '../handbook/jars';
import { type BatchRecord } from '../yields/batchRecord';
import { type LoadState } from './loadState';

/** Where the jars of a batch have come to, beside what was written down of it. */
export interface BatchClose {
  /** Jars of its loads that are out, whole. */
  readonly out: number;
  readonly broken: number;
  /** As written down, of the jars it was loaded in; undefined until it is. */
  readonly written?: number;
  /** Written down besides, and in no canner: other sizes, and a jar that was not full. They stand somewhere too. */
  readonly besides: readonly JarCount[];
  readonly partJar?: { readonly jar: JarSize; readonly part: number };
}

/**
 * The jars of a batch at the close of its day.
 *
 * @param states of its loads, by their ids
 * @param record what was written down of it
 */
export function closeBatch(
  { jar, loads }: Pick<Batch, 'jar' | 'loads'>,
  states: ReadonlyMap<string, Pick<LoadState, 'phase' | 'jars' | 'broken'>>,
  record?: Pick<BatchRecord, 'jars' | 'partJar'>,
): BatchClose {
  const sizes = jarCounts({ jar, loads }).map((each) => each.jar);
  const own = loads.flatMap(({ id }) => states.get(id) ?? []);
  const out = own.filter(({ phase }) => phase === 'cooling' || phase === 'checked');
  const sum = (of: readonly number[]) => of.reduce((all, each) => all + each, 0);
  return {
    out: sum(out.map(({ jars }) => jars)),
    broken: sum(own.map(({ broken }) => broken)),
    ...(record && { written: sum(record.jars.filter((each) => sizes.includes(each.jar)).map(({ count }) => count)) }),
    besides: record?.jars.filter((each) => !sizes.includes(each.jar) && each.count > 0) ?? [],
    ...(record?.partJar && { partJar: record.partJar }),
  };
}
