/** Rows by a key, each group in the order of the rows. (`Map.groupBy` is not in this Node yet.) */
export function groupBy<Row, Key>(rows: readonly Row[], keyOf: (row: Row) => Key): ReadonlyMap<Key, readonly Row[]> {
  const groups = new Map<Key, Row[]>();
  for (const row of rows) {
    const key = keyOf(row);
    const group = groups.get(key);
    if (group) group.push(row);
    else groups.set(key, [row]);
  }
  return groups;
}
