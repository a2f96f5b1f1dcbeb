/** A text that begins with a capital. */
export const upperFirst = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);
