/** Ids come from addresses that anybody may type: what is no UUID cannot be found. */
export const isUuid = (id: string): boolean => /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i.test(id);

/** A pattern that finds the text anywhere, with its own wildcards taken literally. */
export const like = (text: string): string => `%${text.trim().replace(/[\\%_]/g, (c) => `\\${c}`)}%`;
