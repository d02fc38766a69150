/** A row that has to be there. @throws Error when it is not: what named it has gone meanwhile. */
export function rowOf<Row>(row: Row | undefined, table: string): Row {
  if (row === undefined) throw new Error(`a row of ${table} that has to be there is not`);
  return row;
}
