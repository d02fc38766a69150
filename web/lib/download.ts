/** Hands a file to the browser, to be saved. */
export function download(name: string, file: Blob): void {
  const address = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}

/** A text as such a file. */
export const textFile = (text: string, type: string): Blob => new Blob([text], { type });

/** A file name of letters, digits and dashes. */
export const fileName = (name: string, ending: string) =>
  `${
    name
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '') || 'cimbel'
  }.${ending}`;
