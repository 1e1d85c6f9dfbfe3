/** A pattern that finds the text anywhere, with its own wildcards taken literally. */
export const like = (text: string): string => `%${text.trim().replace(/[\\%_]/g, (c) => `\\${c}`)}%`;
