/** A whole number stays with its fraction where a line breaks: a measure torn in two is misread. */
export const unbroken = (words: string): string => words.replace(/(\d) (?=\d+⁄)/gu, '$1\u00a0');
