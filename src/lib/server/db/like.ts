/** Text as it stands in a LIKE pattern: its own wildcards mean themselves. */
export const literally = (text: string): string => text.replace(/[\\%_]/g, '\\$&');

/** The LIKE pattern of everything that holds a text. */
export const holding = (text: string): string => `%${literally(text)}%`;
