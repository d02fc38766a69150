/** Letters without their accents and their case, as people look for words. */
export const plainText = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{Mn}/gu, '')
    .toLocaleLowerCase();
