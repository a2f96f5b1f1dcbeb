/** Words of an element with a space between its parts, as one reads them. */
export const textOf = (element: Node | null): string =>
  (element?.nodeType === Node.TEXT_NODE
    ? (element.textContent ?? '')
    : [...(element?.childNodes ?? [])].map(textOf).join(' ')
  )
    .replace(/\s+/g, ' ')
    .trim();
