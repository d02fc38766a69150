/** The first 128 bits of a hexadecimal text in the form of an id, as addresses take it. */
export const inIdForm = (hex: string): string =>
  hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12}).*$/, '$1-$2-$3-$4-$5');
