/** Hands a text to the browser as a file. */
export function download(name: string, text: string, type: string): void {
  const address = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}

/** A file name of letters, digits and dashes. */
export const fileName = (name: string, ending: string) =>
  `${
    name
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '') || 'shade-book'
  }.${ending}`;
